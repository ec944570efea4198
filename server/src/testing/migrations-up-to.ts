import { copyFileSync, mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

interface Journal {
  readonly entries: readonly { readonly tag: string; readonly when: number }[];
}

const journalOf = (folder: string): Journal =>
  JSON.parse(readFileSync(join(folder, 'meta', '_journal.json'), 'utf8')) as Journal;

function folderOf(from: string, journal: Journal): string {
  const folder = mkdtempSync(join(tmpdir(), 'yellow-pane-migrations-'));
  mkdirSync(join(folder, 'meta'));
  writeFileSync(join(folder, 'meta', '_journal.json'), JSON.stringify({ ...journalOf(from), ...journal }));
  return folder;
}

/** The migrations of an earlier version alone. */
export function migrationsUpTo(from: string, last: string): string {
  const all = journalOf(from).entries;
  const entries = all.slice(0, all.findIndex(({ tag }) => tag === last) + 1);
  const folder = folderOf(from, { entries });
  for (const { tag } of entries) copyFileSync(join(from, `${tag}.sql`), join(folder, `${tag}.sql`));
  return folder;
}

/** Those of today and one more, as a later version has. */
export function migrationsWith(from: string, tag: string, text: string): string {
  const all = journalOf(from).entries;
  const when = Math.max(...all.map((entry) => entry.when)) + 1;
  const folder = folderOf(from, { entries: [...all, { ...all.at(-1), tag, when }] });
  for (const entry of all) copyFileSync(join(from, `${entry.tag}.sql`), join(folder, `${entry.tag}.sql`));
  writeFileSync(join(folder, `${tag}.sql`), text);
  return folder;
}
