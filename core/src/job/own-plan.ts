/** What a person wants otherwise of the plan of curved film; null: as it is reckoned. */
export interface ShrinkChanges {
  /** Height of the line the film is held on, upwards from the middle of the glass. */
  readonly line_nm: number | null;
  /** Folds along an edge. */
  readonly folds: number | null;
  /** The roll lies turned by a quarter: it shrinks down the glass, not across. */
  readonly isTurned: boolean;
}

export const AS_RECKONED: ShrinkChanges = { line_nm: null, folds: null, isTurned: false };

/** A plan of one application: only what a person has changed of it, and of what it was reckoned then. */
export interface OwnPlan {
  readonly applicationId: string;
  readonly kind: 'shrink';
  readonly changes: ShrinkChanges;
  /** Of the glass as it was measured when the person changed it. */
  readonly inputsHash: string;
}
