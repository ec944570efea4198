import type { Step } from '../quantity';

/** Why a wait does not end under these conditions. */
export type Never =
  'air too damp' | 'it freezes' | 'too cold for it' | 'glass near the dew point' | 'not this season';

/** A wait with its doubt; how it is called and how one feels that it is over: `contracts/words`. */
export interface Wait {
  readonly key: WaitKey;
  /** Minutes: at the shortest, as calculated, and to be safe. null: it does not end so. */
  readonly least: number | null;
  readonly likely: number | null;
  readonly most: number | null;
  /** Longer than this spoils it; null: it may lie. */
  readonly notOver: number | null;
  readonly never: Never | null;
  /** What does not end this season goes on in this month, January 0; null or absent: not known. */
  readonly goesOnMonth?: number | null;
  readonly why: readonly Step[];
}

export type WaitKey =
  | 'primer, water-based'
  | 'primer, solvent-based'
  | 'putty'
  | 'promoter'
  | 'roll'
  | 'panel'
  | 'wall wash'
  | 'sealant'
  | 'first bond'
  | 'decal bond'
  | 'conditioned room'
  | 'clear'
  | 'pocket';

/** A wait as one sees it: not needed, ending some time, without an end as things are, or unknown. */
type WaitState = 'not needed' | 'ends' | 'never ends' | 'unknown';

export function waitStateOf({ never, likely, most }: Pick<Wait, 'never' | 'likely' | 'most'>): WaitState {
  if (never !== null) return 'never ends';
  if (likely === null || most === null) return 'unknown';
  return most === 0 ? 'not needed' : 'ends';
}

export interface Air {
  readonly air_C: number;
  /** Relative, share of 1. */
  readonly humidity: number;
}
