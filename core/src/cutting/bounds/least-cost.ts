import { type Bar, bestBar } from './best-bar';

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

const NEVER = 1e7;
const TINY = 1e-9;
const MOST_ROWS = 140;

/** The cheapest mixture of bars: slices of unit length across a roll, each crossed by pieces side by side. Every layout, free or cuttable, is such a mixture, so that nothing can cost less.
 *  Column generation with a revised simplex of few rows; when it is stopped early the bound is scaled down until it is true.
 *  @returns undefined with more than 140 kinds and stocks: too slow to be of use @source own formulation of the bar relaxation (Scheithauer; from memory) */
export function leastCost(stocks: readonly BarStock[], demands: readonly BarDemand[], mostRounds = 600): LeastCost | undefined {
  const rows = demands.length + stocks.length;
  if (rows > MOST_ROWS || demands.length === 0 || stocks.length === 0) return undefined;
  const need = demands.map(({ quantity, lies }) => quantity * (lies[0]?.[1] ?? 0));
  const dear = NEVER * Math.max(1, ...stocks.map(({ cost }) => cost));
  /** Explicit inverse of the basis: at first, stand-ins of forbidding cost and slacks. */
  const inverse = Array.from({ length: rows }, (_, row) => { const line = new Float64Array(rows); line[row] = 1; return line; });
  const basisCost = Float64Array.from({ length: rows }, (_, row) => (row < demands.length ? dear : 0));
  const basis: (Column | undefined)[] = Array.from({ length: rows });
  const value = Float64Array.from([...need, ...stocks.map(({ most }) => most)]);
  const start = Float64Array.from(value);
  const dual = new Float64Array(rows);
  let [round, isOptimal, scale] = [0, false, 1];
  for (; round < mostRounds; round += 1) {
    dual.fill(0);
    for (let row = 0; row < rows; row += 1) { const own = basisCost[row] ?? 0; const line = inverse[row]; if (own !== 0 && line !== undefined) for (let at = 0; at < rows; at += 1) dual[at] = (dual[at] ?? 0) + own * (line[at] ?? 0); }
    const entering = cheapest(stocks, demands, dual);
    scale = entering.scale;
    if (entering.column === undefined) { isOptimal = true; break; }
    if (!pivot(entering.column, inverse, basisCost, basis, value, rows)) break;
  }
  const prices = demands.map((_, kind) => Math.max(0, dual[kind] ?? 0) / scale);
  let bound = 0;
  for (let row = 0; row < rows; row += 1) bound += (row < demands.length ? (prices[row] ?? 0) : Math.min(0, dual[row] ?? 0)) * (start[row] ?? 0);
  const lengths = stocks.map(() => 0);
  const split = demands.map(() => stocks.map(() => 0));
  const turned = demands.map(() => 0);
  basis.forEach((column, row) => {
    if (column?.bar === undefined) return;
    const took = value[row] ?? 0;
    lengths[column.stock] = (lengths[column.stock] ?? 0) + took;
    for (const { kind, lie, count } of column.bar.parts) {
      const pieces = (took * count) / (demands[kind]?.lies[lie]?.[1] ?? 1);
      const line = split[kind];
      if (line !== undefined) line[column.stock] = (line[column.stock] ?? 0) + pieces;
      if (lie === 1) turned[kind] = (turned[kind] ?? 0) + pieces;
    }
  });
  return { bound, prices: prices.map((price, kind) => price * (demands[kind]?.lies[0]?.[1] ?? 0)), lengths, split, turned, stopped: isOptimal ? 'optimal' : 'limit' };
}

interface Column {
  readonly entries: readonly (readonly [row: number, amount: number])[];
  readonly cost: number;
  readonly stock: number;
  readonly bar: Bar | undefined;
}

/** The column that lowers the cost most, and by how much the prices must come down to be true now. */
function cheapest(stocks: readonly BarStock[], demands: readonly BarDemand[], dual: Float64Array): { readonly column: Column | undefined; readonly scale: number } {
  let [best, gain, scale]: [Column | undefined, number, number] = [undefined, TINY, 1];
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

function pivot(column: Column, inverse: readonly Float64Array[], basisCost: Float64Array, basis: (Column | undefined)[], value: Float64Array, rows: number): boolean {
  const step = new Float64Array(rows);
  for (let row = 0; row < rows; row += 1) { let sum = 0; for (const [at, amount] of column.entries) sum += (inverse[row]?.[at] ?? 0) * amount; step[row] = sum; }
  let [leaving, least] = [-1, Number.POSITIVE_INFINITY];
  for (let row = 0; row < rows; row += 1) {
    const own = step[row] ?? 0;
    if (own <= 1e-10) continue;
    const ratio = (value[row] ?? 0) / own;
    if (ratio < least - 1e-12) { least = ratio; leaving = row; }
  }
  const line = inverse[leaving];
  if (line === undefined) return false;
  const by = step[leaving] ?? 1;
  for (let at = 0; at < rows; at += 1) line[at] = (line[at] ?? 0) / by;
  for (let row = 0; row < rows; row += 1) {
    const own = step[row] ?? 0;
    if (row === leaving || own === 0) continue;
    const other = inverse[row];
    if (other === undefined) continue;
    for (let at = 0; at < rows; at += 1) { const amount = line[at] ?? 0; if (amount !== 0) other[at] = (other[at] ?? 0) - own * amount; }
    value[row] = Math.max(0, (value[row] ?? 0) - own * least);
  }
  value[leaving] = least;
  basisCost[leaving] = column.cost;
  basis[leaving] = column;
  return true;
}
