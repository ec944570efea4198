import type { JobTable } from '@yellow-pane/core/job';
import { getTableColumns, getTableName } from 'drizzle-orm';
import { ROW_TABLES } from './schema';

/**
 * SQL for the rows of one table of a job, not removed, as the text of a JSON array in their wire form: made
 * by the database, never built up in memory. Instants come as the database writes them into JSON
 * (`2026-11-24T09:20:00+00:00`): ISO 8601, like all others on the wire.
 * @param jobId, most, after parameters or literals, as SQL text; `after`: only rows whose id comes after this
 * one, in the order of ids
 */
export function rowsAsJson(table: JobTable, jobId: string, most: string, after?: string): string {
  const { name, columns } = WIRE[table];
  const ofJob = `${table === 'job' ? 'id' : 'job_id'} = ${jobId}`;
  const onwards = after === undefined ? '' : ` and id > ${after}`;
  return `(select coalesce(json_agg(row_to_json(one))::text, '[]') from (select ${columns} from ${name} where ${ofJob} and not removed${onwards} order by id limit ${most}) one)`;
}

const WIRE = Object.fromEntries(
  Object.entries(ROW_TABLES).map(([table, from]) => {
    const columns = Object.keys(getTableColumns(from)).map((key) => `"${snakeCase(key)}" as "${key}"`);
    return [
      table,
      {
        name: getTableName(from),
        columns: [...columns, ...(table === 'job' ? ['id as "jobId"'] : [])].join(', '),
      },
    ];
  }),
) as Readonly<Record<JobTable, { readonly name: string; readonly columns: string }>>;

function snakeCase(key: string): string {
  return key.replace(/_?([A-Z])/g, (_, letter: string) => `_${letter.toLowerCase()}`);
}
