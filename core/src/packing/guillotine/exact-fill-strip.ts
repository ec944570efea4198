import { intAt, bitsAt, valueAt } from '../../quantity';
import type { Strip, Stack } from './strip-shape';
import { type SubsetSumStacks, exactFillStack, subsetSumStacksOf, reaches } from './subset-sum-stacks';
import { shuffled } from './shuffled';
import type { Orientation, PackingProblem } from '../problem/packing-problem';
import type { WidthSet } from './width-sets';

const MOST_SETS = 300;
const ENOUGH_ENDS = 200;
const MOST_TRIES = 16;

/** A strip without waste: widths that fill the roll, stacks that all end together.
 *  @param sets that fill the roll @param least the shortest it may be @param most the longest
 *  @returns undefined when none was found in a few tries */
export function exactFillStrip(
  { width }: PackingProblem,
  sets: readonly WidthSet[],
  open: readonly Orientation[],
  left: Int32Array,
  edges: number,
  least: number,
  most: number,
  random: () => number,
): Strip | undefined {
  if (sets.length === 0) return undefined;
  const byWidth = copiesByWidth(open, left, random);
  const stackLengths = cachedStacks(byWidth, most);
  const ends = commonEnds(sets, stackLengths, edges, least, most);
  /** Short ones leave most for others; how strongly they are preferred is left to chance. */
  ends.sort((a, b) => a.along - b.along);
  const logBias = 1 + 2 * random();
  for (let tries = 0; tries < MOST_TRIES && ends.length > 0; tries += 1) {
    const [end] = ends.splice(Math.floor(random() ** logBias * ends.length), 1);
    if (end === undefined) break;
    const stacks = filled(end.set, end.along, edges, byWidth, stackLengths);
    if (stacks !== undefined) return { along: end.along, stacks, filled: width * end.along };
  }
  return undefined;
}

type StacksOf = (across: number, edge: boolean) => SubsetSumStacks;

/** The stacks that a width allows, made when they are first asked for. */
function cachedStacks(byWidth: ReadonlyMap<number, readonly Orientation[]>, most: number): StacksOf {
  const cache = new Map<string, SubsetSumStacks>();
  return (across, edge) => {
    const key = `${across} ${edge}`;
    const known = cache.get(key);
    if (known !== undefined) return known;
    const stackSums = subsetSumStacksOf(
      (byWidth.get(across) ?? []).filter(({ wantsEdge }) => edge || !wantsEdge),
      most,
    );
    cache.set(key, stackSums);
    return stackSums;
  };
}

interface End {
  readonly set: WidthSet;
  readonly along: number;
}

/** Lengths at which all stacks of a set can end, set by set until there are enough. */
function commonEnds(
  sets: readonly WidthSet[],
  stackLengths: StacksOf,
  edges: number,
  least: number,
  most: number,
): End[] {
  const ends: End[] = [];
  for (const set of sets.slice(0, MOST_SETS)) {
    if (ends.length >= ENOUGH_ENDS) break;
    const bits = set.widths.map((across, stack) => stackLengths(across, stack < edges).top);
    for (let word = least >> 5; word <= most >> 5; word += 1) {
      let common = word === 0 ? ~1 : ~0;
      for (const stack of bits) common &= bitsAt(stack, word);
      for (; common !== 0; common &= common - 1) {
        const along = (word << 5) + (31 - Math.clz32(common & -common));
        if (along >= least) ends.push({ set, along });
      }
    }
  }
  return ends;
}

function filled(
  { widths }: WidthSet,
  along: number,
  edges: number,
  byWidth: ReadonlyMap<number, readonly Orientation[]>,
  stackLengths: StacksOf,
): readonly Stack[] | undefined {
  const taken = new Map<number, number>();
  const stacks: Stack[] = [];
  for (let stack = 0; stack < widths.length; stack += 1) {
    const across = valueAt(widths, stack);
    const edge = stack < edges;
    const orientations = byWidth.get(across) ?? [];
    const isTouched = orientations.some(({ itemType }) => taken.has(itemType));
    const stackSums = isTouched
      ? subsetSumStacksOf(
          withoutTaken(orientations, taken).filter((orientation) => edge || !orientation.wantsEdge),
          along,
        )
      : stackLengths(across, edge);
    if (!reaches(stackSums, along)) return undefined;
    const pieces = exactFillStack(stackSums, along);
    for (const { itemType } of pieces) taken.set(itemType, (taken.get(itemType) ?? 0) + 1);
    stacks.push({ across, pieces });
  }
  return stacks;
}

/** One entry a piece, in an order of chance. */
function copiesByWidth(
  open: readonly Orientation[],
  left: Int32Array,
  random: () => number,
): ReadonlyMap<number, readonly Orientation[]> {
  const piecesOf = new Map<number, Orientation[]>();
  for (const orientation of open) {
    const list = piecesOf.get(orientation.across);
    const copies = Array.from({ length: intAt(left, orientation.itemType) }, () => orientation);
    if (list === undefined) piecesOf.set(orientation.across, copies);
    else list.push(...copies);
  }
  return new Map([...piecesOf].map(([across, list]) => [across, shuffled(list, random)]));
}

function withoutTaken(
  orientations: readonly Orientation[],
  taken: ReadonlyMap<number, number>,
): readonly Orientation[] {
  const used = new Map<number, number>();
  return orientations.filter(({ itemType }) => {
    const already = used.get(itemType) ?? 0;
    if (already >= (taken.get(itemType) ?? 0)) return true;
    used.set(itemType, already + 1);
    return false;
  });
}
