import type { AcceptedChange, Change, Conflict, Op, TableRow } from '@yellow-pane/contracts';
import { JOB_TABLES, type JobTable } from '@yellow-pane/core/job';
import { eq, sql } from 'drizzle-orm';
import type { Database, Transaction } from '../../db/database';
import { type StoredRow, jobOf, readRows, tableOf, toStored, toWire } from '../../db/row-store';
import { change as changeTable, history, job as jobTable, person } from '../../db/schema';
import { Refusal } from '../../http/refusal';
import { introduce } from '../people/queries';
import { refuseOverdrawn } from '../stock/queries';
import { conflictsOf } from './conflicts';
import { refuseFrozen } from './frozen';
import { refuseLateChildren, refuseRings, withConsequences } from './references';

interface Ledger {
  readonly jobId: string;
  readonly change: Change;
  readonly at: Date;
  readonly known: Map<string, StoredRow>;
  readonly log: LogEntry[];
}

type LogEntry = Omit<typeof history.$inferInsert, 'seq' | 'id'>;

const ROWS_PER_INSERT = 500;

/**
 * Does one change, wholly or not at all, and one at a time a job: what it decides by cannot change under it.
 * The same change id again gives the same answer without doing it again.
 * @throws Refusal ROW_CONFLICT with both values when another session changed the same field since the version
 * seen
 */
export async function applyChange(
  db: Database,
  jobId: string,
  asked: Change,
  at: Date,
): Promise<{ readonly accepted: AcceptedChange; readonly isNew: boolean }> {
  return db.transaction(async (tx) => {
    await tx.execute(sql`select pg_advisory_xact_lock(hashtextextended(${jobId}, 0))`);
    const standing = await standingOf(tx, jobId, asked);
    if (standing.earlier !== undefined) return { accepted: standing.earlier, isNew: false };
    const change = { ...asked, ops: [...(await withConsequences(tx, jobId, asked.ops))] };
    refuseFrozen(asked.ops);
    await refuseLateChildren(tx, jobId, change.ops);
    const known = await rowsNamed(tx, change.ops);
    const ledger: Ledger = { jobId, change, at, known, log: [] };
    if (!standing.isKnown) await introduce(tx, asked, at);
    await makeJobFirst(tx, ledger, standing.job);
    await refuseConflicts(tx, ledger);
    await doOps(tx, ledger);
    await refuseRings(tx, change.ops);
    await refuseOverdrawn(
      tx,
      change.ops.flatMap((op) => (op.table === 'stockTake' && op.op === 'put' ? [op.fields.stockId] : [])),
    );
    return { accepted: answer(ledger, await writeLog(tx, ledger)), isNew: true };
  });
}

function answer({ change, at, known }: Ledger, seq: number): AcceptedChange {
  const touched = new Map(change.ops.map((op) => [keyOf(op.table, op.id), op]));
  const rows = [...touched.values()].map(
    ({ table, id }) => ({ table, row: toWire(table, stored(known, table, id)) }) as TableRow,
  );
  const { id: changeId, session, who, personId = null } = change;
  return { seq, changeId, session, who, personId, at: at.toISOString(), rows };
}

type JobStanding = 'none' | 'there' | 'removed';

/** Whether the job and the person are there, and whether this change was done before, in one question. */
async function standingOf(
  tx: Transaction,
  jobId: string,
  { id: changeId, personId = null }: Change,
): Promise<{
  readonly job: JobStanding;
  readonly isKnown: boolean;
  readonly earlier?: AcceptedChange;
}> {
  const found = await tx.execute<{ removed: boolean | null; was_done: boolean; is_known: boolean }>(
    sql`select (select removed from ${jobTable} where id = ${jobId}) as removed, exists(select from ${changeTable} where id = ${changeId}) as was_done, exists(select from ${person} where id = ${personId}) as is_known`,
  );
  const { removed = null, was_done: wasDone = false, is_known: isKnown = false } = found.rows[0] ?? {};
  const standing: JobStanding = removed === null ? 'none' : removed ? 'removed' : 'there';
  return wasDone
    ? { job: standing, isKnown, earlier: await earlierAnswer(tx, jobId, changeId) }
    : { job: standing, isKnown };
}

async function earlierAnswer(tx: Transaction, jobId: string, changeId: string): Promise<AcceptedChange> {
  const [earlier] = await tx.select().from(changeTable).where(eq(changeTable.id, changeId));
  if (earlier?.jobId !== jobId)
    throw new Refusal('CHANGE_ID_USED', {
      path: 'id',
      expected: 'an identifier not used before',
      got: changeId,
    });
  return {
    seq: earlier.seq,
    changeId,
    session: earlier.session,
    who: earlier.who,
    personId: earlier.personId,
    at: earlier.at.toISOString(),
    rows: await rowsOfChange(tx, earlier.seq),
  };
}

