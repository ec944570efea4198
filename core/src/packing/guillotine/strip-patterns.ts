import { intAt, valueAt, floatAt } from '../../quantity';
import { Simplex, type SimplexColumn } from '../bounds/simplex';
import type { Orientation } from '../problem/packing-problem';

/** Pieces of one width, one entry a piece. */
export interface WidthPieces {
  readonly across: number;
  readonly pieces: readonly Orientation[];
  readonly total: number;
  /** Of it, what wants a factory edge. */
  readonly wishing: number;
}

/**
 * Widths side by side, by place in a list of widths, those that are meant to lie at factory edges first, and
 * how long their strip is to be.
 */
export interface StripPattern {
  readonly widths: readonly number[];
  readonly along: number;
}

interface PatternColumn extends SimplexColumn {
  /** None: more at the edges than wants to lie there. */
  readonly widths: readonly number[];
}

const MOST_SETS = 2000;
const MOST_NODES = 40_000;
const MOST_PIVOTS = 500;
/** Costs differ by chance by so much, so that another combination without waste is the cheapest each time. */
const SPREAD = 1e-4;
/** A strip is meant so much shorter than it may be: its columns end unevenly at first. */
const NOT_QUITE = 0.9;

/** All pieces by width, widest first. @param orientations one way for each item type */
export function byWidth(orientations: readonly Orientation[], left: Int32Array): readonly WidthPieces[] {
  const piecesOf = new Map<number, Orientation[]>();
  for (const orientation of orientations) {
    const list = piecesOf.get(orientation.across) ?? [];
    for (let copy = 0; copy < intAt(left, orientation.itemType); copy += 1) list.push(orientation);
    if (list.length > 0) piecesOf.set(orientation.across, list);
  }
  return [...piecesOf]
    .sort(([a], [b]) => b - a)
    .map(([across, pieces]) => ({
      across,
      pieces,
      total: lengthOf(pieces),
      wishing: lengthOf(pieces.filter(({ wantsEdge }) => wantsEdge)),
    }));
}

const lengthOf = (pieces: readonly Orientation[]): number =>
  pieces.reduce((sum, { along }) => sum + along, 0);

/**
 * Every set of widths that fills the roll to the last step.
 * @returns undefined when there are too many to write down
 */
export function fullSets(
  width: number,
  widths: readonly WidthPieces[],
  mostStacks: number,
): readonly (readonly number[])[] | undefined {
  const sets: (readonly number[])[] = [];
  const set: number[] = [];
  let nodes = 0;
  const go = (from: number, rest: number): void => {
    if (rest === 0) {
      sets.push([...set]);
      return;
    }
    if (set.length >= mostStacks) return;
    for (
      let index = from;
      index < widths.length && nodes <= MOST_NODES && sets.length <= MOST_SETS;
      index += 1
    ) {
      const { across, pieces } = valueAt(widths, index);
      nodes += 1;
      if (across > rest || set.filter((chosen) => chosen === index).length >= pieces.length) continue;
      set.push(index);
      go(index, rest - across);
      set.pop();
    }
  };
  go(0, width);
  return nodes > MOST_NODES || sets.length > MOST_SETS ? undefined : sets;
}

/**
 * Patterns, hardly more than there are widths, that would hold all pieces without waste if those were fine as
 * sand. Which ones is left to chance. Each set comes once for every choice of the columns that lie at its
 * edges.
 * @param sets that fill the roll
 * @param edges columns of a strip that can lie at a factory edge
 * @param mostBand longest
 * @returns undefined when no such patterns are without waste
 * @source own; a corner of the linear programme over all sets
 */
export function patterns(
  width: number,
  widths: readonly WidthPieces[],
  sets: readonly (readonly number[])[],
  edges: number,
  mostStrip: number,
  random: () => number,
): readonly StripPattern[] | undefined {
  const wishful = widths.flatMap(({ wishing }, index) => (wishing > 0 ? [index] : []));
  const rowOf = new Map(wishful.map((index, at) => [index, widths.length + at]));
  const columns = sets.flatMap((set) =>
    edgeFirst(set, rowOf, edges).map((ordered): PatternColumn => {
      const counts = new Map<number, number>();
      for (const [column, index] of ordered.entries())
        for (const row of [index, ...(column < edges ? [rowOf.get(index) ?? -1] : [])])
          if (row >= 0) counts.set(row, (counts.get(row) ?? 0) + 1);
      return { widths: ordered, entries: [...counts], cost: 1 + SPREAD * random() };
    }),
  );
  for (const row of rowOf.values()) columns.push({ widths: [], entries: [[row, -1]], cost: 0 });
  const simplex = new Simplex<PatternColumn>(
    [...widths.map(({ total }) => total), ...wishful.map((index) => valueAt(widths, index).wishing)],
    [],
    1 + SPREAD,
  );
  simplex.run((dual) => cheapest(columns, dual), MOST_PIVOTS);
  const taken = [...simplex.taken()].filter(
    ([{ widths: columnWidths }, along]) => columnWidths.length > 0 && along >= 1,
  );
  const needed = widths.reduce((sum, { across, total }) => sum + across * total, 0) / width;
  const got = taken.reduce((sum, [, along]) => sum + along, 0);
  if (Math.abs(got - needed) > 2 * SPREAD * needed + taken.length) return undefined;
  return taken.flatMap(([{ widths: columnWidths }, along]) => {
    const count = Math.max(1, Math.ceil(along / (NOT_QUITE * mostStrip)));
    return Array.from({ length: count }, (): StripPattern => ({
      widths: columnWidths,
      along: along / count,
    }));
  });
}

/** A set once for every choice of wished-for widths at its edges. */
function edgeFirst(
  set: readonly number[],
  wished: ReadonlyMap<number, number>,
  edges: number,
): readonly (readonly number[])[] {
  const arrangements = new Map<string, readonly number[]>([['', set]]);
  const choose = (chosen: readonly number[], from: number): void => {
    for (let column = from; column < set.length && chosen.length < edges; column += 1) {
      if (!wished.has(set[column] ?? -1)) continue;
      const next = [...chosen, column];
      const first = next.map((own) => valueAt(set, own));
      arrangements.set(first.join(' '), [...first, ...set.filter((_, own) => !next.includes(own))]);
      choose(next, column + 1);
    }
  };
  choose([], 0);
  return [...arrangements.values()];
}

function cheapest(columns: readonly PatternColumn[], dual: Float64Array): PatternColumn | undefined {
  let [best, gain]: [PatternColumn | undefined, number] = [undefined, 1e-9];
  for (const column of columns) {
    let reducedCost = -column.cost;
    for (const [row, amount] of column.entries) reducedCost += amount * floatAt(dual, row);
    if (reducedCost > gain) [best, gain] = [column, reducedCost];
  }
  return best;
}
