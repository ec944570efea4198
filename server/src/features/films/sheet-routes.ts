import {
  type FilmSheet,
  type FilmSheetType,
  LARGEST_SHEET_BYTES,
  type MadeBy,
  madeBySchema,
} from '@yellow-pane/contracts';
import { eq, getTableColumns, sql } from 'drizzle-orm';
import { type Request, Router, raw } from 'express';
import * as z from 'zod';
import type { Database } from '../../db/database';
import { film, filmSheet } from '../../db/schema';
import { idParam } from '../../http/id-param';
import { Refusal, parseBody } from '../../http/refusal';
import { changedBy } from '../people/queries';

interface Deps {
  readonly db: Database;
  readonly clock: () => Date;
}

const querySchema = z.strictObject({ name: z.string().trim().min(1).max(200), ...madeBySchema });
/** How files of each kind begin. */
const BEGINNINGS: readonly (readonly [FilmSheetType, readonly number[]])[] = [
  ['application/pdf', [0x25, 0x50, 0x44, 0x46, 0x2d]],
  ['image/jpeg', [0xff, 0xd8, 0xff]],
  ['image/png', [0x89, 0x50, 0x4e, 0x47]],
];

/** Data sheets of films, kept so that they are at hand where there is no network. */
export function filmSheetRoutes({ db, clock }: Deps): Router {
  const routes = Router();
  routes.get('/api/film-sheets', async (_request, response) => {
    const { data, ...columns } = getTableColumns(filmSheet);
    const rows = await db.select({ ...columns, bytes: sql<number>`octet_length(${data})` }).from(filmSheet);
    response.json(
      rows.map((row): FilmSheet => ({
        ...row,
        bytes: row.bytes,
        changedAt: row.changedAt.toISOString(),
      })),
    );
  });
  routes.put(
    '/api/films/:filmId/sheet',
    raw({ type: () => true, limit: LARGEST_SHEET_BYTES }),
    async (request, response) => {
      response.json(await keepSheet(db, idParam(request, 'filmId'), askedOf(request), request.body, clock()));
    },
  );
  routes.get('/api/films/:filmId/sheet', async (request, response) => {
    const filmId = idParam(request, 'filmId');
    const [found] = await db.select().from(filmSheet).where(eq(filmSheet.filmId, filmId));
    if (found === undefined)
      throw new Refusal('SHEET_UNKNOWN', { path: 'filmId', expected: 'a film with its sheet', got: filmId });
    response
      .type(found.type)
      .set('Content-Disposition', `inline; filename*=UTF-8''${encodeURIComponent(found.name)}`)
      .send(Buffer.from(found.data));
  });
  return routes;
}

const askedOf = (request: Request): MadeBy & { readonly name: string } => {
  const { personId, ...query } = request.query;
  return parseBody(querySchema, {
    ...query,
    personId: personId === '' || personId === undefined ? null : personId,
  });
};

/** @throws Refusal FILM_UNKNOWN, SHEET_UNREADABLE */
async function keepSheet(
  db: Database,
  filmId: string,
  { name, ...by }: MadeBy & { readonly name: string },
  body: unknown,
  at: Date,
): Promise<FilmSheet> {
  const [owner] = await db.select({ id: film.id }).from(film).where(eq(film.id, filmId));
  if (owner === undefined)
    throw new Refusal('ROW_UNKNOWN', { path: 'filmId', expected: 'a film of the catalogue', got: filmId });
  const type = Buffer.isBuffer(body) ? typeOf(body) : undefined;
  if (!Buffer.isBuffer(body) || type === undefined)
    throw new Refusal('SHEET_UNREADABLE', {
      path: 'body',
      expected: 'a PDF, JPEG or PNG',
      got: Buffer.isBuffer(body) && body.length > 0 ? `${body.length} bytes of something else` : 'nothing',
    });
  const row = await db.transaction(async (tx) => {
    const changed = await changedBy(tx, by, at);
    const fields = { name, type, data: body, ...changed };
    await tx
      .insert(filmSheet)
      .values({ filmId, ...fields })
      .onConflictDoUpdate({ target: filmSheet.filmId, set: fields });
    return changed;
  });
  return { filmId, name, type, bytes: body.length, ...row, changedAt: at.toISOString() };
}

function typeOf(body: Buffer): FilmSheetType | undefined {
  return BEGINNINGS.find(([, beginning]) => beginning.every((byte, index) => body[index] === byte))?.[0];
}
