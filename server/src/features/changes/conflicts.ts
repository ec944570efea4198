import type { Conflict, Op } from '@yellow-pane/contracts';
import { and, desc, eq, gt, ne } from 'drizzle-orm';
import type { Transaction } from '../../db/database';
import type { StoredRow } from '../../db/row-store';
import { change, history } from '../../db/schema';

/** Fields of one operation that another session has set to something else since the version seen.
 *  Other fields merge; the same value twice is no conflict; deleting conflicts with any change. */
export async function conflictsOf(
  tx: Transaction,
  op: Exclude<Op, { op: 'put' }>,
  row: StoredRow,
  session: string,
): Promise<readonly Conflict[]> {
  const since = await tx
    .select({ after: history.after, who: change.who, at: change.at })
    .from(history)
    .innerJoin(change, eq(change.seq, history.seq))
    .where(
      and(
        eq(history.rowId, op.id),
        eq(history.tableName, op.table),
        gt(history.version, op.baseVersion),
        ne(change.session, session),
      ),
    )
    .orderBy(desc(history.version));
  const wanted: Readonly<Record<string, unknown>> = op.op === 'set' ? op.fields : {};
  const fields =
    op.op === 'set'
      ? Object.keys(wanted)
      : [...new Set(since.flatMap(({ after }) => Object.keys(after ?? {})))];
  return fields.flatMap((field): Conflict[] => {
    const theirs = since.find(({ after }) => after !== null && field in after);
    const now = plain(row[field]);
    if (theirs === undefined || (op.op === 'set' && same(now, wanted[field]))) return [];
    return [
      {
        table: op.table,
        id: op.id,
        field,
        yours: op.op === 'set' ? wanted[field] : 'deleted',
        theirs: now,
        who: theirs.who,
        at: theirs.at.toISOString(),
        version: row.version,
      },
    ];
  });
}

function plain(value: unknown): unknown {
  return value instanceof Date ? value.toISOString() : value;
}

function same(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}
