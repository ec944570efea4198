import { CoreError } from '../quantity';

/** What a forecast says of one hour. */
export interface WeatherHour {
  /** Beginning of the hour, UTC, milliseconds since 1970. */
  readonly instant_ms: number;
  readonly air_C: number;
  /** Relative, share of 1. */
  readonly humidity: number;
  /** Share of the sky. */
  readonly cloud: number;
  readonly wind_ms: number;
  readonly rain_mm: number;
}

export type WeatherMoment = Omit<WeatherHour, 'instant_ms'>;

const HOUR_MS = 3_600_000;
const LIMITS: readonly (readonly [keyof WeatherMoment, number, number, string])[] = [
  ['air_C', -60, 60, '-60 to 60 °C'],
  ['humidity', 0.01, 1, 'a share of 0.01 to 1'],
  ['cloud', 0, 1, 'a share of 0 to 1'],
  ['wind_ms', 0, 90, '0 to 90 m/s'],
  ['rain_mm', 0, 200, '0 to 200 mm'],
];
/** Air does not warm or cool faster. @source own judgement: cold fronts reach about 15 K an hour */
const MOST_STEP_K = 20;

/** Refuses a forecast that cannot be: not one hour after another, outside what weather does, leaping.
 *  @throws CoreError CLIMATE_WEATHER naming hour and field */
export function refuseWeather(hours: readonly WeatherHour[]): void {
  const refuse = (path: string, expected: string, got: unknown): never => {
    throw new CoreError('CLIMATE_WEATHER', { path, expected, got: String(got) });
  };
  if (hours.length === 0) refuse('hours', 'at least one hour', 0);
  hours.forEach((hour, index) => {
    for (const [field, least, most, says] of LIMITS)
      if (!(hour[field] >= least && hour[field] <= most))
        refuse(`hours.${index}.${field}`, says, hour[field]);
    const before = hours[index - 1];
    if (before === undefined) return;
    if (hour.instant_ms - before.instant_ms !== HOUR_MS)
      refuse(
        `hours.${index}.instant_ms`,
        'one hour after the one before',
        (hour.instant_ms - before.instant_ms) / HOUR_MS,
      );
    if (Math.abs(hour.air_C - before.air_C) > MOST_STEP_K)
      refuse(`hours.${index}.air_C`, `within ${MOST_STEP_K} K of the hour before`, hour.air_C);
  });
}

/**
 * The weather of a moment, straight between two hours; rain as of its hour. undefined: the forecast does not
 * reach there
 */
export function weatherAt(hours: readonly WeatherHour[], instant_ms: number): WeatherMoment | undefined {
  const first = hours[0];
  if (first === undefined) return undefined;
  const exact = (instant_ms - first.instant_ms) / HOUR_MS;
  const index = Math.floor(exact);
  const [now, next] = [hours[index], hours[Math.min(hours.length - 1, index + 1)]];
  if (index < 0 || now === undefined || next === undefined) return undefined;
  const share = exact - index;
  const between = (field: 'air_C' | 'humidity' | 'cloud' | 'wind_ms'): number =>
    now[field] * (1 - share) + next[field] * share;
  return {
    air_C: between('air_C'),
    humidity: between('humidity'),
    cloud: between('cloud'),
    wind_ms: between('wind_ms'),
    rain_mm: now.rain_mm,
  };
}
