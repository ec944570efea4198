import type { WeatherHour } from '../climate';
import { type ReadinessMoment, returnsAfter } from '../day';
import type { RowOf } from '../job';
import type { DryHours, Wait } from '../waiting';
import type { JobView } from './job-view';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const TWO_DAYS_MS = 2 * DAY_MS;

/** What is known of the glass and of the weather when a film has been laid. */
export interface AfterLaying {
  readonly laidAt_ms: number;
  /** Of the surface, one after the other, as reckoned for the days; none: not reckoned. */
  readonly moments: readonly ReadinessMoment[];
  readonly weather: readonly WeatherHour[];
}

/**
 * Waits and returns after a film is laid: one answer for the days, for fitting and for the papers. Empty
 * where the film is not in the catalogue.
 */
export function returnsOf(
  view: JobView,
  application: RowOf<'application'>,
  { laidAt_ms, moments, weather }: AfterLaying,
): readonly Wait[] {
  const film = view.filmById.get(application.filmId);
  if (film === undefined) return [];
  const nights = weather
    .filter(({ instant_ms }) => instant_ms >= laidAt_ms && instant_ms < laidAt_ms + TWO_DAYS_MS)
    .map(({ air_C }) => air_C);
  return returnsAfter({
    method: application.method,
    film,
    known: dryHours(moments, laidAt_ms),
    outdoorLow_C: nights.length === 0 ? null : Math.min(...nights),
  });
}

/**
 * Glass and air hour by hour from the laying on; where less than a day of it is known, all that is known
 * stands for the days to come.
 */
function dryHours(moments: readonly ReadinessMoment[], laidAt_ms: number): readonly DryHours[] {
  const known = moments.filter(({ outdoor_C }) => outdoor_C !== null);
  const [first, second] = known;
  if (first === undefined || second === undefined) return [];
  const hours = (second.instant_ms - first.instant_ms) / HOUR_MS;
  const after = known.filter(({ instant_ms }) => instant_ms >= laidAt_ms);
  return (after.length * hours * HOUR_MS >= DAY_MS ? after : known).map(
    ({ surface_C, air_C, humidity }): DryHours => ({
      hours,
      glass_C: surface_C,
      air: { air_C, humidity },
    }),
  );
}
