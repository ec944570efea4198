import { type Bar, bestBar } from './best-bar';
import { Simplex, type SimplexColumn } from './simplex';

/** Something to cut from, as the bound sees it: so wide, so much a step of length, so many steps at most. */
export interface BarStock {
  readonly width: number;
  readonly cost: number;
  readonly most: number;
}

/** Pieces of one size: how much length of bar they ask for, by each way they can lie. */
export interface BarDemand {
  readonly quantity: number;
  /** Across the roll, along it. */
  readonly lies: readonly (readonly [across: number, along: number])[];
}

export interface LeastCost {
  /** No layout of any kind costs less. */
  readonly bound: number;
  /** What one piece of each kind is worth in the best mixture of bars. */
  readonly prices: readonly number[];
  /** Length taken of each stock. */
  readonly lengths: readonly number[];
  /** Of each kind, how many pieces come from each stock (fractions). */
  readonly split: readonly (readonly number[])[];
  /** Of each kind, how many pieces lie the second way (fractions). */
  readonly turned: readonly number[];
  readonly stopped: 'optimal' | 'limit';
}

const TINY = 1e-9;
const MOST_ROWS = 140;

/** The cheapest mixture of bars: slices of unit length across a roll, each crossed by pieces side by side. Every layout, free or cuttable, is such a mixture, so that nothing can cost less.
 *  Column generation over a simplex of few rows; when it is stopped early the bound is scaled down until it is true.
 *  @returns undefined with more than 140 kinds and stocks: too slow to be of use @source own formulation of the bar relaxation (Scheithauer; from memory) */
export function leastCost(stocks: readonly BarStock[], demands: readonly BarDemand[], mostRounds = 600): LeastCost | undefined {
  if (demands.length + stocks.length > MOST_ROWS || demands.length === 0 || stocks.length === 0) return undefined;
  const need = demands.map(({ quantity, lies }) => quantity * (lies[0]?.[1] ?? 0));
  const simplex = new Simplex<BarColumn>(need, stocks.map(({ most }) => most), Math.max(1, ...stocks.map(({ cost }) => cost)));
  let scale = 1;
  const isOptimal = simplex.run((dual) => { const entering = cheapest(stocks, demands, dual); scale = entering.scale; return entering.column; }, mostRounds);
  const prices = demands.map((_, kind) => Math.max(0, simplex.dual[kind] ?? 0) / scale);
  const bound = simplex.worthAt(scale);
  const lengths = stocks.map(() => 0);
  const split = demands.map(() => stocks.map(() => 0));
  const turned = demands.map(() => 0);
  for (const [column, took] of simplex.taken()) {
    if (column.bar === undefined) continue;
    lengths[column.stock] = (lengths[column.stock] ?? 0) + took;
    for (const { kind, lie, count } of column.bar.parts) {
      const pieces = (took * count) / (demands[kind]?.lies[lie]?.[1] ?? 1);
      const line = split[kind];
      if (line !== undefined) line[column.stock] = (line[column.stock] ?? 0) + pieces;
      if (lie === 1) turned[kind] = (turned[kind] ?? 0) + pieces;
    }
  }
  return { bound, prices: prices.map((price, kind) => price * (demands[kind]?.lies[0]?.[1] ?? 0)), lengths, split, turned, stopped: isOptimal ? 'optimal' : 'limit' };
}

interface BarColumn extends SimplexColumn {
  readonly stock: number;
  readonly bar: Bar | undefined;
}

/** The column that lowers the cost most, and by how much the prices must come down to be true now. */
function cheapest(stocks: readonly BarStock[], demands: readonly BarDemand[], dual: Float64Array): { readonly column: BarColumn | undefined; readonly scale: number } {
  let [best, gain, scale]: [BarColumn | undefined, number, number] = [undefined, TINY, 1];
  for (let kind = 0; kind < demands.length; kind += 1) {
    const own = dual[kind] ?? 0;
    if (-own > gain) { gain = -own; best = { entries: [[kind, -1]], cost: 0, stock: -1, bar: undefined }; }
  }
  for (let stock = 0; stock < stocks.length; stock += 1) {
    const { width, cost } = stocks[stock] ?? { width: 0, cost: 0 };
    const row = demands.length + stock;
    const limit = dual[row] ?? 0;
    if (limit > gain) { gain = limit; best = { entries: [[row, 1]], cost: 0, stock: -1, bar: undefined }; }
    const bar = bestBar(width, demands, dual);
    const paid = cost - Math.min(0, limit);
    scale = Math.max(scale, bar.value / Math.max(TINY, paid));
    const own = bar.value - cost + limit;
    if (own > Math.max(gain, TINY * Math.max(1, cost))) {
      gain = own;
      const entries = new Map<number, number>();
      for (const { kind, count, share } of bar.parts) entries.set(kind, (entries.get(kind) ?? 0) + count * share);
      best = { entries: [...entries, [row, 1]], cost, stock, bar };
    }
  }
  return { column: best, scale };
}
