import { PGlite } from '@electric-sql/pglite';
import { drizzle, type PgliteDatabase } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { cpSync, renameSync, rmSync } from 'node:fs';
import { DataFolderRefused, mendRewritten, standingOf } from './migrating';
import * as schema from './schema';

export type Database = PgliteDatabase<typeof schema>;
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];

export interface OpenDatabase {
  readonly db: Database;
  readonly close: () => Promise<void>;
  /** The whole database as a file, for copies and tests. */
  readonly dump: () => Promise<Blob>;
  /** Where the folder was copied to before it was brought up to date; absent: it was already, or is new. */
  readonly keptBefore?: string;
}

export interface OpenOptions {
  /** Absent: in memory. */
  readonly folder?: string;
  readonly migrationsFolder: string;
  /** A dump to start from instead of an empty database. */
  readonly template?: Blob;
}

interface Opened {
  readonly client: PGlite;
  readonly db: Database;
}

/** Sixteen megabytes of buffers instead of 128: the files are in the system's cache anyway, and the whole server stays small. */
const START = [...PGlite.defaultStartParams, '-c', 'shared_buffers=16MB', '-c', 'wal_buffers=1MB'];

/** Opens the database and brings its tables up to date, all migrations in one transaction, after copying the folder beside itself.
 *  @throws DataFolderRefused for a folder of a newer version, or one that could not be brought up to date: it is as it was */
export async function openDatabase({ folder, migrationsFolder, template }: OpenOptions): Promise<OpenDatabase> {
  let opened = await openedFrom(folder, template);
  try {
    const { pending, isEmpty } = await standingOf(opened.db, migrationsFolder);
    let keptBefore: string | undefined;
    if (folder !== undefined && pending.length > 0 && !isEmpty) {
      await opened.client.close();
      keptBefore = copyBeside(folder, pending[0] ?? '');
      opened = await openedFrom(folder);
    }
    if (pending.length > 0) await bringUpToDate(opened.db, migrationsFolder, keptBefore);
    const { db, client } = opened;
    return { db, close: () => client.close(), dump: () => client.dumpDataDir('none'), ...(keptBefore === undefined ? {} : { keptBefore }) };
  } catch (error) {
    if (!opened.client.closed) await opened.client.close();
    throw error;
  }
}

async function openedFrom(folder: string | undefined, template?: Blob): Promise<Opened> {
  const client = await PGlite.create({ startParams: START, ...(folder === undefined ? {} : { dataDir: folder }), ...(template === undefined ? {} : { loadDataDir: template }) });
  return { client, db: drizzle({ client, schema, casing: 'snake_case' }) };
}

async function bringUpToDate(db: Database, migrationsFolder: string, keptBefore: string | undefined): Promise<void> {
  try {
    await mendRewritten(db, migrationsFolder);
    await migrate(db, { migrationsFolder });
  } catch (error) {
    const cause = error instanceof Error && error.cause instanceof Error ? error.cause : error;
    throw new DataFolderRefused(`The data folder could not be brought up to date: ${cause instanceof Error ? cause.message : String(cause)}. It is as it was${keptBefore === undefined ? '' : `, and a copy of it is ${keptBefore}`}. Start the earlier version, or tell whoever looks after this program.`, { cause: error });
  }
}

/** A copy of the database's folder beside it, whole or not at all. */
function copyBeside(folder: string, before: string): string {
  const kept = `${folder}-before-${before}`;
  const draft = `${kept}.unfinished`;
  rmSync(draft, { recursive: true, force: true });
  cpSync(folder, draft, { recursive: true });
  rmSync(kept, { recursive: true, force: true });
  renameSync(draft, kept);
  return kept;
}
