import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { duplicateSchema } from '@yellow-pane/contracts';
import { Router } from 'express';
import type { Database } from '../../db/database';
import { idParam } from '../../http/id-param';
import { parseBody } from '../../http/refusal';
import { applyChange } from '../changes/apply-change';
import type { ChangeFeed } from '../events/change-feed';
import { duplicateAsChange } from './duplicate-job';
import { ProgressBook } from './progress-book';
import { readJobAsJson, readJobSummaries } from './queries';

interface Deps {
  readonly db: Database;
  readonly feed: ChangeFeed;
  readonly clock: () => Date;
}

export function jobRoutes({ db, feed, clock }: Deps): Router {
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

/**
 * The first piece is read before anything is sent, so that an unknown job is refused as a problem and not in
 * the middle of an answer.
 */
async function* resumed(first: string, rest: AsyncGenerator<string>): AsyncGenerator<string> {
  yield first;
  yield* rest;
}
