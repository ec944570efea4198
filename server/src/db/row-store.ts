import type { JobTable, RowOf } from '@yellow-pane/core/job';
import { inArray } from 'drizzle-orm';
import type { Database, Transaction } from './database';
import { ROW_TABLES } from './schema';

/** A row as the database gives it: instants as dates. */
export type StoredRow = Readonly<Record<string, unknown>> & {
  readonly id: string;
  readonly version: number;
  readonly removed: boolean;
  readonly changedBy: string;
  readonly changedAt: Date;
};

/** All row tables look alike in the columns used here; the type of one stands for all. */
type AnyTable = (typeof ROW_TABLES)['place'];

export function tableOf(table: JobTable): AnyTable {
  return ROW_TABLES[table] as unknown as AnyTable;
}

/** The wire form of a stored row: instants as ISO text, and the job's own id as its jobId. */
export function toWire<Table extends JobTable>(table: Table, row: StoredRow): RowOf<Table> {
  const wire: Record<string, unknown> = {};
  for (const key in row) {
    const value = row[key];
    wire[key] = value instanceof Date ? value.toISOString() : value;
  }
  if (table === 'job') wire['jobId'] = row.id;
  return wire as unknown as RowOf<Table>;
}

/** Instants arrive as text and are stored as dates. */
export function toStored(fields: Readonly<Record<string, unknown>>): Record<string, unknown> {
  const stored: Record<string, unknown> = { ...fields };
  for (const key of [
    'startedAt',
    'doneAt',
    'cutAt',
    'takenOffAt',
    'putBackAt',
    'bookedAt',
    'spoiledAt',
    'startsAt',
    'endsAt',
    'endedAt',
    'lookedAt',
    'takenAt',
    'firstSeenAt',
    'goneAt',
    'watchUntil',
    'notBefore',
    'due',
    'plannedAt',
  ])
    if (typeof stored[key] === 'string') stored[key] = new Date(stored[key]);
  return stored;
}

/** The rows of one table with these ids, in whichever job. */
export async function readRows(
  db: Database | Transaction,
  table: JobTable,
  ids: readonly string[],
): Promise<Map<string, StoredRow>> {
  if (ids.length === 0) return new Map();
  const found = (await db
    .select()
    .from(tableOf(table))
    .where(inArray(tableOf(table).id, [...ids]))) as unknown as StoredRow[];
  return new Map(found.map((row) => [row.id, row]));
}

/** Which job a stored row belongs to. */
export function jobOf(table: JobTable, row: StoredRow): string {
  return table === 'job' ? row.id : (row['jobId'] as string);
}
