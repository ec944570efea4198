import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { sampleProblem } from '@yellow-pane/core/scheduling';
import { searchInThreads } from './search-threads';
import type { Asked } from './searches';
import { type Searching, searchHere } from './searching';
import { Threads } from './threads';

let folder: string;
let search: Searching;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'search-'));
  const script = join(folder, 'search-thread.cjs');
  execFileSync('node_modules/.bin/esbuild', [
    fileURLToPath(new URL('./search-thread.ts', import.meta.url)),
    '--bundle',
    '--platform=node',
    `--outfile=${script}`,
    '--log-level=error',
  ]);
  search = searchInThreads(pathToFileURL(script));
});
afterAll(() => {
  rmSync(folder, { recursive: true });
});

const pieces = Array.from({ length: 40 }, (_, index) => ({
  id: String(index),
  across_mm: 300 + ((index * 137) % 800),
  along_mm: 400 + ((index * 211) % 1700),
  mayTurn90: false,
}));
const strip: Asked['strip'] = { mode: 'by hand', stages: 3, request: { rollWidth_mm: 1524, pieces } };
const few: Asked['strip'] = { ...strip, request: { rollWidth_mm: 1524, pieces: pieces.slice(0, 6) } };

describe('does a thread search as core does?', () => {
  it('so many rounds of a seed give the very plan that they give here', async () => {
    const limits = { seed: 3, mostRounds: 15, milliseconds: 20_000 };
    expect(await search('strip', strip, limits)).toEqual(await searchHere('strip', strip, limits));
  });
  it('with several searches too, which take the seeds that follow: the best of them is given', async () => {
    const limits = { seed: 3, mostRounds: 15, milliseconds: 20_000 };
    const three = await search('strip', strip, { ...limits, searches: 3 });
    const alone = await Promise.all([3, 4, 5].map((seed) => searchHere('strip', strip, { ...limits, seed })));
    expect(three.length_mm.value).toBe(Math.min(...alone.map(({ length_mm }) => length_mm.value)));
    expect(three).toEqual(await searchHere('strip', strip, { ...limits, searches: 3 }));
  });
  it('a day is planned as well', async () => {
    const problem = sampleProblem(4, { steps: 12, days: 3, people: 2 });
    const limits = { seed: 1, mostRounds: 50, milliseconds: 20_000 };
    expect(await search('day', problem, limits)).toEqual(await searchHere('day', problem, limits));
  });
  it('what core refuses comes back with its code and field', async () => {
    await expect(
      search(
        'strip',
        {
          ...strip,
          request: {
            rollWidth_mm: 914,
            pieces: [{ id: 'SW1', across_mm: 1200, along_mm: 2000, mayTurn90: false }],
          },
        },
        { seed: 1, milliseconds: 100 },
      ),
    ).rejects.toMatchObject({
      name: 'CoreError',
      code: 'CUTTING_PIECE_WIDER_THAN_ROLL',
      data: { path: 'SW1' },
    });
  });
});

describe('when does it end?', () => {
  it('with its time, and what goes on here does not wait for it', async () => {
    const start = performance.now();
    let isAnswered = false;
    const long = search('strip', strip, { seed: 1, milliseconds: 2000 }).then(() => {
      isAnswered = true;
    });
    await new Promise((done) => {
      setTimeout(done, 50);
    });
    expect(isAnswered).toBe(false);
    await long;
    expect(performance.now() - start).toBeGreaterThanOrEqual(2000);
  });
  it('once one search has proven its plan, though there is time left and three others asked', async () => {
    const start = performance.now();
    const plan = await search('strip', few, { seed: 1, milliseconds: 100_000, searches: 3 });
    expect(plan.stopped).toBe('optimal');
    expect(performance.now() - start).toBeLessThan(60_000);
  });
  it('five at a time wait for one another, and each gets its plan', async () => {
    const plans = await Promise.all(
      [1, 2, 3, 4, 5].map((seed) => search('strip', strip, { seed, mostRounds: 3, milliseconds: 20_000 })),
    );
    expect(plans.map(({ placed }) => placed.length)).toEqual([40, 40, 40, 40, 40]);
  });
});

describe('what if a thread breaks?', () => {
  it('its task is told so, and the next one gets a thread that works', async () => {
    const script = join(folder, 'fragile.cjs');
    writeFileSync(
      script,
      "const { parentPort } = require('node:worker_threads'); parentPort.on('message', (n) => { if (n < 0) throw new Error('below zero'); parentPort.postMessage(n * 2); });",
    );
    const threads = new Threads<number, number>(pathToFileURL(script), 1);
    const answers = [threads.run(21), threads.run(-1), threads.run(4)];
    expect(threads.free).toBe(0);
    await expect(Promise.allSettled(answers)).resolves.toMatchObject([
      { value: 42 },
      { status: 'rejected', reason: { message: 'below zero' } },
      { value: 8 },
    ]);
    expect(threads.free).toBe(1);
  });
});
