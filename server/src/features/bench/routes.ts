import { type DeviceMessage, laserCommandSchema, plotterCommandSchema, thermometerCommandSchema } from '@yellow-pane/contracts';
import { type Request, type Response, Router } from 'express';
import { parseBody } from '../../http/refusal';
import { LaserStandIn } from './laser';
import { PlotterStandIn } from './plotter';
import { ThermometerStandIn } from './thermometer';

interface Deps {
  readonly clock: () => Date;
  readonly onStream: (end: () => void) => () => void;
}

/** Simulated devices for the Bench, each with its commands and its stream of messages. */
export function benchRoutes({ clock, onStream }: Deps): Router {
  const routes = Router();
  const laser = new LaserStandIn(clock);
  const plotter = new PlotterStandIn();
  const thermometer = new ThermometerStandIn(clock);
  const stream = (listen: (hear: (message: DeviceMessage) => void) => () => void) => (request: Request, response: Response): void => {
    response.writeHead(200, { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store', Connection: 'keep-alive' });
    response.write(': device\n\n');
    const stop = listen((message) => { response.write(`data: ${JSON.stringify(message)}\n\n`); });
    const done = onStream(() => { response.end(); });
    request.on('close', () => { stop(); done(); });
  };

  routes.get('/api/bench/laser', (_request, response) => { response.json(laser.state); });
  routes.post('/api/bench/laser', async (request, response) => {
    await laser.obey(parseBody(laserCommandSchema, request.body));
    response.json(laser.state);
  });
  routes.get('/api/bench/laser/stream', stream((hear) => laser.listen(hear)));

  routes.get('/api/bench/plotter', (_request, response) => { response.json(plotter.state); });
  routes.post('/api/bench/plotter', (request, response) => {
    plotter.obey(parseBody(plotterCommandSchema, request.body));
    response.json(plotter.state);
  });
  routes.get('/api/bench/plotter/stream', stream((hear) => plotter.listen(hear)));

  routes.get('/api/bench/thermometer', (_request, response) => { response.json(thermometer.state); });
  routes.post('/api/bench/thermometer', (request, response) => {
    thermometer.obey(parseBody(thermometerCommandSchema, request.body));
    response.json(thermometer.state);
  });
  routes.get('/api/bench/thermometer/stream', stream((hear) => thermometer.listen(hear)));
  return routes;
}
