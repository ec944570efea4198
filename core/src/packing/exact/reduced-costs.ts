import { valueAt, floatAt } from '../../quantity';
import type { PackingProblem } from '../problem/packing-problem';

/**
 * What the bound says of a part of a layout: each piece is worth some length of roll, and anything so wide
 * takes at least so large a share of each step of length. What it takes more than its pieces are worth is
 * lost.
 */
export interface ReducedCosts {
  /** Steps of length one piece of each item type is worth. */
  readonly perPiece: readonly number[];
  /**
   * By width in steps, the share of a step of length taken: all but what other pieces beside it can be worth.
   */
  readonly taken: Float64Array;
}

/**
 * @param prices of one piece of each item type, in any one unit: they are brought down, or up, until no row
 * of pieces across the roll is worth more than 1
 * @source own; the dual of the bar relaxation carried over to widths that are no piece's
 */
export function reducedCosts(
  { width, itemTypes, orientations }: PackingProblem,
  prices: readonly number[],
): ReducedCosts {
  const held = new Float64Array(width + 1);
  const dualPrice = orientations
    .filter(({ across }) => across <= width)
    .map(({ across, along, itemType }) => ({ across, dualPrice: valueAt(prices, itemType) / along }));
  for (let room = 1; room <= width; room += 1) {
    let most = floatAt(held, room - 1);
    for (const { across, dualPrice: own } of dualPrice)
      if (across <= room) {
        const sum = own + floatAt(held, room - across);
        if (sum > most) most = sum;
      }
    held[room] = most;
  }
  const scale = 1 / (floatAt(held, width) || 1);
  return {
    perPiece: itemTypes.map((_, itemType) => valueAt(prices, itemType) * scale),
    taken: Float64Array.from(held, (_, across) => 1 - floatAt(held, width - across) * scale),
  };
}
