import {
  linkSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  renameSync,
  unlinkSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';

/** Written beside the turns for programs up to 0.5.0, which know this one file alone. */
const FIRST = 'yellow-pane.lock';
const TURN = /^yellow-pane\.lock\.(\d+)$/;
const FREE = 'free';
const NO_LINKS: ReadonlySet<unknown> = new Set(['EPERM', 'ENOSYS', 'ENOTSUP', 'EOPNOTSUPP']);
const MOST_ATTEMPTS = 50;

export class FolderInUse extends Error {
  constructor(
    readonly folder: string,
    readonly pid: number,
  ) {
    super(
      `The data folder ${folder} is in use by process ${pid}. Stop that one first, or choose another folder with --data.`,
    );
    this.name = 'FolderInUse';
  }
}

/**
 * Takes the folder for this process alone. A lock left by a process that no longer lives is taken over. Every
 * holder takes the next turn: a file of its own that only one can make. Nobody removes a lock that may be
 * taken over; whoever finds a later turn than his own has come too late.
 * @returns the function that gives it back
 * @throws FolderInUse while another living process holds it
 */
export function lockFolder(folder: string): () => void {
  mkdirSync(folder, { recursive: true });
  const own = `${process.pid} ${startOf(process.pid) ?? '?'}`;
  for (let attempt = 0; attempt < MOST_ATTEMPTS; attempt += 1) {
    refuseHeld(folder, FIRST);
    const last = lastTurn(folder);
    if (last > 0) refuseHeld(folder, turnFile(last));
    const turn = last + 1;
    if (!make(folder, turn, own)) continue;
    if (lastTurn(folder) !== turn) {
      unlinkSync(join(folder, turnFile(turn)));
      continue;
    }
    for (const earlier of turnsIn(folder)) if (earlier < turn) removeIfThere(join(folder, turnFile(earlier)));
    replace(join(folder, FIRST), own);
    return () => {
      replace(join(folder, turnFile(turn)), FREE);
      if (readLock(join(folder, FIRST)) === own) removeIfThere(join(folder, FIRST));
    };
  }
  throw new Error(`The data folder ${folder} could not be locked: others keep taking it. Try again.`);
}

const turnFile = (turn: number): string => `${FIRST}.${turn}`;

function turnsIn(folder: string): readonly number[] {
  return readdirSync(folder).flatMap((name) => {
    const turn = TURN.exec(name)?.[1];
    return turn === undefined ? [] : [Number(turn)];
  });
}

function lastTurn(folder: string): number {
  return Math.max(0, ...turnsIn(folder));
}

/** @throws FolderInUse */
function refuseHeld(folder: string, file: string): void {
  const holder = readLock(join(folder, file));
  const pid = Number(holder?.split(' ')[0]);
  if (holder !== undefined && isHolding(pid, holder)) throw new FolderInUse(folder, pid);
}

/** The file of a turn, with what stands in it, in one step. @returns false when another made it first */
function make(folder: string, turn: number, holder: string): boolean {
  const path = join(folder, turnFile(turn));
  const draft = join(folder, `${FIRST}-${process.pid}`);
  writeFileSync(draft, holder);
  try {
    linkSync(draft, path);
    return true;
  } catch (error) {
    if (NO_LINKS.has(codeOf(error))) return makeWithoutLinks(path, holder);
    if (codeOf(error) === 'EEXIST') return false;
    throw error;
  } finally {
    removeIfThere(draft);
  }
}

/** For disks that know no links: made in one step, filled in a second. */
function makeWithoutLinks(path: string, holder: string): boolean {
  try {
    writeFileSync(path, holder, { flag: 'wx' });
    return true;
  } catch (error) {
    if (codeOf(error) === 'EEXIST') return false;
    throw error;
  }
}

function replace(path: string, text: string): void {
  const draft = `${path}-${process.pid}`;
  writeFileSync(draft, text);
  renameSync(draft, path);
}

function removeIfThere(path: string): void {
  try {
    unlinkSync(path);
  } catch (error) {
    if (codeOf(error) !== 'ENOENT') throw error;
  }
}
function readLock(path: string): string | undefined {
  try {
    return readFileSync(path, 'utf8');
  } catch {
    return undefined;
  }
}

function codeOf(error: unknown): unknown {
  return (error as { readonly code?: unknown } | null)?.code;
}

/** A living process of the same number is the holder only if it also started when the lock says. */
function isHolding(pid: number, holder: string): boolean {
  if (!Number.isInteger(pid) || pid <= 0) return false;
  try {
    process.kill(pid, 0);
  } catch (error) {
    if (codeOf(error) !== 'EPERM') return false;
  }
  const start = holder.split(' ')[1];
  const now = startOf(pid);
  return start === undefined || start === '?' || now === undefined || now === start;
}

/**
 * Start time in clock ticks since boot where the system tells (Linux), so that a reused process number is
 * noticed.
 */
function startOf(pid: number): string | undefined {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19];
  } catch {
    return undefined;
  }
}
