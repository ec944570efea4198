import {
  type DeviceMessage,
  laserCommandSchema,
  plotterCommandSchema,
  thermometerCommandSchema,
} from '@yellow-pane/contracts';
import { Router } from 'express';
import { parseBody } from '../../http/refusal';
import { LaserStandIn } from './laser';
import { PlotterStandIn } from './plotter';
import { ThermometerStandIn } from './thermometer';

/** The simulated devices; what they say goes out with the events of the server. */
export class StandIns {
  readonly laser: LaserStandIn;
  readonly plotter = new PlotterStandIn();
  readonly thermometer: ThermometerStandIn;

  constructor(clock: () => Date) {
    this.laser = new LaserStandIn(clock);
    this.thermometer = new ThermometerStandIn(clock);
  }

  /** @returns how to stop listening */
  listen(hear: (message: DeviceMessage) => void): () => void {
    const stops = [this.laser, this.plotter, this.thermometer].map((device) => device.listen(hear));
    return () => {
      stops.forEach((stop) => {
        stop();
      });
    };
  }
}

/** Simulated devices for the Bench, each with its commands. */
export function benchRoutes({ laser, plotter, thermometer }: StandIns): Router {
  const routes = Router();
  routes.get('/api/bench/laser', (_request, response) => {
    response.json(laser.state);
  });
  routes.post('/api/bench/laser', async (request, response) => {
    await laser.obey(parseBody(laserCommandSchema, request.body));
    response.json(laser.state);
  });

  routes.get('/api/bench/plotter', (_request, response) => {
    response.json(plotter.state);
  });
  routes.post('/api/bench/plotter', (request, response) => {
    plotter.obey(parseBody(plotterCommandSchema, request.body));
    response.json(plotter.state);
  });

  routes.get('/api/bench/thermometer', (_request, response) => {
    response.json(thermometer.state);
  });
  routes.post('/api/bench/thermometer', (request, response) => {
    thermometer.obey(parseBody(thermometerCommandSchema, request.body));
    response.json(thermometer.state);
  });
  return routes;
}
