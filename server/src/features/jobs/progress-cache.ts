import type { Learned } from '@yellow-pane/core/learned';
import type { JobTable, RowOf } from '@yellow-pane/core/job';
import {
  type JobRows,
  JobView,
  type Progress,
  type SurfaceProgress,
  type Extent,
  countProgress,
  determinedWithin_mm,
  extentOf,
  jobRows,
  surfaceProgress,
  EMPTY_SHOP,
} from '@yellow-pane/core/reading';
import { type AnyColumn, and, eq, getTableColumns, inArray, sql } from 'drizzle-orm';
import type { Database } from '../../db/database';
import { type StoredRow, tableOf, toWire } from '../../db/row-store';
import { job } from '../../db/schema';
import { readLearned } from '../learned/queries';

/** One surface in the list of jobs: how far it is, and its outline in small. */
interface SurfaceLine extends Extent {
  readonly progress: SurfaceProgress;
}

interface JobLine {
  readonly progress: Progress;
  /** The first surfaces in order. */
  readonly strip: readonly ({ readonly tag: string } & Extent)[];
}

/** A surface and what its answer was made of: every change to its rows adds to the sum of their versions. */
interface Mark {
  readonly id: string;
  readonly tag: string;
  readonly mark: number;
}

interface Kept {
  readonly seq: string;
  readonly within_mm: number;
  readonly lines: ReadonlyMap<string, { readonly mark: number; readonly line: SurfaceLine }>;
  readonly answer: JobLine;
}

const STRIP_LENGTH = 14;
/** Surfaces asked about between two turns of the event loop. */
const AT_ONCE = 40;

/**
 * How far every job is, as core says it. An answer is kept beside the number of the job's last change and the
 * figure it went by; any change throws it away, and only surfaces whose rows changed are asked about again.
 */
export class ProgressCache {
  readonly #kept = new Map<string, Kept>();
  #reading: Promise<unknown> = Promise.resolve();

  constructor(private readonly db: Database) {}

  /** By job id. Whoever asks meanwhile waits for the same answers. */
  read(): Promise<ReadonlyMap<string, JobLine>> {
    const answer = this.#reading.then(
      () => this.#readAll(),
      () => this.#readAll(),
    );
    this.#reading = answer;
    return answer;
  }

  async #readAll(): Promise<ReadonlyMap<string, JobLine>> {
    const learned = await readLearned(this.db);
    const within_mm = determinedWithin_mm(learned);
    const jobs = await this.db.execute<{ id: string; seq: string | null }>(
      sql`select j.id, (select max(c.seq)::text from change c where c.job_id = j.id) as seq from ${job} j where not j.removed`,
    );
    const found = new Map<string, JobLine>();
    for (const { id, seq } of jobs.rows) {
      const known = this.#kept.get(id);
      const kept =
        known?.seq === (seq ?? '0') && known.within_mm === within_mm
          ? known
          : await this.#readJob(id, { seq: seq ?? '0', within_mm, learned }, known);
      this.#kept.set(id, kept);
      found.set(id, kept.answer);
    }
    for (const id of this.#kept.keys()) if (!found.has(id)) this.#kept.delete(id);
    return found;
  }

  async #readJob(
    jobId: string,
    { seq, within_mm, learned }: Pick<Kept, 'seq' | 'within_mm'> & { readonly learned: readonly Learned[] },
    before: Kept | undefined,
  ): Promise<Kept> {
    const marks = await this.#marks(jobId);
    const lines = new Map<string, { readonly mark: number; readonly line: SurfaceLine }>();
    const open: Mark[] = [];
    for (const own of marks) {
      const known = before?.within_mm === within_mm ? before.lines.get(own.id) : undefined;
      if (known?.mark === own.mark) lines.set(own.id, known);
      else open.push(own);
    }
    for (let start = 0; start < open.length; start += AT_ONCE) {
      const some = open.slice(start, start + AT_ONCE);
      const view = new JobView(await this.#rowsAbout(jobId, some), { ...EMPTY_SHOP, learned });
      for (const { id, mark } of some) lines.set(id, { mark, line: lineOf(view, id) });
    }
    const inOrder = marks.flatMap(({ id, tag }) => {
      const own = lines.get(id);
      return own === undefined ? [] : [{ tag, ...own.line }];
    });
    return {
      seq,
      within_mm,
      lines,
      answer: {
        progress: countProgress(inOrder.map(({ progress }) => progress)),
        strip: inOrder
          .slice(0, STRIP_LENGTH)
          .map(({ tag, width_mm, height_mm }) => ({ tag, width_mm, height_mm })),
      },
    };
  }

  /** The surfaces of a job in order, each with the sum of the versions of all rows its answer is made of. */
  async #marks(jobId: string): Promise<readonly Mark[]> {
    const { rows } = await this.db.execute<{ id: string; tag: string; mark: string }>(sql`
      with about as (
        select surface_id, version from measure where job_id = ${jobId}
        union all select surface_id, version from part where job_id = ${jobId}
        union all select surface_id, version from wall_facts where job_id = ${jobId}
        union all select surface_id, version from application where job_id = ${jobId}
        union all select a.surface_id, w.version from work_record w join application a on a.id = w.application_id where w.job_id = ${jobId}
        union all select a.surface_id, p.version + c.version from cut_piece p join application a on a.id = p.application_id join cut_plan c on c.id = p.plan_id where p.job_id = ${jobId}
      ), sums as (select surface_id, sum(version) as sum from about group by surface_id)
      select s.id, s.tag, (s.version + coalesce(sums.sum, 0))::text as mark
      from surface s left join sums on sums.surface_id = s.id
      where s.job_id = ${jobId} and not s.removed order by s.position, s.id`);
    return rows.map(({ id, tag, mark }) => ({ id, tag, mark: Number(mark) }));
  }

  async #rowsAbout(jobId: string, surfaces: readonly Mark[]): Promise<JobRows> {
    const ids = surfaces.map(({ id }) => id);
    const application = await this.#rows('application', 'surfaceId', ids);
    const applied = application.map(({ id }) => id);
    return jobRows({
      application,
      surface: await this.#rows('surface', 'id', ids),
      measure: await this.#rows('measure', 'surfaceId', ids),
      part: await this.#rows('part', 'surfaceId', ids),
      wallFacts: await this.#rows('wallFacts', 'surfaceId', ids),
      workRecord: await this.#rows('workRecord', 'applicationId', applied),
      cutPiece: await this.#rows('cutPiece', 'applicationId', applied),
      cutPlan: await this.#rows('cutPlan', 'jobId', [jobId]),
    });
  }

  async #rows<Table extends JobTable>(
    table: Table,
    key: string,
    ids: readonly string[],
  ): Promise<readonly RowOf<Table>[]> {
    if (ids.length === 0) return [];
    const from = tableOf(table);
    const column = (getTableColumns(from) as Readonly<Record<string, AnyColumn>>)[key];
    if (column === undefined) throw new Error(`no column ${key} in ${table}`);
    const found = await this.db
      .select()
      .from(from)
      .where(and(eq(from.removed, false), inArray(column, [...ids])));
    return (found as unknown as readonly StoredRow[]).map((row) => toWire(table, row));
  }
}

function lineOf(view: JobView, surfaceId: string): SurfaceLine {
  return { progress: surfaceProgress(view, surfaceId), ...extentOf(view, surfaceId) };
}
