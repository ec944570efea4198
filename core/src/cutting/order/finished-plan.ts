import { ANY_STAGES, type Strip, type LaidStrip } from '../../packing';
import { cutsFor } from '../instructions';
import { type CutOrder, type CutOrderPlan, type StockUse, stockOf } from './cut-order';
import { splitGroups } from './lot-split-penalty';
import { MISSING } from './missing-film';
import { type CutSums, keptOf, moneyOf } from './order-money';
import type { PlacedSegment } from './order-segments';

/**
 * A plan with its money.
 * @param laid strips that are cut by hand
 * @param tooWide pieces wider than any film
 * @param filmBound no film for all of it costs less
 */
export function finishedPlan(
  order: CutOrder,
  segments: readonly PlacedSegment[],
  uses: readonly StockUse[],
  laid: readonly LaidStrip[],
  tooWide: readonly string[],
  filmBound: number,
  stopped: CutOrderPlan['stopped'],
): CutOrderPlan {
  const placedIds = new Set(uses.flatMap(({ placed }) => placed.map(({ id }) => id)));
  const notLaid = [...tooWide, ...order.pieces.filter(({ id }) => !placedIds.has(id)).map(({ id }) => id)];
  return {
    uses,
    notLaid,
    ...moneyOf(order, uses, cutsMade(order, segments, uses, laid), notLaid.length > 0 ? 0 : filmBound),
    splitGroups: splitGroups(order, uses),
    stopped: notLaid.length > 0 ? 'infeasible' : stopped,
  };
}

/** How many cuts a person makes, and what the offcuts beside the strips are worth. */
function cutsMade(
  order: CutOrder,
  segments: readonly PlacedSegment[],
  uses: readonly StockUse[],
  laid: readonly LaidStrip[],
): CutSums {
  if (order.mode === 'by plotter') return { crossCuts: uses.length, slits: 0, kept: 0 };
  const real = laid.filter(({ segment }) => segments[segment]?.stock.id !== MISSING);
  const kept = real.reduce((sum, { segment, strip }) => {
    const placedSegment = segments[segment];
    return (
      sum +
      (placedSegment === undefined || placedSegment.mostStacks === 1
        ? 0
        : keptOf(placedSegment, strip, order.rates))
    );
  }, 0);
  const inAnyStages =
    order.stages === ANY_STAGES
      ? uses.flatMap(
          ({ stockId, placed }) => cutsFor(placed, stockOf(order, stockId).width_mm, order.endWaste_mm) ?? [],
        )
      : [];
  if (inAnyStages.length === 0)
    return {
      crossCuts: real.length,
      slits: real.reduce((sum, { strip }: { readonly strip: Strip }) => sum + strip.stacks.length, 0),
      kept,
    };
  return {
    crossCuts: inAnyStages.filter(({ how }) => how === 'cross-cut').length,
    slits: inAnyStages.filter(({ how }) => how === 'slit' || how === 'slit piece').length,
    kept,
  };
}
