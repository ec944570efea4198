import type { Source } from '../quantity';

/** One figure of the trade that several questions go by: changed here, changed everywhere. */
export interface Rule {
  readonly value: number;
  readonly unit: string;
  /** Where practice gives a band round the value. */
  readonly least?: number;
  readonly most?: number;
  /** What it says, as it is shown. */
  readonly reason: string;
  readonly source: Source;
}

export const OURS: Source = { kind: 'our guess', text: 'our guess: no figure is handed down' };
