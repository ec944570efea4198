import { weatherCommandSchema } from '@yellow-pane/contracts';
import { refuseWeather } from '@yellow-pane/core/climate';
import { CoreError } from '@yellow-pane/core/quantity';
import { type Request, Router } from 'express';
import { Refusal, parseBody } from '../../http/refusal';
import type { WeatherStandIn } from './stand-in';

/** The forecast of a place, checked before anybody plans by it. */
export function weatherRoutes(service: WeatherStandIn): Router {
  const routes = Router();
  routes.get('/api/bench/weather', (_request, response) => {
    response.json({ scenario: service.scenario });
  });
  routes.post('/api/bench/weather', (request, response) => {
    service.scenario = parseBody(weatherCommandSchema, request.body).scenario;
    response.json({ scenario: service.scenario });
  });
  routes.get('/api/weather', (request, response) => {
    numberIn(request, 'latitude', -90, 90);
    const forecast = service.ask({
      longitude_deg: numberIn(request, 'longitude', -180, 180),
      altitude_m: request.query['altitude'] === undefined ? 0 : numberIn(request, 'altitude', -500, 9000),
    });
    if (forecast === undefined)
      throw new Refusal('WEATHER_DOWN', {
        path: 'weather',
        expected: 'an answer of the service',
        got: 'none',
      });
    try {
      refuseWeather(forecast.hours);
    } catch (error) {
      if (error instanceof CoreError) throw new Refusal('WEATHER_ABSURD', error.data);
      throw error;
    }
    response.json(forecast);
  });
  return routes;
}

function numberIn(request: Request, name: string, least: number, most: number): number {
  const given = request.query[name];
  const value = typeof given === 'string' && given.trim() !== '' ? Number(given) : Number.NaN;
  if (!(value >= least && value <= most))
    throw new Refusal('BODY_INVALID', {
      path: name,
      expected: `${least} to ${most}`,
      got: JSON.stringify(given ?? null).slice(0, 40),
    });
  return value;
}
