import type { Lie } from '../problem/strip-problem';
import type { Selections } from './selections';

/** Rows written down at most. */
const MOST_ROWS = 40_000;

/** Rows of pieces beside one another that a roll's width holds, narrowest first, the empty one among them. */
export interface Rows {
  readonly across: Int32Array;
  /** The pieces of each row. */
  readonly selection: Int32Array;
  /** The ways they lie, by place in the list given. */
  readonly lies: readonly (readonly number[])[];
}

/**
 * Every row that can be made.
 * @param width in steps
 * @returns undefined when there are too many to write down
 */
export function rowsWithin(selections: Selections, lies: readonly Lie[], width: number): Rows | undefined {
  const rows: { readonly across: number; readonly selection: number; readonly lies: readonly number[] }[] = [
    { across: 0, selection: 0, lies: [] },
  ];
  for (const [index, lie] of lies.entries()) {
    const one = selections.one(lie.kind);
    const before = rows.length;
    for (let at = 0; at < before; at += 1) {
      let row = rows[at];
      while (
        row !== undefined &&
        row.across + lie.across <= width &&
        selections.areApart(row.selection, one)
      ) {
        row = { across: row.across + lie.across, selection: row.selection + one, lies: [...row.lies, index] };
        rows.push(row);
        if (rows.length > MOST_ROWS) return undefined;
      }
    }
  }
  rows.sort((a, b) => a.across - b.across);
  return {
    across: Int32Array.from(rows, ({ across }) => across),
    selection: Int32Array.from(rows, ({ selection }) => selection),
    lies: rows.map((row) => row.lies),
  };
}

/**
 * How much the room beside some pieces can hold at best of what the others are worth: what it cannot is
 * wasted, whatever is cut later.
 * @param worth of each way to lie, in a row; scaled so that the best row is worth 1
 * @returns for a selection and the room beside it, at most so much of 1
 */
export function roomBeside(
  selections: Selections,
  { across, selection, lies }: Rows,
  worth: readonly number[],
): { readonly scale: number; readonly held: (selection: number, room: number) => number } {
  const own = Float64Array.from(lies, (row) => row.reduce((sum, lie) => sum + (worth[lie] ?? 0), 0));
  const scale = 1 / (own.reduce((most, value) => Math.max(most, value), 0) || 1);
  const most = new Float64Array(own.length);
  own.forEach((value, at) => {
    own[at] = value * scale;
    most[at] = Math.max(at === 0 ? 0 : (most[at - 1] as number), own[at]);
  });
  return {
    scale,
    held: (taken, room) => {
      let [low, high] = [0, across.length];
      while (low < high) {
        const middle = (low + high) >> 1;
        if ((across[middle] as number) <= room) low = middle + 1;
        else high = middle;
      }
      let best = 0;
      for (let at = low - 1; at > 0 && (most[at] as number) > best; at -= 1)
        if ((own[at] as number) > best && selections.areApart(taken, selection[at] as number))
          best = own[at] as number;
      return best;
    },
  };
}
