import { layoutPieceOf, meetsOf } from '../../blanks';
import {
  type CutOrder,
  type CuttingRates,
  type OrderPiece,
  type PinnedPiece,
  type StockFilm,
} from '../../cutting';
import { ANY_STAGES, type Stages } from '../../packing';
import { type CutPlan, type RowOf, type StockLeft, isGlass } from '../../job';
import { mmFromNm } from '../../quantity';
import { byTape, tapeMark_mm } from './by-tape';
import { isStale } from './cut-already';
import { type FilmBlank, blankKey, blanksOfFilm } from './film-blanks';
import { stockFilms, stockKeyOf, stockOfFilm } from './film-stock';
import { flatOutlineOf } from '../survey/flat-outline';
import type { JobView } from '../view/job-view';

/** How many times the knife may change its direction. */
export const STAGES: readonly Stages[] = [2, 3, ANY_STAGES];

/** How the next layout of a film is to be made. */
export interface CutSettings extends Pick<
  CutPlan,
  'mode' | 'objective' | 'liner' | 'gap_nm' | 'endWaste_nm' | 'mostSheet_nm' | 'edgeMust'
> {
  readonly stages: Stages;
  /** Rolls and offcuts left out, and keys of widths to order left out. */
  readonly leftOut: ReadonlySet<string>;
}

/** Those of the plan there is, else customary. */
export function cutSettingsOf(plan: RowOf<'cutPlan'> | undefined): CutSettings {
  return {
    mode: plan?.mode ?? 'by hand',
    stages: STAGES.find((own) => own === plan?.stages) ?? 3,
    objective: plan?.objective ?? 'money',
    liner: plan?.liner ?? 'up',
    gap_nm: plan?.gap_nm ?? 0,
    endWaste_nm: plan?.endWaste_nm ?? 0,
    mostSheet_nm: plan?.mostSheet_nm ?? null,
    edgeMust: plan?.edgeMust ?? false,
    leftOut: new Set(),
  };
}

/** The plan of a film, when there is one. */
export function planOfFilm(view: JobView, filmId: string): RowOf<'cutPlan'> | undefined {
  return view.plans.find((plan) => plan.filmId === filmId);
}

/** Cut into already: it and everything on it stays as it is. */
export function isBegun(view: JobView, { id, planId, bookedAt, ticks }: RowOf<'cutRoll'>): boolean {
  return (
    bookedAt !== null ||
    ticks.length > 0 ||
    view.piecesOf(planId).some(({ rollId, cutAt }) => rollId === id && cutAt !== null)
  );
}

/**
 * What is to be laid of a film: every blank without a piece that is cut; pinned pieces stay.
 * @param stock of the whole shop @param extra pieces to be laid besides, to see what they would add
 */
export function filmOrder(
  view: JobView,
  filmId: string,
  settings: CutSettings,
  stock: readonly StockLeft[],
  extra: readonly OrderPiece[] = [],
): CutOrder {
  return orderOfBlanks(view, filmId, blanksOfFilm(view, filmId).blanks, settings, stock, extra);
}

/** The same of blanks made otherwise than is chosen, to see what that would take. */
export function orderOfBlanks(
  view: JobView,
  filmId: string,
  blanks: readonly FilmBlank[],
  settings: CutSettings,
  stock: readonly StockLeft[],
  extra: readonly OrderPiece[] = [],
): CutOrder {
  const items = stockOfFilm(stock, filmId);
  const stocks = stockFilms(view, filmId, items, settings.leftOut);
  const plan = planOfFilm(view, filmId);
  const begun = begunIds(view, plan);
  const open = openBlanks(view, plan, blanks, begun);
  return {
    stocks,
    pieces: [...open.map((own) => orderPiece(view, filmId, own, settings, stocks)), ...extra],
    pinned: plan === undefined ? [] : pinsOf(view, plan, stocks, begun, open),
    mode: settings.mode,
    stages: settings.stages,
    gap_mm: mmFromNm(settings.gap_nm),
    endWaste_mm: endWasteOf(view, filmId, blanks, settings.endWaste_nm),
    mostSheet_mm: settings.mostSheet_nm === null ? Number.POSITIVE_INFINITY : mmFromNm(settings.mostSheet_nm),
    objective: settings.objective,
    rates: cuttingRates(view),
  };
}

export function cuttingRates(view: JobView): CuttingRates {
  return {
    perCrossCut: view.learned('cut-cross'),
    perSlit: view.learned('cut-slit'),
    perPiece: view.learned('cut-piece'),
    keepWidth_mm: view.learned('cut-keep-width'),
    keepLength_mm: view.learned('cut-keep-length'),
    keepShare: view.learned('cut-keep-share'),
    perSplitGroup: view.learned('cut-split'),
  };
}

/** Ids of the rolls of a plan that are cut into. */
export function begunIds(view: JobView, plan: RowOf<'cutPlan'> | undefined): ReadonlySet<string> {
  return new Set(
    view
      .rollsOf(plan?.id ?? '')
      .filter((roll) => isBegun(view, roll))
      .map(({ id }) => id),
  );
}

