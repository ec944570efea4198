import { type Measure, type RowOf, SAID_ABOUT } from '../../job';
import type { LengthUnit } from '../../quantity';
import { chosenFilm } from '../film/chosen-film';
import { JobView } from '../view/job-view';

/** A film that stands in for another of the job, on every surface that has it. */
export interface FilmSwap {
  readonly from: string;
  readonly to: string;
}

/** Rows of a size that somebody said: width at the top, height at the left. */
export function aboutMeasures(
  surfaceId: string,
  { width_nm, height_nm }: { readonly width_nm: number | null; readonly height_nm: number | null },
  { unit, textOf }: { readonly unit: LengthUnit; readonly textOf: (nm: number) => string },
): readonly Measure[] {
  const said = (toPoint: string, value_nm: number | null): readonly Measure[] =>
    value_nm === null
      ? []
      : [
          {
            ...{ surfaceId, kind: 'distance', fromPoint: 'tl', toPoint, unit, value_nm, sd_nm: null },
            ...{ text: textOf(value_nm), instrument: SAID_ABOUT },
          },
        ];
  return [...said('tr', width_nm), ...said('bl', height_nm)];
}

/** Whether nothing but its size as somebody said it is known of a surface. */
export const isOnlyAbout = (view: JobView, surfaceId: string): boolean =>
  view.measuresOf(surfaceId).length === 0 && view.aboutOf(surfaceId).length > 0;

/** The applications that get another film, and how it goes on. */
export function filmsSwapped(
  view: JobView,
  swaps: readonly FilmSwap[],
): readonly Pick<RowOf<'application'>, 'id' | 'filmId' | 'method'>[] {
  return view.applications.flatMap(({ id, filmId, surfaceId }) => {
    const film = view.filmById.get(swaps.find(({ from }) => from === filmId)?.to ?? '');
    const surface = view.surfaceById.get(surfaceId);
    if (film === undefined || surface === undefined) return [];
    return [{ id, filmId: film.id, method: chosenFilm(view, surface, film).method }];
  });
}

/**
 * The job as it is priced: sizes that were only said stand in for measures that are not there, and other
 * films for those of the job. Only for pricing: nothing is cut or laid by it.
 */
export function pricedView(view: JobView, swaps: readonly FilmSwap[] = []): JobView {
  const measure = view.rows.measure.map((row) =>
    row.instrument === SAID_ABOUT && isOnlyAbout(view, row.surfaceId)
      ? { ...row, instrument: 'guess' as const }
      : row,
  );
  const isAsItIs = measure.every((row, index) => row === view.rows.measure[index]) && swaps.length === 0;
  if (isAsItIs) return view;
  const others = new Map(filmsSwapped(view, swaps).map((own) => [own.id, own]));
  const application = view.rows.application.map((row) => ({ ...row, ...others.get(row.id) }));
  return new JobView({ ...view.rows, measure, application }, view.shop);
}
