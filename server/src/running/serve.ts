import { chmodSync, existsSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import { join } from 'node:path';
import { DEMO_PERSON_ID, DEMO_START } from '@yellow-pane/demo';
import { type Logger, pino } from 'pino';
import { createApp } from '../app';
import { Backups } from '../backup/backups';
import { type OpenDatabase, openDatabase } from '../db/database';
import { lockFolder } from '../db/folder-lock';
import { DataFolderRefused } from '../db/migrating';
import { Soundness, readThrough } from '../db/soundness';
import { loadDemo } from '../features/demo/load-demo';
import { damageInWords } from '../features/health/routes';
import { searchInThreads } from '../features/calculate/search/search-threads';
import { putEmptyDatabase } from './make-database';
import { ADDRESS_FILE, MIGRATIONS, type Options, ROOT, VERSION } from './options';
import { RoomOnDisk } from './room-on-disk';

const LOOPBACK = '127.0.0.1';
const GRACE_MS = 5000;
const KEEP_ALIVE_MS = 65_000;
/** A request that has not arrived by then is cut off. */
const REQUEST_MS = 120_000;
const HOUR_MS = 3_600_000;
/** Whoever opened the program is served first. */
const CARE_MS = 20_000;
/** Built beside the program. */
const SEARCH_THREAD = new URL('search-thread.js', import.meta.url);

/** Opens the data folder and answers until it is told to stop. */
export async function serve(options: Options): Promise<void> {
  const { folder, port, clock } = options;
  if (options.isFresh) refreshFolder(folder);
  process.on('exit', lockFolder(folder));
  chmodSync(folder, 0o700);
  const room = new RoomOnDisk(folder);
  const database = await openData(options, room);
  const log = logIn(folder);
  const soundness = new Soundness();
  const backups = new Backups(database, options.backups, clock);
  if (options.isDemo) await loadDemo(database.db, clock);
  const { app, endStreams } = createApp({
    db: database.db,
    clock,
    log,
    version: VERSION,
    backups,
    soundness,
    search: searchInThreads(SEARCH_THREAD),
    hasRoom: () => room.has(),
    readyPerson: options.isDemo ? DEMO_PERSON_ID : undefined,
    pagesFolder: join(ROOT, 'web', 'dist', 'browser'),
  });
  const server = createServer(app);
  /** Longer than any client keeps a line it will use again: else it may be cut just as a request goes out. */
  server.keepAliveTimeout = KEEP_ALIVE_MS;
  server.headersTimeout = KEEP_ALIVE_MS + 1000;
  server.requestTimeout = REQUEST_MS;
  await listen(server, port);
  const address = server.address();
  const at = `http://localhost:${typeof address === 'object' && address !== null ? address.port : port}`;
  log.info({ folder, at }, 'started');
  console.log(`Yellow Pane is at ${at}${options.isDemo ? DEMO_START : '/'}`);
  console.log(`Data: ${folder} · stop with Ctrl+C`);
  writeFileSync(join(folder, ADDRESS_FILE), at);
  const endCare = careFor(database, backups, soundness, room, log);
  stopWhenTold(() => {
    endStreams();
    endCare();
    server.close(() => void database.close().finally(() => process.exit(0)));
    server.closeIdleConnections();
  });
}

function logIn(folder: string): Logger {
  const file = pino.destination({ dest: join(folder, 'server.log'), mkdir: true, sync: false });
  /** A log that cannot be written, on a full disk, is no reason to stop. */
  file.on('error', () => undefined);
  return pino({ level: process.env['LOG_LEVEL'] ?? 'info' }, file);
}

async function openData({ folder, backups }: Options, room: RoomOnDisk): Promise<OpenDatabase> {
  const databaseFolder = join(folder, 'db');
  try {
    if (!existsSync(join(databaseFolder, 'PG_VERSION'))) putEmptyDatabase(databaseFolder);
    const database = await openDatabase({
      folder: databaseFolder,
      migrationsFolder: MIGRATIONS,
      makeRoom: () => {
        room.giveAway();
      },
    });
    if (database.keptBefore !== undefined)
      console.log(
        `The data folder was brought up to date. As it was before, it is kept in ${database.keptBefore}; delete that when all is well.`,
      );
    return database;
  } catch (error) {
    if (!(error instanceof DataFolderRefused) || !error.isDamage) throw error;
    const kept = new Backups({ backUp: () => Promise.reject(error) }, backups, () => new Date());
    throw new Error(`${error.message} ${damageInWords(kept)}`, { cause: error });
  }
}

/**
 * What is done beside serving: the folder is read through once, backed up daily, and some room is held back.
 * @returns the function that ends it
 */
function careFor(
  { db }: OpenDatabase,
  backups: Backups,
  soundness: Soundness,
  room: RoomOnDisk,
  log: Logger,
): () => void {
  const first = setTimeout(() => {
    room.hold();
    readThrough(db).catch((error: unknown) => {
      soundness.hear(error);
      log.error({ isSound: soundness.isSound }, 'the data folder could not be read through');
    });
  }, CARE_MS);
  const timer = setInterval(() => {
    room.hold();
  }, HOUR_MS);
  const endBackups = backups.daily((error) => {
    soundness.hear(error);
    log.error({ err: error }, 'backup failed');
  });
  return () => {
    clearTimeout(first);
    clearInterval(timer);
    endBackups();
  };
}

function stopWhenTold(end: () => void): void {
  let isStopping = false;
  const stop = (): void => {
    if (isStopping) return;
    isStopping = true;
    setTimeout(() => process.exit(1), GRACE_MS).unref();
    end();
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
}

function refreshFolder(folder: string): void {
  const unlock = lockFolder(folder);
  unlock();
  rmSync(join(folder, 'db'), { recursive: true, force: true });
}

function listen(server: Server, port: number): Promise<void> {
  return new Promise((done, fail) => {
    server.once('error', (error: NodeJS.ErrnoException) => {
      fail(
        error.code === 'EADDRINUSE'
          ? new Error(
              `Port ${port} is taken by another program. Choose another with --port, or --port 0 for a free one.`,
            )
          : error,
      );
    });
    server.listen(port, LOOPBACK, done);
  });
}
