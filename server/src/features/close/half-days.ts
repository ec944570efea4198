import type { HalfDay } from '@yellow-pane/core/reading';
import { nextHalfDay, standingPlace } from '@yellow-pane/core/reading';
import type { TimeSpan } from '@yellow-pane/core/climate';
import { sunPosition } from '@yellow-pane/core/climate';
import { gt } from 'drizzle-orm';
import { DateTime } from 'luxon';
import type { Database } from '../../db/database';
import { plannedStep } from '../../db/schema';
import { readJobView } from '../jobs/read-view';
import { type AskedOfAir, skyOf } from '../weather/sky-of';

/** Half days of work, by the clock of the place. Common practice, no published source. */
const HALVES = [
  { from: 8, to: 12 },
  { from: 13, to: 17 },
] as const;
const DAYS_AHEAD = 14;
const STEP_MS = 300_000;
/** More than so from straight before it, the sun stands behind the glass. */
const ASKEW_DEG = 90;

interface HalfDayAsked {
  /** The job whose place and forecast it goes by. */
  readonly jobId: string;
  /** Of each front that was spoken of. */
  readonly bearings: readonly number[];
  readonly now: Date;
  readonly zone: string;
}

/** The next half day that is free in all jobs, dry by the forecast, with the sun off every front named. */
export async function halfDayFor(
  db: Database,
  { jobId, bearings, now, zone }: HalfDayAsked,
  air: AskedOfAir,
): Promise<HalfDay | undefined> {
  const view = await readJobView(db, jobId);
  const own = view.rows.daySettings[0]?.zone ?? zone;
  const rest = view.rows.daySettings[0]?.restDays ?? [6, 7];
  const place = standingPlace(view);
  const halves = halfDaysFrom(now, own, rest);
  const planned = await db
    .select({ from: plannedStep.startsAt, to: plannedStep.endsAt, removed: plannedStep.removed })
    .from(plannedStep)
    .where(gt(plannedStep.endsAt, now));
  return nextHalfDay(halves, {
    weather: skyOf(view, air).weather,
    overcast: view.learned('day-overcast'),
    busy: planned
      .filter(({ removed }) => !removed)
      .map(({ from, to }) => ({ from_ms: from.getTime(), to_ms: to.getTime() })),
    sun:
      place?.latitude_deg == null || place.longitude_deg == null || bearings.length === 0
        ? undefined
        : halves.flatMap((half) =>
            sunIn(half, bearings, {
              latitude_deg: place.latitude_deg ?? 0,
              longitude_deg: place.longitude_deg ?? 0,
              altitude_m: place.altitude_m ?? 0,
            }),
          ),
  });
}

function halfDaysFrom(now: Date, zone: string, restDays: readonly number[]): readonly TimeSpan[] {
  const first = DateTime.fromJSDate(now, { zone }).startOf('day');
  return Array.from({ length: DAYS_AHEAD }, (_, days) => first.plus({ days }))
    .filter(({ weekday }) => !restDays.includes(weekday))
    .flatMap((day) =>
      HALVES.map(({ from, to }) => ({
        from_ms: day.set({ hour: from }).toMillis(),
        to_ms: day.set({ hour: to }).toMillis(),
      })),
    )
    .filter(({ from_ms }) => from_ms > now.getTime());
}

/** When the sun stands before a front, by geometry alone: trees and houses opposite are not known yet. */
function sunIn(
  { from_ms, to_ms }: TimeSpan,
  bearings: readonly number[],
  place: Parameters<typeof sunPosition>[1],
): readonly TimeSpan[] {
  const found: TimeSpan[] = [];
  for (let at = from_ms; at < to_ms; at += STEP_MS) {
    const { altitude_deg, azimuth_deg } = sunPosition(at, place);
    const isBefore = bearings.some((bearing) => {
      const off = Math.abs(((azimuth_deg - bearing + 540) % 360) - 180);
      return off < ASKEW_DEG;
    });
    if (altitude_deg > 0 && isBefore) found.push({ from_ms: at, to_ms: at + STEP_MS });
  }
  return found;
}
