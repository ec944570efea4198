/** Pieces of one size: how much length of bar they ask for, by each way they can lie. */
export interface ItemDemand {
  readonly quantity: number;
  /** Across the roll, along it. */
  readonly orientations: readonly (readonly [across: number, along: number])[];
}
