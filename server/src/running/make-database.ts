import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { openDatabase } from '../db/database';
import { copyWhole, syncTree } from '../db/durable-folder';
import { DataFolderRefused } from '../db/migrating';
import { MIGRATIONS } from './options';

/** Made once, when the program is built. */
const BUILT_EMPTY = fileURLToPath(new URL('empty-database', import.meta.url));

/**
 * Puts an empty database into a folder, whole or not at all: a copy of the one that was built, or a new one
 * where there is none.
 * @throws DataFolderRefused for a folder that holds something: what is left of a damaged database is no room
 * for a new one
 */
export function putEmptyDatabase(databaseFolder: string): void {
  if (existsSync(databaseFolder) && readdirSync(databaseFolder).length > 0)
    throw new DataFolderRefused(
      `${databaseFolder} holds files, but no whole database: PG_VERSION is missing. Nothing was changed.`,
      { isDamage: true },
    );
  if (existsSync(join(BUILT_EMPTY, 'PG_VERSION'))) {
    copyWhole(BUILT_EMPTY, databaseFolder);
    return;
  }
  const draft = `${databaseFolder}.unfinished`;
  rmSync(draft, { recursive: true, force: true });
  makeDatabaseApart(draft);
  rmSync(databaseFolder, { recursive: true, force: true });
  renameSync(draft, databaseFolder);
}

/**
 * A new database is made by a process of its own: making one takes half a gigabyte that the server would
 * never give back.
 */
function makeDatabaseApart(databaseFolder: string): void {
  const { status, stderr } = spawnSync(
    process.execPath,
    [process.argv[1] ?? '', '--make-database', databaseFolder],
    { encoding: 'utf8' },
  );
  if (status !== 0) throw new Error(`The database could not be made in ${databaseFolder}. ${stderr.trim()}`);
}

export async function makeDatabase(databaseFolder: string): Promise<void> {
  const { close } = await openDatabase({ folder: databaseFolder, migrationsFolder: MIGRATIONS });
  await close();
  syncTree(databaseFolder);
  process.exit(0);
}
