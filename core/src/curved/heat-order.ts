import type { FoldPlace } from './fold-places';
import type { Hold, HeldPlan } from './shrink-plan';

/** Why folds are heated in this order. */
export type OrderReason = 'from the sides inwards' | 'from the middle outwards';

/** A fold in the order it is heated. */
export interface FoldInTurn extends FoldPlace {
  /** 1, 2, … */
  readonly turn: number;
  readonly edge: 'top' | 'bottom';
}

/**
 * Folds of both edges in the order they are heated, and why: held along the top and down both sides, what is
 * left goes to the middle; on a line across, with its sides open, it goes outwards. Edge after edge.
 * @source our guess, from which edges are closed (model A4); thick film begins with its middle fold as well
 */
export function heatOrder({ hold, top, bottom }: HeldPlan): {
  readonly reason: OrderReason;
  readonly folds: readonly FoldInTurn[];
} {
  const reason: OrderReason = ORDER_OF_HOLD[hold];
  const edges = [
    ['bottom', bottom.folds.places],
    ['top', top.folds.places],
  ] as const;
  const folds = edges.flatMap(([edge, places]) =>
    places
      .toSorted((a, b) => Math.abs(a.atEdge.x) - Math.abs(b.atEdge.x) || a.atEdge.x - b.atEdge.x)
      .map((place) => ({ ...place, edge })),
  );
  const inOrder =
    reason === 'from the sides inwards'
      ? edges.flatMap(([edge]) => folds.filter((fold) => fold.edge === edge).toReversed())
      : folds;
  return { reason, folds: inOrder.map((fold, index) => ({ ...fold, turn: index + 1 })) };
}

const ORDER_OF_HOLD: Readonly<Record<Hold, OrderReason>> = {
  'along the top': 'from the sides inwards',
  'a line across': 'from the middle outwards',
};
