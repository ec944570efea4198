import type { Band, Column } from './band-shape';
import { type FullStacks, fullStack, fullStacksOf, reaches } from './full-stacks';
import { shuffled } from './shuffled';
import type { Lie, StripProblem } from '../problem/strip-problem';
import type { WidthSet } from './width-sets';

const MOST_SETS = 300;
const ENOUGH_ENDS = 200;
const MOST_TRIES = 16;

/** A band without waste: widths that fill the roll, stacks that all end together.
 *  @param sets that fill the roll @param least the shortest it may be @param most the longest
 *  @returns undefined when none was found in a few tries */
export function perfectBand(
  { width }: StripProblem,
  sets: readonly WidthSet[],
  open: readonly Lie[],
  left: Int32Array,
  edges: number,
  least: number,
  most: number,
  random: () => number,
): Band | undefined {
  if (sets.length === 0) return undefined;
  const byWidth = copiesByWidth(open, left, random);
  const kept = new Map<string, FullStacks>();
  const stacks = (across: number, edge: boolean): FullStacks => {
    const key = `${across} ${edge}`;
    let made = kept.get(key);
    if (made === undefined) {
      made = fullStacksOf(
        (byWidth.get(across) ?? []).filter((lie) => edge || !lie.wantsEdge),
        most,
      );
      kept.set(key, made);
    }
    return made;
  };
  const ends: { readonly set: WidthSet; readonly along: number }[] = [];
  for (let index = 0; index < sets.length && index < MOST_SETS && ends.length < ENOUGH_ENDS; index += 1) {
    const set = sets[index];
    if (set === undefined) break;
    const bits = set.widths.map((across, column) => stacks(across, column < edges).top);
    for (let word = least >> 5; word <= most >> 5; word += 1) {
      let common = word === 0 ? ~1 : ~0;
      for (const column of bits) common &= column[word] ?? 0;
      for (; common !== 0; common &= common - 1) {
        const along = (word << 5) + (31 - Math.clz32(common & -common));
        if (along >= least) ends.push({ set, along });
      }
    }
  }
  /** Short ones leave most for others; how strongly they are preferred is left to chance. */
  ends.sort((a, b) => a.along - b.along);
  const lean = 1 + 2 * random();
  for (let tries = 0; tries < MOST_TRIES && ends.length > 0; tries += 1) {
    const [end] = ends.splice(Math.floor(random() ** lean * ends.length), 1);
    if (end === undefined) break;
    const columns = filled(end.set, end.along, edges, byWidth, stacks);
    if (columns !== undefined) return { along: end.along, columns, filled: width * end.along };
  }
  return undefined;
}

function filled(
  { widths }: WidthSet,
  along: number,
  edges: number,
  byWidth: ReadonlyMap<number, readonly Lie[]>,
  stacks: (across: number, edge: boolean) => FullStacks,
): readonly Column[] | undefined {
  const taken = new Map<number, number>();
  const columns: Column[] = [];
  for (let column = 0; column < widths.length; column += 1) {
    const across = widths[column] ?? 0;
    const edge = column < edges;
    const lies = byWidth.get(across) ?? [];
    const isTouched = lies.some(({ kind }) => taken.has(kind));
    const found = isTouched
      ? fullStacksOf(
          withoutTaken(lies, taken).filter((lie) => edge || !lie.wantsEdge),
          along,
        )
      : stacks(across, edge);
    if (!reaches(found, along)) return undefined;
    const pieces = fullStack(found, along);
    for (const { kind } of pieces) taken.set(kind, (taken.get(kind) ?? 0) + 1);
    columns.push({ across, pieces });
  }
  return columns;
}

/** One entry a piece, in an order of chance. */
function copiesByWidth(
  open: readonly Lie[],
  left: Int32Array,
  random: () => number,
): ReadonlyMap<number, readonly Lie[]> {
  const found = new Map<number, Lie[]>();
  for (const lie of open) {
    const list = found.get(lie.across);
    const copies = Array.from({ length: left[lie.kind] ?? 0 }, () => lie);
    if (list === undefined) found.set(lie.across, copies);
    else list.push(...copies);
  }
  return new Map([...found].map(([across, list]) => [across, shuffled(list, random)]));
}

function withoutTaken(lies: readonly Lie[], taken: ReadonlyMap<number, number>): readonly Lie[] {
  const used = new Map<number, number>();
  return lies.filter(({ kind }) => {
    const already = used.get(kind) ?? 0;
    if (already >= (taken.get(kind) ?? 0)) return true;
    used.set(kind, already + 1);
    return false;
  });
}
