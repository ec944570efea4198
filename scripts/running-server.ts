import { type ChildProcess, spawn } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, mkdtempSync, renameSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, resolve } from 'node:path';

export interface RunningServer {
  readonly address: string;
  readonly folder: string;
  readonly process: ChildProcess;
  /** Ends it as an operator would; `SIGKILL` as a power cut of the process would. */
  readonly stop: (signal?: NodeJS.Signals) => Promise<void>;
}

export interface ServerOptions {
  readonly isDemo?: boolean;
  /** Absent: a new temporary one, as the first start leaves it, removed when the server stops. */
  readonly folder?: string;
  readonly port?: number;
  /** Where its clock begins; absent: the clock of this machine. */
  readonly now?: string;
}

const MAIN = 'server/dist/main.js';
/** A busy machine is given time. */
const START_MS = 180_000;

/** Starts the built server on a free port and waits until it answers. */
export async function startServer(options: ServerOptions = {}): Promise<RunningServer> {
  const own = options.folder ?? (await freshFolder(options));
  const server = await startIn(own, options);
  if (options.folder !== undefined) return server;
  return {
    ...server,
    stop: async (signal) => {
      await server.stop(signal);
      rmSync(own, { recursive: true, force: true });
    },
  };
}

/** A first start takes ten seconds: it is done once for each build and way of starting, and copied. */
async function freshFolder(options: ServerOptions): Promise<string> {
  const { isDemo = false, now = 'today' } = options;
  const built = Math.round(statSync(MAIN).mtimeMs);
  const made = resolve('test-results/first-starts', `${built} ${isDemo ? 'demo' : 'empty'} ${now}`);
  if (!existsSync(made)) {
    mkdirSync(dirname(made), { recursive: true });
    const making = mkdtempSync(`${made} `);
    await (await startIn(making, options)).stop();
    // Of two who make it at the same time the first is as good.
    if (existsSync(made)) rmSync(making, { recursive: true });
    else renameSync(making, made);
  }
  const own = mkdtempSync(join(tmpdir(), 'yellow-pane-'));
  cpSync(made, own, { recursive: true });
  return own;
}

async function startIn(
  folder: string,
  { isDemo = false, port = 0, now }: ServerOptions,
): Promise<RunningServer> {
  const child = spawn(
    process.execPath,
    [
      MAIN,
      '--data',
      folder,
      '--port',
      String(port),
      ...(isDemo ? ['--demo'] : []),
      ...(now === undefined ? [] : ['--now', now]),
    ],
    { stdio: ['ignore', 'pipe', 'pipe'] },
  );
  const address = await addressOf(child);
  const ended = new Promise<void>((done) =>
    child.once('exit', () => {
      done();
    }),
  );
  return {
    address,
    folder,
    process: child,
    stop: async (signal = 'SIGTERM') => {
      child.kill(signal);
      await ended;
    },
  };
}

function addressOf(child: ChildProcess): Promise<string> {
  return new Promise((done, fail) => {
    let said = '';
    const late = setTimeout(() => {
      fail(new Error(`the server did not start: ${said}`));
    }, START_MS);
    const hear = (part: Buffer): void => {
      said += part.toString();
      const match = /at (http:\/\/[\w.]+:\d+)/.exec(said);
      if (match?.[1] === undefined) return;
      clearTimeout(late);
      done(match[1]);
    };
    child.stdout?.on('data', hear);
    child.stderr?.on('data', hear);
    child.once('exit', () => {
      clearTimeout(late);
      fail(new Error(`the server ended: ${said}`));
    });
  });
}
