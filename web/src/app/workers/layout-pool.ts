import { Injectable } from '@angular/core';
import { type CutOrder, type CutOrderPlan, isBetterPlan } from '@yellow-pane/core/cutting';
import { type LayoutRequest } from '@yellow-pane/core/packing';
import { proxy } from 'comlink';
import type { LayoutWorkerApi } from './layout.worker';
import type { SearchOptions } from './search';
import type { SearchTime } from './search-for';
import { searchesAtOnce, sideBySide } from './side-by-side';
import { type TaskOptions, WorkerPool } from './worker-pool';

const SEARCHES = searchesAtOnce(navigator.hardwareConcurrency);

/** Lays out orders away from the page: the first plan at once, better ones as they are found. */
@Injectable({ providedIn: 'root' })
export class LayoutPool {
  readonly #pool = new WorkerPool<LayoutWorkerApi>(
    () => new Worker(new URL('./layout.worker', import.meta.url), { type: 'module' }),
    SEARCHES + 1,
  );

  /** Several searches side by side. */
  plan(
    order: CutOrder,
    time: Omit<SearchTime, 'seed'>,
    options: SearchOptions<CutOrderPlan>,
  ): Promise<CutOrderPlan> {
    return sideBySide<CutOrderPlan>({
      ...options,
      count: SEARCHES,
      search: ({ seed, onBetter, ...own }) =>
        this.#pool.run(
          (remote, onProgress) => remote.plan(order, { ...time, seed }, onProgress, proxy(onBetter)),
          own,
        ),
      isBetter: (plan, than) => isBetterPlan(order, plan, than),
      isBest: ({ stopped }) => stopped === 'optimal',
    });
  }

  bound(request: LayoutRequest, options: TaskOptions): Promise<number> {
    return this.#pool.run((remote) => remote.bound(request), options);
  }

  /** A short search each, shared out among the workers. */
  async planEach(
    orders: readonly CutOrder[],
    { milliseconds, ...options }: TaskOptions & { readonly milliseconds: number },
  ): Promise<readonly CutOrderPlan[]> {
    const share = Math.ceil(orders.length / SEARCHES);
    const parts = Array.from({ length: SEARCHES }, (_, part) =>
      orders.slice(part * share, (part + 1) * share),
    );
    const found = await Promise.all(
      parts
        .filter((part) => part.length > 0)
        .map((part) =>
          this.#pool.run((remote, onProgress) => remote.planEach(part, milliseconds, onProgress), options),
        ),
    );
    return found.flat();
  }
}
