import { readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import type { BackupSettings } from '../backup/backups';

const LOOPBACK = '127.0.0.1';
const HERE = ['127.0.0.1', '::1', 'localhost'];

export const ROOT = fileURLToPath(new URL('../..', import.meta.url));
export const MIGRATIONS = join(ROOT, 'server', 'migrations');
export const { version: VERSION } = JSON.parse(readFileSync(join(ROOT, 'package.json'), 'utf8')) as {
  readonly version: string;
};
/** Where the server that has the folder open answers, for the command that backs up. */
export const ADDRESS_FILE = 'server.address';

/** What was asked for at the start. */
export interface Options {
  readonly isDemo: boolean;
  readonly isFresh: boolean;
  readonly folder: string;
  readonly port: number;
  readonly clock: () => Date;
  readonly backups: BackupSettings;
  readonly doing:
    | { readonly what: 'serve' | 'back up' }
    | { readonly what: 'make a database'; readonly folder: string }
    | { readonly what: 'restore'; readonly file: string };
}

/** Reads the arguments of the program.
 *  @throws Error naming the argument, what was given and what is allowed */
export function readOptions(): Options {
  const { values } = parseArgs({
    options: {
      demo: { type: 'boolean', default: false },
      fresh: { type: 'boolean', default: false },
      data: { type: 'string' },
      port: { type: 'string', default: '4310' },
      host: { type: 'string', default: LOOPBACK },
      now: { type: 'string' },
      'make-database': { type: 'string' },
      backup: { type: 'boolean', default: false },
      restore: { type: 'string' },
      backups: { type: 'string' },
      'backups-kept': { type: 'string', default: '7' },
    },
  });
  if (!HERE.includes(values.host))
    throw new Error(
      `--host ${values.host}: this version answers on this machine only, because nobody has to sign in. Leave --host out.`,
    );
  const folder = resolve(values.data ?? join('data', values.demo ? 'demo' : 'jobs'));
  const { 'make-database': made, restore } = values;
  return {
    isDemo: values.demo,
    isFresh: values.fresh,
    folder,
    port: portOf(values.port),
    clock: clockFrom(values.now),
    backups: {
      folder: resolve(values.backups ?? join(folder, 'backups')),
      most: countOf(values['backups-kept']),
    },
    doing:
      made !== undefined
        ? { what: 'make a database', folder: made }
        : restore !== undefined
          ? { what: 'restore', file: resolve(restore) }
          : { what: values.backup ? 'back up' : 'serve' },
  };
}

/**
 * The clock of this machine, or, for tests alone, one that begins at another moment and runs on from there.
 */
function clockFrom(now: string | undefined): () => Date {
  if (now === undefined) return () => new Date();
  const ahead_ms = Date.parse(now) - Date.now();
  if (Number.isNaN(ahead_ms))
    throw new Error(`--now ${now}: expected a moment such as 2026-11-26T08:20:00Z.`);
  return () => new Date(Date.now() + ahead_ms);
}

function portOf(text: string): number {
  const port = Number(text);
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    throw new Error(`--port ${text}: expected a whole number from 0 to 65535 (0 takes a free one).`);
  return port;
}

function countOf(text: string): number {
  const most = Number(text);
  if (!Number.isInteger(most) || most < 1)
    throw new Error(`--backups-kept ${text}: expected a whole number from 1.`);
  return most;
}
