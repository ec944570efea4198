import type { ClimateMonth, ClimateYear } from '../job';
import { CoreError } from '../quantity';
import { saturation_Pa } from './dew-point';
import type { WeatherMoment } from './weather';

export const MONTHS = 12;
/** Of an average year. */
export const MONTH_DAYS = [31, 28.25, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const;

const LIMITS: readonly (readonly [keyof ClimateMonth, number, number, string])[] = [
  ['air_C', -60, 50, '-60 to 50 °C'],
  ['swing_K', 0, 40, '0 to 40 K'],
  ['humidity', 0.01, 1, 'a share of 0.01 to 1'],
  ['sun', 0, 1, 'a share of 0 to 1'],
];

/** @throws CoreError CLIMATE_MONTHS naming month and field */
export function refuseClimate(year: ClimateYear): void {
  if (year.length !== MONTHS)
    throw new CoreError('CLIMATE_MONTHS', {
      path: 'climate',
      expected: 'twelve months',
      got: String(year.length),
    });
  year.forEach((month, index) => {
    for (const [field, least, most, expected] of LIMITS)
      if (!(month[field] >= least && month[field] <= most))
        throw new CoreError('CLIMATE_MONTHS', {
          path: `climate.${index}.${field}`,
          expected,
          got: String(month[field]),
        });
  });
}

/** An average day is coldest at three and warmest at fifteen by the sun. Own judgement. */
const COLDEST_HOUR = 3;
const CALM_MS = 1;

/**
 * The weather of an hour of an average day: warm after noon, as much vapour in the air all day, cloud where
 * the sun of clear days is missing.
 * @param solarHour 0 to 24 of local solar time
 */
export function averageHour(
  { air_C, swing_K, humidity, sun }: ClimateMonth,
  solarHour: number,
): WeatherMoment {
  const own_C = air_C - (swing_K / 2) * Math.cos(((solarHour - COLDEST_HOUR) / 24) * 2 * Math.PI);
  return {
    air_C: own_C,
    humidity: Math.min(1, (humidity * saturation_Pa(air_C)) / saturation_Pa(own_C)),
    cloud: 1 - sun,
    wind_ms: CALM_MS,
    rain_mm: 0,
  };
}
