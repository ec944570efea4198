import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from '@jest/globals';
import { FolderInUse, lockFolder } from './folder-lock';

const folder = (): string => mkdtempSync(join(tmpdir(), 'yellow-pane-lock-'));
const lockIn = (place: string): string => join(place, 'yellow-pane.lock');

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
});
