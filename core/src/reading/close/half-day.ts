import type { TimeSpan, WeatherHour } from '../../climate';

/** A half day in which somebody could come. */
export interface HalfDay extends TimeSpan {
  /** Null: there is no forecast that far. */
  readonly isDry: boolean | null;
  /** Null: nobody knows where the sun stands before the glass. */
  readonly isShady: boolean | null;
}

const RAIN_MM = 0.1;
const overlaps = (a: TimeSpan, b: TimeSpan): boolean => a.from_ms < b.to_ms && a.to_ms > b.from_ms;

/**
 * The first half day that nobody has planned anything in, with the sun off the glass, or the sky overcast,
 * and no rain forecast;
 * where none is certain to be dry, the first that is shady. Undefined: none of these.
 * @param halves half days asked about, the next first
 * @param sun when the sun stands on the glass; undefined: where it looks, or where it is, was not said
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
    readonly sun: readonly TimeSpan[] | undefined;
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
      const isOvercast = hours.length > 0 && hours.every(({ cloud }) => cloud >= overcast);
      return {
        ...half,
        isDry: hours.length === 0 ? null : hours.every(({ rain_mm }) => rain_mm < RAIN_MM),
        isShady: isOvercast ? true : sun === undefined ? null : !sun.some((span) => overlaps(half, span)),
      };
    });
  const maybe = found.filter(({ isDry, isShady }) => isDry !== false && isShady !== false);
  return maybe.find(({ isDry }) => isDry === true) ?? maybe[0];
}
