import { PGlite } from '@electric-sql/pglite';
import type { NodeFS } from '@electric-sql/pglite/nodefs';
import { sql } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import type { Database, Transaction } from './database-type';
import { DurableFolder, copyWhole } from './durable-folder';
import { DataFolderRefused, mendRewritten, standingOf } from './migrating';
import * as schema from './schema';
import { readThrough } from './soundness';
import { MortalClient, StandingClient } from './standing-client';

export type { Database, Transaction };

export interface OpenDatabase {
  readonly db: Database;
  readonly close: () => Promise<void>;
  /** The whole database as a file, for copies and tests. */
  readonly dump: () => Promise<Blob>;
  /** The whole database, compressed, as it is between two changes, with the rows of each table counted. */
  readonly backUp: () => Promise<Snapshot>;
  /** Where the folder was copied to before it was brought up to date; absent: it was already, or is new. */
  readonly keptBefore?: string;
}

interface Snapshot {
  readonly payload: Uint8Array;
  readonly counts: Readonly<Record<string, number>>;
}

interface OpenOptions {
  /** Absent: in memory. */
  readonly folder?: string;
  readonly migrationsFolder: string;
  /** A dump to start from instead of an empty database. */
  readonly template?: Blob | undefined;
  /** How the files of the folder are reached; left out: so that what is committed has reached the disk. */
  readonly filesOf?: (folder: string) => NodeFS;
  /** Called before a database that gave up, most likely for want of room, is opened again. */
  readonly makeRoom?: () => void;
  /** Whether the folder is copied before it is brought up to date; left out: yes. */
  readonly isCopyKept?: boolean;
}

interface Opened {
  readonly client: StandingClient;
  readonly db: Database;
}

/**
 * What the package starts with, but for the `-F` that leaves out every write-through. Sixteen megabytes of
 * buffers instead of 128: the files are in the system's cache anyway, and the whole server stays small.
 */
const IN_MEMORY = [...PGlite.defaultStartParams, '-c', 'shared_buffers=16MB', '-c', 'wal_buffers=1MB'];
const ON_DISK = [...IN_MEMORY.filter((param) => param !== '-F'), '-c', 'wal_sync_method=fsync'];

/**
 * Opens the database and brings its tables up to date, all migrations in one transaction, after copying the
 * folder beside itself.
 * @throws DataFolderRefused for a folder of a newer version, or one that could not be brought up to date: it
 * is as it was
 */
export async function openDatabase(options: OpenOptions): Promise<OpenDatabase> {
  const { folder, migrationsFolder, isCopyKept = true } = options;
  let opened = await openedFrom(options);
  try {
    const { pending, isEmpty } = await standingOf(opened.db, migrationsFolder);
    let keptBefore: string | undefined;
    if (isCopyKept && folder !== undefined && pending.length > 0 && !isEmpty) {
      await opened.client.close();
      keptBefore = copyBeside(folder, pending[0] ?? '');
      opened = await openedFrom({ ...options, template: undefined });
    }
    if (pending.length > 0) await bringUpToDate(opened.db, migrationsFolder, keptBefore);
    const { db, client } = opened;
    return {
      db,
      close: () => client.close(),
      dump: () => client.dumpDataDir('none'),
      backUp: () => backUp(opened),
      ...(keptBefore === undefined ? {} : { keptBefore }),
    };
  } catch (error) {
    await opened.client.close();
    throw error;
  }
}

/**
 * Every page is read first: a damaged one must not take the place of a sound backup. No change can come
 * between the counting and the copying: both happen within one transaction, and there is one at a time.
 */
async function backUp({ client, db }: Opened): Promise<Snapshot> {
  await client.exec('checkpoint');
  return db.transaction(async (tx) => {
    await readThrough(tx);
    const counts = await countsOf(tx);
    const dump = await client.dumpDataDir('gzip');
    return { payload: new Uint8Array(await dump.arrayBuffer()), counts };
  });
}

/** Rows of every table of ours. */
export async function countsOf(db: Database | Transaction): Promise<Readonly<Record<string, number>>> {
  const tables = await db.execute<{ name: string }>(
    sql`select table_name as name from information_schema.tables where table_schema = 'public' and table_type = 'BASE TABLE' order by table_name`,
  );
  const each = tables.rows.map(
    ({ name }) => sql`select ${name}::text as name, count(*)::int as rows from ${sql.identifier(name)}`,
  );
  const counted = await db.execute<{ name: string; rows: number }>(sql.join(each, sql` union all `));
  return Object.fromEntries(counted.rows.map(({ name, rows }) => [name, rows]));
}

async function openedFrom({
  folder,
  template,
  filesOf = (own) => new DurableFolder(own),
  makeRoom,
}: OpenOptions): Promise<Opened> {
  const open = async (from?: Blob): Promise<MortalClient> => {
    const own = new MortalClient(
      folder === undefined
        ? { startParams: IN_MEMORY, ...(from === undefined ? {} : { loadDataDir: from }) }
        : { fs: filesOf(folder), startParams: ON_DISK, ...(from === undefined ? {} : { loadDataDir: from }) },
    );
    await own.waitReady.catch((cause: unknown) => {
      throw folder === undefined
        ? cause
        : new DataFolderRefused('The data folder does not open.', { cause, isDamage: true });
    });
    return own;
  };
  const client = new StandingClient(await open(template), () => {
    makeRoom?.();
    return open();
  });
  return { client, db: drizzle({ client: client as unknown as PGlite, schema, casing: 'snake_case' }) };
}

async function bringUpToDate(
  db: Database,
  migrationsFolder: string,
  keptBefore: string | undefined,
): Promise<void> {
  try {
    await mendRewritten(db, migrationsFolder);
    await migrate(db, { migrationsFolder });
  } catch (error) {
    const cause = error instanceof Error && error.cause instanceof Error ? error.cause : error;
    throw new DataFolderRefused(
      `The data folder could not be brought up to date: ${cause instanceof Error ? cause.message : String(cause)}. It is as it was${keptBefore === undefined ? '' : `, and a copy of it is ${keptBefore}`}. Start the earlier version, or tell whoever looks after this program.`,
      { cause: error },
    );
  }
}

/** A copy of the database's folder beside it. */
function copyBeside(folder: string, before: string): string {
  const kept = `${folder}-before-${before}`;
  copyWhole(folder, kept);
  return kept;
}
