import { type FilmRow, type MadeBy, filmBodySchema, madeBySchema } from '@yellow-pane/contracts';
import { EXAMPLE_FILMS } from '@yellow-pane/demo';
import { Router } from 'express';
import * as z from 'zod';
import type { Database } from '../../db/database';
import { idParam } from '../../http/id-param';
import { versionOrNew } from '../../http/if-match';
import { parseBody } from '../../http/refusal';
import { readFilms, saveFilm } from './queries';

interface Deps {
  readonly db: Database;
  readonly clock: () => Date;
}

export function filmRoutes({ db, clock }: Deps): Router {
  const routes = Router();
  /** Read by every page that opens and seldom changed: kept until it is. */
  let kept: Promise<readonly FilmRow[]> | undefined;
  routes.get('/api/films', async (_request, response) => {
    response.json(
      await (kept ??= readFilms(db).catch((error: unknown) => {
        kept = undefined;
        throw error;
      })),
    );
  });
  routes.put('/api/films/:filmId', async (request, response) => {
    const { film, ...by } = parseBody(filmBodySchema, request.body);
    const saved = await saveFilm(db, {
      id: idParam(request, 'filmId'),
      film,
      by,
      at: clock(),
      ...versionOrNew(request),
    });
    kept = undefined;
    response.json(saved);
  });
  routes.post('/api/films/example', async (request, response) => {
    await loadExampleFilms(db, parseBody(z.strictObject(madeBySchema), request.body), clock());
    kept = undefined;
    response.json(await readFilms(db));
  });
  return routes;
}

/** Adds the invented films that are not there yet. */
export async function loadExampleFilms(db: Database, by: MadeBy, at: Date): Promise<void> {
  const there = new Set((await readFilms(db)).map(({ id }) => id));
  for (const { id, film } of EXAMPLE_FILMS) if (!there.has(id)) await saveFilm(db, { id, film, by, at });
}
