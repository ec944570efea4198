import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createInterface } from 'node:readline';
import { describe, expect, it } from '@jest/globals';
import { build } from 'esbuild';
import { FolderInUse, lockFolder } from './folder-lock';

const folder = (): string => mkdtempSync(join(tmpdir(), 'yellow-pane-lock-'));
const lockIn = (place: string): string => join(place, 'yellow-pane.lock');

const ROUNDS = Number(process.env['LOCK_ROUNDS'] ?? 5);
const AT_ONCE = 8;
/** What is there of a lock before they come. */
const BEFORE = ['nothing', 'ended', 'killed'] as const;

/**
 * A program that takes the lock when told to, says whether it holds it, and keeps it until its input ends.
 */
async function taker(): Promise<string> {
  const file = join(folder(), 'taker.mjs');
  const contents = `
    import { lockFolder } from './folder-lock';
    process.stdin.once('data', () => { try { lockFolder(process.argv[2]); console.log('held'); } catch (error) { console.log(error.name); } });
    process.stdin.once('end', () => process.exit(0));
    console.log('ready');`;
  await build({
    stdin: { contents, resolveDir: import.meta.dirname, loader: 'ts' },
    bundle: true,
    platform: 'node',
    format: 'esm',
    outfile: file,
  });
  return file;
}

/** What each of so many processes says that take one folder at the same moment. */
async function takenAtOnce(program: string, place: string): Promise<readonly string[]> {
  const takers = Array.from({ length: AT_ONCE }, () =>
    spawn(process.execPath, [program, place], { stdio: ['pipe', 'pipe', 'inherit'] }),
  );
  const lines = takers.map((own) => createInterface({ input: own.stdout })[Symbol.asyncIterator]());
  const next = (): Promise<readonly string[]> =>
    Promise.all(lines.map(async (line) => (await line.next()).value as string));
  await next();
  for (const own of takers) own.stdin.write('now\n');
  const said = await next();
  const ended = takers.map((own) => once(own, 'exit'));
  for (const own of takers) own.stdin.end();
  await Promise.all(ended);
  return said;
}

describe('can two processes use one data folder?', () => {
  it('no: the second is told which process holds it', () => {
    const place = folder();
    const unlock = lockFolder(place);
    expect(() => lockFolder(place)).toThrow(FolderInUse);
    expect(() => lockFolder(place)).toThrow(String(process.pid));
    unlock();
    expect(existsSync(lockIn(place))).toBe(false);
  });

  it('given back, it can be taken again', () => {
    const place = folder();
    lockFolder(place)();
    lockFolder(place)();
  });

  it('a lock left by a process that was killed is taken over', async () => {
    const place = folder();
    const child = spawn(process.execPath, ['-e', 'setTimeout(() => {}, 60000)']);
    writeFileSync(lockIn(place), `${child.pid ?? 0} ?`);
    expect(() => lockFolder(place)).toThrow(FolderInUse);
    child.kill('SIGKILL');
    await once(child, 'exit');
    lockFolder(place)();
  });

  it('a process number used again by another process does not hold it', () => {
    const place = folder();
    writeFileSync(lockIn(place), `${process.pid} 1`);
    if (!existsSync('/proc/self/stat')) return;
    const unlock = lockFolder(place);
    expect(readFileSync(lockIn(place), 'utf8')).not.toBe(`${process.pid} 1`);
    unlock();
  });

  it('a lock with rubbish in it is taken over', () => {
    const place = folder();
    writeFileSync(lockIn(place), 'not a number');
    lockFolder(place)();
  });

  it(
    `of ${AT_ONCE} processes at the same moment exactly one holds it, with no lock there, one given back, and one left by a process that is gone`,
    async () => {
      const program = await taker();
      for (let round = 0; round < ROUNDS; round += 1) {
        const place = folder();
        const before = BEFORE[round % BEFORE.length];
        if (before === 'ended') lockFolder(place)();
        if (before === 'killed') writeFileSync(lockIn(place), `${2 ** 22 + 1} 1`);
        const said = await takenAtOnce(program, place);
        expect(said.filter((word) => word === 'held')).toHaveLength(1);
        expect(said.filter((word) => word === 'FolderInUse')).toHaveLength(AT_ONCE - 1);
      }
    },
    180_000 + ROUNDS * 10_000,
  );
});
