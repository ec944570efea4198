import type { MadeBy, RollRow, StockItem } from '@yellow-pane/contracts';
import type { Roll, SpokenFor } from '@yellow-pane/core/job';
import { eq, sql } from 'drizzle-orm';
import type { Database, Transaction } from '../../db/database';
import { cutPlan, cutRoll, job, offcut, roll, stockTake } from '../../db/schema';
import { Refusal } from '../../http/refusal';
import { changedBy } from '../people/queries';

/** Everything film can be cut from, with what is left of it. */
export async function readStock(db: Database | Transaction): Promise<readonly StockItem[]> {
  const taken = await takenBy(db);
  const spoken = await spokenForBy(db);
  const left = (id: string, length_nm: number): number => Math.max(0, length_nm - (taken.get(id) ?? 0));
  const rolls = await db.select().from(roll).orderBy(roll.label);
  const offcuts = await db
    .select({ row: offcut })
    .from(offcut)
    .innerJoin(job, eq(job.id, offcut.jobId))
    .where(sql`not ${offcut.removed} and not ${job.removed}`)
    .orderBy(offcut.label);
  return [
    ...rolls.map(({ changedBy: _by, changedAt: _at, ...row }): StockItem => ({
      ...row,
      left_nm: left(row.id, row.length_nm),
      spokenFor: spoken.get(row.id) ?? [],
      parentId: null,
      jobId: null,
    })),
    ...offcuts.map(({ row }) => offcutItem(row, left(row.id, row.length_nm), spoken.get(row.id) ?? [])),
  ];
}

/** Length taken of each roll and offcut, over all jobs that are not deleted. */
async function takenBy(db: Database | Transaction): Promise<ReadonlyMap<string, number>> {
  const sums = await db
    .select({ id: stockTake.stockId, sum: sql<string>`sum(${stockTake.length_nm})` })
    .from(stockTake)
    .innerJoin(job, eq(job.id, stockTake.jobId))
    .where(sql`not ${stockTake.removed} and not ${job.removed}`)
    .groupBy(stockTake.stockId);
  return new Map(sums.map(({ id, sum }) => [id, Number(sum)]));
}

/** What plans of jobs at hand take of each roll and offcut and have not cut yet. */
async function spokenForBy(db: Database | Transaction): Promise<ReadonlyMap<string, readonly SpokenFor[]>> {
  const sums = await db
    .select({
      id: cutRoll.stockId,
      jobId: job.id,
      job: job.name,
      sum: sql<string>`sum(${cutRoll.used_nm})`,
    })
    .from(cutRoll)
    .innerJoin(cutPlan, sql`${cutPlan.id} = ${cutRoll.planId} and not ${cutPlan.removed}`)
    .innerJoin(job, eq(job.id, cutRoll.jobId))
    .where(
      sql`${cutRoll.stockId} is not null and ${cutRoll.bookedAt} is null and not ${cutRoll.removed} and not ${job.removed} and not ${job.archived}`,
    )
    .groupBy(cutRoll.stockId, job.id, job.name)
    .orderBy(job.name);
  const spoken = new Map<string, SpokenFor[]>();
  for (const { id, jobId, job: name, sum } of sums) {
    const own = spoken.get(id ?? '') ?? [];
    own.push({ jobId, job: name, length_nm: Number(sum) });
    spoken.set(id ?? '', own);
  }
  return spoken;
}

function offcutItem(
  row: typeof offcut.$inferSelect,
  left_nm: number,
  spokenFor: readonly SpokenFor[],
): StockItem {
  const { id, jobId, parentId, filmId, label, lot, width_nm, length_nm, perMetre, where } = row;
  const { leftEdge, rightEdge, version, gone } = row;
  return {
    ...{ id, jobId, parentId, filmId, label, lot, width_nm, length_nm, perMetre, where, leftEdge, rightEdge },
    what: 'offcut',
    version,
    gone,
    left_nm,
    spokenFor,
  };
}

/** @throws Refusal ROLL_CONFLICT when the version seen is not the one kept */
export async function saveRoll(
  db: Database,
  {
    id,
    roll: fields,
    by,
    at,
    version,
  }: {
    readonly id: string;
    readonly roll: Roll;
    readonly by: MadeBy;
    readonly at: Date;
    readonly version?: number;
  },
): Promise<RollRow> {
  return db.transaction(async (tx) => {
    const [current] = await tx.select().from(roll).where(eq(roll.id, id));
    if (current !== undefined && current.version !== version)
      throw new Refusal('ROLL_CONFLICT', {
        path: 'If-Match',
        expected: String(current.version),
        got: String(version ?? 'nothing'),
      });
    if (current === undefined && version !== undefined)
      throw new Refusal('ROLL_UNKNOWN', { path: 'rollId', expected: 'a roll of the stock', got: id });
    const row = {
      id,
      version: (current?.version ?? 0) + 1,
      ...(await changedBy(tx, by, at)),
      ...fields,
    };
    if (current === undefined) await tx.insert(roll).values(row);
    else await tx.update(roll).set(row).where(eq(roll.id, id));
    return { ...row, changedAt: at.toISOString() };
  });
}

/** Nobody takes more off a roll than there is: of those named.
 *  @throws Refusal STOCK_TOO_SHORT naming the roll and what is left */
export async function refuseOverdrawn(tx: Transaction, stockIds: readonly string[]): Promise<void> {
  for (const id of new Set(stockIds)) {
    const found = await tx.execute<{ label: string | null; has: string | null; taken: string | null }>(sql`
      select coalesce(r.label, o.label) as label, coalesce(r.length_nm, o.length_nm) as has,
        (select sum(t.length_nm) from ${stockTake} t join ${job} j on j.id = t.job_id and not j.removed where t.stock_id = ${id} and not t.removed) as taken
      from (select ${id}::uuid as id) one left join ${roll} r on r.id = one.id left join ${offcut} o on o.id = one.id and not o.removed`);
    const [{ label, has, taken } = { label: null, has: null, taken: null }] = found.rows;
    if (has === null)
      throw new Refusal('REFERENCE_UNKNOWN', {
        path: 'stockTake.stockId',
        expected: 'a roll or offcut of the stock',
        got: id,
      });
    const over = Number(taken ?? 0) - Number(has);
    if (over > 0)
      throw new Refusal('STOCK_TOO_SHORT', {
        path: `${label ?? 'roll'}, length`,
        expected: `at most ${(Number(has) / 1e6).toFixed(0)} mm taken in all`,
        got: `${(Number(taken) / 1e6).toFixed(0)} mm`,
      });
  }
}
