/** Something that makes a look. */
interface CauseRow {
  readonly id: string;
  /** Chance that it makes this defect where it is. */
  readonly chance: number;
  /** Chance that it was there, where the record of the job does not know. */
  readonly present: number;
}

/** Something that can be seen, asked or calculated, and tells causes apart. */
export interface EvidenceRow {
  readonly id: string;
  /** Where the answer comes from: asked, asked later, the record, a pin, calculated. */
  readonly source: string;
  readonly cost_min: number;
  /** Evidence of one group counts once. */
  readonly group: string;
  readonly states: readonly string[];
  /** A row a cause: chance of each state under it. */
  readonly rows: readonly (readonly number[])[];
}

export interface RemedyRow {
  readonly id: string;
  readonly cost_min: number;
  /** Chance that it mends the defect under each cause. */
  readonly cures: readonly number[];
}

export interface LookTable {
  readonly causes: readonly CauseRow[];
  readonly evidence: readonly EvidenceRow[];
  readonly remedies: readonly RemedyRow[];
}

/**
 * Whether kept shares are of the causes of this table, another cause last: a case kept with an earlier table
 * may have more or fewer.
 */
export const isOfTable = ({ causes }: LookTable, shares: readonly number[]): boolean =>
  shares.length === causes.length + 1;
