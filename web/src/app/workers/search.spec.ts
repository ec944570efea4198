import { describe, expect, it } from '@jest/globals';
import { Search, type SearchOptions } from './search';
import { searchFor } from './search-for';

/** A search led by hand. */
function led(): {
  readonly begin: (options: SearchOptions<string>) => Promise<string>;
  readonly options: () => SearchOptions<string>;
  readonly end: (answer: string) => void;
  readonly fail: (error: Error) => void;
} {
  let own: SearchOptions<string> | undefined;
  let [end, fail]: [(answer: string) => void, (error: Error) => void] = [() => undefined, () => undefined];
  return {
    begin: (options) =>
      new Promise<string>((done, refuse) => {
        own = options;
        [end, fail] = [done, refuse];
        options.signal.addEventListener('abort', () => {
          refuse(options.signal.reason as Error);
        });
      }),
    options: () => {
      if (own === undefined) throw new Error('not begun');
      return own;
    },
    end: (answer) => {
      end(answer);
    },
    fail: (error) => {
      fail(error);
    },
  };
}

describe('what does a search of a screen say while it runs?', () => {
  it('its progress and the best so far; afterwards neither, and the answer', async () => {
    const [search, one] = [new Search<string>(), led()];
    const found = search.run(one.begin);
    one.options().onProgress(0.4);
    one.options().onBetter('good');
    expect([search.progress(), search.soFar()]).toEqual([0.4, 'good']);
    one.end('best');
    expect(await found).toBe('best');
    expect([search.progress(), search.soFar()]).toEqual([undefined, undefined]);
  });

  it('stopped: the best so far is kept; before there is one, it goes on to the first', async () => {
    const [search, one] = [new Search<string>(), led()];
    const found = search.run(one.begin);
    search.stop();
    expect(search.progress()).toBe(0);
    one.options().onBetter('first');
    expect(await found).toBe('first');
  });

  it('ended before anything was found: nothing; what it is refused for is thrown', async () => {
    const [search, one, two] = [new Search<string>(), led(), led()];
    const found = search.run(one.begin);
    search.end();
    expect(await found).toBeUndefined();
    const refused = search.run(two.begin);
    two.fail(new Error('too long'));
    await expect(refused).rejects.toThrow('too long');
    expect(search.progress()).toBeUndefined();
  });

  it('a new one takes the place of the one before, looks elsewhere, and is not disturbed by it', async () => {
    const [search, one, two] = [new Search<string>(), led(), led()];
    const first = search.run(one.begin);
    one.options().onBetter('of the first');
    const second = search.run(two.begin);
    one.options().onBetter('too late');
    expect(await first).toBeUndefined();
    expect([search.soFar(), search.progress()]).toEqual([undefined, 0]);
    expect(two.options().seed).not.toBe(one.options().seed);
    two.end('of the second');
    expect(await second).toBe('of the second');
  });
});

describe('how is a search followed in a worker?', () => {
  const follow = (
    answers: readonly number[],
    ms = 1000,
  ): { readonly told: number[]; readonly last: number } => {
    const told: number[] = [];
    function* steps(): Generator<number, number> {
      yield* answers;
      return answers.at(-1) ?? 0;
    }
    const last = searchFor(
      steps(),
      { least_ms: ms, most_ms: ms },
      { onProgress: () => undefined, onBetter: (answer) => told.push(answer) },
      (answer, than) => answer < than,
    );
    return { told, last };
  };
  it('each better answer is told once, worse ones never; the end is the answer', () => {
    expect(follow([9, 9, 7, 8, 7, 5])).toEqual({ told: [9, 7, 5], last: 5 });
  });
  it('no time left: the first answer there is', () => {
    expect(follow([9, 7, 5], -1).told).toEqual([9]);
  });
});
