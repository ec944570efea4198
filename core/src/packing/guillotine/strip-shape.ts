import type { Orientation } from '../problem/packing-problem';

/** One stack of a strip: pieces stacked along the roll, none wider than it. */
export interface Stack {
  readonly across: number;
  readonly pieces: readonly Orientation[];
}

/** What one cross-cut takes off the roll, slit into stacks, each cross-cut into pieces. */
export interface Strip {
  readonly along: number;
  readonly stacks: readonly Stack[];
  readonly filled: number;
}
