import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { duplicateSchema } from '@yellow-pane/contracts';
import { JobView } from '@yellow-pane/core/reading';
import { type Request, Router } from 'express';
import { IANAZone } from 'luxon';
import type { Database } from '../../db/database';
import { idParam } from '../../http/id-param';
import { Refusal, parseBody } from '../../http/refusal';
import { type ThermometerStandIn, airOnSite } from '../bench/thermometer';
import { applyChange } from '../changes/apply-change';
import type { ChangeFeed } from '../events/change-feed';
import type { Searching } from '../calculate/search/searching';
import { readStock } from '../stock/queries';
import { forecastFor } from '../weather/forecast-for';
import type { WeatherStandIn } from '../weather/stand-in';
import type { AnswersAsked } from './answers';
import { duplicateAsChange } from './duplicate-job';
import { readShop } from './read-view';
import { ProgressCache } from './progress-cache';
import { readJob, readJobAsJson, readJobSummaries } from './queries';

interface Deps {
  readonly db: Database;
  readonly feed: ChangeFeed;
  readonly clock: () => Date;
  readonly search: Searching;
  readonly weather: WeatherStandIn;
  readonly thermometer: ThermometerStandIn;
}

const ANSWERS_MS = 60_000;

export function jobRoutes({ db, feed, clock, search, weather, thermometer }: Deps): Router {
  const routes = Router();
  const book = new ProgressCache(db);
  routes.get('/api/jobs', async (_request, response) => {
    response.json(await readJobSummaries(db, book));
  });
  routes.get('/api/jobs/:jobId', async (request, response) => {
    const pieces = readJobAsJson(db, idParam(request, 'jobId'));
    const first = await pieces.next();
    response.type('json');
    await pipeline(Readable.from(resumed(first.done === true ? '' : first.value, pieces)), response);
  });
  routes.get('/api/jobs/:jobId/answers', async (request, response) => {
    const { rows } = await readJob(db, idParam(request, 'jobId'));
    const asked: AnswersAsked = {
      rows,
      shop: await readShop(db),
      stock: await readStock(db),
      weather: forecastFor(new JobView(rows), weather),
      onSite: airOnSite(thermometer),
      zone: zoneIn(request),
      now_ms: clock().getTime(),
    };
    response.json(await search('answers', asked, { seed: 0, milliseconds: ANSWERS_MS, searches: 1 }));
  });
  routes.post('/api/jobs/:jobId/duplicate', async (request, response) => {
    const copy = parseBody(duplicateSchema, request.body);
    const { accepted, isNew } = await applyChange(
      db,
      copy.id,
      await duplicateAsChange(db, idParam(request, 'jobId'), copy),
      clock(),
    );
    if (isNew) feed.publish(copy.id, accepted);
    response.json(accepted);
  });
  return routes;
}

/** The zone to count days in where the job has none of its own. */
function zoneIn(request: Request): string {
  const given = request.query['zone'] ?? 'UTC';
  if (typeof given !== 'string' || !IANAZone.isValidZone(given))
    throw new Refusal('BODY_INVALID', {
      path: 'zone',
      expected: 'the name of a time zone, such as Europe/Vienna',
      got: JSON.stringify(given).slice(0, 60),
    });
  return given;
}

/**
 * The first piece is read before anything is sent, so that an unknown job is refused as a problem and not in
 * the middle of an answer.
 */
async function* resumed(first: string, rest: AsyncGenerator<string>): AsyncGenerator<string> {
  yield first;
  yield* rest;
}
