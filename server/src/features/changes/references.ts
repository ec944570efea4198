import type { Op } from '@yellow-pane/contracts';
import {
  type JobTable,
  type Reference,
  REFERENCES,
  referencesFrom,
  referencesTo,
} from '@yellow-pane/core/job';
import { sql } from 'drizzle-orm';
import { getTableConfig } from 'drizzle-orm/pg-core';
import type { Transaction } from '../../db/database';
import { type StoredRow, jobOf, readRows, tableOf } from '../../db/row-store';
import { Refusal } from '../../http/refusal';

interface Found extends Readonly<Record<string, unknown>> {
  readonly table: JobTable;
  readonly id: string;
  readonly version: number;
  readonly field: string;
}

/**
 * The operations of a change with what its removals bring with them: rows that hang on what goes are removed
 * before it, fields that name it are cleared. Rows the change itself removes stay as they are in it.
 */
export async function withConsequences(
  tx: Transaction,
  jobId: string,
  ops: readonly Op[],
): Promise<readonly Op[]> {
  const gone = new Map(ops.flatMap((op) => (op.op === 'remove' ? [[op.id, op.table] as const] : [])));
  if (gone.size === 0) return ops;
  const more: Op[] = [];
  const cleared: Found[] = [];
  for (let level = [...gone]; level.length > 0;) {
    const hanging = await hangingOn(tx, jobId, level);
    level = [];
    for (const row of hanging) {
      const reference = REFERENCES.find(({ table, field }) => table === row.table && field === row.field);
      if (reference?.whenGone === 'cleared') cleared.push(row);
      else if (!gone.has(row.id)) {
        gone.set(row.id, row.table);
        level.push([row.id, row.table]);
        more.unshift({ op: 'remove', table: row.table, id: row.id, baseVersion: row.version });
      }
    }
  }
  const isSetHere = ({ id, field }: Found): boolean =>
    ops.some((op) => op.op === 'set' && op.id === id && field in op.fields);
  const clearing = cleared
    .filter((row) => !gone.has(row.id) && !isSetHere(row))
    .map(
      ({ table, id, version, field }) =>
        ({ op: 'set', table, id, baseVersion: version, fields: { [field]: null } }) as unknown as Op,
    );
  return more.length + clearing.length === 0 ? ops : [...clearing, ...more, ...ops];
}

/** Rows that are there and name one of these. */
async function hangingOn(
  tx: Transaction,
  jobId: string,
  gone: readonly (readonly [id: string, table: JobTable])[],
): Promise<readonly Found[]> {
  const tables = [...new Set(gone.map(([, table]) => table))];
  const parts = tables.flatMap((to) => {
    const ids = sql.join(
      gone.filter(([, table]) => table === to).map(([id]) => sql`${id}::uuid`),
      sql`, `,
    );
    return referencesTo(to).map(
      ({ table, field }) =>
        sql`select ${table}::text as "table", id, version, ${field}::text as field from ${tableOf(table)} where job_id = ${jobId} and not removed and ${columnOf(table, field)} in (${ids})`,
    );
  });
  if (parts.length === 0) return [];
  return (await tx.execute<Found>(sql.join(parts, sql` union all `))).rows;
}

/** Refuses rows that would hang on what was deleted meanwhile. What a change names and puts itself is there.
 *  @throws Refusal REFERENCE_REMOVED with what it is and who deleted it */
export async function refuseLateChildren(tx: Transaction, jobId: string, ops: readonly Op[]): Promise<void> {
  const put = new Set(ops.flatMap((op) => (op.op === 'put' ? [op.id] : [])));
  const removed = new Set(ops.flatMap((op) => (op.op === 'remove' ? [op.id] : [])));
  const wanted = new Map<JobTable, Map<string, Reference>>();
  for (const op of ops) {
    if (op.op === 'remove') continue;
    const fields = op.fields as unknown as Readonly<Record<string, unknown>>;
    for (const reference of referencesFrom(op.table)) {
      const id = fields[reference.field];
      if (typeof id !== 'string' || (put.has(id) && !removed.has(id))) continue;
      if (id === op.id)
        throw new Refusal('REFERENCE_RING', {
          path: `${op.table}.${reference.field}`,
          expected: `another ${reference.to}`,
          got: 'itself',
        });
      const own = wanted.get(reference.to) ?? new Map<string, Reference>();
      wanted.set(reference.to, own.set(id, reference));
    }
  }
  for (const [table, ids] of wanted) {
    for (const row of (await readRows(tx, table, [...ids.keys()])).values()) {
      const reference = ids.get(row.id);
      if (reference === undefined || jobOf(table, row) !== jobId || !(row.removed || removed.has(row.id)))
        continue;
      throw new Refusal('REFERENCE_REMOVED', {
        path: `${reference.table}.${reference.field}`,
        expected: `a ${table} that is there`,
        got: `${nameOf(row)}, deleted by ${row.changedBy}`,
      });
    }
  }
}

/** Refuses a place under itself and a surface the same as itself, by whatever way round.
 *  @throws Refusal REFERENCE_RING */
export async function refuseRings(tx: Transaction, ops: readonly Op[]): Promise<void> {
  for (const { table, field, to } of REFERENCES) {
    if (table !== to) continue;
    const column = columnOf(table, field);
    for (const op of ops) {
      if (
        op.table !== table ||
        op.op === 'remove' ||
        typeof (op.fields as unknown as Readonly<Record<string, unknown>>)[field] !== 'string'
      )
        continue;
      const ring = await tx.execute<{ is_ring: boolean | null }>(sql`
        with recursive up(id, next) as (
          select id, ${column} from ${tableOf(table)} where id = ${op.id}
          union select own.id, own.next from up join (select id, ${column} as next from ${tableOf(table)}) as own on own.id = up.next
        ) select bool_or(next = ${op.id}) as is_ring from up`);
      if (ring.rows[0]?.is_ring === true)
        throw new Refusal('REFERENCE_RING', {
          path: `${table}.${field}`,
          expected: `a ${table} that does not itself hang on this one`,
          got: 'a ring',
        });
    }
  }
}

function nameOf(row: StoredRow): string {
  const name = [row['tag'], row['name']].find((text) => typeof text === 'string' && text !== '');
  return typeof name === 'string' ? name : row.id;
}

/** The column a field is kept in. */
function columnOf(table: JobTable, field: string): ReturnType<typeof sql.identifier> {
  const own = field.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
  if (!getTableConfig(tableOf(table)).columns.some(({ name }) => name === field || name === own))
    throw new RangeError(`${table} has no ${field}`);
  return sql.identifier(own);
}
