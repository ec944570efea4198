import type { Lie, StripProblem } from '../by-hand/strip-problem';
import type { Fronts } from './fronts';

/** What one run of a beam looks at, by lie in order of width. */
export interface LieTable {
  readonly width: number;
  readonly lies: readonly Lie[];
  readonly across: Int32Array;
  readonly along: Int32Array;
  /** Which of the kinds present. */
  readonly kind: Int32Array;
  readonly wantsEdge: Uint8Array;
  readonly worth: Float64Array;
  /** What speaks for the piece anywhere. */
  readonly base: Float64Array;
  /** By width in steps: the first lie so wide, or -1. */
  readonly firstOfWidth: Int16Array;
}

const NOTHING = -1;
const WIDE = 1.2;
const WORTHY = 0.6;

/** @param pieces how many of each kind @param worth how much each piece is worth, by kind */
export function lieTable({ width, lies, kinds }: StripProblem, pieces: Uint16Array, worth: readonly number[]): LieTable {
  const order = lies.filter(({ kind }) => (pieces[kind] ?? 0) > 0).sort((a, b) => a.across - b.across);
  const places = new Map<number, number>();
  kinds.forEach((_, kind) => { if ((pieces[kind] ?? 0) > 0) places.set(kind, places.size); });
  const firstOfWidth = new Int16Array(width + 1).fill(NOTHING);
  for (let index = order.length - 1; index >= 0; index -= 1) firstOfWidth[order[index]?.across ?? 0] = index;
  return {
    width, lies: order, across: Int32Array.from(order, ({ across }) => across), along: Int32Array.from(order, ({ along }) => along), kind: Int32Array.from(order, ({ kind }) => places.get(kind) ?? 0),
    wantsEdge: Uint8Array.from(order, ({ wantsEdge }) => (wantsEdge ? 1 : 0)), worth: Float64Array.from(order, ({ kind }) => worth[kind] ?? 0),
    base: Float64Array.from(order, ({ across, along, kind }) => (WIDE * across) / width + (WORTHY * (worth[kind] ?? 0)) / (across * along)), firstOfWidth,
  };
}

/** Whether some piece left is exactly so wide. */
export function canFill({ firstOfWidth, across, kind }: LieTable, { left }: Fronts, leftBase: number, wide: number): boolean {
  let index = firstOfWidth[wide] ?? NOTHING;
  if (index < 0) return false;
  for (; across[index] === wide; index += 1) if ((left[leftBase + (kind[index] ?? 0)] ?? 0) > 0) return true;
  return false;
}
