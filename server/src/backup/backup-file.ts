import { createHash } from 'node:crypto';
import { closeSync, fsyncSync, openSync, readFileSync, renameSync, rmSync, writeSync } from 'node:fs';
import { DataFolderRefused } from '../db/migrating';

/**
 * What stands in the first line of a backup: enough to know what is in it, and whether all of it is there.
 */
interface Manifest {
  readonly format: 'yellow-pane backup';
  readonly version: number;
  readonly madeAt: string;
  /** Rows of each table. */
  readonly counts: Readonly<Record<string, number>>;
  readonly bytes: number;
  readonly sha256: string;
}

const LONGEST_LINE = 1 << 20;
const NEW_LINE = 10;

/** Writes a backup whole or not at all: it has its name only once every byte is on the disk. */
export function writeBackupFile(
  path: string,
  payload: Uint8Array,
  facts: Pick<Manifest, 'madeAt' | 'counts'>,
): Manifest {
  const manifest: Manifest = {
    format: 'yellow-pane backup',
    version: 1,
    ...facts,
    bytes: payload.byteLength,
    sha256: hashOf(payload),
  };
  const draft = `${path}.unfinished`;
  try {
    const file = openSync(draft, 'w', 0o600);
    writeWhole(file, Buffer.from(`${JSON.stringify(manifest)}\n`));
    writeWhole(file, payload);
    fsyncSync(file);
    closeSync(file);
    renameSync(draft, path);
  } catch (error) {
    rmSync(draft, { force: true });
    throw error;
  }
  return manifest;
}

/** @throws DataFolderRefused for what is no backup, is of a newer kind, or is damaged */
export function readBackupFile(path: string): { readonly manifest: Manifest; readonly payload: Uint8Array } {
  const whole = readFileSync(path);
  const end = whole.subarray(0, LONGEST_LINE).indexOf(NEW_LINE);
  const manifest = end < 0 ? undefined : manifestIn(whole.subarray(0, end).toString('utf8'));
  if (manifest === undefined)
    throw new DataFolderRefused(`${path} is no backup of Yellow Pane. Nothing was changed.`);
  if (manifest.version !== 1)
    throw new DataFolderRefused(
      `${path} was made by a newer version of Yellow Pane. Restore it with that version; nothing was changed.`,
    );
  const payload = whole.subarray(end + 1);
  if (payload.byteLength !== manifest.bytes || hashOf(payload) !== manifest.sha256)
    throw new DataFolderRefused(
      `${path} is damaged: ${payload.byteLength} bytes where ${manifest.bytes} belong${payload.byteLength === manifest.bytes ? ', and not the ones that were written' : ''}. Nothing was changed; take an earlier backup.`,
    );
  return { manifest, payload };
}

function manifestIn(line: string): Manifest | undefined {
  try {
    const read = JSON.parse(line) as Partial<Manifest> | null;
    return read?.format === 'yellow-pane backup' ? (read as Manifest) : undefined;
  } catch {
    return undefined;
  }
}

function writeWhole(file: number, bytes: Uint8Array): void {
  for (let at = 0; at < bytes.byteLength;) at += writeSync(file, bytes, at);
}

function hashOf(bytes: Uint8Array): string {
  return createHash('sha256').update(bytes).digest('hex');
}
