import { type CutOrder, type CutOrderPlan, planOrderSteps } from '@yellow-pane/core/cutting';
import { type LayoutRequest, lengthBound } from '@yellow-pane/core/packing';
import { exposeWork } from './core-errors';
import { type SearchTime, searchFor } from './search-for';

export interface LayoutWorkerApi {
  /** Searches for so long, and tells of each better plan as it is found. */
  plan(
    order: CutOrder,
    asked: SearchTime,
    onProgress: (share: number) => void,
    onBetter: (plan: CutOrderPlan) => void,
  ): CutOrderPlan;
  /** Length that no layout of these pieces on this roll goes below, mm. */
  bound(request: LayoutRequest): number;
  /** As `plan`, for several orders one after the other, such as the widths that could be bought. */
  planEach(
    orders: readonly CutOrder[],
    milliseconds: number,
    onProgress: (share: number) => void,
  ): readonly CutOrderPlan[];
}

const SEED = 1;

const api: LayoutWorkerApi = {
  plan(order, { seed, ...time }, onProgress, onBetter) {
    return searchFor(planOrderSteps(order, { seed, mostRounds: Number.MAX_SAFE_INTEGER }), time, {
      onProgress,
      onBetter,
    });
  },
  bound: (request) => lengthBound(request).bound_mm.value,
  planEach(orders, milliseconds, onProgress) {
    return orders.map((order, index) => {
      const plan = searchFor(
        planOrderSteps(order, { seed: SEED, mostRounds: Number.MAX_SAFE_INTEGER }),
        { least_ms: milliseconds, most_ms: milliseconds },
        { onProgress: () => undefined, onBetter: () => undefined },
      );
      onProgress((index + 1) / orders.length);
      return plan;
    });
  },
};

exposeWork(api);
