import { type SupplyRow, supplyBodySchema } from '@yellow-pane/contracts';
import { SUPPLIES } from '@yellow-pane/core/day';
import { eq } from 'drizzle-orm';
import { Router } from 'express';
import type { Database, Transaction } from '../../db/database';
import { supply } from '../../db/schema';
import { wantedVersion } from '../../http/if-match';
import { Refusal, parseBody } from '../../http/refusal';
import { changedBy } from '../people/queries';

interface Deps {
  readonly db: Database;
  readonly clock: () => Date;
}

/** Blades, paper, tape and cloths of the workshop: how much there is, as somebody counted it. */
export function supplyRoutes({ db, clock }: Deps): Router {
  const routes = Router();
  routes.get('/api/supplies', async (_request, response) => {
    response.json(await readSupplies(db));
  });
  routes.put('/api/supplies/:key', async (request, response) => {
    const { have, ...by } = parseBody(supplyBodySchema, request.body);
    const seen = wantedVersion(request);
    response.json(
      await db.transaction(async (tx) => {
        const current = (await readSupplies(tx)).find(({ key }) => key === request.params.key);
        if (current === undefined)
          throw new Refusal('SUPPLY_UNKNOWN', {
            path: 'key',
            expected: Object.keys(SUPPLIES).join(' or '),
            got: request.params.key.slice(0, 80),
          });
        if (current.version !== seen)
          throw new Refusal(
            'SUPPLY_CONFLICT',
            { path: 'If-Match', expected: String(current.version), got: String(seen) },
            { current },
          );
        const row = {
          key: current.key,
          version: current.version + 1,
          ...(await changedBy(tx, by, clock())),
          have,
        };
        if (current.version === 0) await tx.insert(supply).values(row);
        else await tx.update(supply).set(row).where(eq(supply.key, current.key));
        return { ...row, changedAt: row.changedAt.toISOString() };
      }),
    );
  });
  return routes;
}

async function readSupplies(db: Database | Transaction): Promise<readonly SupplyRow[]> {
  const counted = await db.select().from(supply);
  return Object.keys(SUPPLIES).map((key) => {
    const own = counted.find((row) => row.key === key);
    return own === undefined
      ? { key, have: null, version: 0 as const, changedBy: null, changedAt: null }
      : { ...own, changedAt: own.changedAt.toISOString() };
  });
}
