import { type LearnedRow, learnedBodySchema } from '@yellow-pane/contracts';
import { AT_FIRST, isVolume } from '@yellow-pane/core/learned';
import { and, eq } from 'drizzle-orm';
import { Router } from 'express';
import type { Database } from '../../db/database';
import { learned } from '../../db/schema';
import { wantedVersion } from '../../http/if-match';
import { Refusal, parseBody } from '../../http/refusal';
import { changedBy } from '../people/queries';
import { readLearned } from './queries';

interface Deps {
  readonly db: Database;
  readonly clock: () => Date;
}

/** What the shop has learned by its own work, and what it goes by until then. */
export function learnedRoutes({ db, clock }: Deps): Router {
  const routes = Router();
  routes.get('/api/learned', async (_request, response) => {
    response.json(await readLearned(db));
  });
  routes.put('/api/learned/:key', async (request, response) => {
    const { who, personId, scope, ...figures } = parseBody(learnedBodySchema, request.body);
    const { key } = request.params;
    const seen = wantedVersion(request);
    response.json(
      await db.transaction(async (tx): Promise<LearnedRow> => {
        const first = AT_FIRST.find((figure) => figure.key === key);
        if (first === undefined)
          throw new Refusal('LEARNED_UNKNOWN', {
            path: 'key',
            expected: AT_FIRST.map((figure) => figure.key).join(' or '),
            got: key.slice(0, 80),
          });
        if (isVolume(first) && figures.value === 0)
          throw new Refusal('BODY_INVALID', { path: 'value', expected: 'more than 0 ml', got: '0' });
        const [scopeKind, scopeOf] = scope === null ? (['', ''] as const) : [scope.kind, scope.of];
        const ofThis = and(
          eq(learned.key, key),
          eq(learned.scopeKind, scopeKind),
          eq(learned.scopeOf, scopeOf),
        );
        const [current] = await tx.select().from(learned).where(ofThis);
        const version = current?.version ?? 0;
        if (version !== seen)
          throw new Refusal(
            'LEARNED_CONFLICT',
            { path: 'If-Match', expected: String(version), got: String(seen) },
            { current },
          );
        const change = await changedBy(tx, { who, personId }, clock());
        const row = { key, scopeKind, scopeOf, version: version + 1, ...change, ...figures };
        if (current === undefined) await tx.insert(learned).values(row);
        else await tx.update(learned).set(row).where(ofThis);
        return {
          ...first,
          ...figures,
          ...change,
          scope,
          version: row.version,
          changedAt: change.changedAt.toISOString(),
        };
      }),
    );
  });
  return routes;
}
