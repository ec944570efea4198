import {
  laserCommandSchema,
  laserStateSchema,
  thermometerCommandSchema,
  thermometerStateSchema,
} from '../device';
import { plotterCommandSchema, plotterStateSchema } from '../plotter';
import { weatherCommandSchema, weatherStateSchema } from '../weather';
import type { Route } from './route';

/** The stand-ins for instruments. */
export const BENCH_ROUTES: readonly Route[] = [
  {
    method: 'get',
    path: '/api/bench/laser',
    says: 'The laser stand-in: connected or not, its battery, the pane it stands before',
    answer: laserStateSchema,
  },
  {
    method: 'post',
    path: '/api/bench/laser',
    says: 'Connect it, press its button, make it misbehave',
    body: laserCommandSchema,
    answer: laserStateSchema,
  },
  {
    method: 'get',
    path: '/api/bench/plotter',
    says: 'The plotter stand-in: connected or not, the film in it, what it cut',
    answer: plotterStateSchema,
  },
  {
    method: 'post',
    path: '/api/bench/plotter',
    says: 'Connect it, load film, send it a job, make it misbehave',
    body: plotterCommandSchema,
    answer: plotterStateSchema,
  },
  {
    method: 'get',
    path: '/api/bench/thermometer',
    says: 'The thermometer and hygrometer stand-in on site: connected or not, what it reads',
    answer: thermometerStateSchema,
  },
  {
    method: 'post',
    path: '/api/bench/thermometer',
    says: 'Connect it, set what it reads',
    body: thermometerCommandSchema,
    answer: thermometerStateSchema,
  },
  {
    method: 'get',
    path: '/api/bench/weather',
    says: 'What the weather stand-in plays',
    answer: weatherStateSchema,
  },
  {
    method: 'post',
    path: '/api/bench/weather',
    says: 'Let it play another scenario',
    body: weatherCommandSchema,
    answer: weatherStateSchema,
  },
];
