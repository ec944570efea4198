import { sql } from 'drizzle-orm';
import type { Database, Transaction } from './database-type';

/**
 * Pages whose checksum does not fit, a broken index, a file that is missing: what a database says when its
 * folder is damaged.
 */
const DAMAGED: ReadonlySet<string> = new Set(['XX001', 'XX002', '58P01']);

/** Whether an error tells that what is on the disk is damaged. */
export function tellsOfDamage(error: unknown): boolean {
  for (
    let at: unknown = error;
    typeof at === 'object' && at !== null;
    at = (at as { readonly cause?: unknown }).cause
  ) {
    if (DAMAGED.has(String((at as { readonly code?: unknown }).code))) return true;
  }
  return false;
}

/**
 * Reads every page of every table of ours, pictures too, so that the database checks their checksums.
 * @throws the database's own error, of which `tellsOfDamage` knows, at the first page that is not as it was
 * written
 */
export async function readThrough(db: Database | Transaction): Promise<void> {
  await db.transaction(async (tx) => {
    await tx.execute(sql`set local enable_indexonlyscan = off`);
    await readTables(tx);
  });
}

async function readTables(db: Transaction): Promise<void> {
  const tables = await db.execute<{ name: string }>(sql`
    select own.oid::regclass::text as name from pg_class own join pg_namespace room on room.oid = own.relnamespace where room.nspname = 'public' and own.relkind = 'r'
    union all
    select long.oid::regclass::text from pg_class own join pg_namespace room on room.oid = own.relnamespace join pg_class long on long.oid = own.reltoastrelid where room.nspname = 'public' and own.relkind = 'r'`);
  for (const { name } of tables.rows) await db.execute(sql`select count(*) from ${sql.raw(name)}`);
}

/** What is known of the folder, for whoever asks after the program's health. */
export class Soundness {
  #isSound = true;

  get isSound(): boolean {
    return this.#isSound;
  }

  /** Takes note of an error that tells of damage. */
  hear(error: unknown): void {
    if (tellsOfDamage(error)) this.#isSound = false;
  }
}
