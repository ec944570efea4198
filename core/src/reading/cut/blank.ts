import { type CutBlanks, type CutInput, type SeamWishes, customarySeam, cutBlanks } from '../../blanks';
import { type RowOf, isGlass } from '../../job';
import type { SurfaceCheck } from '../../measure';
import { mmFromNm } from '../../quantity';
import type { FilmOfShop } from '../view/job-rows';
import type { JobView } from '../view/job-view';
import { isOfVehicle } from '../survey/place';
import { type PaneShrink, flatFilmOf, isShrunk, shrinkBy, shrinkOf } from './shrink';
import { checkOf } from '../survey/surface';

/** The blanks of today's measures, or the reason there are none. */
export type BlankToday =
  | { readonly kind: 'blanks'; readonly blanks: CutBlanks }
  | { readonly kind: 'none'; readonly reason: string };

/** Seams as chosen, else as customary. */
export function seamOf(view: JobView, application: RowOf<'application'>): SeamWishes {
  const film = view.filmById.get(application.filmId);
  const customary = customarySeam(application.method, film?.direction ?? 'none', film?.repeat_nm ?? null);
  const choice = view.seamChoiceOf(application.id);
  return {
    kind: choice?.kind ?? customary.kind,
    placing: choice?.placing ?? customary.placing,
    match: choice?.match ?? customary.match,
    firstDrop: choice?.firstDrop ?? customary.firstDrop,
  };
}

/**
 * The film to cut for one application, by the measures and choices of this moment.
 * @param seamFor_nm width of the roll that seams are made for, instead of the one chosen
 */
export function blankOf(view: JobView, application: RowOf<'application'>, seamFor_nm?: number): BlankToday {
  const film = view.filmById.get(application.filmId);
  if (film === undefined) return { kind: 'none', reason: 'the film is not in the catalogue' };
  const check = checkOf(view, application.surfaceId);
  const of = [
    shrinkOf(view, application),
    application,
    film,
    check,
    view.seamChoiceOf(application.id),
    view.allowanceOf(application.method),
    view.wallFactsOf(application.surfaceId),
    view.siteFactsOf(application.surfaceId),
    view.surfaceById.get(application.surfaceId),
    view.rows.place,
  ];
  return view.kept.of(`blank ${application.id} ${seamFor_nm ?? ''}`, of, () =>
    blankBy(view, application, check, film, seamFor_nm),
  );
}

/** The same by other measures than those kept, such as what is being typed. */
export function blankBy(
  view: JobView,
  application: RowOf<'application'>,
  check: SurfaceCheck,
  film: FilmOfShop,
  seamFor_nm = view.seamChoiceOf(application.id)?.rollWidth_nm ?? undefined,
): BlankToday {
  if (check.state === 'unfinished')
    return { kind: 'none', reason: `${check.needs.join(' and ')} is missing` };
  if (check.state === 'impossible') return { kind: 'none', reason: 'its measures cannot be true together' };
  const surface = view.surfaceById.get(application.surfaceId);
  const wall = view.wallFactsOf(application.surfaceId);
  const isColumn = surface?.shape === 'round column' && application.method === 'column';
  const column = isColumn ? columnSizes(view, application.surfaceId) : undefined;
  const shrink = isShrunk(application) ? shrinkOn(view, application, check, film) : undefined;
  const film_mm = shrink === undefined ? undefined : beforeShrinking(shrink);
  const input: CutInput = {
    ...(film_mm ?? extentOf(check, column)),
    isBeforeShrinking: film_mm !== undefined,
    isTurned: shrink?.changes.isTurned ?? false,
    ...sidesOf(view, application),
    ...(surface?.kind === 'wall' && wall !== undefined
      ? { left: wall.leftCorner, right: wall.rightCorner }
      : {}),
    hidden_mm: hiddenBy(view, surface),
    method: application.method,
    direction: film.direction,
    rollWidths_mm: (seamFor_nm === undefined ? film.widths_nm : [seamFor_nm]).map(mmFromNm),
    repeat_mm: film.repeat_nm === null ? null : mmFromNm(film.repeat_nm),
    seam: seamOf(view, application),
    hiddenAcross_mm: check.figure.openings?.flatMap(({ x, width }) => [x, x + width]) ?? [],
    footHeight_mm: footHeight(view, application.surfaceId),
    column,
    maySeam: surface === undefined || (surface.shape !== 'curved glass' && !isOfVehicle(view, surface)),
  };
  return { kind: 'blanks', blanks: cutBlanks(input) };
}

