import type { LengthUnit } from '../quantity';

/** One order of work for one customer. A bare figure typed in it takes `entryUnit`. */
export interface Job {
  readonly name: string;
  readonly entryUnit: LengthUnit;
  readonly archived: boolean;
}
