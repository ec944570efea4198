import { existsSync, renameSync, rmSync } from 'node:fs';
import { countsOf, openDatabase } from '../db/database';
import { syncTree } from '../db/durable-folder';
import { DataFolderRefused } from '../db/migrating';
import { readBackupFile } from './backup-file';

/**
 * Puts a backup into a new folder, looks whether all of it is there, and swaps it in; the old folder is kept
 * beside it.
 * @returns where the old folder is now; undefined: there was none
 * @throws DataFolderRefused for a damaged or newer file: nothing was changed
 */
export async function restoreBackup(
  file: string,
  databaseFolder: string,
  migrationsFolder: string,
  at: Date,
): Promise<string | undefined> {
  const { manifest, payload } = readBackupFile(file);
  const fresh = `${databaseFolder}.restoring`;
  rmSync(fresh, { recursive: true, force: true });
  try {
    const { db, close } = await openDatabase({
      folder: fresh,
      migrationsFolder,
      template: new Blob([payload as Uint8Array<ArrayBuffer>]),
      isCopyKept: false,
    });
    const counts = await countsOf(db);
    await close();
    syncTree(fresh);
    const wrong = Object.entries(manifest.counts).filter(([table, count]) => (counts[table] ?? 0) < count);
    if (wrong.length > 0)
      throw new DataFolderRefused(
        `${file} does not hold what it says: ${wrong.map(([table, count]) => `${table} ${counts[table] ?? 0} of ${count}`).join(', ')}. Nothing was changed.`,
      );
  } catch (error) {
    rmSync(fresh, { recursive: true, force: true });
    throw error;
  }
  const kept = existsSync(databaseFolder)
    ? `${databaseFolder}-before-restore-${at.toISOString().replace(/[:.]/g, '-')}`
    : undefined;
  if (kept !== undefined) renameSync(databaseFolder, kept);
  renameSync(fresh, databaseFolder);
  return kept;
}
