import type { RowOf, StockLeft } from '../../job';
import { nmFromMm } from '../../quantity';
import { blankOf } from '../cut/blank';
import { stockOfFilm } from '../cut/film-stock';
import type { JobView } from '../view/job-view';
import { workStepsOf } from '../fit/work';

/** What laying a film anew takes. */
interface AnewNeeds {
  readonly minutes: number;
  readonly people: number;
  /** Rolls and offcuts from which all its pieces can be cut, those of the lot it was cut from first. */
  readonly from: readonly { readonly item: StockLeft; readonly isSameLot: boolean }[];
}

/** Undefined: nobody can tell how its film was cut. */
export function anewNeeds(
  view: JobView,
  application: RowOf<'application'>,
  stock: readonly StockLeft[],
): AnewNeeds | undefined {
  const today = blankOf(view, application);
  if (today.kind === 'none') return undefined;
  const { blanks } = today.blanks;
  const rolls = new Set(view.piecesFor(application.id).map(({ rollId }) => rollId));
  const lots = new Set(view.cutRolls.filter(({ id }) => rolls.has(id)).map(({ lot }) => lot));
  const across_nm = nmFromMm(Math.max(...blanks.map((blank) => blank.across_mm)));
  const along_nm = nmFromMm(blanks.reduce((sum, blank) => sum + blank.along_mm, 0));
  const steps = workStepsOf(view, application);
  return {
    minutes: steps.reduce((sum, step) => sum + step.minutes.value, 0),
    people: Math.max(1, ...steps.map(({ crew }) => crew)),
    from: stockOfFilm(stock, application.filmId)
      .filter(({ width_nm, left_nm }) => width_nm >= across_nm && left_nm >= along_nm)
      .map((item) => ({ item, isSameLot: lots.has(item.lot) }))
      .sort((a, b) => Number(b.isSameLot) - Number(a.isSameLot) || a.item.left_nm - b.item.left_nm),
  };
}
