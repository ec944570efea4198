import { and, desc, eq } from 'drizzle-orm';
import type { Database } from '../../db/database';
import { change, history } from '../../db/schema';

const NEWEST = 500;

/** Who changed what in a job, newest first, at most 500 entries. */
export async function readHistory(
  db: Database,
  jobId: string,
  rowId: string | undefined,
): Promise<readonly object[]> {
  const ofRow = rowId === undefined ? undefined : eq(history.rowId, rowId);
  const entries = await db
    .select({
      seq: change.seq,
      who: change.who,
      personId: change.personId,
      at: change.at,
      table: history.tableName,
      rowId: history.rowId,
      version: history.version,
      op: history.op,
      before: history.before,
      after: history.after,
    })
    .from(history)
    .innerJoin(change, eq(change.seq, history.seq))
    .where(and(eq(change.jobId, jobId), ofRow))
    .orderBy(desc(history.id))
    .limit(NEWEST);
  return entries.map((entry) => ({ ...entry, at: entry.at.toISOString() }));
}
