import { type JobView, type Sky, indoorAir } from '@yellow-pane/core/reading';
import { type ThermometerStandIn, airOnSite } from '../bench/thermometer';
import { forecastFor } from './forecast-for';
import type { WeatherStandIn } from './stand-in';

/** Where the air of a job is asked for. */
export interface AskedOfAir {
  readonly weather: WeatherStandIn;
  readonly thermometer: ThermometerStandIn;
}

/** The forecast of a job and the air of its rooms, as the page has them. */
export function skyOf(view: JobView, { weather, thermometer }: AskedOfAir): Sky {
  return { weather: forecastFor(view, weather), indoor: indoorAir(view, airOnSite(thermometer)) };
}
