import { isStale } from './cut-already';
import { blanksOfFilm, notLaid } from './film-blanks';
import { planOfFilm } from './film-order';
import type { JobView } from '../view/job-view';

/**
 * Whether there is film of it to be laid out: no plan yet, one made of other measures, or blanks without a
 * place.
 */
export function needsLayout(view: JobView, filmId: string): boolean {
  const { blanks } = blanksOfFilm(view, filmId);
  const plan = planOfFilm(view, filmId);
  if (plan === undefined) return blanks.length > 0;
  return (
    notLaid(view, blanks).length > 0 ||
    view.piecesOf(plan.id).some(({ applicationId }) => isStale(view, applicationId))
  );
}
