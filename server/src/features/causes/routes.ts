import { type CaseApartRow, caseApartBodySchema } from '@yellow-pane/contracts';
import { desc, eq } from 'drizzle-orm';
import { Router } from 'express';
import type { Database } from '../../db/database';
import { caseApart } from '../../db/schema';
import { idParam } from '../../http/id-param';
import { versionOrNew } from '../../http/if-match';
import { Refusal, parseBody } from '../../http/refusal';
import { changedBy } from '../people/queries';
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
    response.json(rows.map(wireOf));
  });
  routes.put('/api/cases/:caseId', async (request, response) => {
    const { case: own, removed, ...by } = parseBody(caseApartBodySchema, request.body);
    const id = idParam(request, 'caseId');
    const { version: seen } = versionOrNew(request);
    response.json(
      await db.transaction(async (tx) => {
        const [current] = await tx.select().from(caseApart).where(eq(caseApart.id, id));
        if (current !== undefined && current.version !== seen)
          throw new Refusal(
            'CASE_CONFLICT',
            { path: 'If-Match', expected: String(current.version), got: String(seen ?? 'nothing') },
            { current: wireOf(current) },
          );
        if (current === undefined && seen !== undefined)
          throw new Refusal('CASE_UNKNOWN', { path: 'caseId', expected: 'a case that is kept', got: id });
        const version = (current?.version ?? 0) + 1;
        const row = { id, version, removed, ...(await changedBy(tx, by, clock())), ...own };
        if (current === undefined) await tx.insert(caseApart).values(row);
        else await tx.update(caseApart).set(row).where(eq(caseApart.id, id));
        return wireOf(row);
      }),
    );
  });
  return routes;
}

const wireOf = (row: Omit<CaseApartRow, 'changedAt'> & { readonly changedAt: Date }): CaseApartRow => ({
  ...row,
  changedAt: row.changedAt.toISOString(),
});
