import { valueAt, floatAt, intAt } from '../../quantity';
import type { Orientation } from '../problem/packing-problem';
import type { ItemSubsets } from './item-subsets';

/** Rows written down at most. */
const MOST_ROWS = 40_000;

/** Rows of pieces beside one another that a roll's width holds, narrowest first, the empty one among them. */
export interface Rows {
  readonly across: Int32Array;
  /** The pieces of each row. */
  readonly subset: Int32Array;
  /** The ways they lie, by place in the list given. */
  readonly orientations: readonly (readonly number[])[];
}

/**
 * Every row that can be made.
 * @param width in steps
 * @returns undefined when there are too many to write down
 */
export function rowsWithin(
  subsets: ItemSubsets,
  orientations: readonly Orientation[],
  width: number,
): Rows | undefined {
  const rows: {
    readonly across: number;
    readonly subset: number;
    readonly orientations: readonly number[];
  }[] = [{ across: 0, subset: 0, orientations: [] }];
  for (const [index, orientation] of orientations.entries()) {
    const one = subsets.one(orientation.itemType);
    const before = rows.length;
    for (let at = 0; at < before; at += 1) {
      let row = rows[at];
      while (
        row !== undefined &&
        row.across + orientation.across <= width &&
        subsets.areApart(row.subset, one)
      ) {
        row = {
          across: row.across + orientation.across,
          subset: row.subset + one,
          orientations: [...row.orientations, index],
        };
        rows.push(row);
        if (rows.length > MOST_ROWS) return undefined;
      }
    }
  }
  rows.sort((a, b) => a.across - b.across);
  return {
    across: Int32Array.from(rows, ({ across }) => across),
    subset: Int32Array.from(rows, ({ subset }) => subset),
    orientations: rows.map((row) => row.orientations),
  };
}

/**
 * How much the room beside some pieces can hold at best of what the others are worth: what it cannot is
 * wasted, whatever is cut later.
 * @param worth of each way to lie, in a row; scaled so that the best row is worth 1
 * @returns for a subset and the room beside it, at most so much of 1
 */
export function roomBeside(
  subsets: ItemSubsets,
  { across, subset, orientations }: Rows,
  dualPrice: readonly number[],
): { readonly scale: number; readonly held: (subset: number, room: number) => number } {
  const worths = Float64Array.from(orientations, (row) =>
    row.reduce((sum, orientation) => sum + valueAt(dualPrice, orientation), 0),
  );
  const scale = 1 / (worths.reduce((most, value) => Math.max(most, value), 0) || 1);
  const most = new Float64Array(worths.length);
  worths.forEach((value, at) => {
    worths[at] = value * scale;
    most[at] = Math.max(at === 0 ? 0 : floatAt(most, at - 1), worths[at]);
  });
  return {
    scale,
    held: (taken, room) => {
      let [low, high] = [0, across.length];
      while (low < high) {
        const middle = (low + high) >> 1;
        if (intAt(across, middle) <= room) low = middle + 1;
        else high = middle;
      }
      let best = 0;
      for (let at = low - 1; at > 0 && floatAt(most, at) > best; at -= 1)
        if (floatAt(worths, at) > best && subsets.areApart(taken, intAt(subset, at)))
          best = floatAt(worths, at);
      return best;
    },
  };
}
