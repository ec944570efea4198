import { closeSync, mkdirSync, openSync, readFileSync, unlinkSync, writeSync } from 'node:fs';
import { join } from 'node:path';

const LOCK_FILE = 'yellow-pane.lock';

export class FolderInUse extends Error {
  constructor(
    readonly folder: string,
    readonly pid: number,
  ) {
    super(`The data folder ${folder} is in use by process ${pid}. Stop that one first, or choose another folder with --data.`);
    this.name = 'FolderInUse';
  }
}

/** Takes the folder for this process alone. A lock left by a process that no longer lives is taken over.
 *  @returns the function that gives it back
 *  @throws FolderInUse while another living process holds it */
export function lockFolder(folder: string): () => void {
  mkdirSync(folder, { recursive: true });
  const path = join(folder, LOCK_FILE);
  const own = `${process.pid} ${startOf(process.pid) ?? '?'}`;
  for (let attempt = 0; ; attempt += 1) {
    try {
      const file = openSync(path, 'wx');
      writeSync(file, own);
      closeSync(file);
      return () => { if (readLock(path) === own) unlinkSync(path); };
    } catch (error) {
      if (codeOf(error) !== 'EEXIST' || attempt > 3) throw error;
      const holder = readLock(path);
      const pid = Number(holder?.split(' ')[0]);
      if (holder !== undefined && isHolding(pid, holder)) throw new FolderInUse(folder, pid);
      if (holder !== undefined) unlinkSync(path);
    }
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

/** Start time in clock ticks since boot where the system tells (Linux), so that a reused process number is noticed. */
function startOf(pid: number): string | undefined {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19];
  } catch {
    return undefined;
  }
}
