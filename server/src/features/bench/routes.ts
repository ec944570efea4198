import { laserCommandSchema } from '@yellow-pane/contracts';
import { Router } from 'express';
import { parseBody } from '../../http/refusal';
import { LaserStandIn } from './laser';

/** Simulated instruments for the Bench, each with its commands and its stream of messages. */
export function benchRoutes({ clock, onStream }: { readonly clock: () => Date; readonly onStream: (end: () => void) => () => void }): Router {
  const routes = Router();
  const laser = new LaserStandIn(clock);

  routes.get('/api/bench/laser', (_request, response) => { response.json(laser.state); });

  routes.post('/api/bench/laser', async (request, response) => {
    await laser.obey(parseBody(laserCommandSchema, request.body));
    response.json(laser.state);
  });

  routes.get('/api/bench/laser/stream', (request, response) => {
    response.writeHead(200, { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store', Connection: 'keep-alive' });
    response.write(': laser\n\n');
    const stop = laser.listen((message) => { response.write(`data: ${JSON.stringify(message)}\n\n`); });
    const done = onStream(() => { response.end(); });
    request.on('close', () => { stop(); done(); });
  });
  return routes;
}
