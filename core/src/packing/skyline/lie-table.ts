import type { Lie, StripProblem } from '../problem/strip-problem';
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
  /** Steps of length each is worth, and each row of steps along it. */
  readonly worth: Float64Array;
  readonly rate: Float64Array;
  /**
   * By width in steps: the most that pieces side by side in it can be worth, a row of steps; 1 across the
   * whole roll.
   */
  readonly room: Float64Array;
  /** What speaks for the piece anywhere. */
  readonly base: Float64Array;
  /** By width in steps: the first lie so wide, or -1. */
  readonly firstOfWidth: Int16Array;
}

const NOTHING = -1;
const WIDE = 1.2;
const WORTHY = 0.6;

/** @param pieces how many of each kind @param worth how many steps of length each piece is worth, by kind */
export function lieTable(
  { width, lies, kinds }: StripProblem,
  pieces: Uint16Array,
  worth: readonly number[],
): LieTable {
  const order = lies.filter(({ kind }) => (pieces[kind] ?? 0) > 0).sort((a, b) => a.across - b.across);
  const places = new Map<number, number>();
  kinds.forEach((_, kind) => {
    if ((pieces[kind] ?? 0) > 0) places.set(kind, places.size);
  });
  const firstOfWidth = new Int16Array(width + 1).fill(NOTHING);
  for (let index = order.length - 1; index >= 0; index -= 1) firstOfWidth[order[index]?.across ?? 0] = index;
  const rate = Float64Array.from(order, ({ kind, along }) => (worth[kind] ?? 0) / along);
  return {
    width,
    lies: order,
    across: Int32Array.from(order, ({ across }) => across),
    along: Int32Array.from(order, ({ along }) => along),
    kind: Int32Array.from(order, ({ kind }) => places.get(kind) ?? 0),
    wantsEdge: Uint8Array.from(order, ({ wantsEdge }) => (wantsEdge ? 1 : 0)),
    worth: Float64Array.from(order, ({ kind }) => worth[kind] ?? 0),
    rate,
    room: roomsOf(width, order, rate),
    base: Float64Array.from(
      order,
      ({ across, along, kind }) =>
        (WIDE * across) / width + (WORTHY * width * (worth[kind] ?? 0)) / (across * along),
    ),
    firstOfWidth,
  };
}

function roomsOf(width: number, lies: readonly Lie[], rate: Float64Array): Float64Array {
  const room = new Float64Array(width + 1);
  for (let wide = 1; wide <= width; wide += 1) {
    let most = room[wide - 1] as number;
    for (let index = 0; index < lies.length; index += 1) {
      const across = lies[index]?.across ?? 0;
      if (across > wide) break;
      const sum = (rate[index] as number) + (room[wide - across] as number);
      if (sum > most) most = sum;
    }
    room[wide] = most;
  }
  return room;
}

/** Whether some piece left is exactly so wide. */
export function canFill(
  { firstOfWidth, across, kind }: LieTable,
  { left }: Fronts,
  leftBase: number,
  wide: number,
): boolean {
  let index = firstOfWidth[wide] ?? NOTHING;
  if (index < 0) return false;
  for (; across[index] === wide; index += 1) if ((left[leftBase + (kind[index] ?? 0)] ?? 0) > 0) return true;
  return false;
}
