import type { GlassUnknown, SurfaceCondition } from '../job';
import type { MatrixAnswer } from './matrix';

/** What is taken of a pane and its place for want of knowing; each weighs as a default that decides. */
export type GlassAssumption =
  | { readonly case: 'sound glass' }
  | { readonly case: 'clear glass' }
  | { readonly case: 'the coating on the inner side of its pane' }
  | { readonly case: 'a gap'; readonly width_mm: number }
  | { readonly case: 'air in the gap' }
  | { readonly case: 'a place on earth'; readonly latitude_deg: number }
  | { readonly case: 'the bearing that gets the most sun' }
  | { readonly case: 'a shade line across the pane' }
  | { readonly case: 'the size of the pane'; readonly size_mm: number }
  | { readonly case: 'no blind close behind the glass' }
  | { readonly case: 'no warm air on the glass' }
  | { readonly case: 'a metal frame' }
  | { readonly case: 'an edge nobody has seen' };

/** What the edge of one pane will bear at its worst hour, and what it bears. */
export interface EdgeLoad {
  readonly pane: number;
  readonly panes: number;
  readonly day: string;
  readonly hour: number;
  readonly stress_MPa: number;
  readonly unfilmed_MPa: number;
  /** Null: there is no number. */
  readonly bears: { readonly low_MPa: number; readonly high_MPa: number } | null;
}

/** Why the verdict on a pane is what it is. */
export type StressReason =
  | { readonly case: 'hurt glass'; readonly condition: SurfaceCondition }
  | { readonly case: 'damaged edge' }
  | { readonly case: 'wired glass' }
  | { readonly case: 'glass not known'; readonly what: readonly GlassUnknown[] }
  | { readonly case: 'no sun reaches it' }
  | { readonly case: 'edge load'; readonly load: EdgeLoad }
  | { readonly case: 'fails without film'; readonly load: EdgeLoad }
  | { readonly case: 'film makes it fail'; readonly load: EdgeLoad }
  | { readonly case: 'rule of thumb'; readonly matrix: MatrixAnswer }
  | { readonly case: 'hot seal'; readonly hottest_C: number; readonly limit_C: number };

/** What to do, or what to find out. */
export type StressAdvice =
  | { readonly case: 'have it replaced first' }
  | { readonly case: 'ask the glass maker in writing' }
  | { readonly case: 'find out'; readonly what: GlassUnknown }
  | { readonly case: 'smooth side only' }
  | { readonly case: 'tell the customer it is at risk' }
  | { readonly case: 'taken for want of knowing'; readonly what: GlassAssumption }
  | { readonly case: 'look along every edge' }
  | { readonly case: 'word of the makers' };
