import { floatAt, valueAt } from '../../quantity';
import type { ItemDemand } from './item-demand';
import { type Pattern, bestPattern } from './best-pattern';
import type { OffcutFills } from './offcut-fills';
import { Simplex, type SimplexColumn } from './simplex';

/** Something to cut from, as the bound sees it: so wide, so much a step of length, so many steps at most. */
export interface PatternStock {
  readonly width: number;
  readonly cost: number;
  readonly most: number;
  /** Paid for whole or not at all: then `cost` is for all of it, and this is what it can hold. */
  readonly fills?: OffcutFills | undefined;
}

export interface LeastCost {
  /** No layout of any sort costs less. */
  readonly bound: number;
  /** What one piece of each item type is worth in the best combination of patterns. */
  readonly prices: readonly number[];
  /** Length taken of each stock. */
  readonly lengths: readonly number[];
  /** Of each item type, how many pieces come from each stock (fractions). */
  readonly split: readonly (readonly number[])[];
  /** Of each item type, how many pieces lie the second way (fractions). */
  readonly turned: readonly number[];
  readonly stopped: 'optimal' | 'limit';
}

const TINY = 1e-9;
const MOST_ROWS = 140;

/**
 * The cheapest combination of patterns: slices of unit length across a roll, each crossed by pieces side by
 * side. Every layout, free or cuttable, is such a combination, so that nothing can cost less. Of a film that
 * is paid for whole the combination takes what can lie on it at once, not slices.
 * @returns undefined with more than 140 item types and stocks: too slow to be of use
 * @source own formulation of the bar relaxation (Scheithauer; from memory)
 */
export function leastCost(
  stocks: readonly PatternStock[],
  demands: readonly ItemDemand[],
  mostRounds = 600,
): LeastCost | undefined {
  const steps = leastCostSteps(stocks, demands, mostRounds);
  for (let step = steps.next(); ; step = steps.next()) if (step.done === true) return step.value;
}

/**
 * The same step by step. Column generation over a simplex of few rows; when it is stopped early the bound is
 * scaled down until it is true. Yields the bound that is proven so far.
 */
export function* leastCostSteps(
  stocks: readonly PatternStock[],
  demands: readonly ItemDemand[],
  mostRounds: number,
): Generator<number, LeastCost | undefined> {
  if (demands.length + stocks.length > MOST_ROWS || demands.length === 0 || stocks.length === 0)
    return undefined;
  const need = demands.map((demand) => demand.quantity * alongOf(demand, 0));
  const simplex = new Simplex<StockColumn>(
    need,
    stocks.map(({ most, fills }) => (fills === undefined ? most : 1)),
    Math.max(1, ...stocks.map(({ cost }) => cost)),
  );
  let scale = 1;
  let isOptimal = false;
  let bound = 0;
  for (let round = 0; round < mostRounds && !isOptimal; round += 1) {
    isOptimal = simplex.run((dual) => {
      const entering = cheapest(stocks, demands, dual);
      scale = entering.scale;
      return entering.column;
    }, 1);
    bound = Math.max(bound, simplex.farleyBound(scale));
    yield bound;
  }
  const prices = demands.map((_, itemType) => Math.max(0, floatAt(simplex.dual, itemType)) / scale);
  return {
    bound: simplex.farleyBound(scale),
    prices: demands.map((demand, itemType) => valueAt(prices, itemType) * alongOf(demand, 0)),
    ...takenOf(simplex, stocks, demands),
    stopped: isOptimal ? 'optimal' : 'limit',
  };
}

/** The length of a piece lying one way. */
function alongOf({ orientations }: ItemDemand, orientation: number): number {
  return valueAt(orientations, orientation)[1];
}

/** How much of each stock the combination takes, and how many pieces lie where, and turned. */
function takenOf(
  simplex: Simplex<StockColumn>,
  stocks: readonly PatternStock[],
  demands: readonly ItemDemand[],
): Pick<LeastCost, 'lengths' | 'split' | 'turned'> {
  const lengths = stocks.map(() => 0);
  const split = demands.map(() => stocks.map(() => 0));
  const turned = demands.map(() => 0);
  for (const [{ stock, parts }, took] of simplex.taken()) {
    const from = stocks[stock];
    if (from === undefined) continue;
    const length = from.fills === undefined ? took : took * from.most;
    lengths[stock] = valueAt(lengths, stock) + length;
    for (const { itemType, orientation, count } of parts) {
      const pieces =
        from.fills === undefined
          ? (took * count) / alongOf(valueAt(demands, itemType), orientation)
          : took * count;
      const line = valueAt(split, itemType);
      line[stock] = valueAt(line, stock) + pieces;
      if (orientation === 1) turned[itemType] = valueAt(turned, itemType) + pieces;
    }
  }
  return { lengths, split, turned };
}

/** What is taken from one stock: a slice of it, or all that lies on it at once. */
interface StockColumn extends SimplexColumn {
  readonly stock: number;
  readonly parts: Pattern['parts'];
}

/** The column that lowers the cost most, and by how much the prices must come down to be true now. */
function cheapest(
  stocks: readonly PatternStock[],
  demands: readonly ItemDemand[],
  dual: Float64Array,
): { readonly column: StockColumn | undefined; readonly scale: number } {
  let [best, gain, scale]: [StockColumn | undefined, number, number] = [undefined, TINY, 1];
  for (let itemType = 0; itemType < demands.length; itemType += 1) {
    const itemDual = floatAt(dual, itemType);
    if (-itemDual > gain) {
      gain = -itemDual;
      best = { entries: [[itemType, -1]], cost: 0, stock: -1, parts: [] };
    }
  }
  const look = (stock: number, { cost }: PatternStock, { value, parts }: Pattern): void => {
    const row = demands.length + stock;
    const limit = floatAt(dual, row);
    if (limit > gain) {
      gain = limit;
      best = { entries: [[row, 1]], cost: 0, stock: -1, parts: [] };
    }
    const paid = cost - Math.min(0, limit);
    scale = Math.max(scale, value / Math.max(TINY, paid));
    const reducedCost = value - cost + limit;
    if (reducedCost <= Math.max(gain, TINY * Math.max(1, cost))) return;
    gain = reducedCost;
    best = { entries: [...sharesOf(parts), [row, 1]], cost, stock, parts };
  };
  stocks.forEach((patternStock, stock) => {
    if (patternStock.fills === undefined)
      look(stock, patternStock, bestPattern(patternStock.width, demands, dual, patternStock.most));
  });
  /**
   * What an offcut can hold takes longer to find: it is asked for only at prices that slices agree with, and
   * the first that pays is taken.
   */
  for (const [stock, patternStock] of stocks.entries()) {
    if (patternStock.fills === undefined) continue;
    if (best !== undefined) return { column: best, scale: Number.POSITIVE_INFINITY };
    const paid = patternStock.cost - Math.min(0, floatAt(dual, demands.length + stock));
    look(stock, patternStock, patternStock.fills.highest(dual, paid));
  }
  return { column: best, scale };
}

/** What one unit of a pattern gives of each item type. */
function sharesOf(parts: Pattern['parts']): ReadonlyMap<number, number> {
  const shares = new Map<number, number>();
  for (const { itemType, count, share } of parts)
    shares.set(itemType, (shares.get(itemType) ?? 0) + count * share);
  return shares;
}
