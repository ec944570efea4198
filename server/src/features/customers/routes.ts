import { customerBodySchema } from '@yellow-pane/contracts';
import { asc, eq } from 'drizzle-orm';
import { Router } from 'express';
import type { Database } from '../../db/database';
import { customer } from '../../db/schema';
import { saveShopRow, shopRowOnWire } from '../people/shop-row';
import { idParam } from '../../http/id-param';
import { seenVersion } from '../../http/if-match';
import { parseBody } from '../../http/refusal';

interface Deps {
  readonly db: Database;
  readonly clock: () => Date;
}

/** Whom the shop works for. */
export function customerRoutes({ db, clock }: Deps): Router {
  const routes = Router();
  routes.get('/api/customers', async (_request, response) => {
    const rows = await db
      .select()
      .from(customer)
      .where(eq(customer.removed, false))
      .orderBy(asc(customer.name), asc(customer.id));
    response.json(rows.map(shopRowOnWire));
  });
  routes.put('/api/customers/:customerId', async (request, response) => {
    const { customer: own, removed, ...by } = parseBody(customerBodySchema, request.body);
    response.json(
      await saveShopRow<typeof customer.$inferSelect>(db, customer, {
        id: idParam(request, 'customerId'),
        seen: seenVersion(request),
        fields: { ...own, removed },
        ...{ by, at: clock(), path: 'customerId' },
        refusals: { conflict: 'CUSTOMER_CONFLICT', unknown: 'CUSTOMER_UNKNOWN' },
      }),
    );
  });
  return routes;
}
