import { availableParallelism } from 'node:os';
import { CoreError } from '@yellow-pane/core/quantity';
import type { SearchAnswer, SearchTask } from './search-thread';
import { type Found, KINDS } from './searches';
import { type Searching, bestOf, roundsOf } from './searching';
import { Threads } from './threads';

const MOST_AT_ONCE = 3;

/** Searches in threads of their own, so that other requests do not wait and every processor helps. */
export function searchInThreads(script: URL): Searching {
  const threads = new Threads<SearchTask, SearchAnswer>(script, MOST_AT_ONCE);
  const processors = Math.min(MOST_AT_ONCE, availableParallelism());
  return async (what, asked, limits) => {
    const isBudgeted = limits.mostRounds !== undefined;
    const count = limits.searches ?? (isBudgeted ? 1 : Math.max(1, Math.min(processors, threads.free)));
    const stop = new Int32Array(new SharedArrayBuffer(Int32Array.BYTES_PER_ELEMENT));
    const searches = Array.from({ length: count }, async (_, lane) => {
      const answer = await threads.run({
        what,
        asked,
        seed: limits.seed + lane,
        mostRounds: roundsOf(limits),
        milliseconds: limits.milliseconds,
        stop,
      });
      if ('refused' in answer) throw new CoreError(answer.refused.code, answer.refused.data);
      const plan = answer.plan as Found[typeof what];
      if (!isBudgeted && KINDS[what].isBest(plan)) Atomics.store(stop, 0, 1);
      return plan;
    });
    return bestOf(what, asked, await Promise.all(searches));
  };
}
