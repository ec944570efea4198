import { rateBodySchema } from '@yellow-pane/contracts';
import { DEFAULT_RATES } from '@yellow-pane/core/fitting';
import { eq } from 'drizzle-orm';
import { Router } from 'express';
import type { Database } from '../../db/database';
import { rate } from '../../db/schema';
import { Refusal, parseBody } from '../../http/refusal';
import { changedBy } from '../people/queries';
import { readRates } from './queries';

interface Deps {
  readonly db: Database;
  readonly clock: () => Date;
}

export function rateRoutes({ db, clock }: Deps): Router {
  const routes = Router();
  routes.get('/api/rates', async (_request, response) => {
    response.json(await readRates(db));
  });
  routes.put('/api/rates/:key', async (request, response) => {
    const { value, mark, ...by } = parseBody(rateBodySchema, request.body);
    const header = request.get('If-Match');
    const seen = /\d{1,10}/.exec(header ?? '')?.[0];
    if (seen === undefined)
      throw new Refusal('IF_MATCH_MISSING', {
        path: 'If-Match',
        expected: 'the version seen, such as "0"',
        got: header ?? 'nothing',
      });
    response.json(
      await db.transaction(async (tx) => {
        const current = (await readRates(tx)).find(({ key }) => key === request.params.key);
        if (current === undefined)
          throw new Refusal('RATE_UNKNOWN', {
            path: 'key',
            expected: DEFAULT_RATES.map(({ key }) => key).join(' or '),
            got: request.params.key.slice(0, 80),
          });
        if (current.version !== Number(seen))
          throw new Refusal(
            'RATE_CONFLICT',
            { path: 'If-Match', expected: String(current.version), got: seen },
            { current },
          );
        const row = {
          key: current.key,
          version: current.version + 1,
          ...(await changedBy(tx, by, clock())),
          value,
          mark,
        };
        if (current.version === 0) await tx.insert(rate).values(row);
        else await tx.update(rate).set(row).where(eq(rate.key, current.key));
        return { ...current, ...row, changedAt: row.changedAt.toISOString() };
      }),
    );
  });
  return routes;
}
