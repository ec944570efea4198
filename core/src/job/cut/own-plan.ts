/** What a person wants otherwise of the plan of curved film; null: as it is calculated. */
export interface ShrinkChanges {
  /** Height of the line the film is held on, upwards from the middle of the glass. */
  readonly line_nm: number | null;
  /** Folds along an edge. */
  readonly folds: number | null;
  /** The roll lies turned by a quarter: it shrinks down the glass, not across. */
  readonly isTurned: boolean;
}

export const AS_CALCULATED: ShrinkChanges = { line_nm: null, folds: null, isTurned: false };

/** A place on a face as whoever works on it sees it, from its lower left corner upwards. */
export interface StrokeSpot {
  readonly x_nm: number;
  readonly y_nm: number;
}

/** What a person wants otherwise of the strokes of a film, by the keys of strokes. */
export interface StrokeChanges {
  /** Null: as customary, as the hand asks for. */
  readonly blade_nm: number | null;
  readonly overlap_nm: number | null;
  /** The half that is finished first. */
  readonly first: 'left' | 'right';
  readonly people: 1 | 2;
  readonly reversed: readonly string[];
  readonly left: readonly string[];
  readonly moved: readonly { readonly key: string; readonly path: readonly StrokeSpot[] }[];
  readonly drawn: readonly { readonly key: string; readonly path: readonly StrokeSpot[] }[];
  /** All strokes in order; null: as calculated. */
  readonly order: readonly string[] | null;
}

export const STROKES_AS_CALCULATED: StrokeChanges = {
  blade_nm: null,
  overlap_nm: null,
  first: 'right',
  people: 1,
  reversed: [],
  left: [],
  moved: [],
  drawn: [],
  order: null,
};

/** A plan of one application: only what a person has changed of it, and of what it was calculated then. */
export interface OwnPlan {
  readonly applicationId: string;
  readonly kind: 'shrink' | 'stroke';
  readonly changes: ShrinkChanges | StrokeChanges;
  /** Of the surface as it was measured when the person changed it. */
  readonly inputsHash: string;
}

export const isShrinkChanges = (changes: OwnPlan['changes']): changes is ShrinkChanges =>
  'isTurned' in changes;
