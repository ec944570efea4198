import type { JobState, JobSummary } from '@yellow-pane/contracts';
import { JOB_TABLES } from '@yellow-pane/core/job';
import { countProgress } from '@yellow-pane/core/reading';
import { desc, eq, sql } from 'drizzle-orm';
import type { Database } from '../../db/database';
import { rowsAsJson } from '../../db/rows-as-json';
import { job } from '../../db/schema';
import { Refusal } from '../../http/refusal';
import { readFirstPages } from './job-statement';
import type { ProgressCache } from './progress-cache';

const PAGE = 2500;
/** How `row_to_json` begins a row; a person's text cannot contain it, since its quotes are escaped there. */
const ROW_START = '{"id":"';
const ROW_ID = /\{"id":"[0-9a-f-]{36}"/g;

/** All jobs that are not deleted, each with how far it is and its first surfaces as outlines. */
export async function readJobSummaries(db: Database, book: ProgressCache): Promise<readonly JobSummary[]> {
  const lines = await book.read();
  const jobs = await db
    .select()
    .from(job)
    .where(eq(job.removed, false))
    .orderBy(desc(job.changedAt), desc(job.madeAt));
  return jobs.map(({ id, name, archived, changedAt, changedBy, version }) => ({
    id,
    name,
    archived,
    changedBy,
    version,
    changedAt: changedAt.toISOString(),
    ...(lines.get(id)?.progress ?? countProgress([])),
    strip: lines.get(id)?.strip ?? [],
  }));
}

/**
 * A whole job as pieces of JSON text, in the wire form of `JobState`. The number of the last change is read
 * first and the rows page by page: whatever is changed in between is heard again from that number on, and
 * heard twice does no harm.
 */
export async function* readJobAsJson(db: Database, jobId: string): AsyncGenerator<string> {
  const record = await readFirstPages(db, jobId, PAGE);
  if (record === undefined)
    throw new Refusal('JOB_UNKNOWN', { path: 'jobId', expected: 'the id of a job', got: jobId });
  yield `{"seq":${record.seq ?? '0'},"rows":{`;
  for (const [index, table] of JOB_TABLES.entries()) {
    let page = record[table] ?? '[]';
    yield `${index === 0 ? '' : ','}"${table}":${page.slice(0, -1)}`;
    for (let last = lastIdOf(page); last !== undefined; last = lastIdOf(page)) {
      const [next] = (
        await db.execute<{ page: string }>(
          sql.raw(`select ${rowsAsJson(table, `'${jobId}'`, String(PAGE), `'${last}'`)} as page`),
        )
      ).rows;
      page = next?.page ?? '[]';
      if (page !== '[]') yield `,${page.slice(1, -1)}`;
    }
    yield ']';
  }
  yield '}}';
}

/** Where a full page ends, so that the next begins after it; undefined when the page is not full. */
function lastIdOf(page: string): string | undefined {
  const ids = page.match(ROW_ID) ?? [];
  return ids.length < PAGE ? undefined : ids.at(-1)?.slice(ROW_START.length, -1);
}

/** A whole job as values. */
export async function readJob(db: Database, jobId: string): Promise<JobState> {
  let text = '';
  for await (const part of readJobAsJson(db, jobId)) text += part;
  return JSON.parse(text) as JobState;
}
