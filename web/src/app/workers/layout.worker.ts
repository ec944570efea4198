import { type LayoutPlan, type LayoutRequest, layOutByHand } from '@yellow-pane/core/cutting';
import { expose } from 'comlink';

export interface LayoutWorkerApi {
  /** Searches for so long, and tells of each better plan as it is found. */
  layOut(request: LayoutRequest, milliseconds: number, onProgress: (share: number) => void, onBetter: (plan: LayoutPlan) => void): LayoutPlan;
}

const SEED = 1;
const TELL_EVERY_MS = 100;

const api: LayoutWorkerApi = {
  layOut(request, milliseconds, onProgress, onBetter) {
    const start = performance.now();
    let told = start;
    onProgress(0);
    const isOver = (): boolean => {
      const now = performance.now();
      if (now - told > TELL_EVERY_MS) { told = now; onProgress(Math.min(1, (now - start) / milliseconds)); }
      return now - start > milliseconds;
    };
    return layOutByHand(request, { stages: 3, seed: SEED, mostRounds: Number.MAX_SAFE_INTEGER }, isOver, onBetter);
  },
};

expose(api);
