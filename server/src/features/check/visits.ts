import type { VisitOfJob } from '@yellow-pane/contracts';
import { visitLines } from '@yellow-pane/contracts/words';
import type { VisitReason } from '@yellow-pane/core/job';
import { JobView, type Shop, type Sky, visitsOf } from '@yellow-pane/core/reading';
import { and, eq, inArray, sql } from 'drizzle-orm';
import ical, { ICalCalendarMethod } from 'ical-generator';
import type { Database } from '../../db/database';
import { change, job, mark, testPiece, visit, workRecord } from '../../db/schema';
import { readJob } from '../jobs/queries';
import { readShop } from '../jobs/read-view';
import { airOnSite } from '../bench/thermometer';
import { type AskedOfAir, skyOf } from '../weather/sky-of';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

/** Why somebody comes back to a job and when: what is planned, and the trips nobody has planned yet. */
export function visitsOfJob(view: JobView, now_ms: number, sky: Sky): readonly VisitOfJob[] {
  const { kept, proposed } = visitsOf(view, now_ms, sky);
  const own = { jobId: view.job?.id ?? '', job: view.job?.name ?? '' };
  const instant = (ms: number): string | null => (Number.isFinite(ms) ? new Date(ms).toISOString() : null);
  return [
    ...kept.map(({ visit: { id, notBefore, due, plannedAt, reasons }, isLate }) => ({
      ...own,
      ...{ visitId: id, notBefore, due, plannedAt, isLate, says: saysOf(view, reasons) },
    })),
    ...proposed.map(({ asks, from_ms, to_ms, isLate }) => ({
      ...own,
      ...{ visitId: null, notBefore: instant(from_ms), due: instant(to_ms), plannedAt: null, isLate },
      says: saysOf(view, asks),
    })),
  ];
}

const saysOf = (view: JobView, reasons: readonly VisitReason[]): readonly string[] =>
  visitLines(reasons, (id) => view.surfaceById.get(id)?.tag);

/** What the visits of a job were calculated from, and what came out. */
interface Kept {
  readonly from: string;
  readonly visits: readonly VisitOfJob[];
}

const letOthersRun = (): Promise<void> => new Promise((resolve) => void setImmediate(resolve));

/**
 * The visits of all jobs that are not put away, next first. Of each job they are kept beside the number of
 * its last change, the hour, the sky and what the shop knows: glass is calculated anew only where one of them
 * changed.
 */
export class VisitBook {
  readonly #kept = new Map<string, Kept>();

  constructor(
    private readonly db: Database,
    private readonly air: AskedOfAir,
  ) {}

  async ofAll(now: Date): Promise<readonly VisitOfJob[]> {
    const ids = await this.#jobsWithReasons();
    if (ids.size === 0) return [];
    const jobs = await this.db
      .select({
        id: job.id,
        seq: sql<string | null>`(select max(c.seq)::text from ${change} c where c.job_id = "job"."id")`,
      })
      .from(job)
      .where(and(eq(job.removed, false), eq(job.archived, false), inArray(job.id, [...ids])));
    const shop = await readShop(this.db);
    const asked = JSON.stringify([
      ...[Math.floor(now.getTime() / HOUR_MS), this.air.weather.scenario, airOnSite(this.air.thermometer)],
      shop,
    ]);
    const found: VisitOfJob[] = [];
    for (const { id, seq } of jobs) {
      const from = `${seq ?? ''} ${asked}`;
      const known = this.#kept.get(id);
      const visits = known?.from === from ? known.visits : await this.#ofJob(id, shop, now);
      this.#kept.set(id, { from, visits });
      found.push(...visits);
    }
    return found.sort((a, b) => begins(a).localeCompare(begins(b)));
  }

  async #ofJob(id: string, shop: Shop, now: Date): Promise<readonly VisitOfJob[]> {
    await letOthersRun();
    const { rows } = await readJob(this.db, id);
    const view = new JobView(rows, shop);
    return visitsOfJob(view, now.getTime(), skyOf(view, this.air));
  }

  async #jobsWithReasons(): Promise<ReadonlySet<string>> {
    const ids = new Set<string>();
    for (const table of [visit, workRecord, mark, testPiece])
      for (const { id } of await this.db
        .selectDistinct({ id: table.jobId })
        .from(table)
        .where(eq(table.removed, false)))
        ids.add(id);
    return ids;
  }
}

const begins = ({ plannedAt, notBefore, due }: VisitOfJob): string => plannedAt ?? notBefore ?? due ?? '9';

/**
 * Planned visits with their hour; those nobody has planned as whole days from the first one possible to the
 * last. Brought in again the same visit replaces itself.
 */
export function visitsCalendar(name: string, visits: readonly VisitOfJob[], now: Date): string {
  const calendar = ical({
    name,
    prodId: { company: 'Yellow Pane', product: 'Visits', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
  });
  for (const { visitId, plannedAt, notBefore, due, says, job: title } of visits) {
    const about = { stamp: now, summary: `${title}: ${says.join('; ')}` };
    if (plannedAt !== null) {
      const start = new Date(plannedAt);
      const end = new Date(start.getTime() + HOUR_MS);
      calendar.createEvent({ ...about, id: `visit-${visitId ?? ''}@yellow-pane`, start, end });
      continue;
    }
    const from = notBefore ?? due;
    if (from === null) continue;
    const last = new Date(Math.max(Date.parse(from), Date.parse(due ?? from)) + DAY_MS);
    calendar.createEvent({
      ...about,
      id: `visit-${visitId ?? says.join().replaceAll(/\W/g, '')}@yellow-pane`,
      start: new Date(from),
      end: last,
      allDay: true,
    });
  }
  return calendar.toString();
}
