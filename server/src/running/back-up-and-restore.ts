import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { type BackupFacts, Backups } from '../backup/backups';
import { restoreBackup } from '../backup/restore';
import { openDatabase } from '../db/database';
import { FolderInUse, lockFolder } from '../db/folder-lock';
import { ADDRESS_FILE, MIGRATIONS, type Options } from './options';

type Made = BackupFacts & { readonly folder: string };

/** One backup into one file: by the server that has the folder open, or here when none has. */
export async function backUpNow(options: Options): Promise<void> {
  const made = isOpenElsewhere(options.folder) ? await askServer(options.folder) : await backUpHere(options);
  console.log(`Backed up: ${join(made.folder, made.name)} (${(made.bytes / 1e6).toFixed(1)} MB)`);
  process.exit(0);
}

/** Puts a backup in the place of the data folder; what was there is kept. */
export async function restoreFrom(file: string, { folder, clock }: Options): Promise<void> {
  process.on('exit', lockFolder(folder));
  const kept = await restoreBackup(file, join(folder, 'db'), MIGRATIONS, clock());
  console.log(
    `Restored ${file} into ${folder}.${kept === undefined ? '' : ` What was there before is kept in ${kept}.`}`,
  );
  process.exit(0);
}

function isOpenElsewhere(folder: string): boolean {
  if (!existsSync(join(folder, 'db', 'PG_VERSION')))
    throw new Error(`There is no data in ${folder}: nothing to back up. Name the folder with --data.`);
  try {
    process.on('exit', lockFolder(folder));
    return false;
  } catch (error) {
    if (error instanceof FolderInUse) return true;
    throw error;
  }
}

async function backUpHere({ folder, backups, clock }: Options): Promise<Made> {
  const database = await openDatabase({ folder: join(folder, 'db'), migrationsFolder: MIGRATIONS });
  const made = await new Backups(database, backups, clock).make();
  await database.close();
  return { ...made, folder: backups.folder };
}

async function askServer(folder: string): Promise<Made> {
  const at = readFileSync(join(folder, ADDRESS_FILE), 'utf8');
  const answer = await fetch(`${at}/api/backups`, { method: 'POST' });
  if (!answer.ok) throw new Error(`The server at ${at} could not back up: ${await answer.text()}`);
  const { folder: place } = (await (await fetch(`${at}/api/backups`)).json()) as { readonly folder: string };
  return { ...((await answer.json()) as BackupFacts), folder: place };
}
