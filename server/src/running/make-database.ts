import { spawnSync } from 'node:child_process';
import { openDatabase } from '../db/database';
import { syncTree } from '../db/durable-folder';
import { MIGRATIONS } from './options';

/**
 * A new database is made by a process of its own: making one takes half a gigabyte that the server would
 * never give back.
 */
export function makeDatabaseApart(databaseFolder: string): void {
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
