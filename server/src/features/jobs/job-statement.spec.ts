import { describe, expect, it } from '@jest/globals';
import type { Database } from '../../db/database';
import { readFirstPages } from './job-statement';

describe('does a statement that could not be prepared once block all jobs?', () => {
  it('no: the one who asked is told, the next one is answered', async () => {
    let asked = 0;
    const execute = (): Promise<{ readonly rows: readonly object[] }> =>
      (asked += 1) === 1
        ? Promise.reject(new Error('no memory just now'))
        : Promise.resolve({ rows: [{ seq: '7' }] });
    const db = { execute } as unknown as Database;
    const job = '0199b9a6-0003-7000-8000-000000000001';
    await expect(readFirstPages(db, job, 10)).rejects.toThrow('no memory just now');
    expect(await readFirstPages(db, job, 10)).toEqual({ seq: '7' });
  });
});
