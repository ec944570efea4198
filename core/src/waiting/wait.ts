import type { Step } from '../quantity';

/** A wait with its doubt. `never` says why it does not end under these conditions. */
export interface Wait {
  readonly key: WaitKey;
  readonly word: string;
  /** Minutes: at the shortest, as reckoned, and to be safe. null: it does not end so. */
  readonly least: number | null;
  readonly likely: number | null;
  readonly most: number | null;
  /** Longer than this spoils it; null: it may lie. */
  readonly notOver: number | null;
  /** How a person finds out, whatever the model says. */
  readonly check: string;
  readonly never: string | null;
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
  | 'conditioned room'
  | 'clear';

export interface Air {
  readonly air_C: number;
  /** Relative, share of 1. */
  readonly humidity: number;
}
