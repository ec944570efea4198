/** Pieces of one size: how much length of bar they ask for, by each way they can lie. */
export interface BarDemand {
  readonly quantity: number;
  /** Across the roll, along it. */
  readonly lies: readonly (readonly [across: number, along: number])[];
}
