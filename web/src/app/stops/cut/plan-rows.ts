import type { StockItem } from '@yellow-pane/contracts';
import type { CutOrder, CutOrderPlan } from '@yellow-pane/core/cutting';
import type { CutPiece, CutRoll } from '@yellow-pane/core/job';
import { CORNER_RULES } from '@yellow-pane/core/cutting';
import { nmFromMm } from '@yellow-pane/core/quantity';
import type { BlankHere } from './cutting';

/** What a plan's rows are made from beside the plan. */
export interface PlanRows {
  readonly planId: string;
  /** Pieces and rolls are numbered on from here. */
  readonly firstPiece: number;
  readonly firstRoll: number;
  /** The roll or offcut of the stock; undefined: to be ordered. */
  readonly itemOf: (stockId: string) => Pick<StockItem, 'id' | 'label' | 'lot'> | undefined;
  readonly blankOf: (key: string) => BlankHere | undefined;
  readonly outlineOf: (blank: BlankHere, turned: boolean, flipped: boolean) => CutPiece['outline'];
  readonly newId: () => string;
}

export interface RollRows {
  readonly rollId: string;
  readonly roll: CutRoll;
  readonly pieces: readonly CutPiece[];
}

/**
 * Frozen copies of what is to be cut, roll by roll: later changes of a measure make them stale and never move
 * them.
 */
export function rowsOfUses(
  { uses }: CutOrderPlan,
  order: CutOrder,
  { planId, firstPiece, firstRoll, itemOf, blankOf, outlineOf, newId }: PlanRows,
): readonly RollRows[] {
  const pinned = new Set(order.pinned.map(({ id }) => id));
  let position = firstPiece;
  return uses.map(({ stockId, copy, placed, used_mm }, index) => {
    const stock = order.stocks.find(({ id }) => id === stockId);
    const item = itemOf(stockId);
    const rollId = newId();
    const pieces = placed.map((piece): CutPiece => {
      const blank = blankOf(piece.id);
      const isFlipped = piece.flipped === true;
      position += 1;
      return {
        planId,
        rollId,
        applicationId: blank?.application.id ?? piece.id.split(' ')[0] ?? '',
        drop: blank?.blank.drop ?? 1,
        dropOf: blank?.blank.of ?? 1,
        tag: blank?.surface?.tag ?? '?',
        position: position - 1,
        level: piece.level,
        x_nm: nmFromMm(piece.x_mm),
        y_nm: nmFromMm(piece.y_mm),
        across_nm: nmFromMm(piece.across_mm),
        along_nm: nmFromMm(piece.along_mm),
        turned: piece.turned,
        phase_nm: nmFromMm(blank?.blank.phase_mm ?? 0),
        flipped: isFlipped,
        outline: blank === undefined ? null : outlineOf(blank, piece.turned, isFlipped),
        notch_nm: blank?.application.method === 'column' ? nmFromMm(CORNER_RULES.notch_mm.value) : 0,
        sector: blank?.blank.sector?.cut ?? null,
        topAlong: blank?.blanks.whole.lies === 'top along the roll',
        pinned: pinned.has(piece.id),
        inputsHash: blank?.blanks.inputsHash ?? '?',
        cutAt: null,
        spoiledAt: null,
      };
    });
    return {
      rollId,
      pieces,
      roll: {
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
        position: firstRoll + index,
        ticks: [],
        bookedAt: null,
      },
    };
  });
}
