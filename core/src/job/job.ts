import type { LengthUnit } from '../quantity';

/** One order of work for one customer. A bare figure typed in it takes `entryUnit`. */
export interface Job {
  readonly name: string;
  readonly entryUnit: LengthUnit;
  readonly archived: boolean;
  /** ISO 4217, such as CHF; null: not said, and nothing is priced. */
  readonly currency: string | null;
  /** On top of the net price, %; null: not said. */
  readonly tax_percent: number | null;
  /** What an hour of one person costs the shop; null: not said. */
  readonly hourCost: number | null;
  /** What a trip there and back costs; null: not said. */
  readonly tripCost: number | null;
  /** To be kept of the net price, %; asked, never guessed. */
  readonly margin_percent: number | null;
}

/** A job of which nothing is said of money. */
export const NO_MONEY = {
  ...{ currency: null, tax_percent: null, hourCost: null, tripCost: null, margin_percent: null },
} as const satisfies Partial<Job>;
