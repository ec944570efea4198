import { spawnSync } from 'node:child_process';
import { chmodSync, existsSync, readFileSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { DEMO_START } from '@yellow-pane/demo';
import { pino } from 'pino';
import { createApp } from './app';
import { openDatabase } from './db/database';
import { type BackupFacts, type BackupSettings, Backups } from './backup/backups';
import { restoreBackup } from './backup/restore';
import { FolderInUse, lockFolder } from './db/folder-lock';
import { loadDemo } from './features/demo/load-demo';
import { searchInThreads } from './features/reckon/search/search-threads';

const LOOPBACK = '127.0.0.1';
const GRACE_MS = 5000;
const KEEP_ALIVE_MS = 65_000;
/** A request that has not arrived by then is cut off. */
const REQUEST_MS = 120_000;
/** Less than this left on the disk: what is written next may not find room. */
const LEAST_FREE_BYTES = 32 * 2 ** 20;
const ROOT = fileURLToPath(new URL('../..', import.meta.url));
const MIGRATIONS = join(ROOT, 'server', 'migrations');
/** Built beside this one. */
const SEARCH_THREAD = new URL('search-thread.js', import.meta.url);
const VERSION = '0.1.0';
/** Where the server that has the folder open answers, for the command that backs up. */
const ADDRESS_FILE = 'server.address';

const { values } = parseArgs({
  options: {
    demo: { type: 'boolean', default: false },
    fresh: { type: 'boolean', default: false },
    data: { type: 'string' },
    port: { type: 'string' },
    host: { type: 'string', default: LOOPBACK },
    now: { type: 'string' },
    'make-database': { type: 'string' },
    backup: { type: 'boolean', default: false },
    restore: { type: 'string' },
    backups: { type: 'string' },
    'backups-kept': { type: 'string', default: '7' },
  },
});

async function start(): Promise<void> {
  const folder = resolve(values.data ?? join('data', values.demo ? 'demo' : 'jobs'));
  const port = portOf(values.port ?? '4310');
  if (!['127.0.0.1', '::1', 'localhost'].includes(values.host)) throw new Error(`--host ${values.host}: this version answers on this machine only, because nobody has to sign in. Leave --host out.`);
  if (values.fresh) refreshFolder(folder);
  const clock = clockFrom(values.now);
  const unlock = lockFolder(folder);
  chmodSync(folder, 0o700);
  process.on('exit', unlock);
  const logFile = pino.destination({ dest: join(folder, 'server.log'), mkdir: true, sync: false });
  /** A log that cannot be written, on a full disk, is no reason to stop. */
  logFile.on('error', () => undefined);
  const log = pino({ level: process.env['LOG_LEVEL'] ?? 'info' }, logFile);
  const databaseFolder = join(folder, 'db');
  if (!existsSync(join(databaseFolder, 'PG_VERSION'))) makeDatabaseApart(databaseFolder);
  const database = await openDatabase({ folder: databaseFolder, migrationsFolder: MIGRATIONS });
  if (database.keptBefore !== undefined) console.log(`The data folder was brought up to date. As it was before, it is kept in ${database.keptBefore}; delete that when all is well.`);
  const backups = new Backups(database, backupSettings(folder), clock);
  if (values.demo) await loadDemo(database.db, clock);
  const { app, endStreams } = createApp({ db: database.db, clock, log, version: VERSION, backups, search: searchInThreads(SEARCH_THREAD), hasRoom: () => { const { bavail, bsize } = statfsSync(folder); return bavail * bsize > LEAST_FREE_BYTES; }, pagesFolder: join(ROOT, 'web', 'dist', 'browser') });
  const server = createServer(app);
  /** Longer than any client keeps a line it will use again: else it may be cut just as a request goes out. */
  server.keepAliveTimeout = KEEP_ALIVE_MS;
  server.headersTimeout = KEEP_ALIVE_MS + 1000;
  server.requestTimeout = REQUEST_MS;
  await listen(server, port);
  const address = server.address();
  const at = `http://localhost:${typeof address === 'object' && address !== null ? address.port : port}`;
  log.info({ folder, at }, 'started');
  console.log(`Yellow Pane is at ${at}${values.demo ? DEMO_START : '/'}`);
  console.log(`Data: ${folder} · stop with Ctrl+C`);

  writeFileSync(join(folder, ADDRESS_FILE), at);
  const endBackups = backups.daily((error) => { log.error({ err: error }, 'backup failed'); });

  let isStopping = false;
  const stop = (): void => {
    if (isStopping) return;
    isStopping = true;
    setTimeout(() => process.exit(1), GRACE_MS).unref();
    endStreams();
    endBackups();
    server.close(() => void database.close().finally(() => process.exit(0)));
    server.closeIdleConnections();
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
}

/** One backup into one file: by the server that has the folder open, or here when none has. */
async function backUpNow(): Promise<void> {
  const folder = resolve(values.data ?? join('data', values.demo ? 'demo' : 'jobs'));
  const made = await lockedOrServed(folder, async () => {
    const database = await openDatabase({ folder: join(folder, 'db'), migrationsFolder: MIGRATIONS });
    const own = await new Backups(database, backupSettings(folder), clockFrom(values.now)).make();
    await database.close();
    return { ...own, folder: backupSettings(folder).folder };
  });
  console.log(`Backed up: ${join(made.folder, made.name)} (${(made.bytes / 1e6).toFixed(1)} MB)`);
  process.exit(0);
}

async function lockedOrServed(folder: string, here: () => Promise<BackupFacts & { readonly folder: string }>): Promise<BackupFacts & { readonly folder: string }> {
  if (!existsSync(join(folder, 'db', 'PG_VERSION'))) throw new Error(`There is no data in ${folder}: nothing to back up. Name the folder with --data.`);
  try {
    const unlock = lockFolder(folder);
    process.on('exit', unlock);
  } catch (error) {
    if (!(error instanceof FolderInUse)) throw error;
    const at = readFileSync(join(folder, ADDRESS_FILE), 'utf8');
    const answer = await fetch(`${at}/api/backups`, { method: 'POST' });
    if (!answer.ok) throw new Error(`The server at ${at} could not back up: ${await answer.text()}`, { cause: error });
    const { folder: place } = (await (await fetch(`${at}/api/backups`)).json()) as { readonly folder: string };
    return { ...(await answer.json()) as BackupFacts, folder: place };
  }
  return here();
}

async function restoreFrom(file: string): Promise<void> {
  const folder = resolve(values.data ?? join('data', values.demo ? 'demo' : 'jobs'));
  const unlock = lockFolder(folder);
  process.on('exit', unlock);
  const kept = await restoreBackup(resolve(file), join(folder, 'db'), MIGRATIONS, clockFrom(values.now)());
  console.log(`Restored ${file} into ${folder}.${kept === undefined ? '' : ` What was there before is kept in ${kept}.`}`);
  process.exit(0);
}

function backupSettings(folder: string): BackupSettings {
  const most = Number(values['backups-kept']);
  if (!Number.isInteger(most) || most < 1) throw new Error(`--backups-kept ${values['backups-kept']}: expected a whole number from 1.`);
  return { folder: resolve(values.backups ?? join(folder, 'backups')), most };
}

/** A new database is made by a process of its own: making one takes half a gigabyte that the server would never give back. */
function makeDatabaseApart(databaseFolder: string): void {
  const { status, stderr } = spawnSync(process.execPath, [fileURLToPath(import.meta.url), '--make-database', databaseFolder], { encoding: 'utf8' });
  if (status !== 0) throw new Error(`The database could not be made in ${databaseFolder}. ${stderr.trim()}`);
}

async function makeDatabase(databaseFolder: string): Promise<void> {
  const { close } = await openDatabase({ folder: databaseFolder, migrationsFolder: MIGRATIONS });
  await close();
  process.exit(0);
}

function refreshFolder(folder: string): void {
  const unlock = lockFolder(folder);
  unlock();
  rmSync(join(folder, 'db'), { recursive: true, force: true });
}

/** The clock of this machine, or, for tests alone, one that begins at another moment and runs on from there. */
function clockFrom(now: string | undefined): () => Date {
  if (now === undefined) return () => new Date();
  const ahead_ms = Date.parse(now) - Date.now();
  if (Number.isNaN(ahead_ms)) throw new Error(`--now ${now}: expected a moment such as 2026-11-26T08:20:00Z.`);
  return () => new Date(Date.now() + ahead_ms);
}

function portOf(text: string): number {
  const port = Number(text);
  if (!Number.isInteger(port) || port < 0 || port > 65535) throw new Error(`--port ${text}: expected a whole number from 0 to 65535 (0 takes a free one).`);
  return port;
}

function listen(server: Server, port: number): Promise<void> {
  return new Promise((done, fail) => {
    server.once('error', (error: NodeJS.ErrnoException) => {
      fail(error.code === 'EADDRINUSE' ? new Error(`Port ${port} is taken by another program. Choose another with --port, or --port 0 for a free one.`) : error);
    });
    server.listen(port, LOOPBACK, done);
  });
}

/** What is kept is for this person alone. */
process.umask(0o077);
const making = values['make-database'];
const doing = making !== undefined ? makeDatabase(making) : values.backup ? backUpNow() : values.restore !== undefined ? restoreFrom(values.restore) : start();
doing.catch((error: unknown) => {
  const code = error instanceof Error && 'code' in error ? error.code : undefined;
  console.error(code === 'ENOSPC' ? 'The disk is full. Make room and start again; nothing that was saved is lost.' : error instanceof Error ? error.message : String(error));
  process.exit(1);
});
