import { floatAt, valueAt, intAt } from '../../quantity';
import type { Orientation, PackingProblem } from '../problem/packing-problem';
import type { Block, PieceMove } from '../skyline/beam';
import { ParetoBoxes } from './pareto-boxes';
import { roomBeside, rowsWithin } from './room-beside';
import { ItemSubsets, itemSubsetsOf } from './item-subsets';

const [ALONE, BESIDE, BEHIND] = [0, 1, 2];

const NEAR = 1e-9;
const MOST_SUBSETS = 16_400;
/** With pieces that may turn there are more boxes to each. */
const MOST_TURNING = 4100;

/** Whether `shortestOfAnyCuts` can be asked: it takes about a second at most, and no piece wants an edge. */
export function isFewForAnyCuts({ itemTypes }: PackingProblem): boolean {
  return (
    itemTypes.every(({ wantsEdge }) => !wantsEdge) &&
    itemSubsetsOf(itemTypes.map(({ quantity }) => quantity)) <=
      (itemTypes.some(({ mayTurn }) => mayTurn) ? MOST_TURNING : MOST_SUBSETS)
  );
}

/**
 * The shortest layout of all pieces that straight cuts from edge to edge take apart, in as many stages as it
 * takes, proven: a dynamic programme over every subset and every way of parting it in two. A box is left
 * out when more is wasted in it, and beside it whatever lies there, than a layout of use may waste. No piece
 * may want an edge.
 * @param most in steps: only a layout not longer is of use
 * @returns undefined when there is none. Work grows with the square of `selectionsOf`, at worst
 * @source own; guillotine cutting by parting a box in two (from memory: Gilmore and Gomory 1966)
 */
export function shortestOfAnyCuts(
  { width, itemTypes, orientations }: PackingProblem,
  most: number,
  prices: readonly number[] = itemTypes.map(() => 0),
): Block | undefined {
  /** Only item types of which there is a piece. */
  const present = itemTypes.flatMap((itemType, at) =>
    itemType.quantity > 0 ? [{ ...itemType, dualPrice: valueAt(prices, at), at }] : [],
  );
  const placeOf = new Map(present.map(({ at }, place) => [at, place]));
  const given = orientations.filter(({ itemType }) => placeOf.has(itemType));
  const laid = given.map((orientation) => ({
    ...orientation,
    itemType: placeOf.get(orientation.itemType) ?? 0,
  }));
  const sizes = present.map(({ across, along }) => across * along);
  const subsets = new ItemSubsets(present.map(({ quantity }) => quantity));
  const area = subsets.sums(sizes);
  const spare = most * width - floatAt(area, subsets.all);
  if (spare < 0) return undefined;
  const values = [sizes, present.map(({ dualPrice }) => dualPrice)];
  const charges = chargesOf(subsets, laid, width, values, most);
  const fronts = new ParetoBoxes(subsets.count);
  fronts.close();
  for (let state = 1; state < subsets.count; state += 1)
    boxesOf(state, { subsets, laid, width, area, spare, charges }, fronts);
  const { along, start } = fronts;
  const { all } = subsets;
  let shortest = -1;
  for (let at = intAt(start, all); at < intAt(start, subsets.count); at += 1)
    if (shortest < 0 || intAt(along, at) < intAt(along, shortest)) shortest = at;
  if (shortest < 0 || intAt(along, shortest) > most) return undefined;
  const moves: PieceMove[] = [];
  placeBox(fronts, given, all, shortest, 0, 0, moves);
  return { along: intAt(along, shortest), moves };
}

interface AnyCuts {
  readonly subsets: ItemSubsets;
  readonly laid: readonly Orientation[];
  readonly width: number;
  readonly area: Float64Array;
  /** Area that may be wasted in all. */
  readonly spare: number;
  readonly charges: readonly Charge[];
}

/** What is lost beside a box, whatever lies there, against what a layout of use may lose. */
interface Charge {
  readonly held: (state: number, room: number) => number;
  readonly sums: Float64Array;
  readonly spare: number;
}

