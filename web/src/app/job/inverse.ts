import type { Op } from '@yellow-pane/contracts';
import { type JobTable, fieldsOfRow } from '@yellow-pane/core/job';
import { type Tables, rowIn } from './tables';

/**
 * The operations that take `ops` back, given the rows as they were before. In reverse order, so children
 * leave before parents.
 */
export function inverseOf(ops: readonly Op[], before: Tables): readonly Op[] {
  return [...ops].reverse().map((op) => {
    const row = rowIn(before, op.table, op.id);
    if (op.op === 'put') return { op: 'remove', table: op.table, id: op.id, baseVersion: 1 };
    if (row === undefined) throw new RangeError(`${op.table} ${op.id} is not in this job`);
    if (op.op === 'remove') return putAgain(op.table, row);
    const fields = Object.fromEntries(
      Object.keys(op.fields).map((key) => [key, (row as unknown as Record<string, unknown>)[key]]),
    );
    return { op: 'set', table: op.table, id: op.id, baseVersion: op.baseVersion, fields } as unknown as Op;
  });
}

/** The operation that brings a removed row back. */
export function putAgain(table: JobTable, row: { readonly id: string }): Op {
  return { op: 'put', table, id: row.id, fields: fieldsOfRow(row) } as unknown as Op;
}

/** The same operations against the versions the rows have now known to this session. */
export function againstVersions(
  ops: readonly Op[],
  versions: Readonly<Record<string, number>>,
): readonly Op[] {
  return ops.map((op) => (op.op === 'put' ? op : { ...op, baseVersion: versions[op.id] ?? op.baseVersion }));
}
