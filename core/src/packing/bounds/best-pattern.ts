import { intAt, valueAt } from '../../quantity';
import type { ItemDemand } from './item-demand';

/** One slice across a roll: which pieces it crosses, and their prices added up. */
export interface Pattern {
  readonly value: number;
  readonly parts: readonly {
    readonly itemType: number;
    readonly orientation: number;
    readonly count: number;
    readonly share: number;
  }[];
}

interface Choice {
  readonly itemType: number;
  readonly orientation: number;
  readonly across: number;
  readonly dualPrice: number;
  readonly share: number;
  readonly most: number;
}

const MOST_NODES = 60_000;
const TINY = 1e-12;

/**
 * The pricing problem of column generation: the pattern of highest value at these dual prices, a bounded
 * knapsack solved by branch and bound, densest item type first. An item type comes at most as often as there
 * are pieces.
 * @source Gilmore and Gomory 1961 (from memory); exponential at worst, so its nodes are limited
 * @param price of each item type, per step of length in its first way of lying
 * @param longest nothing longer lies on it
 */
export function bestPattern(
  width: number,
  demands: readonly ItemDemand[],
  price: ArrayLike<number>,
  longest = Number.POSITIVE_INFINITY,
): Pattern {
  const choices = choicesOf(width, longest, demands, price);
  const counts = new Int32Array(choices.length);
  let [best, bestCounts, nodes] = [0, Int32Array.from(counts), 0];
  const narrowest = choices.reduce((least, { across }) => Math.min(least, across), Number.POSITIVE_INFINITY);
  const go = (from: number, rest: number, value: number): void => {
    nodes += 1;
    if (value > best + TINY) {
      best = value;
      bestCounts = Int32Array.from(counts);
    }
    if (rest < narrowest || nodes > MOST_NODES) return;
    for (let index = from; index < choices.length; index += 1) {
      const choice = choices[index];
      if (choice === undefined) return;
      if (value + (rest * choice.dualPrice) / choice.across <= best + TINY) return;
      const most = Math.min(choice.most, Math.floor(rest / choice.across));
      for (let count = most; count > 0; count -= 1) {
        counts[index] = count;
        go(index + 1, rest - count * choice.across, value + count * choice.dualPrice);
      }
      counts[index] = 0;
    }
  };
  go(0, width, 0);
  return {
    value: best,
    parts: choices.flatMap(({ itemType, orientation, share }, index) =>
      intAt(bestCounts, index) > 0 ? [{ itemType, orientation, share, count: intAt(bestCounts, index) }] : [],
    ),
  };
}

function choicesOf(
  width: number,
  longest: number,
  demands: readonly ItemDemand[],
  price: ArrayLike<number>,
): readonly Choice[] {
  const choices: Choice[] = [];
  demands.forEach(({ quantity, orientations }, itemType) => {
    const itemPrice = valueAt(price, itemType);
    if (itemPrice <= TINY) return;
    const first = orientations[0]?.[1] ?? 1;
    orientations.forEach(([across, along], orientation) => {
      /** A pattern along a turned piece serves a larger or smaller part of it. */
      const share = first / along;
      if (across <= width && along <= longest)
        choices.push({ itemType, orientation, across, dualPrice: itemPrice * share, share, most: quantity });
    });
  });
  return choices.sort((a, b) => b.dualPrice / b.across - a.dualPrice / a.across);
}
