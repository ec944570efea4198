import { intAt, valueAt } from '../../quantity';
import { addLonger, holds } from './subset-sum-bits';
import type { Orientation } from '../problem/packing-problem';

/** Column widths that lie side by side on the roll, and what they leave. */
export interface WidthSet {
  readonly widths: readonly number[];
  readonly rest: number;
}

/** The widths there are, widest first, and how many pieces of each are left. */
interface WidthStock {
  readonly widths: readonly number[];
  readonly counts: readonly number[];
}

const MOST_NODES = 600;
const MOST_EXACT_NODES = 3000;
const MOST_EXACT = 120;
const MOST_STACKS = 8;

export function widthStock(open: readonly Orientation[], left: Int32Array): WidthStock {
  const counts = new Map<number, number>();
  for (const { across, itemType } of open)
    counts.set(across, (counts.get(across) ?? 0) + intAt(left, itemType));
  const widths = [...counts.keys()].sort((a, b) => b - a);
  return { widths, counts: widths.map((across) => counts.get(across) ?? 0) };
}

/**
 * Sets that cannot take another width, fullest first. A width comes at most as often as pieces of it are
 * left.
 * @param first a width that must be in it; absent: any
 */
export function widthSets(
  width: number,
  { widths, counts }: WidthStock,
  first: number | undefined,
  random: () => number,
  mostStacks = MOST_STACKS,
): readonly WidthSet[] {
  const free = [...counts];
  const narrowest = widths.at(-1) ?? width;
  const sets: WidthSet[] = [];
  const set: number[] = [];
  let nodes = 0;
  const go = (from: number, rest: number): void => {
    nodes += 1;
    let isFull = true;
    if (rest >= narrowest && set.length < mostStacks) {
      for (let index = from; index < widths.length && nodes <= MOST_NODES; index += 1) {
        const across = valueAt(widths, index);
        if (across > rest || valueAt(free, index) <= 0) continue;
        isFull = false;
        set.push(across);
        free[index] = valueAt(free, index) - 1;
        go(index, rest - across);
        free[index] = valueAt(free, index) + 1;
        set.pop();
      }
    }
    if (isFull && set.length > 0) sets.push({ widths: [...set], rest });
  };
  for (const start of starts(widths, first, random)) {
    if (nodes > MOST_NODES) break;
    set.push(valueAt(widths, start));
    free[start] = valueAt(free, start) - 1;
    go(0, width - valueAt(widths, start));
    free[start] = valueAt(free, start) + 1;
    set.pop();
  }
  return sets.sort((a, b) => a.rest - b.rest);
}

/** Sets that fill the roll to the last step.
 *  @param first a width that must be in it; absent: any */
export function exactSets(
  width: number,
  stock: WidthStock,
  first: number | undefined,
  random: () => number,
  mostStacks = MOST_STACKS,
): readonly WidthSet[] {
  const { widths } = stock;
  return setsThatFill(width, stock, starts(widths, first, random), fillableFrom(width, widths), {
    mostStacks,
    mostNodes: MOST_EXACT_NODES,
    mostSets: MOST_EXACT,
    random,
  }).map((set) => ({ widths: set.map((index) => valueAt(widths, index)), rest: 0 }));
}

/** How far a search for sets goes. */
interface SetSearch {
  readonly mostStacks: number;
  readonly mostNodes: number;
  readonly mostSets: number;
  readonly random: () => number;
}

/**
 * Sets of widths by place that fill the roll to the last step, in an order of chance: a way that can no
 * longer end full is not followed.
 * @param begins places of widths of which one is in each set
 * @param canFill from `fillableFrom`
 */
export function setsThatFill(
  width: number,
  { widths, counts }: WidthStock,
  begins: readonly number[],
  canFill: readonly Uint32Array[],
  { mostStacks, mostNodes, mostSets, random }: SetSearch,
): readonly (readonly number[])[] {
  const free = [...counts];
  const sets: (readonly number[])[] = [];
  const set: number[] = [];
  let nodes = 0;
  const go = (from: number, rest: number): void => {
    nodes += 1;
    if (rest === 0) {
      sets.push([...set]);
      return;
    }
    if (set.length >= mostStacks) return;
    const span = widths.length - from;
    const turn = span > 0 ? Math.floor(random() * span) : 0;
    for (let step = 0; step < span && nodes <= mostNodes && sets.length < mostSets; step += 1) {
      const index = from + ((step + turn) % span);
      const after = rest - valueAt(widths, index);
      if (after < 0 || valueAt(free, index) <= 0 || !holds(valueAt(canFill, index), after)) continue;
      goWith(index, index, after);
    }
  };
  const goWith = (index: number, from: number, rest: number): void => {
    set.push(index);
    free[index] = valueAt(free, index) - 1;
    go(from, rest);
    free[index] = valueAt(free, index) + 1;
    set.pop();
  };
  for (const start of begins) {
    if (nodes > mostNodes || sets.length >= mostSets) break;
    goWith(start, 0, width - valueAt(widths, start));
  }
  return sets;
}

/**
 * For each width: which rests it and the narrower ones can fill, any number of each. Once, twice, four times
 * the width added in turn give every number of it.
 */
export function fillableFrom(width: number, widths: readonly number[]): readonly Uint32Array[] {
  const rows: Uint32Array[] = [];
  let below = new Uint32Array((width >> 5) + 1);
  below[0] = 1;
  for (let index = widths.length - 1; index >= 0; index -= 1) {
    const across = valueAt(widths, index);
    const row = Uint32Array.from(below);
    for (let along = across; along <= width; along *= 2) addLonger(row, row, along);
    rows[index] = row;
    below = row;
  }
  return rows;
}

function starts(
  widths: readonly number[],
  first: number | undefined,
  random: () => number,
): readonly number[] {
  if (first !== undefined) return [widths.indexOf(first)];
  const turn = Math.floor(random() * widths.length);
  return widths.map((_, index) => (index + turn) % widths.length);
}
