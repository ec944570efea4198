import type { JobState, JobSummary } from '@yellow-pane/contracts';
import { JOB_TABLES } from '@yellow-pane/core/job';
import { desc, eq, sql } from 'drizzle-orm';
import type { Database } from '../../db/database';
import { rowsAsJson } from '../../db/rows-as-json';
import { job } from '../../db/schema';
import { Refusal } from '../../http/refusal';
import { readFirstPages } from './job-statement';

const STRIP_LENGTH = 14;
const PAGE = 2500;
/** How `row_to_json` begins a row; a person's text cannot contain it, since its quotes are escaped there. */
const ROW_START = '{"id":"';
const ROW_ID = /\{"id":"[0-9a-f-]{36}"/g;
const NM_PER_MM = 1e6;

interface SummaryRecord {
  readonly id: string;
  readonly surfaces: number;
  readonly measured: number;
  readonly with_film: number;
  readonly laid: number;
  readonly fitted: number;
  readonly strip:
    | readonly { readonly tag: string; readonly width_nm: number | null; readonly height_nm: number | null }[]
    | null;
}

/** All jobs that are not deleted, each with its counts and the first surfaces as outlines. */
export async function readJobSummaries(db: Database): Promise<readonly JobSummary[]> {
  const jobs = await db
    .select()
    .from(job)
    .where(eq(job.removed, false))
    .orderBy(desc(job.changedAt), desc(job.madeAt));
  const records = (await db.execute<SummaryRecord & Record<string, unknown>>(SUMMARIES)).rows;
  const byId = new Map(records.map((record) => [record.id, record]));
  return jobs.map(({ id, name, archived, changedAt, changedBy, version }) => {
    const counts = byId.get(id);
    return {
      id,
      name,
      archived,
      changedBy,
      version,
      changedAt: changedAt.toISOString(),
      surfaces: counts?.surfaces ?? 0,
      measured: counts?.measured ?? 0,
      withFilm: counts?.with_film ?? 0,
      laid: counts?.laid ?? 0,
      fitted: counts?.fitted ?? 0,
      strip: (counts?.strip ?? []).map(({ tag, width_nm, height_nm }) => ({
        tag,
        width_mm: width_nm === null ? null : width_nm / NM_PER_MM,
        height_mm: height_nm === null ? null : height_nm / NM_PER_MM,
      })),
    };
  });
}

const WIDTHS = sql.raw(
  `(('tl','tr'),('tr','tl'),('ml','mr'),('mr','ml'),('bl','br'),('br','bl'),('p1','p2'),('a','b'))`,
);
const HEIGHTS = sql.raw(
  `(('tl','bl'),('bl','tl'),('mt','mb'),('mb','mt'),('tr','br'),('br','tr'),('p2','p3'),('bl','tp'),('floor','top'))`,
);

const SUMMARIES = sql`
  with size as (
    select m.surface_id,
      coalesce(max(m.value_nm) filter (where m.kind = 'distance' and (m.from_point, m.to_point) in ${WIDTHS}), (max(m.value_nm) filter (where m.kind = 'circumference') / pi())::bigint) as width_nm,
      coalesce(max(m.value_nm) filter (where m.kind = 'distance' and (m.from_point, m.to_point) in ${HEIGHTS}), max(m.value_nm) filter (where m.kind = 'height over')) as height_nm
    from measure m where not m.removed group by m.surface_id
  ), filmed as (select distinct surface_id from application where not removed),
  laid as (
    select distinct a.surface_id from cut_piece p join cut_plan c on c.id = p.plan_id and not c.removed join application a on a.id = p.application_id and not a.removed where not p.removed
  ), fitted as (
    select distinct a.surface_id from work_record w join application a on a.id = w.application_id and not a.removed where not w.removed and starts_with(w.step, 'handover') and w.done_at is not null
  ), line as (
    select s.job_id, s.id, s.tag, z.width_nm, z.height_nm, f.surface_id is not null as has_film, l.surface_id is not null as is_laid, d.surface_id is not null as is_fitted,
      row_number() over (partition by s.job_id order by s.position, s.id) as place_in_line
    from surface s left join size z on z.surface_id = s.id left join filmed f on f.surface_id = s.id left join laid l on l.surface_id = s.id left join fitted d on d.surface_id = s.id
    where not s.removed
  )
  select job_id as id, count(*)::int as surfaces,
    count(*) filter (where width_nm is not null and height_nm is not null)::int as measured,
    count(*) filter (where has_film)::int as with_film,
    count(*) filter (where is_laid)::int as laid,
    count(*) filter (where is_fitted)::int as fitted,
    json_agg(json_build_object('tag', tag, 'width_nm', width_nm, 'height_nm', height_nm) order by place_in_line) filter (where place_in_line <= ${STRIP_LENGTH}) as strip
  from line group by job_id`;

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
