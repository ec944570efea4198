import { JOB_TABLES } from '@yellow-pane/core/job';
import { sql } from 'drizzle-orm';
import type { Database } from '../../db/database';
import { rowsAsJson } from '../../db/rows-as-json';

type FirstPages = Readonly<Record<string, string | null>> & { readonly seq: string | null };

const READY = new WeakMap<Database, Promise<unknown>>();
const UUID = /^[0-9a-f-]{36}$/i;

/**
 * The number of a job's last change and the first page of each of its tables, or nothing when there is no
 * such job. Prepared once a connection (PGlite has one): planning these ten tables anew each time took twice
 * as long as reading them.
 */
export async function readFirstPages(
  db: Database,
  jobId: string,
  most: number,
): Promise<FirstPages | undefined> {
  let ready = READY.get(db);
  if (ready === undefined) {
    const pages = JOB_TABLES.map((table) => `${rowsAsJson(table, '$1', String(most))} as "${table}"`).join(
      ', ',
    );
    ready = db
      .execute(
        sql.raw(
          `prepare first_pages_of_job(uuid) as select (select max(seq)::text from change where job_id = $1) as seq, ${pages} where exists (select from job where id = $1 and not removed)`,
        ),
      )
      .then(() => undefined);
    READY.set(db, ready);
    /**
     * Whoever asks next tries again: one failure must not stand for all jobs until the server is started
     * anew.
     */
    ready.catch(() => READY.delete(db));
  }
  await ready;
  if (!UUID.test(jobId)) return undefined;
  return (await db.execute<FirstPages>(sql.raw(`execute first_pages_of_job('${jobId}')`))).rows[0];
}
