import type { CutMethod } from '../cut/cut-method';
import type { SeenFrom } from '../surface/seen-from';

/**
 * Which of several accepted ways of working is followed, by question; only those that somebody chose. What
 * there is to choose stands in the room `ways`.
 */
export type ChosenSchools = Readonly<Record<string, string>>;

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
export interface Application {
  readonly surfaceId: string;
  readonly side: SeenFrom;
  readonly filmId: string;
  readonly method: CutMethod;
  /** Chosen for this one, before those of the job. */
  readonly schools: ChosenSchools;
  /** Over on each side for this one, seen as the surface is; null: as the job or custom has it. */
  readonly over: Over | null;
  readonly position: number;
}
