import { CoreError } from '../../quantity';
import type { CutOrder, OrderPiece, PinnedPiece, StockFilm } from './cut-order';

const MOST_PIECES = 50_000;
const MOST_STOCKS = 60;
const LONGEST_MM = 1_000_000;
const WIDEST_MM = 5000;
const SLACK_MM = 0.05;

/** Refuses an order that cannot be meant, naming the field. @throws CoreError CUTTING_TOO_MANY_PIECES, CUTTING_STOCK_RANGE, CUTTING_PIECE_RANGE, CUTTING_PIN, CUTTING_ID_TWICE */
export function refuseOrder({ stocks, pieces, pinned, gap_mm, endWaste_mm, mostSheet_mm }: CutOrder): void {
  if (pieces.length > MOST_PIECES) throw new CoreError('CUTTING_TOO_MANY_PIECES', { path: 'pieces', expected: `at most ${MOST_PIECES} pieces`, got: String(pieces.length) });
  if (stocks.length > MOST_STOCKS) throw new CoreError('CUTTING_STOCK_RANGE', { path: 'stocks', expected: `at most ${MOST_STOCKS} rolls and offcuts`, got: String(stocks.length) });
  within('gap_mm', gap_mm, 0, 100);
  within('endWaste_mm', endWaste_mm, 0, 5000);
  if (mostSheet_mm !== Number.POSITIVE_INFINITY) within('mostSheet_mm', mostSheet_mm, 1, LONGEST_MM);
  for (const stock of stocks) refuseStock(stock);
  unique('pieces', pieces.map(({ id }) => id));
  unique('stocks', stocks.map(({ id }) => id));
  unique('pinned', pinned.map(({ id }) => id));
  for (const { id, across_mm, along_mm } of pieces) { within(`pieces.${id}.across_mm`, across_mm, 1, LONGEST_MM, 'CUTTING_PIECE_RANGE'); within(`pieces.${id}.along_mm`, along_mm, 1, LONGEST_MM, 'CUTTING_PIECE_RANGE'); }
  refusePins(stocks, pieces, pinned);
}

function refuseStock({ id, width_mm, length_mm, perMetre, whole }: StockFilm): void {
  within(`stocks.${id}.width_mm`, width_mm, 1, WIDEST_MM);
  within(`stocks.${id}.length_mm`, length_mm, 0, LONGEST_MM);
  within(`stocks.${id}.perMetre`, perMetre, 0, 1e6);
  within(`stocks.${id}.whole`, whole, 0, 1e9);
}

function refusePins(stocks: readonly StockFilm[], pieces: readonly OrderPiece[], pinned: readonly PinnedPiece[]): void {
  const boxes: { id: string; stockId: string; x: number; y: number; across: number; along: number }[] = [];
  for (const { id, stockId, x_mm, y_mm, turned } of pinned) {
    const stock = stocks.find((own) => own.id === stockId);
    const piece = pieces.find((own) => own.id === id);
    if (piece === undefined || stock === undefined) throw new CoreError('CUTTING_PIN', { path: `pinned.${id}`, expected: 'a piece and a roll of this order', got: piece === undefined ? 'an unknown piece' : 'an unknown roll' });
    if (turned && !piece.mayTurn90) throw new CoreError('CUTTING_PIN', { path: `pinned.${id}`, expected: 'a piece that may be turned', got: 'one whose film has a direction' });
    const [across, along] = turned ? [piece.along_mm, piece.across_mm] : [piece.across_mm, piece.along_mm];
    if (x_mm < -SLACK_MM || y_mm < -SLACK_MM || x_mm + across > stock.width_mm + SLACK_MM || (stock.what !== 'to order' && y_mm + along > stock.length_mm + SLACK_MM)) throw new CoreError('CUTTING_PIN', { path: `pinned.${id}`, expected: 'a place inside the film', got: 'one that reaches beyond it' });
    const other = boxes.find((box) => box.stockId === stockId && box.x < x_mm + across - SLACK_MM && x_mm < box.x + box.across - SLACK_MM && box.y < y_mm + along - SLACK_MM && y_mm < box.y + box.along - SLACK_MM);
    if (other !== undefined) throw new CoreError('CUTTING_PIN', { path: `pinned.${id}`, expected: 'a place of its own', got: `one that overlaps ${other.id}` });
    boxes.push({ id, stockId, x: x_mm, y: y_mm, across, along });
  }
}

function within(path: string, value: number, least: number, most: number, code: 'CUTTING_STOCK_RANGE' | 'CUTTING_PIECE_RANGE' = 'CUTTING_STOCK_RANGE'): void {
  if (!(value >= least && value <= most)) throw new CoreError(code, { path, expected: `${least} to ${most}`, got: String(value) });
}

function unique(path: string, ids: readonly string[]): void {
  const seen = new Set<string>();
  for (const id of ids) { if (seen.has(id)) throw new CoreError('CUTTING_ID_TWICE', { path, expected: 'each identifier once', got: id }); seen.add(id); }
}
