import { Injectable } from '@angular/core';
import type { LayoutPlan, LayoutRequest } from '@yellow-pane/core/cutting';
import { proxy } from 'comlink';
import type { LayoutWorkerApi } from './layout.worker';
import { type TaskOptions, WorkerPool } from './worker-pool';

interface LayoutOptions extends TaskOptions {
  readonly milliseconds: number;
  readonly onBetter: (plan: LayoutPlan) => void;
}

/** Lays out blanks away from the page: the first plan at once, better ones as they are found. */
@Injectable({ providedIn: 'root' })
export class LayoutPool {
  readonly #pool = new WorkerPool<LayoutWorkerApi>(() => new Worker(new URL('./layout.worker', import.meta.url), { type: 'module' }));

  layOut(request: LayoutRequest, { milliseconds, onBetter, ...options }: LayoutOptions): Promise<LayoutPlan> {
    return this.#pool.run((remote, onProgress) => remote.layOut(request, milliseconds, onProgress, proxy(onBetter)), options);
  }
}
