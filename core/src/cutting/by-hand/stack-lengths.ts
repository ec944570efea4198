import { fullStack, fullStacksOf } from './full-stacks';
import type { Lie } from './strip-problem';

/** Which lengths a column can be stacked to from what is left, and how full each is. */
export interface Stacks {
  /** Lengths worth ending at, shortest first. */
  readonly ends: readonly number[];
  /** The fullest end at or under a length; 0: none. */
  readonly endUpTo: (along: number) => number;
  /** Area of pieces at that end. */
  readonly filledUpTo: (along: number) => number;
  /** The pieces that end there. */
  readonly piecesAt: (end: number) => readonly Lie[];
}

/** Stacks pieces into one column, up to `most` along. Pieces of one width by bit sets; of several by bounded subset sums, widest first.
 *  @param lies in the order to try among equals @param left pieces left by kind @param single only one piece a column: two stages of cutting */
export function stacksOf(lies: readonly Lie[], left: Int32Array, most: number, single: boolean): Stacks {
  const [first] = lies;
  const isEven = first !== undefined && lies.every(({ across }) => across === first.across);
  return isEven && !single ? evenStacks(lies, first.across, left, most) : mixedStacks(lies, left, most, single);
}

function evenStacks(lies: readonly Lie[], across: number, left: Int32Array, most: number): Stacks {
  let sum = 0;
  const copies: Lie[] = [];
  for (const lie of lies) {
    const quantity = left[lie.kind] ?? 0;
    sum += lie.along * quantity;
    for (let copy = 0; copy < quantity; copy += 1) copies.push(lie);
  }
  const full = fullStacksOf(copies, Math.min(most, sum));
  const ends: number[] = [];
  for (let word = 0; word < full.top.length; word += 1) for (let bits = full.top[word] ?? 0; bits !== 0; bits &= bits - 1) ends.push((word << 5) + (31 - Math.clz32(bits & -bits)));
  ends.sort((a, b) => a - b);
  const endUpTo = (along: number): number => {
    let [low, high] = [0, ends.length - 1];
    while (low < high) { const middle = (low + high + 1) >> 1; if ((ends[middle] ?? 0) <= along) low = middle; else high = middle - 1; }
    return ends[low] ?? 0;
  };
  return { ends, endUpTo, filledUpTo: (along) => across * endUpTo(along), piecesAt: (along) => fullStack(full, along) };
}

function mixedStacks(lies: readonly Lie[], left: Int32Array, most: number, single: boolean): Stacks {
  const sorted = [...lies].sort((a, b) => b.across - a.across);
  let sum = 0;
  for (const { kind, along } of sorted) sum += along * (left[kind] ?? 0);
  const limit = Math.min(most, sum);
  const value = new Float64Array(limit + 1).fill(-1);
  const last = new Int16Array(limit + 1).fill(-1);
  const used = new Int32Array(limit + 1);
  value[0] = 0;
  let reached = 0;
  for (let index = 0; index < sorted.length; index += 1) {
    const lie = sorted[index];
    if (lie === undefined) continue;
    const quantity = left[lie.kind] ?? 0;
    const { along } = lie;
    if (quantity <= 0 || along > limit) continue;
    const gain = lie.across * along;
    const end = single ? along : Math.min(limit, reached + along * quantity);
    used.fill(0, 0, end + 1);
    for (let length = along; length <= end; length += 1) {
      const from = length - along;
      const base = value[from] ?? -1;
      if (base < 0 || (last[length] ?? -1) >= 0 || (used[from] ?? 0) >= quantity || (single && from !== 0)) continue;
      value[length] = base + gain;
      last[length] = index;
      used[length] = (used[from] ?? 0) + 1;
    }
    reached = end > reached ? end : reached;
  }
  /** Fullest at or under each length. */
  const ends: number[] = [];
  const at = new Int32Array(limit + 1);
  let [best, where] = [0, 0];
  for (let length = 0; length <= limit; length += 1) {
    const area = value[length] ?? -1;
    if (area > best) { best = area; where = length; ends.push(length); }
    at[length] = where;
  }
  const endUpTo = (along: number): number => at[Math.min(along, limit)] ?? 0;
  const piecesAt = (along: number): readonly Lie[] => {
    const found: Lie[] = [];
    for (let rest = along; rest > 0; ) {
      const lie = sorted[last[rest] ?? -1];
      if (lie === undefined) break;
      found.push(lie);
      rest -= lie.along;
    }
    return found;
  };
  return { ends, endUpTo, filledUpTo: (along) => { const end = endUpTo(along); return end === 0 ? 0 : (value[end] ?? 0); }, piecesAt };
}