/** Blanks still to be laid: neither cut nor lying on a roll that is begun. */
function openBlanks(
  view: JobView,
  plan: RowOf<'cutPlan'> | undefined,
  blanks: readonly FilmBlank[],
  begun: ReadonlySet<string>,
): readonly FilmBlank[] {
  const done = new Set(
    view
      .piecesOf(plan?.id ?? '')
      .filter(({ rollId, cutAt, spoiledAt }) => spoiledAt === null && (cutAt !== null || begun.has(rollId)))
      .map(({ applicationId, drop }) => blankKey(applicationId, drop)),
  );
  return blanks.filter(({ key }) => !done.has(key));
}

function orderPiece(
  view: JobView,
  filmId: string,
  own: FilmBlank,
  settings: CutSettings,
  stocks: readonly StockFilm[],
): OrderPiece {
  const { key, blanks, blank, application } = own;
  const outline = settings.mode === 'by plotter' ? flatOutlineOf(view, own, settings.liner) : undefined;
  const repeat_nm = view.filmById.get(filmId)?.repeat_nm ?? null;
  const meets = meetsOf(blank, application.id, repeat_nm === null ? null : mmFromNm(repeat_nm));
  return {
    ...layoutPieceOf(blanks, blank, key, settings.edgeMust),
    ...(settings.mode === 'by hand'
      ? byTape(
          blank,
          blanks,
          tapeMark_mm(view.rows.job[0]?.entryUnit ?? 'mm'),
          stocks.map(({ width_mm }) => width_mm),
        )
      : {}),
    ...(outline === undefined ? {} : { outline, mayFlip: blanks.whole.mayTurn180 }),
    ...(meets === undefined ? {} : { meets }),
    group: groupOf(own),
  };
}

/** What must look alike: the drops of one surface, the panes of one façade. */
function groupOf({ application, surface, blank }: FilmBlank): string {
  if (blank.of > 1) return application.id;
  return surface !== undefined && isGlass(surface) ? surface.placeId : '';
}

/** Pieces a person has pinned, where their roll is still to be had and their blank is still the same. */
function pinsOf(
  view: JobView,
  plan: RowOf<'cutPlan'>,
  stocks: readonly StockFilm[],
  begun: ReadonlySet<string>,
  open: readonly FilmBlank[],
): readonly PinnedPiece[] {
  const wanted = new Set(open.map(({ key }) => key));
  const rolls = view.rollsOf(plan.id).filter(({ id }) => !begun.has(id));
  return view.piecesOf(plan.id).flatMap((piece): PinnedPiece[] => {
    const id = blankKey(piece.applicationId, piece.drop);
    const roll = rolls.find((own) => own.id === piece.rollId);
    if (!piece.pinned || piece.spoiledAt !== null || roll === undefined || !wanted.has(id)) return [];
    const stockId = stockKeyOf(roll);
    if (!stocks.some((stock) => stock.id === stockId) || isStale(view, piece.applicationId)) return [];
    return [
      {
        id,
        stockId,
        copy: rolls.filter((own) => stockKeyOf(own) === stockId).indexOf(roll),
        x_mm: mmFromNm(piece.x_nm),
        y_mm: mmFromNm(piece.y_nm),
        turned: piece.turned,
        flipped: piece.flipped,
      },
    ];
  });
}

/** With a pattern the end cut off is whole repeats, so that every drop keeps its phase. */
function endWasteOf(
  view: JobView,
  filmId: string,
  blanks: readonly FilmBlank[],
  endWaste_nm: number,
): number {
  const waste_mm = mmFromNm(endWaste_nm);
  const isPatterned = blanks.some(
    (own) => own.blank.along_mm !== own.blank.height_mm && own.blanks.whole.lies === 'top across the roll',
  );
  const repeat_nm = isPatterned ? (view.filmById.get(filmId)?.repeat_nm ?? null) : null;
  return repeat_nm === null || repeat_nm === 0
    ? waste_mm
    : Math.ceil(waste_mm / mmFromNm(repeat_nm) - 1e-9) * mmFromNm(repeat_nm);
}

/** Façades whose pieces come from several lots: the pieces of one look alike when they come from one. */
export function lotsApart(
  view: JobView,
  filmId: string,
): readonly { readonly placeId: string; readonly lots: readonly string[] }[] {
  const plan = planOfFilm(view, filmId);
  const rolls = new Map(view.rollsOf(plan?.id ?? '').map((roll) => [roll.id, roll]));
  const lots = new Map<string, Set<string>>();
  for (const { rollId, applicationId } of view.piecesOf(plan?.id ?? '')) {
    const surface = view.surfaceById.get(view.applicationById.get(applicationId)?.surfaceId ?? '');
    const roll = rolls.get(rollId);
    if (surface === undefined || !isGlass(surface) || roll === undefined) continue;
    const own = lots.get(surface.placeId) ?? new Set<string>();
    own.add(roll.lot);
    lots.set(surface.placeId, own);
  }
  return [...lots].flatMap(([placeId, own]) => (own.size > 1 ? [{ placeId, lots: [...own] }] : []));
}
