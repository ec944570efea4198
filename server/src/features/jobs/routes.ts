import { duplicateSchema } from '@yellow-pane/contracts';
import { Router } from 'express';
import type { Database } from '../../db/database';
import { idParam } from '../../http/id-param';
import { parseBody } from '../../http/refusal';
import { applyChange } from '../changes/apply-change';
import type { ChangeFeed } from '../events/change-feed';
import { duplicateAsChange } from './duplicate-job';
import { readJob, readJobSummaries } from './queries';

interface Deps {
  readonly db: Database;
  readonly feed: ChangeFeed;
  readonly clock: () => Date;
}

export function jobRoutes({ db, feed, clock }: Deps): Router {
  const routes = Router();
  routes.get('/api/jobs', async (_request, response) => { response.json(await readJobSummaries(db)); });
  routes.get('/api/jobs/:jobId', async (request, response) => { response.json(await readJob(db, idParam(request, 'jobId'))); });
  routes.post('/api/jobs/:jobId/duplicate', async (request, response) => {
    const copy = parseBody(duplicateSchema, request.body);
    const { accepted, isNew } = await applyChange(db, copy.id, await duplicateAsChange(db, idParam(request, 'jobId'), copy), clock());
    if (isNew) feed.publish(copy.id, accepted);
    response.json(accepted);
  });
  return routes;
}
