import type { ArchiveRead, ArchiveShop, MadeBy } from '@yellow-pane/contracts';
import { JOB_TABLES, type JobTable, referencesFrom } from '@yellow-pane/core/job';
import type { JobRows } from '@yellow-pane/core/reading';
import { type SQL, eq, inArray, sql } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import { v7 as newId } from 'uuid';
import type { Database, Transaction } from '../../db/database';
import { readRows, tableOf, toStored } from '../../db/row-store';
import { change, customer, film, filmWidth, job, person, photoFile, roll } from '../../db/schema';
import { changedBy } from '../people/queries';
import type { ArchiveContents } from './read-archive';
import { withIds } from './shop-of-job';

interface Keeping {
  readonly by: MadeBy;
  readonly session: string;
  readonly at: Date;
  /** Its rolls and offcuts are here too; else they are known, and promised to nobody. */
  readonly isFilmHere: boolean;
}

type Row = Readonly<Record<string, unknown>> & { readonly id: string };
const ROWS_PER_INSERT = 500;

/**
 * Keeps what was looked through. The job is seen only once all of it is there: until then it stands as
 * deleted, and what fails on the way is taken out again.
 */
export async function keepArchive(
  db: Database,
  { file, manifest, rowsText, rows, shop }: ArchiveContents,
  keeping: Keeping,
): Promise<ArchiveRead> {
  const ids = new Map([...(await takenOfShop(db, shop)), ...(await takenOfJob(db, manifest.jobId, rows))]);
  const own = (ids.size === 0 ? rows : JSON.parse(withIds(rowsText, ids))) as JobRows;
  const ofShop = ids.size === 0 ? shop : (JSON.parse(withIds(JSON.stringify(shop), ids)) as ArchiveShop);
  const jobId = ids.get(manifest.jobId) ?? manifest.jobId;
  const made: { readonly table: PgTable; readonly where: SQL }[] = [];
  try {
    await db.transaction(async (tx) => {
      made.push(...(await keepShop(tx, ofShop, keeping)));
      await keepRows(tx, own, keeping);
      await tx.insert(change).values({
        ...{ id: newId(), jobId, session: keeping.session, who: keeping.by.who },
        ...{ personId: keeping.by.personId ?? null, at: keeping.at },
      });
    });
    for (const { id } of manifest.photos) {
      const { data } = await file.bytes(`photos/${id}.jpg`);
      await db.insert(photoFile).values({ id: ids.get(id) ?? id, jobId, data });
    }
    await db.update(job).set({ removed: false }).where(eq(job.id, jobId));
  } catch (error) {
    await takeOut(db, jobId, made);
    throw error;
  }
  const count = JOB_TABLES.reduce((sum, table) => sum + own[table].length, 0);
  return {
    ...{ jobId, name: own.job[0]?.name ?? manifest.name, rows: count },
    ...{ photos: manifest.photos.length, mapped: ids.size },
  };
}

/** Identifiers of the job that stand for something else here, each with a new one. */
async function takenOfJob(db: Database, jobId: string, rows: JobRows): Promise<ReadonlyMap<string, string>> {
  const [there] = await db.select({ id: job.id }).from(job).where(eq(job.id, jobId));
  const all = JOB_TABLES.flatMap((table) => rows[table].map(({ id }) => ({ table, id })));
  // A job that is here already becomes another, with rows of its own.
  if (there !== undefined) return new Map(all.map(({ id }) => [id, newId()]));
  const found = new Map<string, string>();
  for (const table of JOB_TABLES)
    for (const part of chunks(rows[table].map(({ id }) => id)))
      for (const id of (await readRows(db, table, part)).keys()) found.set(id, newId());
  const files = await db
    .select({ id: photoFile.id })
    .from(photoFile)
    .where(inArray(photoFile.id, [...rows.photo.map(({ id }) => id), jobId]));
  for (const { id } of files) found.set(id, newId());
  return found;
}

/** What stands for another thing of the shop here: the same identifier with another name. */
async function takenOfShop(db: Database, shop: ArchiveShop): Promise<ReadonlyMap<string, string>> {
  const [films, rolls, people, customers] = [
    await db.select().from(film),
    await db.select().from(roll),
    await db.select().from(person),
    await db.select().from(customer),
  ];
  const found = new Map<string, string>();
  const compare = <Own extends { readonly id: string }, Here extends { readonly id: string }>(
    given: readonly Own[],
    here: readonly Here[],
    isSame: (own: Own, other: Here) => boolean,
  ): void => {
    for (const own of given) {
      const other = here.find(({ id }) => id === own.id);
      if (other !== undefined && !isSame(own, other)) found.set(own.id, newId());
    }
  };
  compare(shop.films, films, (a, b) => a.film.name === b.name && a.film.family === b.family);
  compare(shop.rolls, rolls, (a, b) => a.roll.label === b.label && a.roll.lot === b.lot);
  compare(shop.people, people, (a, b) => a.person.name === b.name);
  compare(shop.customers, customers, (a, b) => a.customer.name === b.name);
  return found;
}

