import type { JobState, JobSummary } from '@yellow-pane/contracts';
import { JOB_TABLES, type JobTable } from '@yellow-pane/core/job';
import { and, desc, eq, max, sql } from 'drizzle-orm';
import type { Database } from '../../db/database';
import { readJobRows, toWire } from '../../db/row-store';
import { change, job } from '../../db/schema';
import { Refusal } from '../../http/refusal';

const STRIP_LENGTH = 14;
const NM_PER_MM = 1e6;

interface SummaryRecord {
  readonly id: string;
  readonly surfaces: number;
  readonly measured: number;
  readonly with_film: number;
  readonly laid: number;
  readonly fitted: number;
  readonly strip: readonly { readonly tag: string; readonly width_nm: number | null; readonly height_nm: number | null }[] | null;
}

/** All jobs that are not deleted, each with its counts and the first surfaces as outlines. */
export async function readJobSummaries(db: Database): Promise<readonly JobSummary[]> {
  const jobs = await db.select().from(job).where(eq(job.removed, false)).orderBy(desc(job.changedAt), desc(job.madeAt));
  const records = (await db.execute<SummaryRecord & Record<string, unknown>>(SUMMARIES)).rows;
  const byId = new Map(records.map((record) => [record.id, record]));
  return jobs.map(({ id, name, archived, changedAt, changedBy, version }) => {
    const counts = byId.get(id);
    return {
      id, name, archived, changedBy, version,
      changedAt: changedAt.toISOString(),
      surfaces: counts?.surfaces ?? 0,
      measured: counts?.measured ?? 0,
      withFilm: counts?.with_film ?? 0,
      laid: counts?.laid ?? 0,
      fitted: counts?.fitted ?? 0,
      strip: (counts?.strip ?? []).map(({ tag, width_nm, height_nm }) => ({ tag, width_mm: width_nm === null ? null : width_nm / NM_PER_MM, height_mm: height_nm === null ? null : height_nm / NM_PER_MM })),
    };
  });
}

const WIDTHS = sql.raw(`(('tl','tr'),('tr','tl'),('ml','mr'),('mr','ml'),('bl','br'),('br','bl'))`);
const HEIGHTS = sql.raw(`(('tl','bl'),('bl','tl'),('mt','mb'),('mb','mt'),('tr','br'),('br','tr'))`);

const SUMMARIES = sql`
  with size as (
    select m.surface_id,
      max(m.value_nm) filter (where (m.from_point, m.to_point) in ${WIDTHS}) as width_nm,
      max(m.value_nm) filter (where (m.from_point, m.to_point) in ${HEIGHTS}) as height_nm
    from measure m where not m.removed group by m.surface_id
  ), filmed as (select distinct surface_id from application where not removed),
  laid as (
    select distinct a.surface_id from cut_piece p join cut_plan c on c.id = p.plan_id and not c.removed join application a on a.id = p.application_id and not a.removed where not p.removed
  ), fitted as (
    select distinct a.surface_id from work_record w join application a on a.id = w.application_id and not a.removed where not w.removed and w.step = 'handover' and w.done_at is not null
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

/** A whole job, and the number of the last change it holds. Read in one transaction, so that no change falls between. */
export async function readJob(db: Database, jobId: string): Promise<JobState> {
  return db.transaction(async (tx) => {
    const [found] = await tx.select({ id: job.id }).from(job).where(and(eq(job.id, jobId), eq(job.removed, false)));
    if (found === undefined) throw new Refusal('JOB_UNKNOWN', { path: 'jobId', expected: 'the id of a job', got: jobId });
    const [last] = await tx.select({ seq: max(change.seq) }).from(change).where(eq(change.jobId, jobId));
    const rows: Partial<Record<JobTable, readonly object[]>> = {};
    for (const table of JOB_TABLES) rows[table] = (await readJobRows(tx, table, jobId)).map((row) => toWire(table, row));
    return { seq: last?.seq ?? 0, rows: rows as JobState['rows'] };
  });
}
