import { type JobTable } from '@yellow-pane/core/job';
import { type SQL, getTableColumns, sql } from 'drizzle-orm';
import { ROW_TABLES, job } from './schema';

/** Rows of one table of a job, not removed, as the text of a JSON array in their wire form: made by the database, never built up in memory.
 *  Instants come as the database writes them into JSON (`2026-11-24T09:20:00+00:00`): ISO 8601, like all others on the wire.
 *  @param after only rows whose id comes after this one, in the order of ids */
export function rowsAsJson(table: JobTable, jobId: string, most: number, after?: string): SQL {
  const from = ROW_TABLES[table];
  const ofJob = table === 'job' ? sql`${job.id} = ${jobId}` : sql`${sql.identifier('job_id')} = ${jobId}`;
  const onwards = after === undefined ? sql`` : sql` and ${sql.identifier('id')} > ${after}`;
  return sql`(select coalesce(json_agg(row_to_json(one))::text, '[]') from (select ${WIRE_COLUMNS[table]} from ${from} where ${ofJob} and not removed${onwards} order by id limit ${most}) one)`;
}

const WIRE_COLUMNS = Object.fromEntries(Object.entries(ROW_TABLES).map(([table, from]) => {
  const columns = Object.keys(getTableColumns(from)).map((key) => `"${snakeCase(key)}" as "${key}"`);
  if (table === 'job') columns.push('id as "jobId"');
  return [table, sql.raw(columns.join(', '))];
})) as Readonly<Record<JobTable, SQL>>;

function snakeCase(key: string): string {
  return key.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
}
