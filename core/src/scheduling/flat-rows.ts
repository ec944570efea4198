/** Rows of unequal length laid end to end: row r is values[from[r]] to values[from[r + 1] - 1]. */
export interface FlatRows {
  readonly from: Int32Array;
  readonly values: Int32Array;
}

export function flatRows(rows: readonly ArrayLike<number>[]): FlatRows {
  const from = new Int32Array(rows.length + 1);
  rows.forEach((row, index) => {
    from[index + 1] = (from[index] as number) + row.length;
  });
  const values = new Int32Array(from[rows.length] as number);
  rows.forEach((row, index) => {
    values.set(row, from[index]);
  });
  return { from, values };
}
