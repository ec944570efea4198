import type { FilmRow, MadeBy } from '@yellow-pane/contracts';
import type { Film } from '@yellow-pane/core/job';
import { asc, eq, getTableColumns, sql } from 'drizzle-orm';
import type { Database, Transaction } from '../../db/database';
import { film, filmWidth } from '../../db/schema';
import { Refusal } from '../../http/refusal';
import { changedBy } from '../people/queries';

/** The catalogue, by family and name. */
export async function readFilms(db: Database | Transaction): Promise<readonly FilmRow[]> {
  const widths_nm = sql<
    number[]
  >`array(select ${filmWidth.width_nm} from ${filmWidth} where ${filmWidth.filmId} = ${film.id} order by 1)`;
  const films = await db
    .select({ ...getTableColumns(film), widths_nm })
    .from(film)
    .orderBy(asc(film.family), asc(film.name));
  return films.map((row) => ({
    ...row,
    changedAt: row.changedAt.toISOString(),
    widths_nm: row.widths_nm.map(Number),
  }));
}

interface Saving {
  readonly id: string;
  readonly film: Film;
  readonly by: MadeBy;
  readonly at: Date;
  /** The version seen; absent when the film is new. */
  readonly version?: number;
}

/** Adds a film or replaces the version seen. Adding the same film twice is done once.
 *  @throws Refusal FILM_CONFLICT when the film is there and another version was seen */
export async function saveFilm(
  db: Database,
  { id, film: fields, by, at, version }: Saving,
): Promise<FilmRow> {
  return db.transaction(async (tx) => {
    const { widths_nm, ...columns } = fields;
    const [existing] = await tx.select().from(film).where(eq(film.id, id));
    if (existing !== undefined && existing.version !== version) {
      const current = (await readFilms(tx)).find((row) => row.id === id);
      throw new Refusal(
        'FILM_CONFLICT',
        { path: 'If-Match', expected: String(existing.version), got: String(version ?? 'nothing') },
        { current },
      );
    }
    const row = {
      id,
      ...columns,
      version: (existing?.version ?? 0) + 1,
      ...(await changedBy(tx, by, at)),
    };
    if (existing === undefined) await tx.insert(film).values(row);
    else await tx.update(film).set(row).where(eq(film.id, id));
    await tx.delete(filmWidth).where(eq(filmWidth.filmId, id));
    const unique = [...new Set(widths_nm)].sort((a, b) => a - b);
    await tx.insert(filmWidth).values(unique.map((width_nm) => ({ filmId: id, width_nm })));
    return { ...row, changedAt: at.toISOString(), widths_nm: unique };
  });
}
