import { describe, expect, it } from '@jest/globals';
import { type SideBySide, type SideSearch, searchesAtOnce, sideBySide } from './side-by-side';

/** A search over plain numbers: the smaller the better, 0 is as good as can be. */
type Search = (own: SideSearch<number>) => Promise<number>;
/** Points that searches wait for one another at, so that their order does not hang on the clock. */
function gates<Name extends string>(
  ...names: readonly Name[]
): { readonly pass: (name: Name) => void; readonly gone: (name: Name) => Promise<void> } {
  const all = new Map(
    names.map((name) => {
      let open = (): void => undefined;
      return [
        name,
        {
          passed: new Promise<void>((done) => {
            open = done;
          }),
          open: () => {
            open();
          },
        },
      ];
    }),
  );
  return {
    pass: (name) => {
      all.get(name)?.open();
    },
    gone: (name) => all.get(name)?.passed ?? Promise.resolve(),
  };
}
const untilStopped = ({ signal }: SideSearch<number>): Promise<never> =>
  new Promise((_, fail) => {
    signal?.addEventListener('abort', () => {
      fail(signal.reason as Error);
    });
  });
const run = (searches: readonly Search[], more: Partial<SideBySide<number>> = {}): Promise<number> =>
  sideBySide<number>({
    count: searches.length,
    seed: 0,
    search: (own) => searches[own.seed]?.(own) ?? Promise.reject(new Error('no such search')),
    isBetter: (plan, than) => plan < than,
    isBest: (plan) => plan === 0,
    onBetter: () => undefined,
    ...more,
  });

describe('how many searches go side by side?', () => {
  it.each([
    [1, 1],
    [2, 2],
    [3, 2],
    [4, 3],
    [8, 3],
    [64, 3],
  ])('on %d processors %d: from three on one is left to the page', (processors, searches) => {
    expect(searchesAtOnce(processors)).toBe(searches);
  });
});

describe('what comes of several searches?', () => {
  it('the best plan of all, whoever ends first', async () => {
    const { pass, gone } = gates('second', 'third');
    expect(
      await run([
        async () => {
          await gone('third');
          return 7;
        },
        () => {
          pass('second');
          return Promise.resolve(9);
        },
        async () => {
          await gone('second');
          pass('third');
          return 8;
        },
      ]),
    ).toBe(7);
  });

  it('each has a seed of its own, also another time: no two go the same way', async () => {
    const seeds: number[] = [];
    const searched = (own: SideSearch<number>): Promise<number> => {
      seeds.push(own.seed);
      return Promise.resolve(1);
    };
    for (const seed of [1, 2]) await run([searched, searched, searched], { seed, search: searched });
    expect(new Set(seeds).size).toBe(6);
  });

  it('a plan on the way is told once it beats all told before, from whichever search', async () => {
    const told: number[] = [];
    const { pass, gone } = gates('ten', 'eight', 'six');
    await run(
      [
        async ({ onBetter }) => {
          onBetter(10);
          pass('ten');
          await gone('eight');
          onBetter(6);
          pass('six');
          return 6;
        },
        async ({ onBetter }) => {
          await gone('ten');
          onBetter(12);
          onBetter(8);
          pass('eight');
          await gone('six');
          onBetter(7);
          return 7;
        },
      ],
      { onBetter: (plan) => told.push(plan) },
    );
    expect(told).toEqual([10, 8, 6]);
  });

  it('is as far as the slowest of them', async () => {
    const heard: number[] = [];
    await run(
      [
        ({ onProgress }) => {
          onProgress?.(0.5);
          return Promise.resolve(1);
        },
        ({ onProgress }) => {
          onProgress?.(0.2);
          onProgress?.(1);
          return Promise.resolve(1);
        },
      ],
      { onProgress: (share) => heard.push(share) },
    );
    expect(heard).toEqual([0, 0.2, 0.5]);
  });

  it('one that is proven best ends the others', async () => {
    let isStopped = false;
    const other: Search = async (own) => {
      try {
        return await untilStopped(own);
      } finally {
        isStopped = true;
      }
    };
    expect(await run([other, () => Promise.resolve(0)])).toBe(0);
    expect(isStopped).toBe(true);
  });

  it('one that breaks off leaves the others their plan; when all do, the first says why', async () => {
    expect(await run([() => Promise.reject(new Error('out of memory')), () => Promise.resolve(3)])).toBe(3);
    await expect(
      run([() => Promise.reject(new Error('out of memory')), () => Promise.reject(new Error('other'))]),
    ).rejects.toThrow('out of memory');
  });

  it('stopped by a person, all stop, and nothing is given', async () => {
    const stop = new AbortController();
    setTimeout(() => {
      stop.abort(new Error('stopped'));
    }, 5);
    await expect(
      run([untilStopped, untilStopped, () => Promise.resolve(4)], { signal: stop.signal }),
    ).rejects.toThrow('stopped');
    await expect(
      run([() => Promise.resolve(4)], { signal: AbortSignal.abort(new Error('too late')) }),
    ).rejects.toThrow('too late');
  });
});
