import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { type Facing, type WeatherHour, MONTH_DAYS, averageHour, refuseClimate } from '../climate';
import { type ClimateMonth, MATERIAL_NOT_STATED } from '../job';
import { CoreError } from '../quantity';
import { clearBy, clearingDay, dropOf, needOf, stretchOf } from '../waiting';
import { GlassHours, type StandingGlass } from './glass-hours';
import { readiness } from './readiness';

const HOUR = 3_600_000;
const PLACE = { latitude_deg: 46.62, longitude_deg: 9.74, altitude_m: 1180 };
const SOUTH: Facing = { bearing_deg: 180, tilt_deg: 90, skyline: [], shading: null };
const pane = (thickness_mm: number) => ({ tint: 'clear' as const, thickness_mm });
const standing = (more: Partial<StandingGlass> = {}): StandingGlass => ({
  ...{ place: PLACE, facing: SOUTH, height_m: 1.2, side: 'room', indoor: { air_C: 20, humidity: 0.5 } },
  makeUp: { panes: [pane(4), pane(4)], gaps: [{ width_mm: 16, gas: { air: 1 } }], films: [] },
  ...more,
});
const MILD: ClimateMonth = { air_C: 8, swing_K: 8, humidity: 0.75, sun: 0.5 };
const year = (at: (month: number) => Partial<ClimateMonth> = () => ({})) =>
  Array.from({ length: 12 }, (_, month) => ({ ...MILD, ...at(month) }));
/** Of a place in the middle of a continent. */
const SEASONS = year((month) => ({
  air_C: 9 - 9 * Math.cos(((month + 0.5 - 0.6) / 12) * 2 * Math.PI),
  sun: 0.45 - 0.2 * Math.cos(((month + 0.5) / 12) * 2 * Math.PI),
}));

describe('how warm is the glass?', () => {
  it('at rest hour by hour it is what it is minute by minute, with its heat, to a fortieth of what dries', () => {
    const from = Date.UTC(2026, 2, 10);
    const weather = Array.from({ length: 96 }, (_, hour): WeatherHour => ({
      ...{ instant_ms: from + hour * HOUR, air_C: 5 - 5 * Math.cos((hour / 12) * Math.PI), humidity: 0.7 },
      ...{ cloud: 0.2, wind_ms: 2, rain_mm: 0 },
    }));
    const own = standing();
    const still = stretchOf(new GlassHours(own).ofForecast(weather, from + 24 * HOUR)).drop_kPa;
    const { moments } = readiness(
      { ...own, least_C: null, most_C: null },
      weather,
      from + 24 * HOUR,
      from + 95 * HOUR,
    );
    const moving =
      moments.reduce((sum, { surface_C }) => sum + Math.max(0, dropOf(surface_C, own.indoor)), 0) /
      moments.length;
    expect(Math.abs(still / moving - 1)).toBeLessThan(0.025);
  });
  it('a face to the sun dries faster than one to the north, a sunny month faster than a dull one', () => {
    const july = (own: StandingGlass, sun: number) =>
      new GlassHours(own).ofMonths(year(() => ({ sun })))[6]?.drop_kPa ?? 0;
    const north = standing({ facing: { ...SOUTH, bearing_deg: 0 } });
    expect(july(standing(), 0.6)).toBeGreaterThan(july(north, 0.6));
    expect(july(standing(), 0.9)).toBeGreaterThan(july(standing(), 0.2));
  });
  it('outside, the air beside the film is the air outdoors', () => {
    const [month] = new GlassHours(standing({ side: 'outside' })).ofMonths(
      year(() => ({ humidity: 1, sun: 0, swing_K: 0, air_C: 8 })),
    );
    const [drier] = new GlassHours(standing({ side: 'outside' })).ofMonths(
      year(() => ({ humidity: 0.5, sun: 0, swing_K: 0, air_C: 8 })),
    );
    expect(month?.drop_kPa).toBeLessThan(drier?.drop_kPa ?? 0);
  });
  it('twelve months make a year', () => {
    const days = new GlassHours(standing()).ofMonths(year()).reduce((sum, own) => sum + own.days, 0);
    expect(days).toBe(365.25);
    expect(MONTH_DAYS.reduce((sum, own) => sum + own, 0)).toBe(365.25);
  });
});

