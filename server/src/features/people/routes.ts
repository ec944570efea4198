import { type PeopleAnswer, personBodySchema } from '@yellow-pane/contracts';
import { Router } from 'express';
import type { Database } from '../../db/database';
import { idParam } from '../../http/id-param';
import { versionOrNew } from '../../http/if-match';
import { parseBody } from '../../http/refusal';
import { readPeople, savePerson } from './queries';

interface Deps {
  readonly db: Database;
  readonly clock: () => Date;
  /** Whoever a device works for that was told nobody; absent: it asks. */
  readonly readyPerson?: string | undefined;
}

/** The people of the shop. A job borrows them. */
export function peopleRoutes({ db, clock, readyPerson }: Deps): Router {
  const routes = Router();
  routes.get('/api/people', async (_request, response) => {
    response.json({ people: await readPeople(db), ready: readyPerson ?? null } satisfies PeopleAnswer);
  });
  routes.put('/api/people/:personId', async (request, response) => {
    const { person, ...by } = parseBody(personBodySchema, request.body);
    response.json(
      await savePerson(db, {
        id: idParam(request, 'personId'),
        person,
        by,
        at: clock(),
        ...versionOrNew(request),
      }),
    );
  });
  return routes;
}