/** Writes the change and what each of its operations did, in one statement.
 *  @returns the change's number */
async function writeLog(tx: Transaction, { jobId, change, at, log }: Ledger): Promise<number> {
  const written = await tx.execute<{ seq: string | number }>(sql`
    with taken as (insert into ${changeTable} (id, job_id, session, who, person_id, at) values (${change.id}, ${jobId}, ${change.session}, ${change.who}, ${change.personId ?? null}, ${at.toISOString()}) returning seq),
    entered as (
      insert into ${history} (seq, table_name, row_id, version, op, before, after)
      select taken.seq, entry."tableName", entry."rowId", entry.version, entry.op, entry.before, entry.after
      from taken, rows from (jsonb_to_recordset(${JSON.stringify(log)}::jsonb) as ("tableName" text, "rowId" uuid, version int, op text, before jsonb, after jsonb)) with ordinality as entry("tableName", "rowId", version, op, before, after, place)
      order by entry.place
    )
    select seq from taken`);
  const seq = Number(written.rows[0]?.seq);
  if (!Number.isSafeInteger(seq)) throw new Error('the change log took no row');
  return seq;
}

/** The rows a change touched, as they stand now. */
export async function rowsOfChange(db: Database | Transaction, seq: number): Promise<readonly TableRow[]> {
  const touched = await db
    .select({ table: history.tableName, id: history.rowId })
    .from(history)
    .where(eq(history.seq, seq))
    .orderBy(history.id);
  const rows: TableRow[] = [];
  for (const table of JOB_TABLES) {
    const ids = [...new Set(touched.filter((entry) => entry.table === table).map((entry) => entry.id))];
    for (const row of (await readRows(db, table, ids)).values())
      rows.push({ table, row: toWire(table, row) } as TableRow);
  }
  return rows;
}

async function rowsNamed(tx: Transaction, ops: readonly Op[]): Promise<Map<string, StoredRow>> {
  const known = new Map<string, StoredRow>();
  for (const table of JOB_TABLES) {
    const ids = [...new Set(ops.filter((op) => op.table === table).map((op) => op.id))];
    for (const part of chunks(ids, ROWS_PER_INSERT))
      for (const [id, row] of await readRows(tx, table, part)) known.set(keyOf(table, id), row);
  }
  return known;
}

/** Everything refers to the job, so a change that makes the job makes it first. */
async function makeJobFirst(
  tx: Transaction,
  { jobId, change, at, known }: Ledger,
  standing: JobStanding,
): Promise<void> {
  for (const op of change.ops)
    if (op.table === 'job' && op.id !== jobId)
      throw new Refusal('ROW_OF_ANOTHER_JOB', { path: 'ops.id', expected: jobId, got: op.id });
  const put = change.ops.find((op) => op.table === 'job' && op.op === 'put');
  if (standing === 'none') {
    if (put === undefined)
      throw new Refusal('JOB_UNKNOWN', { path: 'jobId', expected: 'the id of a job', got: jobId });
    const row = {
      id: jobId,
      ...changedNow(change.who, at),
      ...toStored(put.fields as unknown as Readonly<Record<string, unknown>>),
    };
    await tx.insert(jobTable).values(row as typeof jobTable.$inferInsert);
    known.set(`new ${keyOf('job', jobId)}`, row as unknown as StoredRow);
  } else if (standing === 'removed' && put === undefined)
    throw new Refusal('JOB_UNKNOWN', {
      path: 'jobId',
      expected: 'the id of a job that is not deleted',
      got: jobId,
    });
}

async function refuseConflicts(tx: Transaction, ledger: Ledger): Promise<void> {
  const found: Conflict[] = [];
  for (const op of ledger.change.ops) {
    const row = ledger.known.get(keyOf(op.table, op.id));
    if (row !== undefined && jobOf(op.table, row) !== ledger.jobId)
      throw new Refusal('ROW_OF_ANOTHER_JOB', {
        path: `${op.table}.id`,
        expected: 'a row of this job',
        got: op.id,
      });
    if (op.op === 'put') {
      if (row?.removed === false)
        throw new Refusal('ROW_EXISTS', {
          path: `${op.table}.id`,
          expected: 'an identifier not used before',
          got: op.id,
        });
      continue;
    }
    if (row === undefined) {
      if (!ledger.change.ops.some((other) => other.op === 'put' && other.id === op.id))
        throw new Refusal('ROW_UNKNOWN', {
          path: `${op.table}.id`,
          expected: 'a row of this job',
          got: op.id,
        });
      continue;
    }
    if (op.baseVersion > row.version)
      throw new Refusal('BODY_INVALID', {
        path: `${op.table}.baseVersion`,
        expected: `at most ${row.version}`,
        got: String(op.baseVersion),
      });
    if (row.removed)
      throw new Refusal(
        'ROW_REMOVED',
        { path: `${op.table}.id`, expected: 'a row that is there', got: op.id },
        { current: [{ table: op.table, row: toWire(op.table, row) }], who: row.changedBy },
      );
    if (row.version > op.baseVersion) found.push(...(await conflictsOf(tx, op, row, ledger.change.session)));
  }
  const [first] = found;
  if (first === undefined) return;
  const current = [...new Set(found.map(({ table, id }) => keyOf(table, id)))]
    .map((key) => ({ table: key.split(' ')[0] as JobTable, row: ledger.known.get(key) }))
    .map(({ table, row }) => ({ table, row: row === undefined ? undefined : toWire(table, row) }));
  throw new Refusal(
    'ROW_CONFLICT',
    {
      path: `${first.table}.${first.field}`,
      expected: JSON.stringify(first.theirs),
      got: JSON.stringify(first.yours),
    },
    { conflicts: found, current },
  );
}

