import {
  type CutOrder,
  type CutOrderPlan,
  type LayoutRequest,
  lengthBound,
  planOrderSteps,
  runThrough,
} from '@yellow-pane/core/cutting';
import { exposeWork } from './core-errors';

export interface LayoutWorkerApi {
  /** Searches for so long, and tells of each better plan as it is found. */
  plan(
    order: CutOrder,
    milliseconds: number,
    seed: number,
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
const TELL_EVERY_MS = 100;

const api: LayoutWorkerApi = {
  plan(order, milliseconds, seed, onProgress, onBetter) {
    const start = performance.now();
    let told = start;
    onProgress(0);
    const isOver = (): boolean => {
      const now = performance.now();
      if (now - told > TELL_EVERY_MS) {
        told = now;
        onProgress(Math.min(1, (now - start) / milliseconds));
      }
      return now - start > milliseconds;
    };
    return runThrough(planOrderSteps(order, { seed, mostRounds: Number.MAX_SAFE_INTEGER }), isOver, onBetter);
  },
  bound: (request) => lengthBound(request).bound_mm.value,
  planEach(orders, milliseconds, onProgress) {
    return orders.map((order, index) => {
      const start = performance.now();
      const plan = runThrough(
        planOrderSteps(order, { seed: SEED, mostRounds: Number.MAX_SAFE_INTEGER }),
        () => performance.now() - start > milliseconds,
        () => undefined,
      );
      onProgress((index + 1) / orders.length);
      return plan;
    });
  },
};

exposeWork(api);
