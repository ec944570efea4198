import { rollBodySchema } from '@yellow-pane/contracts';
import { stockCsv } from '@yellow-pane/contracts/cut-files';
import { Router } from 'express';
import type { Database } from '../../db/database';
import { film } from '../../db/schema';
import { idParam } from '../../http/id-param';
import { versionOrNew } from '../../http/if-match';
import { parseBody } from '../../http/refusal';
import { readStock, saveRoll } from './queries';

interface Deps {
  readonly db: Database;
  readonly clock: () => Date;
}

/** Rolls and offcuts, shared by all jobs. What a job takes and leaves is in its own rows. */
export function stockRoutes({ db, clock }: Deps): Router {
  const routes = Router();
  routes.get('/api/stock', async (_request, response) => {
    response.json(await readStock(db));
  });
  routes.get('/api/stock/list', async (_request, response) => {
    const films = new Map(
      (await db.select({ id: film.id, name: film.name }).from(film)).map(({ id, name }) => [id, name]),
    );
    response
      .type('text/csv')
      .attachment('stock.csv')
      .send(stockCsv(await readStock(db), (id) => films.get(id)));
  });
  routes.put('/api/rolls/:rollId', async (request, response) => {
    const { roll, ...by } = parseBody(rollBodySchema, request.body);
    response.json(
      await saveRoll(db, {
        id: idParam(request, 'rollId'),
        roll,
        by,
        at: clock(),
        ...versionOrNew(request),
      }),
    );
  });
  return routes;
}
