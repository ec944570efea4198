import { Injectable } from '@angular/core';
import type { QuoteAsked, QuoteCase, CalculatedQuote } from '@yellow-pane/core/quoting';
import type { QuoteWorkerApi } from './quote.worker';
import { WorkerPool } from './worker-pool';

/** Thousands of jobs like this one are drawn away from the page. */
@Injectable({ providedIn: 'root' })
export class QuotePool {
  readonly #pool = new WorkerPool<QuoteWorkerApi>(
    () => new Worker(new URL('./quote.worker', import.meta.url), { type: 'module' }),
    1,
  );

  quote(own: QuoteCase, asked: QuoteAsked): Promise<CalculatedQuote> {
    return this.#pool.run<CalculatedQuote>(async (remote) => remote.quote(own, asked));
  }
}
