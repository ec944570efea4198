import { MONEY_FORMULAS, type StockFilm } from '../../cutting';
import type { RowOf, StockLeft } from '../../job';
import { mmFromNm } from '../../quantity';
import type { JobView } from '../view/job-view';

/** Key of a roll of some width that is still to be ordered. */
export const orderKey = (width_nm: number): string => `order ${width_nm}`;

/** The key of what a roll of a plan is cut from: of the stock, or of the width that is to be ordered. */
export const stockKeyOf = ({ stockId, width_nm }: Pick<RowOf<'cutRoll'>, 'stockId' | 'width_nm'>): string =>
  stockId ?? orderKey(width_nm);

/** What there is of one film to cut from: neither gone nor used up. */
export function stockOfFilm(stock: readonly StockLeft[], filmId: string): readonly StockLeft[] {
  return stock.filter((item) => item.filmId === filmId && !item.gone && item.left_nm > 0);
}

/** Price of a square metre: the mean of this film's own rolls, else the rate. */
export function pricePerSquare(
  view: JobView,
  items: readonly StockLeft[],
): { readonly value: number; readonly isGuessed: boolean } {
  const known = items.flatMap(({ what, perMetre, width_nm }) =>
    what === 'roll' && perMetre !== null ? [perMetre / (mmFromNm(width_nm) / 1000)] : [],
  );
  return known.length === 0
    ? { value: view.learned('cut-film'), isGuessed: true }
    : { value: known.reduce((sum, value) => sum + value, 0) / known.length, isGuessed: false };
}

/** How long a roll comes when it is ordered, in mm. */
export const newRollLength = (view: JobView): number => view.learned('cut-roll-length');

/**
 * Films a layout may take: rolls and offcuts there are, then new rolls in every width the film can be had in.
 * @param items of this film @param leftOut ids and order keys that a person has left out
 */
export function stockFilms(
  view: JobView,
  filmId: string,
  items: readonly StockLeft[],
  leftOut: ReadonlySet<string> = new Set(),
): readonly StockFilm[] {
  const square = pricePerSquare(view, items).value;
  const toOrder = (view.filmById.get(filmId)?.widths_nm ?? [])
    .filter((width_nm) => !leftOut.has(orderKey(width_nm)))
    .map((width_nm): StockFilm => ({
      id: orderKey(width_nm),
      what: 'to order',
      width_mm: mmFromNm(width_nm),
      length_mm: newRollLength(view),
      perMetre: square * (mmFromNm(width_nm) / 1000),
      whole: 0,
      lot: 'to be ordered',
      edges: 'both',
    }));
  return [...items.filter(({ id }) => !leftOut.has(id)).map((item) => stockFilm(view, item)), ...toOrder];
}

/**
 * What so much of a roll's film is worth, as the layout counts it; 0 where the roll is no longer to be had.
 */
export function filmWorth(
  stocks: readonly StockFilm[],
  roll: Pick<RowOf<'cutRoll'>, 'stockId' | 'width_nm'>,
  used_nm: number,
): number {
  const stock = stocks.find(({ id }) => id === stockKeyOf(roll));
  return stock === undefined
    ? 0
    : MONEY_FORMULAS.use.of({ used_mm: mmFromNm(used_nm), perMetre: stock.perMetre, whole: stock.whole });
}

/** An offcut is paid for with the roll it came off: it counts whole, once it is begun. */
function stockFilm(view: JobView, item: StockLeft): StockFilm {
  const width_mm = mmFromNm(item.width_nm);
  const length_mm = mmFromNm(item.left_nm);
  const perMetre = item.perMetre ?? view.learned('cut-film') * (width_mm / 1000);
  const isOffcut = item.what === 'offcut';
  return {
    id: item.id,
    what: item.what,
    width_mm,
    length_mm,
    perMetre: isOffcut ? 0 : perMetre * view.learned('cut-stock-share'),
    whole: isOffcut ? (perMetre * length_mm) / 1000 : 0,
    lot: item.lot,
    edges: edgesOf(item),
  };
}

function edgesOf({ leftEdge, rightEdge }: StockLeft): StockFilm['edges'] {
  if (leftEdge) return rightEdge ? 'both' : 'left';
  return rightEdge ? 'right' : 'none';
}