describe('is an average day of a month enough?', () => {
  /** A year hour by hour: days warmer, colder, sunnier and duller than the month, by seeded luck. */
  const hourly = (seed: number): readonly WeatherHour[] => {
    let state = seed;
    const luck = (): number => {
      state = (state * 1_664_525 + 1_013_904_223) % 4_294_967_296;
      return state / 4_294_967_296;
    };
    const start = Date.UTC(2026, 0, 1);
    return Array.from({ length: 365 }, (_, day) => {
      const month = SEASONS[new Date(start + day * 24 * HOUR).getUTCMonth()] ?? MILD;
      const warmer = 6 * (luck() + luck() + luck() - 1.5);
      const sun = luck() < month.sun ? 1 : 0;
      return Array.from({ length: 24 }, (__, hour): WeatherHour => ({
        instant_ms: start + (day * 24 + hour - PLACE.longitude_deg / 15) * HOUR,
        ...averageHour({ ...month, air_C: month.air_C + warmer, sun }, hour),
      }));
    }).flat();
  };
  it('against every hour of a year of changing days: clearing to a twelfth of its days, a twentieth on average', () => {
    const film = {
      ...MATERIAL_NOT_STATED,
      family: 'solar',
      thickness_um: 50,
      construction: 'polyester',
    } as const;
    const own = standing();
    const months = new GlassHours(own).ofMonths(SEASONS);
    const every = new GlassHours(own).ofForecast(hourly(27), -Infinity).map((hour) => stretchOf([hour]));
    const need = needOf(film, 20);
    const off = [0, 60, 120, 180, 240].map((day) => {
      const passed = months.flatMap((month, index) => {
        const begins = MONTH_DAYS.slice(0, index).reduce((sum, days) => sum + days, 0);
        const left = Math.min(month.days, begins + month.days - day);
        return left <= 0 ? [] : [{ ...month, days: left }];
      });
      const [typical, real] = [clearingDay(need, passed), clearingDay(need, every.slice(day * 24))];
      return Math.abs((typical ?? NaN) / (real ?? NaN) - 1);
    });
    expect(Math.max(...off)).toBeLessThan(1 / 12);
    expect(off.reduce((sum, one) => sum + one, 0) / off.length).toBeLessThan(1 / 20);
  });
  it('against an integration of its own: minute by minute, another formula for the vapour (Buck 1981)', () => {
    const film = {
      ...MATERIAL_NOT_STATED,
      family: 'solar',
      thickness_um: 50,
      construction: 'polyester',
    } as const;
    const buck_kPa = (t: number): number => 0.61121 * Math.exp((17.502 * t) / (240.97 + t));
    const known = Array.from({ length: 24 }, (_, hour) => ({
      ...{ hours: 1, glass_C: 17 - 6 * Math.cos((hour / 12) * Math.PI), air: { air_C: 20, humidity: 0.5 } },
    }));
    const even = clearBy({ film, known }).why.find(({ formula }) => formula === 'waiting.evenDrying')?.value;
    let [left_gm2, minute] = [10, 0];
    for (; left_gm2 > 0; minute += 1) {
      const glass_C = known[Math.floor(minute / 60) % 24]?.glass_C ?? 0;
      const drop = buck_kPa(glass_C) - 0.5 * buck_kPa(20);
      left_gm2 -= (0.09 * Math.max(0, drop)) / 0.05 / 1440;
    }
    // The program goes on by the mean of the day after the hours known: within half a day.
    expect(Math.abs((even ?? 0) - minute / 1440)).toBeLessThan(0.5);
  });
});

describe('what is no climate?', () => {
  it('not twelve months, or a figure no month has: refused by name', () => {
    const codeOf = (climate: readonly ClimateMonth[]): unknown => {
      try {
        refuseClimate(climate);
        return undefined;
      } catch (error) {
        return error instanceof CoreError ? [error.code, error.data.path] : error;
      }
    };
    expect(codeOf(year().slice(1))).toEqual(['CLIMATE_MONTHS', 'climate']);
    expect(codeOf(year((month) => (month === 3 ? { humidity: 75 } : {})))).toEqual([
      'CLIMATE_MONTHS',
      'climate.3.humidity',
    ]);
    expect(codeOf(year((month) => (month === 0 ? { air_C: NaN } : {})))).toEqual([
      'CLIMATE_MONTHS',
      'climate.0.air_C',
    ]);
    expect(codeOf(year())).toBeUndefined();
  });
  it('an average day keeps its mean, swings by what is said, and holds as much vapour all day', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -20, max: 30, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (air_C, swing_K) => {
          const hours = Array.from({ length: 24 }, (_, hour) =>
            averageHour({ ...MILD, air_C, swing_K }, hour),
          );
          const air = hours.map((hour) => hour.air_C);
          expect(air.reduce((sum, one) => sum + one, 0) / 24).toBeCloseTo(air_C, 9);
          expect(Math.max(...air) - Math.min(...air)).toBeCloseTo(swing_K, 9);
          for (const { humidity } of hours) expect(humidity > 0 && humidity <= 1).toBe(true);
        },
      ),
      { numRuns: 30, seed: 27 },
    );
  });
});