async function doOps(tx: Transaction, ledger: Ledger): Promise<void> {
  const { ops } = ledger.change;
  for (let start = 0; start < ops.length;) {
    const first = ops[start];
    if (first === undefined) return;
    let end = start + 1;
    while (
      first.op === 'put' &&
      end < ops.length &&
      end - start < ROWS_PER_INSERT &&
      ops[end]?.op === 'put' &&
      ops[end]?.table === first.table
    )
      end += 1;
    const group = ops.slice(start, end);
    if (first.op === 'put') await putRows(tx, ledger, first.table, group);
    else await changeRow(tx, ledger, first);
    start = end;
  }
}

async function putRows(tx: Transaction, ledger: Ledger, table: JobTable, ops: readonly Op[]): Promise<void> {
  const { jobId, change, at, known, log } = ledger;
  const fresh: StoredRow[] = [];
  for (const op of ops) {
    if (op.op !== 'put') continue;
    const key = keyOf(table, op.id);
    const before = known.get(key);
    const fields = op.fields as unknown as Readonly<Record<string, unknown>>;
    log.push({
      tableName: table,
      rowId: op.id,
      version: (before?.version ?? 0) + 1,
      op: 'put',
      before: null,
      after: fields,
    });
    const madeAlready = known.get(`new ${key}`);
    if (madeAlready !== undefined) {
      known.set(key, madeAlready);
    } else if (before === undefined) {
      const row = {
        id: op.id,
        ...(table === 'job' ? {} : { jobId }),
        ...changedNow(change.who, at),
        ...toStored(fields),
      } as unknown as StoredRow;
      known.set(key, row);
      fresh.push(row);
    } else {
      if (!before.removed)
        throw new Refusal('ROW_EXISTS', { path: `${table}.id`, expected: 'each row put once', got: op.id });
      await writeRow(tx, ledger, table, before, { ...toStored(fields), removed: false });
    }
  }
  if (fresh.length > 0) await tx.insert(tableOf(table)).values(fresh as never[]);
}

async function changeRow(tx: Transaction, ledger: Ledger, op: Op): Promise<void> {
  if (op.op === 'put') return;
  const before = stored(ledger.known, op.table, op.id);
  const fields: Readonly<Record<string, unknown>> = op.op === 'set' ? op.fields : { removed: true };
  const earlier = Object.fromEntries(Object.keys(fields).map((key) => [key, before[key]]));
  ledger.log.push({
    tableName: op.table,
    rowId: op.id,
    version: before.version + 1,
    op: op.op,
    before: earlier,
    after: fields,
  });
  await writeRow(tx, ledger, op.table, before, toStored(fields));
}

async function writeRow(
  tx: Transaction,
  ledger: Ledger,
  table: JobTable,
  before: StoredRow,
  fields: Readonly<Record<string, unknown>>,
): Promise<void> {
  const after = {
    ...fields,
    version: before.version + 1,
    changedBy: ledger.change.who,
    changedAt: ledger.at,
  };
  await tx
    .update(tableOf(table))
    .set(after)
    .where(eq(tableOf(table).id, before.id));
  ledger.known.set(keyOf(table, before.id), { ...before, ...after });
}

function changedNow(who: string, at: Date): Readonly<Record<string, unknown>> {
  return { version: 1, madeBy: who, madeAt: at, changedBy: who, changedAt: at, removed: false };
}

function stored(known: Map<string, StoredRow>, table: JobTable, id: string): StoredRow {
  const row = known.get(keyOf(table, id));
  if (row === undefined)
    throw new Refusal('ROW_UNKNOWN', { path: `${table}.id`, expected: 'a row of this job', got: id });
  return row;
}

function keyOf(table: JobTable, id: string): string {
  return `${table} ${id}`;
}

function chunks<Item>(items: readonly Item[], size: number): Item[][] {
  return Array.from({ length: Math.ceil(items.length / size) }, (_, index) =>
    items.slice(index * size, (index + 1) * size),
  );
}
