import { Injectable } from '@angular/core';
import type { CutOrder, CutOrderPlan, LayoutRequest } from '@yellow-pane/core/cutting';
import { proxy } from 'comlink';
import type { LayoutWorkerApi } from './layout.worker';
import { type TaskOptions, WorkerPool } from './worker-pool';

interface LayoutOptions extends TaskOptions {
  readonly milliseconds: number;
  readonly onBetter: (plan: CutOrderPlan) => void;
}

/** Lays out orders away from the page: the first plan at once, better ones as they are found. */
@Injectable({ providedIn: 'root' })
export class LayoutPool {
  readonly #pool = new WorkerPool<LayoutWorkerApi>(() => new Worker(new URL('./layout.worker', import.meta.url), { type: 'module' }));

  plan(order: CutOrder, { milliseconds, onBetter, ...options }: LayoutOptions): Promise<CutOrderPlan> {
    return this.#pool.run((remote, onProgress) => remote.plan(order, milliseconds, onProgress, proxy(onBetter)), options);
  }

  bound(request: LayoutRequest, options: TaskOptions): Promise<number> {
    return this.#pool.run((remote) => remote.bound(request), options);
  }

  planEach(orders: readonly CutOrder[], { milliseconds, ...options }: TaskOptions & { readonly milliseconds: number }): Promise<readonly CutOrderPlan[]> {
    return this.#pool.run((remote, onProgress) => remote.planEach(orders, milliseconds, onProgress), options);
  }
}