/** Adds what the shop does not have; what it has stays as it is. @returns how to take it out again */
async function keepShop(
  tx: Transaction,
  shop: ArchiveShop,
  { by, at, isFilmHere }: Keeping,
): Promise<readonly { readonly table: PgTable; readonly where: SQL }[]> {
  const told = { version: 1, ...(await changedBy(tx, by, at)) };
  const made: { readonly table: PgTable; readonly where: SQL }[] = [];
  for (const { id, person: own } of shop.people)
    if (await isNew(tx, person, id)) {
      await tx.insert(person).values({ id, ...told, ...own });
      made.unshift({ table: person, where: eq(person.id, id) });
    }
  for (const { id, customer: own } of shop.customers)
    if (await isNew(tx, customer, id)) {
      await tx.insert(customer).values({ id, removed: false, ...told, ...own });
      made.unshift({ table: customer, where: eq(customer.id, id) });
    }
  for (const { id, film: own } of shop.films) {
    if (!(await isNew(tx, film, id))) continue;
    const { widths_nm, ...columns } = own;
    await tx.insert(film).values({ id, ...told, ...columns });
    const widths = [...new Set(widths_nm)];
    if (widths.length > 0)
      await tx.insert(filmWidth).values(widths.map((width_nm) => ({ filmId: id, width_nm })));
    made.unshift(
      { table: filmWidth, where: eq(filmWidth.filmId, id) },
      { table: film, where: eq(film.id, id) },
    );
  }
  for (const { id, roll: own } of shop.rolls)
    if (await isNew(tx, roll, id)) {
      await tx.insert(roll).values({ id, ...told, ...own, gone: own.gone || !isFilmHere });
      made.unshift({ table: roll, where: eq(roll.id, id) });
    }
  return made;
}

async function isNew(
  tx: Transaction,
  table: typeof person | typeof customer | typeof film | typeof roll,
  id: string,
): Promise<boolean> {
  const [there] = await tx.select({ id: table.id }).from(table).where(eq(table.id, id));
  return there === undefined;
}

async function keepRows(tx: Transaction, rows: JobRows, { isFilmHere }: Keeping): Promise<void> {
  for (const table of JOB_TABLES) {
    const own = parentsFirst(table, rows[table] as unknown as readonly Row[]);
    for (const part of chunks(own))
      await tx.insert(tableOf(table)).values(
        part.map((row) => {
          const { madeAt, changedAt, jobId, ...fields } = row;
          return {
            ...toStored(fields),
            ...(table === 'job' ? { removed: true } : { jobId }),
            ...(table === 'offcut' && !isFilmHere ? { gone: true } : {}),
            madeAt: new Date(String(madeAt)),
            changedAt: new Date(String(changedAt)),
          };
        }) as never[],
      );
  }
}

/** Rows that name others of their table after those. */
function parentsFirst(table: JobTable, rows: readonly Row[]): readonly Row[] {
  const fields = referencesFrom(table).flatMap(({ to, field }) => (to === table ? [field] : []));
  if (fields.length === 0) return rows;
  const placed = new Set<string>();
  const ordered: Row[] = [];
  let waiting = rows;
  while (waiting.length > 0) {
    const ready = waiting.filter((row) =>
      fields.every((field) => {
        const named = row[field];
        return typeof named !== 'string' || placed.has(named) || named === row.id;
      }),
    );
    // A ring cannot be there: the database would have refused it.
    const next = ready.length === 0 ? waiting : ready;
    next.forEach(({ id }) => placed.add(id));
    ordered.push(...next);
    waiting = waiting.filter(({ id }) => !placed.has(id));
  }
  return ordered;
}

async function takeOut(
  db: Database,
  jobId: string,
  made: readonly { readonly table: PgTable; readonly where: SQL }[],
): Promise<void> {
  await db.transaction(async (tx) => {
    await tx.delete(photoFile).where(eq(photoFile.jobId, jobId));
    await tx.delete(change).where(eq(change.jobId, jobId));
    for (const table of JOB_TABLES.toReversed())
      if (table !== 'job') await tx.delete(tableOf(table)).where(sql`job_id = ${jobId}`);
    await tx.delete(job).where(eq(job.id, jobId));
    for (const { table, where } of made) await tx.delete(table).where(where);
  });
}

function chunks<Item>(items: readonly Item[]): readonly Item[][] {
  return Array.from({ length: Math.ceil(items.length / ROWS_PER_INSERT) }, (_, index) =>
    items.slice(index * ROWS_PER_INSERT, (index + 1) * ROWS_PER_INSERT),
  );
}
