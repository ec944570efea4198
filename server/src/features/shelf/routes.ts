import { shelfBodySchema } from '@yellow-pane/contracts';
import { asc, eq } from 'drizzle-orm';
import { Router } from 'express';
import type { Database } from '../../db/database';
import { shelfPane } from '../../db/schema';
import { saveShopRow, shopRowOnWire } from '../people/shop-row';
import { idParam } from '../../http/id-param';
import { seenVersion } from '../../http/if-match';
import { parseBody } from '../../http/refusal';

interface Deps {
  readonly db: Database;
  readonly clock: () => Date;
}

/** Curved panes the shop has filmed before, for the next time one like it comes. */
export function shelfRoutes({ db, clock }: Deps): Router {
  const routes = Router();
  routes.get('/api/shelf', async (_request, response) => {
    const rows = await db
      .select()
      .from(shelfPane)
      .where(eq(shelfPane.removed, false))
      .orderBy(asc(shelfPane.make), asc(shelfPane.model), asc(shelfPane.pane), asc(shelfPane.id));
    response.json(rows.map(shopRowOnWire));
  });
  routes.put('/api/shelf/:paneId', async (request, response) => {
    const { pane, removed, ...by } = parseBody(shelfBodySchema, request.body);
    const id = idParam(request, 'paneId');
    response.json(
      await saveShopRow<typeof shelfPane.$inferSelect>(db, shelfPane, {
        ...{ id, seen: seenVersion(request), fields: { removed, ...pane }, by, at: clock(), path: 'paneId' },
        refusals: { conflict: 'SHELF_CONFLICT', unknown: 'SHELF_UNKNOWN' },
      }),
    );
  });
  return routes;
}
