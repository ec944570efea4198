import { intAt, countAt, valueAt, floatAt } from '../../quantity';
import type { Orientation, PackingProblem } from '../problem/packing-problem';
import type { Skylines } from './skylines';

/** What one run of a beam looks at, by lie in order of width. */
export interface OrientationTable {
  readonly width: number;
  readonly orientations: readonly Orientation[];
  readonly across: Int32Array;
  readonly along: Int32Array;
  /** Which of the item types present. */
  readonly itemType: Int32Array;
  readonly wantsEdge: Uint8Array;
  /** Steps of length each is worth, and each row of steps along it. */
  readonly dualPrice: Float64Array;
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

/**
 * @param pieces how many of each item type @param worth how many steps of length each piece is worth, by item
 * type
 */
export function orientationTable(
  { width, orientations, itemTypes }: PackingProblem,
  pieces: Uint16Array,
  dualPrice: readonly number[],
): OrientationTable {
  const order = orientations
    .filter(({ itemType }) => countAt(pieces, itemType) > 0)
    .sort((a, b) => a.across - b.across);
  const places = new Map<number, number>();
  itemTypes.forEach((_, itemType) => {
    if (countAt(pieces, itemType) > 0) places.set(itemType, places.size);
  });
  const firstOfWidth = new Int16Array(width + 1).fill(NOTHING);
  for (let index = order.length - 1; index >= 0; index -= 1)
    firstOfWidth[valueAt(order, index).across] = index;
  const rate = Float64Array.from(order, ({ itemType, along }) => valueAt(dualPrice, itemType) / along);
  return {
    width,
    orientations: order,
    across: Int32Array.from(order, ({ across }) => across),
    along: Int32Array.from(order, ({ along }) => along),
    itemType: Int32Array.from(order, ({ itemType }) => places.get(itemType) ?? 0),
    wantsEdge: Uint8Array.from(order, ({ wantsEdge }) => (wantsEdge ? 1 : 0)),
    dualPrice: Float64Array.from(order, ({ itemType }) => valueAt(dualPrice, itemType)),
    rate,
    room: roomsOf(width, order, rate),
    base: Float64Array.from(
      order,
      ({ across, along, itemType }) =>
        (WIDE * across) / width + (WORTHY * width * valueAt(dualPrice, itemType)) / (across * along),
    ),
    firstOfWidth,
  };
}

function roomsOf(width: number, orientations: readonly Orientation[], rate: Float64Array): Float64Array {
  const room = new Float64Array(width + 1);
  for (let wide = 1; wide <= width; wide += 1) {
    let most = floatAt(room, wide - 1);
    for (let index = 0; index < orientations.length; index += 1) {
      const across = valueAt(orientations, index).across;
      if (across > wide) break;
      const sum = floatAt(rate, index) + floatAt(room, wide - across);
      if (sum > most) most = sum;
    }
    room[wide] = most;
  }
  return room;
}

/** Whether some piece left is exactly so wide. */
export function canFill(
  { firstOfWidth, across, itemType }: OrientationTable,
  { left }: Skylines,
  leftBase: number,
  wide: number,
): boolean {
  let index = firstOfWidth[wide] ?? NOTHING;
  if (index < 0) return false;
  for (; across[index] === wide; index += 1)
    if (countAt(left, leftBase + intAt(itemType, index)) > 0) return true;
  return false;
}
