import { parentPort } from 'node:worker_threads';
import { CoreError, type CoreErrorCode, type CoreErrorData } from '@yellow-pane/core/quantity';
import { type Asked, type Found, KINDS, type What } from './searches';

/** One search, as it is sent to a thread. */
export interface SearchTask<W extends What = What> {
  readonly what: W;
  readonly asked: Asked[W];
  readonly seed: number;
  readonly mostRounds: number;
  readonly milliseconds: number;
  /** One number, shared: no longer 0 when the search is to end. */
  readonly stop: Int32Array;
}

export type SearchAnswer<W extends What = What> =
  | { readonly plan: Found[W] }
  | { readonly refused: { readonly code: CoreErrorCode; readonly data: CoreErrorData } };

/** Searches until the time is up, it is told to stop, or the search ends of itself. */
function search<W extends What>({
  what,
  asked,
  seed,
  mostRounds,
  milliseconds,
  stop,
}: SearchTask<W>): Found[W] {
  const steps = KINDS[what].steps(asked, { seed, mostRounds });
  const start = performance.now();
  for (;;) {
    const { value, done } = steps.next();
    if (done === true || performance.now() - start >= milliseconds || Atomics.load(stop, 0) !== 0)
      return value;
  }
}

parentPort?.on('message', (task: SearchTask) => {
  try {
    parentPort?.postMessage({ plan: search(task) } satisfies SearchAnswer);
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    parentPort?.postMessage({ refused: { code: error.code, data: error.data } } satisfies SearchAnswer);
  }
});