function shrinkOn(
  view: JobView,
  application: RowOf<'application'>,
  check: SurfaceCheck,
  film: FilmOfShop,
): PaneShrink | undefined {
  if (view.surfaceById.get(application.surfaceId)?.shape !== 'curved glass') return undefined;
  const today =
    check === checkOf(view, application.surfaceId)
      ? shrinkOf(view, application)
      : shrinkBy(view, application, check, film);
  return today.kind === 'plan' ? today.plan : undefined;
}

/** Curved film is cut as it lies flat, before its surplus is shrunk away. */
function beforeShrinking(shrink: PaneShrink): Pick<CutInput, 'aroundWidth_mm' | 'aroundHeight_mm'> {
  const { width_mm, height_mm } = flatFilmOf(shrink);
  return { aroundWidth_mm: width_mm, aroundHeight_mm: height_mm };
}

/**
 * What the film must reach over. A tapered column's film lies flat as a sector; its blank is told by its
 * girths, not by the box around the sector.
 */
function extentOf(
  { sizes }: Extract<SurfaceCheck, { readonly sizes: unknown }>,
  column: CutInput['column'],
): Pick<CutInput, 'aroundWidth_mm' | 'aroundHeight_mm'> {
  if (column !== undefined)
    return { aroundWidth_mm: Math.max(column.foot_mm, column.top_mm), aroundHeight_mm: column.height_mm };
  const { aroundWidth_mm, aroundHeight_mm, girthWidth_mm, girthHeight_mm } = sizes;
  return {
    aroundWidth_mm: Math.max(aroundWidth_mm.value, girthWidth_mm?.value ?? 0),
    aroundHeight_mm: Math.max(aroundHeight_mm.value, girthHeight_mm?.value ?? 0),
  };
}

/** Allowances of this application, else of its way of fitting in this job; left out: as is customary. */
function sidesOf(view: JobView, application: RowOf<'application'>): Pick<CutInput, 'sides'> {
  const over = application.over ?? view.allowanceOf(application.method);
  return over === undefined
    ? {}
    : {
        sides: {
          top_mm: mmFromNm(over.top_nm),
          right_mm: mmFromNm(over.right_nm),
          bottom_mm: mmFromNm(over.bottom_nm),
          left_mm: mmFromNm(over.left_nm),
        },
      };
}

/** Glass under trim is filmed too; a wall has no trim over it. */
function hiddenBy(view: JobView, surface: RowOf<'surface'> | undefined): number {
  const hidden_nm = surface === undefined ? null : (view.siteFactsOf(surface.id)?.trimOverlap_nm ?? null);
  return hidden_nm === null || surface === undefined || !isGlass(surface) ? 0 : mmFromNm(hidden_nm);
}

function footHeight(view: JobView, surfaceId: string): number | null {
  const height_nm = view.siteFactsOf(surfaceId)?.accessHeight_nm ?? null;
  return height_nm === null ? null : mmFromNm(height_nm);
}

/** Girths of a round column and the height between them, each the mean of its measures. */
export function columnSizes(view: JobView, surfaceId: string): CutInput['column'] {
  const measures = view.measuresOf(surfaceId);
  const girth = (at: string): number | undefined =>
    mean(measures.filter(({ kind, fromPoint }) => kind === 'circumference' && fromPoint === at));
  const height_mm = mean(
    measures.filter(
      ({ kind, fromPoint, toPoint }) =>
        kind === 'distance' &&
        ((fromPoint === 'floor' && toPoint === 'top') || (fromPoint === 'top' && toPoint === 'floor')),
    ),
  );
  const [foot_mm, top_mm] = [girth('floor') ?? girth('top'), girth('top') ?? girth('floor')];
  return foot_mm === undefined || top_mm === undefined || height_mm === undefined
    ? undefined
    : { foot_mm, top_mm, height_mm };
}

function mean(measures: readonly { readonly value_nm: number }[]): number | undefined {
  return measures.length === 0
    ? undefined
    : measures.reduce((sum, { value_nm }) => sum + mmFromNm(value_nm), 0) / measures.length;
}
