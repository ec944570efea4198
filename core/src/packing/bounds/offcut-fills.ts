import { intAt, valueAt } from '../../quantity';
import { type Pattern, bestPattern } from './best-pattern';
import type { ItemDemand } from './item-demand';

/**
 * Whether so many of each item type can lie on an offcut at once; may say yes where they cannot, never no
 * where they can.
 */
type FitsOffcut = (counts: ArrayLike<number>) => boolean;

/** Beyond so many in one search or so many pieces on it, an offcut is taken as slices again. */
const [MOST_NODES, MOST_PIECES] = [10_000, 12];
const TINY = 1e-12;

/** An item type of which at least one fits. */
interface Choice {
  readonly itemType: number;
  readonly area: number;
  readonly along: number;
  readonly most: number;
}

/**
 * What an offcut can hold at once. Few pieces lie on one, so that slices, of which there may be fractions,
 * say far too much of it.
 * @source own: convexification of the short films in the bar relaxation (Dantzig and Wolfe; from memory)
 */
export class OffcutFills {
  /** It was too much to go through. */
  #isBeyond = false;
  readonly #width: number;
  readonly #length: number;
  readonly #demands: readonly ItemDemand[];
  readonly #choices: readonly Choice[];
  readonly #area: number;
  readonly #fits: FitsOffcut;
  readonly #known = new Map<string, boolean>();
  readonly #counts: Int32Array;

  /** @param mostTried beyond so many subsets asked of `fits` in all it is taken as slices again */
  constructor(
    width: number,
    length: number,
    demands: readonly ItemDemand[],
    fits: FitsOffcut,
    private readonly mostTried = 1000,
  ) {
    this.#width = width;
    this.#length = length;
    this.#demands = demands;
    this.#area = width * length;
    this.#fits = fits;
    this.#counts = new Int32Array(demands.length);
    this.#choices = demands.flatMap(({ quantity, orientations }, itemType): readonly Choice[] => {
      const [[across, along] = [0, 0]] = orientations;
      const isShort = orientations.some((orientation) => orientation[0] <= width && orientation[1] <= length);
      return isShort && quantity > 0 ? [{ itemType, area: across * along, along, most: quantity }] : [];
    });
  }

  /**
   * The pieces worth most that lie on it at once, if they are worth more than `least`; otherwise none, and
   * that.
   * @param price of each item type, per step of length in its first way of lying
   */
  highest(price: ArrayLike<number>, least: number): Pattern {
    const { value, parts } = bestPattern(this.#width, this.#demands, price, this.#length);
    if (value * this.#length <= least) return { value: least, parts: [] };
    const fill = this.#isBeyond ? undefined : this.#search(price, least);
    return fill === undefined || this.#isBeyond
      ? {
          value: value * this.#length,
          parts: parts.map((part) => ({ ...part, share: part.share * this.#length })),
        }
      : fill;
  }

  /** Branch and bound, densest first. */
  #search(price: ArrayLike<number>, least: number): Pattern {
    const choices = this.#choices
      .map((own) => ({ ...own, dualPrice: valueAt(price, own.itemType) * own.along }))
      .filter(({ dualPrice }) => dualPrice > TINY)
      .sort((a, b) => b.dualPrice / b.area - a.dualPrice / a.area);
    const counts = this.#counts.fill(0);
    let [best, bestCounts, nodes] = [least, Int32Array.from(counts), 0];
    const go = (from: number, rest: number, value: number): void => {
      nodes += 1;
      if (value > best) {
        best = value;
        bestCounts = Int32Array.from(counts);
      }
      for (let index = from; index < choices.length && nodes <= MOST_NODES && !this.#isBeyond; index += 1) {
        const choice = choices[index];
        if (choice === undefined || value + (rest * choice.dualPrice) / choice.area <= best) return;
        const { itemType, area, dualPrice, most } = choice;
        let count = 0;
        while (count < most && (count + 1) * area <= rest && this.#holds(itemType, count + 1)) count += 1;
        for (; count > 0; count -= 1) {
          counts[itemType] = count;
          go(index + 1, rest - count * area, value + count * dualPrice);
        }
        counts[itemType] = 0;
      }
    };
    go(0, this.#area, 0);
    this.#isBeyond ||= nodes > MOST_NODES;
    return {
      value: best,
      parts: choices.flatMap(({ itemType, along }) =>
        intAt(bestCounts, itemType) > 0
          ? [{ itemType, orientation: 0, share: along, count: intAt(bestCounts, itemType) }]
          : [],
      ),
    };
  }

  /** With so many of one item type more than counted now. */
  #holds(itemType: number, count: number): boolean {
    const before = intAt(this.#counts, itemType);
    this.#counts[itemType] = count;
    const pieces = this.#counts.reduce((sum, counted) => sum + counted, 0);
    const key = this.#counts.join();
    let known = this.#known.get(key);
    if (known === undefined) {
      known = this.#fits(this.#counts);
      this.#known.set(key, known);
      this.#isBeyond ||= this.#known.size > this.mostTried || (known && pieces > MOST_PIECES);
    }
    this.#counts[itemType] = before;
    return known && !this.#isBeyond;
  }
}
