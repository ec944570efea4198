import { caseApartBodySchema } from '@yellow-pane/contracts';
import { desc, eq } from 'drizzle-orm';
import { Router } from 'express';
import type { Database } from '../../db/database';
import { caseApart } from '../../db/schema';
import { saveShopRow, shopRowOnWire } from '../people/shop-row';
import { idParam } from '../../http/id-param';
import { seenVersion } from '../../http/if-match';
import { parseBody } from '../../http/refusal';
import type { AskedOfAir } from '../weather/sky-of';
import { readExperience } from './experience';

interface Deps extends AskedOfAir {
  readonly db: Database;
  readonly clock: () => Date;
}

/** What all jobs have shown of causes, and cases that are in no job. */
export function causeRoutes({ db, clock, ...air }: Deps): Router {
  const routes = Router();
  routes.get('/api/experience', async (_request, response) => {
    response.json(await readExperience(db, air));
  });
  routes.get('/api/cases', async (_request, response) => {
    const rows = await db
      .select()
      .from(caseApart)
      .where(eq(caseApart.removed, false))
      .orderBy(desc(caseApart.changedAt), desc(caseApart.id));
    response.json(rows.map(shopRowOnWire));
  });
  routes.put('/api/cases/:caseId', async (request, response) => {
    const { case: own, removed, ...by } = parseBody(caseApartBodySchema, request.body);
    const id = idParam(request, 'caseId');
    response.json(
      await saveShopRow<typeof caseApart.$inferSelect>(db, caseApart, {
        ...{ id, seen: seenVersion(request), fields: { removed, ...own }, by, at: clock(), path: 'caseId' },
        refusals: { conflict: 'CASE_CONFLICT', unknown: 'CASE_UNKNOWN' },
      }),
    );
  });
  return routes;
}
