import { Injectable } from '@angular/core';
import type { BandAnswer, BandAsked, CurvedWorkerApi } from './curved.worker';
import { WorkerPool } from './worker-pool';

/** How sure a shrink plan is, away from the page. */
@Injectable({ providedIn: 'root' })
export class CurvedPool {
  readonly #pool = new WorkerPool<CurvedWorkerApi>(
    () => new Worker(new URL('./curved.worker', import.meta.url), { type: 'module' }),
    1,
  );

  band({ patch, doubts, ends, at_mm, areEndsKnown }: BandAsked): Promise<BandAnswer> {
    const asked = { patch, doubts, ends, at_mm, areEndsKnown };
    return this.#pool.run<BandAnswer>(async (remote) => remote.band(asked));
  }
}
