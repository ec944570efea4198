/** Pieces of one size: how much length of pattern they ask for, by each way they can lie. */
export interface ItemDemand {
  readonly quantity: number;
  /** Across the roll, along it. */
  readonly orientations: readonly (readonly [across: number, along: number])[];
}
