import { type WeatherHour, refuseWeather } from '@yellow-pane/core/climate';
import { CoreError } from '@yellow-pane/core/quantity';
import { type JobView, standingPlace } from '@yellow-pane/core/reading';
import type { WeatherStandIn } from './stand-in';

/** The hours forecast for where the job is; none where it does not say, or the service does not answer. */
export function forecastFor(view: JobView, weather: WeatherStandIn): readonly WeatherHour[] {
  const place = standingPlace(view);
  if (place?.longitude_deg == null) return [];
  try {
    const hours =
      weather.ask({ longitude_deg: place.longitude_deg, altitude_m: place.altitude_m ?? 0 })?.hours ?? [];
    refuseWeather(hours);
    return hours;
  } catch (error) {
    if (error instanceof CoreError) return [];
    throw error;
  }
}
