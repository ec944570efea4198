import { type ShelfRow, shelfBodySchema } from '@yellow-pane/contracts';
import { asc, eq } from 'drizzle-orm';
import { Router } from 'express';
import type { Database } from '../../db/database';
import { shelfPane } from '../../db/schema';
import { idParam } from '../../http/id-param';
import { versionOrNew } from '../../http/if-match';
import { Refusal, parseBody } from '../../http/refusal';
import { changedBy } from '../people/queries';

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
    response.json(rows.map(wireOf));
  });
  routes.put('/api/shelf/:paneId', async (request, response) => {
    const { pane, removed, ...by } = parseBody(shelfBodySchema, request.body);
    const id = idParam(request, 'paneId');
    const { version: seen } = versionOrNew(request);
    response.json(
      await db.transaction(async (tx) => {
        const [current] = await tx.select().from(shelfPane).where(eq(shelfPane.id, id));
        if (current !== undefined && current.version !== seen)
          throw new Refusal(
            'SHELF_CONFLICT',
            { path: 'If-Match', expected: String(current.version), got: String(seen ?? 'nothing') },
            { current: wireOf(current) },
          );
        if (current === undefined && seen !== undefined)
          throw new Refusal('SHELF_UNKNOWN', { path: 'paneId', expected: 'a pane on the shelf', got: id });
        const version = (current?.version ?? 0) + 1;
        const row = { id, version, removed, ...(await changedBy(tx, by, clock())), ...pane };
        if (current === undefined) await tx.insert(shelfPane).values(row);
        else await tx.update(shelfPane).set(row).where(eq(shelfPane.id, id));
        return wireOf(row);
      }),
    );
  });
  return routes;
}

const wireOf = (row: Omit<ShelfRow, 'changedAt'> & { readonly changedAt: Date }): ShelfRow => ({
  ...row,
  changedAt: row.changedAt.toISOString(),
});
