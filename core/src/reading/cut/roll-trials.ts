import type { CutOrder } from '../../cutting';
import type { StockLeft } from '../../job';
import { nmFromMm } from '../../quantity';
import { type FilmBlank, blanksOfFilm } from './film-blanks';
import { type CutSettings, orderOfBlanks } from './film-order';
import type { JobView } from '../view/job-view';

/** Seams of all surfaces of a film. */
interface SeamSum {
  readonly count: number;
  readonly length_mm: number;
}

/** An order as it would be if only some widths were bought, with seams made for one width. */
export interface RollTrial {
  /** To be ordered, narrow first; none: what is in stock has to do. */
  readonly widths_nm: readonly number[];
  readonly withStock: boolean;
  readonly seamFor_nm: number;
  readonly seams: SeamSum;
  readonly order: CutOrder;
}

const byWidth = (a: number, b: number): number => a - b;

/**
 * Every way of buying a film: the stock alone, each width, each pair of widths, and all; seamed anew for each
 * width there is in it, once where that makes no difference.
 * @param stock of the whole shop
 */
export function rollTrials(
  view: JobView,
  filmId: string,
  settings: CutSettings,
  stock: readonly StockLeft[],
): readonly RollTrial[] {
  const today = orderOfBlanks(view, filmId, blanksOfFilm(view, filmId).blanks, settings, stock);
  const kept = today.stocks.filter(({ what }) => what !== 'to order');
  const bought = today.stocks.filter(({ what }) => what === 'to order');
  return mixesOf(bought, kept.length > 0).flatMap((mix): RollTrial[] => {
    const stocks = [...kept, ...mix];
    const seen = new Set<string>();
    return widthsOf(stocks)
      .reverse()
      .flatMap((seamFor_nm): RollTrial[] => {
        const { blanks } = blanksOfFilm(view, filmId, seamFor_nm);
        const made = blanks.map(({ key, blanks: { inputsHash } }) => `${key} ${inputsHash}`).join('|');
        if (seen.has(made)) return [];
        seen.add(made);
        const order = orderOfBlanks(view, filmId, blanks, settings, stock);
        return [
          {
            widths_nm: widthsOf(mix),
            withStock: kept.length > 0,
            seamFor_nm,
            seams: seamsOf(blanks),
            order: { ...order, stocks, pinned: [] },
          },
        ];
      });
  });
}

type Stocks = CutOrder['stocks'];

function widthsOf(stocks: Stocks): number[] {
  return [...new Set(stocks.map(({ width_mm }) => nmFromMm(width_mm)))].sort(byWidth);
}

/** The stock alone, each width, each two, all of them. */
function mixesOf(bought: Stocks, hasStock: boolean): readonly Stocks[] {
  const pairs = bought.flatMap((one, index) => bought.slice(index + 1).map((other) => [one, other]));
  return [
    ...(hasStock ? [[]] : []),
    ...bought.map((one) => [one]),
    ...pairs,
    ...(bought.length > 2 ? [bought] : []),
  ];
}

/** How many seams there are, and how long together. */
function seamsOf(blanks: readonly FilmBlank[]): SeamSum {
  const seams = blanks
    .filter(({ blank }) => blank.drop > 1)
    .map(({ blanks: { seams: own, whole } }) =>
      own.way === 'level' ? whole.width_mm.value : whole.height_mm.value,
    );
  return { count: seams.length, length_mm: seams.reduce((sum, length) => sum + length, 0) };
}

/** Applications whose blanks would be others if seams were made for that width. */
export function seamedOtherwise(view: JobView, filmId: string, seamFor_nm: number): readonly string[] {
  const now = new Map(
    blanksOfFilm(view, filmId).blanks.map(({ application, blanks }) => [application.id, blanks.inputsHash]),
  );
  const then = blanksOfFilm(view, filmId, seamFor_nm).blanks;
  return [
    ...new Set(
      then
        .filter(({ application, blanks }) => now.get(application.id) !== blanks.inputsHash)
        .map(({ application }) => application.id),
    ),
  ];
}

/** The widest roll a film can be had in: what seams are made for unless chosen otherwise. */
export function widestRoll_nm(view: JobView, filmId: string): number | undefined {
  return [...(view.filmById.get(filmId)?.widths_nm ?? [])].sort(byWidth).at(-1);
}
