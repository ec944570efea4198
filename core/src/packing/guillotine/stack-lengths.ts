import { intAt, bitsAt, valueAt } from '../../quantity';
import { exactFillStack, subsetSumStacksOf } from './subset-sum-stacks';
import type { Orientation } from '../problem/packing-problem';

/** Which lengths a stack can be stacked to from what is left, and how full each is. */
export interface StackLengths {
  /** Lengths worth ending at, shortest first. */
  readonly ends: readonly number[];
  /** The fullest end at or under a length; 0: none. */
  readonly endUpTo: (along: number) => number;
  /** Area of pieces at that end. */
  readonly filledUpTo: (along: number) => number;
  /** The pieces that end there. */
  readonly piecesAt: (end: number) => readonly Orientation[];
}

const NOT_REACHED = -1;
/** A length and its entry in one number, to be put in order without asking back. */
const ENTRIES = 2 ** 20;
/** By length, which entry reaches it; clean between two calls, so that none has to be made anew. */
let reachedBy = new Int32Array(0);

/**
 * Stacks pieces into one stack, up to `most` along. Pieces of one width by bit sets; of several by bounded
 * subset sums, widest first.
 * @param orientations in the order to try among equals
 * @param left pieces left by item type
 * @param single only one piece a stack: two stages of cutting
 */
export function stackLengthsOf(
  orientations: readonly Orientation[],
  left: Int32Array,
  most: number,
  single: boolean,
): StackLengths {
  const [first] = orientations;
  const isEven = first !== undefined && orientations.every(({ across }) => across === first.across);
  return isEven && !single
    ? evenStackLengths(orientations, first.across, left, most)
    : mixedStackLengths(orientations, left, most, single);
}

function evenStackLengths(
  orientations: readonly Orientation[],
  across: number,
  left: Int32Array,
  most: number,
): StackLengths {
  let sum = 0;
  const copies: Orientation[] = [];
  for (const orientation of orientations) {
    const quantity = intAt(left, orientation.itemType);
    sum += orientation.along * quantity;
    for (let copy = 0; copy < quantity; copy += 1) copies.push(orientation);
  }
  const full = subsetSumStacksOf(copies, Math.min(most, sum));
  const ends: number[] = [];
  for (let word = 0; word < full.top.length; word += 1)
    for (let bits = bitsAt(full.top, word); bits !== 0; bits &= bits - 1)
      ends.push((word << 5) + (31 - Math.clz32(bits & -bits)));
  ends.sort((a, b) => a - b);
  const endUpTo = (along: number): number => lastUpTo(ends, along, ends);
  return {
    ends,
    endUpTo,
    filledUpTo: (along) => across * endUpTo(along),
    piecesAt: (along) => exactFillStack(full, along),
  };
}

function mixedStackLengths(
  orientations: readonly Orientation[],
  left: Int32Array,
  most: number,
  single: boolean,
): StackLengths {
  const sorted = [...orientations].sort((a, b) => b.across - a.across);
  const { lengths, areas, pieces, below } = reachedLengths(sorted, left, most, single);
  const places = fullerThanShorter(lengths, areas);
  const ends = places.map((place) => valueAt(lengths, place));
  const upTo = (along: number): number => lastUpTo(ends, along, places);
  const piecesAt = (along: number): readonly Orientation[] => {
    const stacked: Orientation[] = [];
    for (let place = upTo(along); place > 0; place = valueAt(below, place)) {
      const orientation = sorted[pieces[place] ?? NOT_REACHED];
      if (orientation !== undefined) stacked.push(orientation);
    }
    return stacked;
  };
  return {
    ends,
    endUpTo: (along) => lastUpTo(ends, along, ends),
    filledUpTo: (along) => valueAt(areas, upTo(along)),
    piecesAt,
  };
}

/** Every length reached, in the order they were: how full, by which piece, on which other length. */
interface Reached {
  readonly lengths: readonly number[];
  readonly areas: readonly number[];
  readonly pieces: readonly number[];
  readonly below: readonly number[];
}

/** Bounded subset sums: all lengths that stacks of these pieces can have, each reached once. */
function reachedLengths(
  sorted: readonly Orientation[],
  left: Int32Array,
  most: number,
  single: boolean,
): Reached {
  let sum = 0;
  for (const { itemType, along } of sorted) sum += along * intAt(left, itemType);
  const limit = Math.min(most, sum);
  if (reachedBy.length <= limit) reachedBy = new Int32Array(2 * limit + 1).fill(NOT_REACHED);
  const at = reachedBy;
  const [lengths, areas, pieces, below] = [[0], [0], [NOT_REACHED], [NOT_REACHED]];
  at[0] = 0;
  for (const [index, { itemType, along, across }] of sorted.entries()) {
    const copies = single ? 1 : intAt(left, itemType);
    if (along > limit || intAt(left, itemType) <= 0) continue;
    const before = single ? 1 : lengths.length;
    for (let base = 0; base < before; base += 1) {
      let last = base;
      for (let copy = 0; copy < copies; copy += 1) {
        const length = valueAt(lengths, last) + along;
        if (length > limit || intAt(at, length) !== NOT_REACHED) break;
        at[length] = lengths.length;
        areas.push(valueAt(areas, last) + across * along);
        pieces.push(index);
        below.push(last);
        last = lengths.length;
        lengths.push(length);
      }
    }
  }
  for (const length of lengths) at[length] = NOT_REACHED;
  return { lengths, areas, pieces, below };
}

/** The places of lengths fuller than every shorter one, shortest first. */
function fullerThanShorter(lengths: readonly number[], areas: readonly number[]): readonly number[] {
  const order = new Float64Array(lengths.length);
  for (let place = 0; place < order.length; place += 1)
    order[place] = valueAt(lengths, place) * ENTRIES + place;
  order.sort();
  const places: number[] = [];
  let best = 0;
  for (const key of order) {
    const place = key % ENTRIES;
    if (valueAt(areas, place) <= best) continue;
    best = valueAt(areas, place);
    places.push(place);
  }
  return places;
}

/** What `values` has beside the last end at or under a length; 0: no end is so short. */
function lastUpTo(ends: readonly number[], along: number, values: readonly number[]): number {
  let [low, high] = [0, ends.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (valueAt(ends, middle) <= along) low = middle + 1;
    else high = middle;
  }
  return low === 0 ? 0 : valueAt(values, low - 1);
}
