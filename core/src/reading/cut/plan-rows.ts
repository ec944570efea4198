import { type CutOrder, type CutOrderPlan } from '../../cutting';
import { type LayoutRequest } from '../../packing';
import type { CutPiece, CutPlan, CutRoll, Liner, StockLeft } from '../../job';
import { nmFromMm, toCent } from '../../quantity';
import { type FilmBlank, applicationOfKey } from './film-blanks';
import { outlineOnPlan } from '../survey/flat-outline';
import type { JobView } from '../view/job-view';
import { RULES } from '../../rules';

/** What a plan's rows are made from beside the layout. */
interface PlanRows {
  readonly planId: string;
  /** Pieces and rolls are numbered on from here. */
  readonly firstPiece: number;
  readonly firstRoll: number;
  readonly liner: Liner;
  /** The roll or offcut of the stock; undefined: to be ordered. */
  readonly itemOf: (stockId: string) => Pick<StockLeft, 'id' | 'label' | 'lot'> | undefined;
  readonly blankOf: (key: string) => FilmBlank | undefined;
  readonly newId: () => string;
}

interface RollRows {
  readonly rollId: string;
  readonly roll: CutRoll;
  readonly pieces: readonly CutPiece[];
}

/**
 * Frozen copies of what is to be cut, roll by roll: later changes of a measure make them stale and never move
 * them.
 */
export function planRows(
  view: JobView,
  { uses }: CutOrderPlan,
  order: CutOrder,
  made: PlanRows,
): readonly RollRows[] {
  const pinned = new Set(order.pinned.map(({ id }) => id));
  let position = made.firstPiece;
  return uses.map((use, index) => {
    const rollId = made.newId();
    const pieces = use.placed.map((piece): CutPiece => {
      position += 1;
      return pieceRow(view, order, made, piece, {
        rollId,
        position: position - 1,
        pinned: pinned.has(piece.id),
      });
    });
    return { rollId, pieces, roll: rollRow(order, made, use, made.firstRoll + index) };
  });
}

type Use = CutOrderPlan['uses'][number];

function pieceRow(
  view: JobView,
  order: CutOrder,
  { planId, blankOf, liner }: PlanRows,
  piece: Use['placed'][number],
  at: Pick<CutPiece, 'rollId' | 'position' | 'pinned'>,
): CutPiece {
  const own = blankOf(piece.id);
  const flipped = piece.flipped === true;
  return {
    ...at,
    planId,
    applicationId: own?.application.id ?? applicationOfKey(piece.id),
    drop: own?.blank.drop ?? 1,
    dropOf: own?.blank.of ?? 1,
    tag: own?.surface?.tag ?? '?',
    level: piece.level,
    x_nm: nmFromMm(piece.x_mm),
    y_nm: nmFromMm(piece.y_mm),
    across_nm: nmFromMm(piece.across_mm),
    along_nm: nmFromMm(piece.along_mm),
    turned: piece.turned,
    phase_nm: nmFromMm(own?.blank.phase_mm ?? 0),
    flipped,
    outline:
      own === undefined
        ? null
        : outlineOnPlan(view, own, order.mode, liner, { turned: piece.turned, flipped }),
    notch_nm: own?.application.method === 'column' ? nmFromMm(RULES.notch.value) : 0,
    sector: own?.blank.sector?.cut ?? null,
    topAlong: own?.blanks.whole.lies === 'top along the roll',
    inputsHash: own?.blanks.inputsHash ?? '?',
    cutAt: null,
    spoiledAt: null,
  };
}

function rollRow(
  order: CutOrder,
  { planId, itemOf }: PlanRows,
  { stockId, copy, used_mm }: Use,
  position: number,
): CutRoll {
  const stock = order.stocks.find(({ id }) => id === stockId);
  const item = itemOf(stockId);
  return {
    planId,
    stockId: item?.id ?? null,
    what: stock?.what ?? 'to order',
    label: item?.label ?? (copy > 0 ? `new ${copy + 1}` : 'new'),
    lot: item?.lot ?? '',
    width_nm: nmFromMm(stock?.width_mm ?? 1),
    length_nm: nmFromMm(stock?.length_mm ?? 0),
    used_nm: nmFromMm(used_mm),
    leftEdge: stock === undefined || stock.edges === 'both' || stock.edges === 'left',
    rightEdge: stock === undefined || stock.edges === 'both' || stock.edges === 'right',
    position,
    ticks: [],
    bookedAt: null,
  };
}

/** Length of all films a layout uses, in nm. */
export const lengthOfLayout = ({ uses }: CutOrderPlan): number =>
  nmFromMm(uses.reduce((sum, { used_mm }) => sum + used_mm, 0));

/**
 * What to ask a bound of the length for. It is only true where everything lies on one roll that could not be
 * another, and no outline can lie in another; null: then there is none.
 * @param hasBegun whether rolls that are begun stay as they are beside it
 */
export function lengthBoundRequest(
  found: CutOrderPlan,
  order: CutOrder,
  hasBegun: boolean,
): LayoutRequest | null {
  const [use] = found.uses;
  const stock = order.stocks.find(({ id }) => id === use?.stockId);
  const isAlone = !hasBegun && found.uses.length === 1 && order.pinned.length === 0;
  const mayNest = order.mode === 'by plotter' && order.pieces.some(({ outline }) => outline !== undefined);
  if (!isAlone || stock === undefined || found.notLaid.length > 0 || mayNest) return null;
  return {
    rollWidth_mm: stock.width_mm + order.gap_mm,
    pieces: order.pieces.map((piece) => ({
      ...piece,
      across_mm: piece.across_mm + order.gap_mm,
      along_mm: piece.along_mm + order.gap_mm,
    })),
  };
}

/** The bound of the film's length, in nm, from the bound of such a request. */
export const lengthBoundOf = (least_mm: number, order: CutOrder): number =>
  Math.floor(nmFromMm(least_mm - order.gap_mm + order.endWaste_mm));

/** The figures a plan keeps of a layout. @param begun_nm length of the rolls that stay as they are */
export function planFigures(
  found: CutOrderPlan,
  begun_nm: number,
  bound_nm: number,
): Pick<CutPlan, 'lengthUsed_nm' | 'bound_nm' | 'filmCost' | 'cost' | 'filmBound' | 'stopped'> {
  return {
    lengthUsed_nm: lengthOfLayout(found) + begun_nm,
    bound_nm,
    filmCost: toCent(found.film.value),
    cost: toCent(found.cost.value),
    filmBound: toCent(found.filmBound.value),
    stopped: found.stopped,
  };
}
