import { Injectable } from '@angular/core';
import type { CutOrder, CutOrderPlan, LayoutRequest } from '@yellow-pane/core/cutting';
import { proxy } from 'comlink';
import type { LayoutWorkerApi } from './layout.worker';
import { searchesAtOnce, sideBySide } from './side-by-side';
import { type TaskOptions, WorkerPool } from './worker-pool';

interface LayoutOptions extends TaskOptions {
  readonly milliseconds: number;
  readonly onBetter: (plan: CutOrderPlan) => void;
}

const FIRST_SEED = 1;
const SEARCHES = searchesAtOnce(navigator.hardwareConcurrency);

/** Lays out orders away from the page: the first plan at once, better ones as they are found. */
@Injectable({ providedIn: 'root' })
export class LayoutPool {
  readonly #pool = new WorkerPool<LayoutWorkerApi>(() => new Worker(new URL('./layout.worker', import.meta.url), { type: 'module' }), SEARCHES + 1);

  /** Several searches side by side; a plan that leaves less out goes first, then what costs less, or uses less where length is saved. */
  plan(order: CutOrder, { milliseconds, ...options }: LayoutOptions): Promise<CutOrderPlan> {
    const worth = ({ uses, cost }: CutOrderPlan): number => (order.objective === 'length' ? uses.reduce((sum, { used_mm }) => sum + used_mm, 0) : cost.value);
    return sideBySide<CutOrderPlan>({
      ...options, count: SEARCHES,
      search: ({ lane, onBetter, ...own }) => this.#pool.run((remote, onProgress) => remote.plan(order, milliseconds, FIRST_SEED + lane, onProgress, proxy(onBetter)), own),
      isBetter: (plan, than) => (plan.notLaid.length === than.notLaid.length ? worth(plan) < worth(than) : plan.notLaid.length < than.notLaid.length),
      isBest: ({ stopped }) => stopped === 'optimal',
    });
  }

  bound(request: LayoutRequest, options: TaskOptions): Promise<number> {
    return this.#pool.run((remote) => remote.bound(request), options);
  }

  planEach(orders: readonly CutOrder[], { milliseconds, ...options }: TaskOptions & { readonly milliseconds: number }): Promise<readonly CutOrderPlan[]> {
    return this.#pool.run((remote, onProgress) => remote.planEach(orders, milliseconds, onProgress), options);
  }
}
