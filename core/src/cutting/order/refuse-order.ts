import { CoreError } from '../../quantity';
import { ANY_NUMBER_OF_STAGES, checkCuttable } from '../../packing';
import { type HandPlaced, placingFault } from '../hand-placing';
import type { CutOrder, OrderPiece, PinnedPiece, StockFilm } from './cut-order';
import { outlineOnRoll } from './pair-outlines';

const MOST_PIECES = 50_000;
const MOST_STOCKS = 60;
const LONGEST_MM = 1_000_000;
const WIDEST_MM = 5000;
/** Rolls to order that pieces may be pinned on. */
const MOST_COPIES = 100;

/**
 * Refuses an order that cannot be meant, naming the field.
 * @throws CoreError CUTTING_TOO_MANY_PIECES, CUTTING_STOCK_RANGE, CUTTING_PIECE_RANGE, CUTTING_PIN,
 * CUTTING_ID_TWICE
 */
export function refuseOrder({
  stocks,
  pieces,
  pinned,
  mode,
  gap_mm,
  endWaste_mm,
  mostSheet_mm,
}: CutOrder): void {
  atMost('CUTTING_TOO_MANY_PIECES', 'pieces', pieces.length, MOST_PIECES, 'pieces');
  atMost('CUTTING_STOCK_RANGE', 'stocks', stocks.length, MOST_STOCKS, 'rolls and offcuts');
  within('gap_mm', gap_mm, 0, 100);
  within('endWaste_mm', endWaste_mm, 0, 5000);
  if (mostSheet_mm !== Number.POSITIVE_INFINITY) within('mostSheet_mm', mostSheet_mm, 1, LONGEST_MM);
  for (const stock of stocks) refuseStock(stock);
  unique(
    'pieces',
    pieces.map(({ id }) => id),
  );
  unique(
    'stocks',
    stocks.map(({ id }) => id),
  );
  unique(
    'pinned',
    pinned.map(({ id }) => id),
  );
  for (const { id, across_mm, along_mm } of pieces) {
    within(`pieces.${id}.across_mm`, across_mm, 1, LONGEST_MM, id);
    within(`pieces.${id}.along_mm`, along_mm, 1, LONGEST_MM, id);
  }
  refusePins(stocks, pieces, pinned, mode);
}

function atMost(
  code: 'CUTTING_TOO_MANY_PIECES' | 'CUTTING_STOCK_RANGE',
  path: string,
  count: number,
  most: number,
  of: string,
): void {
  if (count > most)
    throw new CoreError(code, { path, expected: `at most ${most} ${of}`, got: String(count) });
}

function refuseStock({ id, width_mm, length_mm, perMetre, whole }: StockFilm): void {
  within(`stocks.${id}.width_mm`, width_mm, 1, WIDEST_MM);
  within(`stocks.${id}.length_mm`, length_mm, 0, LONGEST_MM);
  within(`stocks.${id}.perMetre`, perMetre, 0, 1e6);
  within(`stocks.${id}.whole`, whole, 0, 1e9);
}

function refusePins(
  stocks: readonly StockFilm[],
  pieces: readonly OrderPiece[],
  pinned: readonly PinnedPiece[],
  mode: CutOrder['mode'],
): void {
  const placed = new Map<string, HandPlaced[]>();
  for (const pin of pinned) {
    const stock = stocks.find(({ id }) => id === pin.stockId);
    const piece = pieces.find(({ id }) => id === pin.id);
    if (piece === undefined || stock === undefined)
      refusePin(
        pin.id,
        'a piece and a roll of this order',
        piece === undefined ? 'an unknown piece' : 'an unknown roll',
      );
    refuseCopy(pin, stock);
    if (pin.turned && !piece.mayTurn90)
      refusePin(pin.id, 'a piece that may be turned', 'one whose film has a direction');
    const key = `${pin.stockId} ${pin.copy ?? 0}`;
    const onRoll = placed.get(key) ?? [];
    const placing = handPlaced(pin, piece);
    refuseFault(placing, onRoll, stock);
    placed.set(key, [...onRoll, placing]);
  }
  if (mode === 'by hand') for (const onRoll of placed.values()) refuseUncuttable(onRoll);
}

/** By hand, cuts go from edge to edge: pins that close a ring are never freed by them. */
function refuseUncuttable(onRoll: readonly HandPlaced[]): void {
  const [first, ...others] = checkCuttable(onRoll, ANY_NUMBER_OF_STAGES);
  if (first === undefined) return;
  const ids = others.map(({ id }) => id);
  refusePin(
    first.id,
    'pins that straight cuts from edge to edge take apart, or cutting by plotter',
    `a ring with ${ids.join(', ')}`,
    ids,
  );
}

function refusePin(id: string, expected: string, got: string, others: readonly string[] = []): never {
  throw new CoreError('CUTTING_PIN', { path: `pinned.${id}`, expected, got, about: [id, ...others] });
}

/** Of a roll to order there may be several, of one in stock there is one. */
function refuseCopy({ id, copy = 0 }: PinnedPiece, { what }: StockFilm): void {
  const isOneOfMany = what === 'to order' && Number.isInteger(copy) && copy >= 0 && copy < MOST_COPIES;
  if (copy === 0 || isOneOfMany) return;
  throw new CoreError('CUTTING_PIN', {
    path: `pinned.${id}.copy`,
    expected:
      what === 'to order' ? `a whole number from 0 to ${MOST_COPIES - 1}` : '0: there is one of this film',
    got: String(copy),
    about: [id],
  });
}

function handPlaced({ id, x_mm, y_mm, turned, flipped }: PinnedPiece, piece: OrderPiece): HandPlaced {
  const { across_mm, along_mm, outline } = piece;
  return {
    id,
    x_mm,
    y_mm,
    across_mm: turned ? along_mm : across_mm,
    along_mm: turned ? across_mm : along_mm,
    outline: outline && outlineOnRoll(outline, across_mm, along_mm, turned, flipped === true),
  };
}

function refuseFault(
  placing: HandPlaced,
  onRoll: readonly HandPlaced[],
  { width_mm, length_mm }: StockFilm,
): void {
  const fault = placingFault(placing, onRoll, { width_mm, length_mm, gap_mm: 0, endWaste_mm: 0 });
  if (fault === undefined) return;
  if (fault.kind === 'overlaps')
    refusePin(placing.id, 'a place of its own', `one that overlaps ${fault.id}`, [fault.id]);
  refusePin(placing.id, 'a place inside the film', 'one that reaches beyond it');
}

function within(
  path: string,
  value: number,
  least: number,
  most: number,
  /** Of the piece whose field it is; left out: it is of the film. */
  pieceId?: string,
): void {
  if (value >= least && value <= most) return;
  const data = { path, expected: `${least} to ${most}`, got: String(value) };
  throw pieceId === undefined
    ? new CoreError('CUTTING_STOCK_RANGE', data)
    : new CoreError('CUTTING_PIECE_RANGE', { ...data, about: [pieceId] });
}

function unique(path: string, ids: readonly string[]): void {
  const seen = new Set<string>();
  for (const id of ids) {
    if (seen.has(id))
      throw new CoreError('CUTTING_ID_TWICE', { path, expected: 'each identifier once', got: id });
    seen.add(id);
  }
}
