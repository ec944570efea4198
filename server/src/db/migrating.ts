import { sql } from 'drizzle-orm';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Database } from './database-type';

/** A data folder this program cannot or must not bring up to date, in words for whoever started it. */
export class DataFolderRefused extends Error {
  /** Whether it does not open at all: then only a backup helps. */
  readonly isDamage: boolean;

  constructor(
    message: string,
    { isDamage = false, ...options }: ErrorOptions & { readonly isDamage?: boolean } = {},
  ) {
    super(message, options);
    this.name = 'DataFolderRefused';
    this.isDamage = isDamage;
  }
}

interface Standing {
  /** What is still to be done, by name. */
  readonly pending: readonly string[];
  /** Whether anything was done before: an empty database has nothing to lose. */
  readonly isEmpty: boolean;
}

interface Done extends Readonly<Record<string, unknown>> {
  readonly hash: string;
  readonly created_at: string | number;
}

/**
 * A migration that was changed after folders had been made with it, and what those folders lack. Never again:
 * `migrations.spec` holds the hashes.
 */
const REWRITTEN = [
  {
    createdAt: 1_795_475_010_433,
    now: '0000_first',
    mend: ['cut_piece', 'glass_pane', 'measure', 'work_record'].flatMap((table) => [
      `DROP INDEX "${table}_job"`,
      `CREATE INDEX "${table}_job" ON "${table}" USING btree ("job_id","id")`,
    ]),
  },
] as const;

/** How far a database is behind this program.
 *  @throws DataFolderRefused when a later program made it, or one that is not known */
export async function standingOf(db: Database, migrationsFolder: string): Promise<Standing> {
  const known = knownMigrations(migrationsFolder);
  const done = await doneMigrations(db);
  const last = Math.max(0, ...known.map(({ when }) => when));
  for (const { hash, created_at: at } of done) {
    if (known.some((own) => own.hash === hash) || REWRITTEN.some(({ createdAt }) => createdAt === Number(at)))
      continue;
    if (Number(at) > last)
      throw new DataFolderRefused(
        'This data folder was last used by a newer version of Yellow Pane. Start that version again, or an even newer one; nothing was changed.',
      );
    throw new DataFolderRefused(
      'This data folder was made by a version of Yellow Pane that was never released, and cannot be brought up to date. Nothing was changed; start the version that made it.',
    );
  }
  const reached = Math.max(0, ...done.map(({ created_at: at }) => Number(at)));
  const rewritten = REWRITTEN.filter(({ createdAt }) =>
    done.some(({ created_at: at }) => Number(at) === createdAt),
  ).map(({ now }) => now as string);
  return {
    pending: known.filter(({ when, tag }) => when > reached || rewritten.includes(tag)).map(({ tag }) => tag),
    isEmpty: done.length === 0,
  };
}

/**
 * Brings folders that were made with a migration before it was rewritten to where it leads now, so that what
 * follows fits.
 */
export async function mendRewritten(db: Database, migrationsFolder: string): Promise<void> {
  const known = knownMigrations(migrationsFolder);
  const done = await doneMigrations(db);
  for (const { createdAt, now, mend } of REWRITTEN) {
    const target = known.find(({ tag }) => tag === now);
    if (target === undefined || !done.some(({ created_at: at }) => Number(at) === createdAt)) continue;
    await db.transaction(async (tx) => {
      for (const statement of mend) await tx.execute(sql.raw(statement));
      await tx.execute(
        sql`update drizzle.__drizzle_migrations set hash = ${target.hash}, created_at = ${target.when} where created_at = ${createdAt}`,
      );
    });
  }
}

async function doneMigrations(db: Database): Promise<readonly Done[]> {
  const { rows } = await db.execute<{ there: string | null }>(
    sql`select to_regclass('drizzle.__drizzle_migrations')::text as there`,
  );
  if (rows[0]?.there == null) return [];
  return (await db.execute<Done>(sql`select hash, created_at from drizzle.__drizzle_migrations`)).rows;
}

interface Known {
  readonly tag: string;
  readonly hash: string;
  readonly when: number;
}

function knownMigrations(migrationsFolder: string): readonly Known[] {
  const { entries } = JSON.parse(readFileSync(join(migrationsFolder, 'meta', '_journal.json'), 'utf8')) as {
    readonly entries: readonly { readonly tag: string }[];
  };
  return readMigrationFiles({ migrationsFolder }).map(({ hash, folderMillis }, index) => ({
    tag: entries[index]?.tag ?? '',
    hash,
    when: folderMillis,
  }));
}
