import { restsWorthKeeping } from '../../cutting';
import type { Offcut, RowOf, StockLeft } from '../../job';
import { mmFromNm, nmFromMm, toCent } from '../../quantity';
import { cuttingRates } from './film-order';
import { pricePerSquare } from './film-stock';
import type { JobView } from '../view/job-view';

const FACTORY_EDGE_MM = 0.1;
const LETTERS = 26;

/**
 * What is worth keeping of a roll once everything on it is cut, each with a label of its own.
 * @param items of the roll's film
 */
export function offcutsLeft(
  view: JobView,
  roll: RowOf<'cutRoll'>,
  filmId: string,
  items: readonly StockLeft[],
): readonly Offcut[] {
  const { keepWidth_mm, keepLength_mm, keepShare } = cuttingRates(view);
  const square = pricePerSquare(view, items).value;
  const item = items.find(({ id }) => id === roll.stockId);
  const placed = view
    .piecesOf(roll.planId)
    .filter(({ rollId, spoiledAt }) => rollId === roll.id && spoiledAt === null)
    .map((piece) => ({
      id: piece.id,
      x_mm: mmFromNm(piece.x_nm),
      y_mm: mmFromNm(piece.y_nm),
      across_mm: mmFromNm(piece.across_nm),
      along_mm: mmFromNm(piece.along_nm),
      turned: piece.turned,
      level: piece.level,
    }));
  return restsWorthKeeping(placed, mmFromNm(roll.width_nm), keepWidth_mm, keepLength_mm).map(
    (rest, index) => ({
      cutRollId: roll.id,
      parentId: roll.stockId,
      filmId,
      label: `${roll.label || 'roll'}-${lettersOf(index)}`,
      lot: roll.lot,
      width_nm: nmFromMm(rest.width_mm),
      length_nm: nmFromMm(rest.length_mm),
      perMetre: toCent(square * keepShare * (rest.width_mm / 1000)),
      leftEdge: rest.x_mm < FACTORY_EDGE_MM && (item?.leftEdge ?? true),
      rightEdge: rest.hasRightEdge && (item?.rightEdge ?? true),
      where: '',
      gone: false,
    }),
  );
}

/** 'a' to 'z', then 'a1'. */
function lettersOf(index: number): string {
  const round = Math.floor(index / LETTERS);
  return `${String.fromCodePoint('a'.charCodeAt(0) + (index % LETTERS))}${round > 0 ? round : ''}`;
}
