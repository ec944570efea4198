import type { WaitOfJob } from '@yellow-pane/contracts';
import { JobView, type PendingWait, indoorAir, isPending, pendingWaits } from '@yellow-pane/core/reading';
import { and, eq, gte, inArray } from 'drizzle-orm';
import type { Database } from '../../db/database';
import { job, workRecord } from '../../db/schema';
import { readJob } from '../jobs/queries';
import { readShop } from '../jobs/read-view';

/** What was done longer ago leaves nothing to wait for between two steps. */
const LONGEST_MS = 14 * 86_400_000;

/** What is waited for in one job at a moment. */
export function waitsOf(view: JobView, now_ms: number): readonly PendingWait[] {
  return pendingWaits(view, indoorAir(view, undefined)).filter((wait) => isPending(wait, now_ms));
}

/** What is waited for in all jobs that are not put away, next first. */
export async function waitsOfAll(db: Database, now: Date): Promise<readonly WaitOfJob[]> {
  const worked = await db
    .selectDistinct({ id: workRecord.jobId })
    .from(workRecord)
    .where(and(eq(workRecord.removed, false), gte(workRecord.doneAt, new Date(now.getTime() - LONGEST_MS))));
  if (worked.length === 0) return [];
  const jobs = await db
    .select({ id: job.id, name: job.name })
    .from(job)
    .where(
      and(
        eq(job.removed, false),
        eq(job.archived, false),
        inArray(
          job.id,
          worked.map(({ id }) => id),
        ),
      ),
    );
  const shop = await readShop(db);
  const found: WaitOfJob[] = [];
  for (const { id, name } of jobs) {
    const { rows } = await readJob(db, id);
    for (const wait of waitsOf(new JobView(rows, shop), now.getTime())) found.push(ofJob(wait, id, name));
  }
  return found.sort((a, b) => (a.overAt ?? '9').localeCompare(b.overAt ?? '9'));
}

function ofJob(
  { surfaceId, tag, why, from_ms, over_ms, latest_ms, ended }: PendingWait,
  jobId: string,
  name: string,
): WaitOfJob {
  const at = (instant_ms: number | null): string | null =>
    instant_ms === null ? null : new Date(instant_ms).toISOString();
  return {
    jobId,
    job: name,
    surfaceId,
    tag,
    why,
    fromAt: new Date(from_ms).toISOString(),
    overAt: at(ended?.at_ms ?? over_ms),
    latestAt: at(latest_ms),
  };
}
