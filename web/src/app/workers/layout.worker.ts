import { type LayoutPlan, type LayoutRequest, layOutInLevels } from '@yellow-pane/core/cutting';
import { expose } from 'comlink';

export interface LayoutWorkerApi {
  layOut(request: LayoutRequest, onProgress: (share: number) => void): LayoutPlan;
}

const api: LayoutWorkerApi = {
  layOut(request, onProgress) {
    onProgress(0);
    const plan = layOutInLevels(request);
    onProgress(1);
    return plan;
  },
};

expose(api);
