import type { RuleKey } from '../rules';
import type { ArcOnTheTable } from './column-marks';
import type { BlankEdge } from './on-the-table';

/** No roll is wide enough and no seam is allowed: by how much, and what would do. */
export interface TooWide {
  readonly by_mm: number;
  /** Over on both sides across the roll that would just fit; undefined: only a wider roll does. */
  readonly over_mm: number | undefined;
  readonly sides: 'top and bottom' | 'left and right';
}

/** What is to be known of a blank before it is cut. The sentence is made where it is read. */
export type BlankNote =
  /** A rule of the trade that decides here, in the words it has in the table of rules. */
  | { readonly case: 'rule'; readonly rule: RuleKey }
  | { readonly case: 'cut to its outline' }
  | { readonly case: 'behind the trim'; readonly hidden_mm: number }
  | { readonly case: 'pattern repeats every 0' }
  | { readonly case: 'no roll width known' }
  | ({ readonly case: 'too wide' } & TooWide)
  | { readonly case: 'seam where none should be' }
  | { readonly case: 'hung in order' }
  | {
      readonly case: 'ring sector';
      readonly inner_mm: number;
      readonly outer_mm: number;
      readonly angle_rad: number;
      readonly width_mm: number;
      readonly height_mm: number;
    }
  | { readonly case: 'in sectors'; readonly count: number; readonly lap_mm: number }
  | { readonly case: 'no roll wide enough'; readonly mostSectors: number }
  | { readonly case: 'shrinks along the roll' }
  | { readonly case: 'roll turned by choice' }
  | { readonly case: 'grain along the roll' }
  | { readonly case: 'one-way picture' };

/** What the cuts alone do not say of a piece: pattern, column marks, factory edges, an arc by tape. */
export type PieceNote =
  | { readonly case: 'first cut off the top'; readonly off_mm: number; readonly left_mm: number }
  | { readonly case: 'column marks' }
  | { readonly case: 'factory edges'; readonly edges: readonly BlankEdge[] }
  | { readonly case: 'arc'; readonly which: 'outer' | 'inner'; readonly arc: ArcOnTheTable };
