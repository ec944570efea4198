import type { CutMethod } from './cut-method';
import type { SeenFrom } from './seen-from';

/** Which of several accepted ways of working is followed, by question. */
export interface FittingSchools {
  readonly linerSchool: 'halves on the glass' | 'hang and pull' | 'tape tabs with two people';
  readonly lockSchool: 'centre line' | 'T' | 'X' | 'quarters';
  readonly trimSchool: 'before squeezing out' | 'after squeezing out';
}

/** One film on one side of one surface. Only the two outermost faces of a fixed unit can be reached, so the side names the face. */
export interface Application extends FittingSchools {
  readonly surfaceId: string;
  readonly side: SeenFrom;
  readonly filmId: string;
  readonly method: CutMethod;
  readonly position: number;
}
