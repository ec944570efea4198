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
  /** Of the shop; null: not said. */
  readonly customerId: string | null;
  /** Where the work is; each empty: not said. */
  readonly street: string;
  readonly accessHours: string;
  readonly siteContact: string;
  readonly keys: string;
  readonly lift: string;
  readonly waterAndPower: string;
}

/** A job of which nothing is said yet but its name. */
export const NEW_JOB: Omit<Job, 'name' | 'entryUnit'> = {
  archived: false,
  ...{ currency: null, tax_percent: null, hourCost: null, tripCost: null, margin_percent: null },
  ...{ customerId: null, street: '', accessHours: '', siteContact: '', keys: '', lift: '' },
  waterAndPower: '',
};
