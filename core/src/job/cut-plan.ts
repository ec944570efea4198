/** A layout on one roll width, frozen when it was made. */
export interface CutPlan {
  readonly filmId: string;
  readonly rollWidth_nm: number;
  readonly lengthUsed_nm: number;
  /** Nothing can use less than this. */
  readonly bound_nm: number;
  readonly solver: string;
}

/** A frozen copy of a blank where the plan put it. It never moves once cut. */
export interface CutPiece {
  readonly planId: string;
  readonly applicationId: string;
  readonly tag: string;
  readonly position: number;
  readonly level: number;
  readonly x_nm: number;
  readonly y_nm: number;
  readonly across_nm: number;
  readonly along_nm: number;
  readonly turned: boolean;
  /** Of the inputs its blank was made from; a different hash today makes the plan stale. */
  readonly inputsHash: string;
  readonly cutAt: string | null;
}