function chargesOf(
  subsets: ItemSubsets,
  laid: readonly Orientation[],
  width: number,
  values: readonly (readonly number[])[],
  most: number,
): readonly Charge[] {
  const rows = rowsWithin(subsets, laid, width);
  if (rows === undefined) return [];
  return values.map((prices) => {
    const perStep = laid.map(({ itemType, along }) => valueAt(prices, itemType) / along);
    const { scale, held } = roomBeside(subsets, rows, perStep);
    const sums = subsets.sums(prices.map((value) => value * scale));
    return { held, sums, spare: most * (1 + NEAR) - floatAt(sums, subsets.all) };
  });
}

/** All boxes of use that hold this subset: of one piece, or of two parts beside or behind one another. */
function boxesOf(
  state: number,
  { subsets, laid, width, area, spare, charges }: AnyCuts,
  fronts: ParetoBoxes,
): void {
  const stateArea = floatAt(area, state);
  const mostArea = stateArea + spare;
  const wastesTooMuch = (across: number, along: number): boolean =>
    charges.some(
      ({ held, sums, spare: mine }) =>
        (1 - held(state, width - across)) * along > floatAt(sums, state) + mine,
    );
  const add = (across: number, along: number, part: number, way: number): void => {
    if (
      across > width ||
      across * along > mostArea ||
      fronts.isBeaten(across, along) ||
      wastesTooMuch(across, along)
    )
      return;
    fronts.put(across, along, across * along - stateArea, part, way);
  };
  laid.forEach((orientation, index) => {
    if (subsets.one(orientation.itemType) === state) add(orientation.across, orientation.along, index, ALONE);
  });
  const many = subsets.partsOf(state);
  for (let index = 0; index < many; index += 1) {
    const part = intAt(subsets.parts, index);
    if (part === state) continue;
    addPairs(part, state - part, fronts, spare, (w, h, v, u) => {
      const longer = h > u ? h : u;
      const wider = w > v ? w : v;
      if (w + v <= width && (w + v) * longer <= mostArea) add(w + v, longer, part, BESIDE);
      if (wider * (h + u) <= mostArea) add(wider, h + u, part, BEHIND);
    });
  }
  fronts.close();
}

/** Each pair of boxes of two parts that together waste no more than may be. */
function addPairs(
  part: number,
  rest: number,
  { across, along, waste, start }: ParetoBoxes,
  spare: number,
  add: (w: number, h: number, v: number, u: number) => void,
): void {
  const [end, from, to] = [intAt(start, part + 1), intAt(start, rest), intAt(start, rest + 1)];
  for (let one = intAt(start, part); one < end; one += 1) {
    const room = spare - floatAt(waste, one);
    for (let other = from; other < to && floatAt(waste, other) <= room; other += 1)
      add(intAt(across, one), intAt(along, one), intAt(across, other), intAt(along, other));
  }
}

/** The way back: which boxes of its two parts made a box is looked for again. */
function placeBox(
  fronts: ParetoBoxes,
  given: readonly Orientation[],
  state: number,
  at: number,
  x: number,
  y: number,
  moves: PieceMove[],
): void {
  const { across, along, part, way, start } = fronts;
  const first = intAt(part, at);
  if (way[at] === ALONE) {
    const orientation = given[first];
    if (orientation !== undefined) moves.push({ orientation, x, y });
    return;
  }
  const second = state - first;
  for (let one = intAt(start, first); one < intAt(start, first + 1); one += 1) {
    for (let other = intAt(start, second); other < intAt(start, second + 1); other += 1) {
      const [w, h] = [intAt(across, one), intAt(along, one)];
      const [v, u] = [intAt(across, other), intAt(along, other)];
      const fits =
        way[at] === BESIDE
          ? w + v <= intAt(across, at) && Math.max(h, u) <= intAt(along, at)
          : Math.max(w, v) <= intAt(across, at) && h + u <= intAt(along, at);
      if (!fits) continue;
      placeBox(fronts, given, first, one, x, y, moves);
      const [dx, dy] = way[at] === BESIDE ? [w, 0] : [0, h];
      placeBox(fronts, given, second, other, x + dx, y + dy, moves);
      return;
    }
  }
  throw new RangeError('a box that was found cannot be made');
}
