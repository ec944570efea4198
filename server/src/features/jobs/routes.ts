import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { duplicateSchema } from '@yellow-pane/contracts';
import { type WeatherHour, refuseWeather } from '@yellow-pane/core/climate';
import { CoreError } from '@yellow-pane/core/quantity';
import { type JobRows, JobView, standingPlace } from '@yellow-pane/core/reading';
import { type Request, Router } from 'express';
import { IANAZone } from 'luxon';
import type { Database } from '../../db/database';
import { idParam } from '../../http/id-param';
import { Refusal, parseBody } from '../../http/refusal';
import type { ThermometerStandIn } from '../bench/thermometer';
import { applyChange } from '../changes/apply-change';
import type { ChangeFeed } from '../events/change-feed';
import { readFilms } from '../films/queries';
import { readPeople } from '../people/queries';
import { readLearned } from '../learned/queries';
import type { Searching } from '../reckon/search/searching';
import { readStock } from '../stock/queries';
import type { WeatherStandIn } from '../weather/stand-in';
import type { AnswersAsked } from './answers';
import { duplicateAsChange } from './duplicate-job';
import { ProgressBook } from './progress-book';
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
  const book = new ProgressBook(db);
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
    const { isConnected, at, air_C, humidity } = thermometer.state;
    const asked: AnswersAsked = {
      rows,
      shop: { films: await readFilms(db), learned: await readLearned(db), people: await readPeople(db) },
      stock: await readStock(db),
      weather: forecastFor(rows, weather),
      onSite: isConnected && at !== null ? { air_C, humidity } : undefined,
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

/** The hours forecast for where the job is; none where it does not say, or the service does not answer. */
function forecastFor(rows: JobRows, weather: WeatherStandIn): readonly WeatherHour[] {
  const place = standingPlace(new JobView(rows));
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
