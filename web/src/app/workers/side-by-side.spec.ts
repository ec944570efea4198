import { describe, expect, it } from '@jest/globals';
import { type SideBySide, type SideSearch, searchesAtOnce, sideBySide } from './side-by-side';

/** A search over plain numbers: the smaller the better, 0 is as good as can be. */
type Search = (own: SideSearch<number>) => Promise<number>;
const rest = (ms: number): Promise<void> => new Promise((done) => { setTimeout(done, ms); });
const untilStopped = ({ signal }: SideSearch<number>): Promise<never> => new Promise((_, fail) => { signal?.addEventListener('abort', () => { fail(signal.reason as Error); }); });
const run = (searches: readonly Search[], more: Partial<SideBySide<number>> = {}): Promise<number> => sideBySide<number>({
  count: searches.length, search: (own) => searches[own.lane]?.(own) ?? Promise.reject(new Error('no such search')), isBetter: (plan, than) => plan < than, isBest: (plan) => plan === 0, onBetter: () => undefined, ...more,
});

describe('how many searches go side by side?', () => {
  it.each([[1, 1], [2, 2], [3, 2], [4, 3], [8, 3], [64, 3]])('on %d processors %d: from three on one is left to the page', (processors, searches) => {
    expect(searchesAtOnce(processors)).toBe(searches);
  });
});

describe('what comes of several searches?', () => {
  it('the best plan of all, whoever ends first', async () => {
    expect(await run([async () => { await rest(15); return 7; }, () => Promise.resolve(9), async () => { await rest(5); return 8; }])).toBe(7);
  });

  it('each is told which it is, so that no two go the same way', async () => {
    const lanes: number[] = [];
    await run([1, 2, 3].map((answer): Search => ({ lane }) => { lanes.push(lane); return Promise.resolve(answer); }));
    expect(lanes).toEqual([0, 1, 2]);
  });

  it('a plan on the way is told once it beats all told before, from whichever search', async () => {
    const told: number[] = [];
    await run([
      async ({ onBetter }) => { onBetter(10); await rest(10); onBetter(6); return 6; },
      async ({ onBetter }) => { await rest(5); onBetter(12); onBetter(8); await rest(10); onBetter(7); return 7; },
    ], { onBetter: (plan) => told.push(plan) });
    expect(told).toEqual([10, 8, 6]);
  });

  it('is as far as the slowest of them', async () => {
    const heard: number[] = [];
    await run([({ onProgress }) => { onProgress?.(0.5); return Promise.resolve(1); }, ({ onProgress }) => { onProgress?.(0.2); onProgress?.(1); return Promise.resolve(1); }], { onProgress: (share) => heard.push(share) });
    expect(heard).toEqual([0, 0.2, 0.5]);
  });

  it('one that is proven best ends the others', async () => {
    let isStopped = false;
    const other: Search = async (own) => { try { return await untilStopped(own); } finally { isStopped = true; } };
    expect(await run([other, () => Promise.resolve(0)])).toBe(0);
    expect(isStopped).toBe(true);
  });

  it('one that breaks off leaves the others their plan; when all do, the first says why', async () => {
    expect(await run([() => Promise.reject(new Error('out of memory')), () => Promise.resolve(3)])).toBe(3);
    await expect(run([() => Promise.reject(new Error('out of memory')), () => Promise.reject(new Error('other'))])).rejects.toThrow('out of memory');
  });

  it('stopped by a person, all stop, and nothing is given', async () => {
    const stop = new AbortController();
    setTimeout(() => { stop.abort(new Error('stopped')); }, 5);
    await expect(run([untilStopped, untilStopped, () => Promise.resolve(4)], { signal: stop.signal })).rejects.toThrow('stopped');
    await expect(run([() => Promise.resolve(4)], { signal: AbortSignal.abort(new Error('too late')) })).rejects.toThrow('too late');
  });
});
