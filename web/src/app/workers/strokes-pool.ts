import { Injectable } from '@angular/core';
import type { Stroke, StrokesAsked } from '@yellow-pane/core/strokes';
import type { StrokesWorkerApi } from './strokes.worker';
import { WorkerPool } from './worker-pool';

/** Strokes are planned away from the page. */
@Injectable({ providedIn: 'root' })
export class StrokesPool {
  readonly #pool = new WorkerPool<StrokesWorkerApi>(
    () => new Worker(new URL('./strokes.worker', import.meta.url), { type: 'module' }),
    1,
  );

  strokes(asked: StrokesAsked): Promise<readonly Stroke[]> {
    return this.#pool.run<readonly Stroke[]>(async (remote) => remote.strokes(asked));
  }
}
