import { PGlite } from '@electric-sql/pglite';
import { drizzle, type PgliteDatabase } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import * as schema from './schema';

export type Database = PgliteDatabase<typeof schema>;
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];

export interface OpenDatabase {
  readonly db: Database;
  readonly close: () => Promise<void>;
  /** The whole database as a file, for copies and tests. */
  readonly dump: () => Promise<Blob>;
}

export interface OpenOptions {
  /** Absent: in memory. */
  readonly folder?: string;
  readonly migrationsFolder: string;
  /** A dump to start from instead of an empty database. */
  readonly template?: Blob;
}

/** Sixteen megabytes of buffers instead of 128: the files are in the system's cache anyway, and the whole server stays small. */
const START = [...PGlite.defaultStartParams, '-c', 'shared_buffers=16MB', '-c', 'wal_buffers=1MB'];

/** Opens the database and brings its tables up to date, all migrations in one transaction. */
export async function openDatabase({ folder, migrationsFolder, template }: OpenOptions): Promise<OpenDatabase> {
  const client = await PGlite.create({ startParams: START, ...(folder === undefined ? {} : { dataDir: folder }), ...(template === undefined ? {} : { loadDataDir: template }) });
  const db = drizzle({ client, schema, casing: 'snake_case' });
  await migrate(db, { migrationsFolder });
  return { db, close: () => client.close(), dump: () => client.dumpDataDir('none') };
}
