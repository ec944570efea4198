import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export interface RunningServer {
  readonly address: string;
  readonly folder: string;
  readonly process: ChildProcess;
  /** Ends it as an operator would; `SIGKILL` as a power cut of the process would. */
  readonly stop: (signal?: NodeJS.Signals) => Promise<void>;
}

export interface ServerOptions {
  readonly isDemo?: boolean;
  /** Absent: a new temporary one, removed when the server stops. */
  readonly folder?: string;
  readonly port?: number;
  /** Where its clock begins; absent: the clock of this machine. */
  readonly now?: string;
}

/** A busy machine is given time. */
const START_MS = 180_000;

/** Starts the built server on a free port and waits until it answers. */
export async function startServer({
  isDemo = false,
  folder,
  port = 0,
  now,
}: ServerOptions = {}): Promise<RunningServer> {
  const own = folder ?? mkdtempSync(join(tmpdir(), 'yellow-pane-'));
  const child = spawn(
    process.execPath,
    [
      'server/dist/main.js',
      '--data',
      own,
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
    folder: own,
    process: child,
    stop: async (signal = 'SIGTERM') => {
      child.kill(signal);
      await ended;
      if (folder === undefined) rmSync(own, { recursive: true, force: true });
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
