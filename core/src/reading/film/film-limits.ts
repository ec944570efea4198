import { type ShrinkLimits, USUAL_SHRINK_LIMITS } from '../../curved';
import type { RowOf } from '../../job';
import type { FilmOfShop } from '../view/job-rows';
import type { JobView } from '../view/job-view';

/** Of what a strip shrank by hanging free: what goes easily, and what goes with care. Our guess. */
const EASY_OF_FREE = 1 / 3;
const HARD_OF_FREE = 2 / 3;
/** A strip that did not shrink: every fold is too much for it. */
const NOTHING = 1e-6;

/** Strips of a film that were heated and measured again in this job. */
export function stripsOf(view: JobView, filmId: string): readonly RowOf<'testPiece'>[] {
  return view.rows.testPiece.filter((piece) => piece.filmId === filmId);
}

/** How much a strip shrank, as a share of what was marked. */
export const shrunkBy = ({ fields: { marked_nm, after_nm } }: RowOf<'testPiece'>): number =>
  1 - after_nm / marked_nm;

/**
 * What a film bears in a fold: by the strip that shrank least, else by its sheet, else as films usually do.
 * No fold can take up more than the film shrinks by when nothing holds it.
 */
export function shrinkLimitsOf(view: JobView, film: FilmOfShop): ShrinkLimits {
  const strips = stripsOf(view, film.id).map(shrunkBy);
  if (strips.length > 0) {
    const free = Math.max(NOTHING, Math.min(...strips));
    return { easy: EASY_OF_FREE * free, hard: HARD_OF_FREE * free, limit: free, from: 'strip test' };
  }
  const { shrinkEasy, shrinkHard, shrinkLimit } = film;
  if (shrinkLimit === null) return USUAL_SHRINK_LIMITS;
  const { easy, hard, limit } = USUAL_SHRINK_LIMITS;
  return {
    easy: shrinkEasy ?? (easy / limit) * shrinkLimit,
    hard: shrinkHard ?? (hard / limit) * shrinkLimit,
    limit: shrinkLimit,
    from: 'sheet',
  };
}
