import type { CutMethod } from './cut-method';
import type { SeenFrom } from './seen-from';

/** Which of several accepted ways of working is followed, by question. */
export interface FittingSchools {
  readonly linerSchool: 'halves on the glass' | 'hang and pull' | 'tape tabs with two people';
  readonly lockSchool: 'centre line' | 'T' | 'X' | 'quarters';
  readonly trimSchool: 'before squeezing out' | 'after squeezing out';
}

/** How much larger than the surface a blank is cut on each side. */
export interface Over {
  readonly top_nm: number;
  readonly right_nm: number;
  readonly bottom_nm: number;
  readonly left_nm: number;
}

/**
 * One film on one side of one surface. Only the two outermost faces of a fixed unit can be reached, so the
 * side names the face.
 */
export interface Application extends FittingSchools {
  readonly surfaceId: string;
  readonly side: SeenFrom;
  readonly filmId: string;
  readonly method: CutMethod;
  /** Over on each side for this one, seen as the surface is; null: as the job or custom has it. */
  readonly over: Over | null;
  readonly position: number;
}
