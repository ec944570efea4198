import type { Lie } from '../problem/strip-problem';

/** One column of a band: pieces stacked along the roll, none wider than it. */
export interface Column {
  readonly across: number;
  readonly pieces: readonly Lie[];
}

/** What one cross-cut takes off the roll, slit into columns, each cross-cut into pieces. */
export interface Band {
  readonly along: number;
  readonly columns: readonly Column[];
  readonly filled: number;
}
