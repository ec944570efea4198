import type { Forecast, WeatherScenario } from '@yellow-pane/contracts';
import type { WeatherHour } from '@yellow-pane/core/climate';

const HOUR_MS = 3_600_000;
const HOURS = 7 * 24;
const STALE_H = 30;

interface Pattern {
  /** Coldest and warmest of a day at sea level. */
  readonly low_C: number;
  readonly high_C: number;
  readonly humidity: number;
  readonly cloud: number;
  readonly wind_ms: number;
}

const PATTERNS = {
  'clear cold snap': { low_C: -3, high_C: 10, humidity: 0.55, cloud: 0.05, wind_ms: 1 },
  'mild overcast': { low_C: 9, high_C: 14, humidity: 0.8, cloud: 1, wind_ms: 2 },
  'föhn warm': { low_C: 15, high_C: 23, humidity: 0.3, cloud: 0.25, wind_ms: 7 },
} as const satisfies Partial<Record<WeatherScenario, Pattern>>;

/** Colder by so much for each metre up. */
const LAPSE_KM = 0.0065;

/**
 * A weather service that is not there: the same question and answer a real one would have, playing one
 * scenario.
 */
export class WeatherStandIn {
  scenario: WeatherScenario = 'clear cold snap';

  constructor(private readonly clock: () => Date) {}

  /** @returns undefined when it does not answer */
  ask({
    longitude_deg,
    altitude_m,
  }: {
    readonly longitude_deg: number;
    readonly altitude_m: number;
  }): Forecast | undefined {
    if (this.scenario === 'service down') return undefined;
    const now = this.clock().getTime();
    const issued = this.scenario === 'stale' ? now - STALE_H * HOUR_MS : now;
    const first = Math.floor((now - 12 * HOUR_MS) / HOUR_MS) * HOUR_MS;
    const hours = Array.from({ length: HOURS }, (_, index) =>
      this.#hour(first + index * HOUR_MS, longitude_deg, altitude_m, now),
    );
    return {
      issuedAt: new Date(issued).toISOString(),
      source: `weather stand-in: ${this.scenario}`,
      hours:
        this.scenario === 'garbage'
          ? hours.map((hour, index) => (index % 5 === 3 ? { ...hour, air_C: 4711, humidity: -1 } : hour))
          : hours,
    };
  }

  #hour(instant_ms: number, longitude_deg: number, altitude_m: number, now: number): WeatherHour {
    const solarHour = (((instant_ms / HOUR_MS + longitude_deg / 15) % 24) + 24) % 24;
    const isAfterFront =
      this.scenario === 'front at noon' &&
      instant_ms + (longitude_deg / 15) * HOUR_MS >= noonOf(now, longitude_deg);
    const pattern: Pattern =
      this.scenario === 'front at noon'
        ? isAfterFront
          ? { low_C: 2, high_C: 6, humidity: 0.92, cloud: 1, wind_ms: 6 }
          : PATTERNS['clear cold snap']
        : ((PATTERNS as Partial<Record<WeatherScenario, Pattern>>)[this.scenario] ??
          PATTERNS['clear cold snap']);
    const swing = (1 - Math.cos(((solarHour - 3) / 24) * 2 * Math.PI)) / 2;
    const air_C = pattern.low_C + (pattern.high_C - pattern.low_C) * swing - LAPSE_KM * altitude_m;
    return {
      instant_ms,
      air_C: Math.round(air_C * 10) / 10,
      humidity: Math.min(1, Math.round((pattern.humidity + 0.15 * (1 - swing)) * 100) / 100),
      cloud: pattern.cloud,
      wind_ms: pattern.wind_ms,
      rain_mm: isAfterFront ? 1.2 : 0,
    };
  }
}

/** Solar noon of the day, as milliseconds of solar time. */
function noonOf(now: number, longitude_deg: number): number {
  const solar = now + (longitude_deg / 15) * HOUR_MS;
  return Math.floor(solar / (24 * HOUR_MS)) * 24 * HOUR_MS + 12 * HOUR_MS;
}
