import type { TimeSpan, WeatherHour } from '../climate';

/** A half day in which somebody could come. */
export interface HalfDay extends TimeSpan {
  /** Null: there is no forecast that far. */
  readonly isDry: boolean | null;
  readonly isShady: boolean;
}

const RAIN_MM = 0.1;
const overlaps = (a: TimeSpan, b: TimeSpan): boolean => a.from_ms < b.to_ms && a.to_ms > b.from_ms;

/**
 * The first half day that nobody has planned anything in, with the sun off the glass, or the sky overcast,
 * and no rain forecast;
 * where none is certain to be dry, the first that is shady. Undefined: none of these.
 * @param halves half days asked about, the next first
 * @param sun when the sun stands on the glass
 * @param busy what is planned, in all jobs
 */
export function nextHalfDay(
  halves: readonly TimeSpan[],
  {
    sun,
    busy,
    weather,
    overcast,
  }: {
    readonly sun: readonly TimeSpan[];
    readonly busy: readonly TimeSpan[];
    readonly weather: readonly WeatherHour[];
    /** Share of the sky from which on the sun does not count. */
    readonly overcast: number;
  },
): HalfDay | undefined {
  const found = halves
    .filter((half) => !busy.some((span) => overlaps(half, span)))
    .map((half): HalfDay => {
      const hours = weather.filter(({ instant_ms }) => instant_ms >= half.from_ms && instant_ms < half.to_ms);
      return {
        ...half,
        isDry: hours.length === 0 ? null : hours.every(({ rain_mm }) => rain_mm < RAIN_MM),
        isShady:
          !sun.some((span) => overlaps(half, span)) ||
          (hours.length > 0 && hours.every(({ cloud }) => cloud >= overcast)),
      };
    });
  return (
    found.find(({ isDry, isShady }) => isDry === true && isShady) ??
    found.find(({ isDry, isShady }) => isDry !== false && isShady)
  );
}
