import { intAt } from '../quantity';

/** Rows of unequal length laid end to end: row r is values[from[r]] to values[from[r + 1] - 1]. */
export interface FlatRows {
  readonly from: Int32Array;
  readonly values: Int32Array;
}

export function flatRows(rows: readonly ArrayLike<number>[]): FlatRows {
  const from = new Int32Array(rows.length + 1);
  rows.forEach((row, index) => {
    from[index + 1] = intAt(from, index) + row.length;
  });
  const values = new Int32Array(intAt(from, rows.length));
  rows.forEach((row, index) => {
    values.set(row, from[index]);
  });
  return { from, values };
}
