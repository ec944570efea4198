import type { WeatherHour } from '@yellow-pane/core/climate';
import * as z from 'zod';
import { instantSchema } from './primitives';

/** What the weather does where the stand-in is asked. */
export const WEATHER_SCENARIOS = [
  'clear cold snap',
  'mild overcast',
  'föhn warm',
  'front at noon',
  'service down',
  'stale',
  'garbage',
] as const;
export type WeatherScenario = (typeof WEATHER_SCENARIOS)[number];

const weatherHourSchema = z.strictObject({
  instant_ms: z.number(),
  air_C: z.number(),
  humidity: z.number(),
  cloud: z.number(),
  wind_ms: z.number(),
  rain_mm: z.number(),
}) satisfies z.ZodType<WeatherHour>;

/** Seven days, hour by hour, for one place. */
export const forecastSchema = z.strictObject({
  issuedAt: instantSchema,
  source: z.string(),
  hours: z.array(weatherHourSchema).max(400),
});
export type Forecast = z.infer<typeof forecastSchema>;

export const weatherCommandSchema = z.strictObject({ scenario: z.enum(WEATHER_SCENARIOS) });
export const weatherStateSchema = z.strictObject({ scenario: z.enum(WEATHER_SCENARIOS) });
