import { PGlite } from '@electric-sql/pglite';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, renameSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { openDatabase } from '../db/database';

export const migrationsFolder = fileURLToPath(new URL('../../migrations', import.meta.url));
const lockFile = fileURLToPath(new URL('../../../package-lock.json', import.meta.url));

/**
 * An empty database that is up to date, to start tests from: making one takes seconds, a copy of it hardly
 * one. Kept between runs for as long as migrations and packages stay as they are.
 */
export const emptyDatabase = keptOrMade('empty', () => {
  const migrations = readdirSync(migrationsFolder)
    .filter((name) => name.endsWith('.sql'))
    .sort()
    .map((name) => `${name}\n${readFileSync(join(migrationsFolder, name), 'utf8')}`);
  return { from: migrations.join(), make: () => openDatabase({ migrationsFolder }) };
});

/** A database without any table, as the very first start found it. */
export const bareDatabase = keptOrMade('bare', () => ({
  from: '',
  make: async () => {
    const client = await PGlite.create();
    return { dump: () => client.dumpDataDir('none'), close: () => client.close() };
  },
}));

interface Making {
  /** Another text: it is made anew. */
  readonly from: string;
  readonly make: () => Promise<{ readonly dump: () => Promise<Blob>; readonly close: () => Promise<void> }>;
}

function keptOrMade(name: string, making: () => Making): () => Promise<Blob> {
  let read: Promise<Blob> | undefined;
  const readOrMake = async (): Promise<Blob> => {
    const { from, make } = making();
    const hash = createHash('sha256').update(readFileSync(lockFile)).update(from).digest('hex');
    const path = join(tmpdir(), `yellow-pane-${name}-${hash.slice(0, 16)}.tar`);
    if (!existsSync(path)) {
      const first = await make();
      const dump = await first.dump();
      await first.close();
      const draft = `${path}.${process.pid}`;
      writeFileSync(draft, new Uint8Array(await dump.arrayBuffer()));
      renameSync(draft, path);
    }
    return new Blob([readFileSync(path)]);
  };
  return () => {
    read ??= readOrMake();
    return read;
  };
}
