import { Injectable } from '@angular/core';
import type { LayoutPlan, LayoutRequest } from '@yellow-pane/core/cutting';
import type { LayoutWorkerApi } from './layout.worker';
import { type TaskOptions, WorkerPool } from './worker-pool';

/** Lays out blanks away from the page. */
@Injectable({ providedIn: 'root' })
export class LayoutPool {
  readonly #pool = new WorkerPool<LayoutWorkerApi>(() => new Worker(new URL('./layout.worker', import.meta.url), { type: 'module' }));

  layOut(request: LayoutRequest, options: TaskOptions = {}): Promise<LayoutPlan> {
    return this.#pool.run((remote, onProgress) => remote.layOut(request, onProgress), options);
  }
}
