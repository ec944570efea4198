import { Injectable } from '@angular/core';
import type { SeenBearing } from '@yellow-pane/core/climate';
import type { DayPlan, NoPlan, PlanProblem } from '@yellow-pane/core/scheduling';
import { proxy } from 'comlink';
import type { DayWorkerApi, ReadyAnswer, SearchTime } from './day.worker';
import { type TaskOptions, WorkerPool } from './worker-pool';

/** Sun, temperatures and order of the days, away from the page. */
@Injectable({ providedIn: 'root' })
export class DayPool {
  readonly #pool = new WorkerPool<DayWorkerApi>(() => new Worker(new URL('./day.worker', import.meta.url), { type: 'module' }));

  ready(...asked: Parameters<DayWorkerApi['ready']>): Promise<readonly ReadyAnswer[]> {
    return this.#pool.run<readonly ReadyAnswer[]>(async (remote) => remote.ready(...asked));
  }

  bearing(...asked: Parameters<DayWorkerApi['bearing']>): Promise<SeenBearing | null> {
    return this.#pool.run<SeenBearing | null>(async (remote) => remote.bearing(...asked));
  }

  plan(problem: PlanProblem, asked: SearchTime, onBetter: (plan: DayPlan) => void, options: TaskOptions): Promise<DayPlan | NoPlan> {
    return this.#pool.run<DayPlan | NoPlan>(async (remote, onProgress) => remote.plan(problem, asked, onProgress, proxy(onBetter)), options);
  }
}
