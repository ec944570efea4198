import {
  type AcceptedChange,
  type Change,
  type MadeBy,
  changeSchema,
  importSchema,
  madeBySchema,
  opSchema,
} from '@yellow-pane/contracts';
import { Router, type Request } from 'express';
import * as z from 'zod';
import { v7 as newId } from 'uuid';
import type { Database } from '../../db/database';
import { wantedVersion } from '../../http/if-match';
import { parseBody } from '../../http/refusal';
import { idParam } from '../../http/id-param';
import type { ChangeFeed } from '../events/change-feed';
import { applyChange } from './apply-change';
import { readHistory } from './history-query';

interface Deps {
  readonly db: Database;
  readonly feed: ChangeFeed;
  readonly clock: () => Date;
}

const rowBody = z.strictObject({ ...madeBySchema, fields: z.record(z.string(), z.unknown()) });
const deleteBody = z.strictObject(madeBySchema);

/** Every write to a job comes through here: as a change of many operations, or as one row by its address. */
export function changeRoutes({ db, feed, clock }: Deps): Router {
  const routes = Router();

  const take = async (jobId: string, change: Change): Promise<AcceptedChange> => {
    const { accepted, isNew } = await applyChange(db, jobId, change, clock());
    if (isNew) feed.publish(jobId, accepted);
    return accepted;
  };

  routes.post('/api/jobs/:jobId/changes', async (request, response) => {
    response.json(await take(idParam(request, 'jobId'), parseBody(changeSchema, request.body)));
  });

  routes.post('/api/jobs/:jobId/imports', async (request, response) => {
    response.json(await take(idParam(request, 'jobId'), parseBody(importSchema, request.body)));
  });

  routes.put('/api/jobs/:jobId/rows/:table/:rowId', async (request, response) => {
    const { fields, ...by } = parseBody(rowBody, request.body);
    response.json(await takeOp(request, by, { op: 'put', fields }));
  });

  routes.patch('/api/jobs/:jobId/rows/:table/:rowId', async (request, response) => {
    const { fields, ...by } = parseBody(rowBody, request.body);
    response.json(await takeOp(request, by, { op: 'set', baseVersion: wantedVersion(request), fields }));
  });

  routes.delete('/api/jobs/:jobId/rows/:table/:rowId', async (request, response) => {
    const by = parseBody(deleteBody, request.body);
    response.json(await takeOp(request, by, { op: 'remove', baseVersion: wantedVersion(request) }));
  });

  routes.get('/api/jobs/:jobId/history', async (request, response) => {
    const row = request.query['row'];
    response.json(
      await readHistory(
        db,
        idParam(request, 'jobId'),
        typeof row === 'string' ? parseBody(z.uuidv7(), row) : undefined,
      ),
    );
  });

  function takeOp(request: Request, by: MadeBy, partial: object): Promise<AcceptedChange> {
    const op = parseBody(opSchema, {
      ...partial,
      table: request.params['table'],
      id: idParam(request, 'rowId'),
    });
    return take(idParam(request, 'jobId'), { id: newId(), session: newId(), ...by, ops: [op] });
  }

  return routes;
}
