import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, renameSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { openDatabase } from '../db/database';

export const migrationsFolder = fileURLToPath(new URL('../../migrations', import.meta.url));
const lockFile = fileURLToPath(new URL('../../../package-lock.json', import.meta.url));
let read: Promise<Blob> | undefined;

/**
 * An empty database that is up to date, to start tests from: making one takes seconds, a copy of it hardly
 * one. Kept between runs for as long as migrations and packages stay as they are.
 */
export function emptyDatabase(): Promise<Blob> {
  read ??= keptOrMade();
  return read;
}

async function keptOrMade(): Promise<Blob> {
  const path = join(tmpdir(), `yellow-pane-empty-${madeFrom()}.tar`);
  if (!existsSync(path)) {
    const first = await openDatabase({ migrationsFolder });
    const dump = await first.dump();
    await first.close();
    const draft = `${path}.${process.pid}`;
    writeFileSync(draft, new Uint8Array(await dump.arrayBuffer()));
    renameSync(draft, path);
  }
  return new Blob([readFileSync(path)]);
}

function madeFrom(): string {
  const hash = createHash('sha256').update(readFileSync(lockFile));
  for (const name of readdirSync(migrationsFolder).sort())
    if (name.endsWith('.sql')) hash.update(name).update(readFileSync(join(migrationsFolder, name)));
  return hash.digest('hex').slice(0, 16);
}
