import { Injectable } from '@angular/core';
import type { SeenBearing } from '@yellow-pane/core/climate';
import {
  type DayPlan,
  type NoPlan,
  type PlanProblem,
  isSooner,
  isSoonest,
} from '@yellow-pane/core/scheduling';
import { proxy } from 'comlink';
import type { DayWorkerApi } from './day.worker';
import type { SearchOptions } from './search';
import type { SearchTime } from './search-for';
import type { ReadyAnswer } from '@yellow-pane/core/reading';
import { searchesAtOnce, sideBySide } from './side-by-side';
import { WorkerPool } from './worker-pool';

const SEARCHES = searchesAtOnce(navigator.hardwareConcurrency);

/** Sun, temperatures and order of the days, away from the page. */
@Injectable({ providedIn: 'root' })
export class DayPool {
  readonly #pool = new WorkerPool<DayWorkerApi>(
    () => new Worker(new URL('./day.worker', import.meta.url), { type: 'module' }),
    SEARCHES + 1,
  );

  ready(...asked: Parameters<DayWorkerApi['ready']>): Promise<readonly ReadyAnswer[]> {
    return this.#pool.run<readonly ReadyAnswer[]>(async (remote) => remote.ready(...asked));
  }

  bearing(...asked: Parameters<DayWorkerApi['bearing']>): Promise<SeenBearing | null> {
    return this.#pool.run<SeenBearing | null>(async (remote) => remote.bearing(...asked));
  }

  /** Several searches side by side. */
  plan(
    problem: PlanProblem,
    time: Omit<SearchTime, 'seed'>,
    options: SearchOptions<DayPlan | NoPlan>,
  ): Promise<DayPlan | NoPlan> {
    return sideBySide<DayPlan | NoPlan>({
      ...options,
      count: SEARCHES,
      search: ({ seed, onBetter, ...own }) =>
        this.#pool.run<DayPlan | NoPlan>(
          async (remote, onProgress) => remote.plan(problem, { ...time, seed }, onProgress, proxy(onBetter)),
          own,
        ),
      isBetter: isSooner,
      isBest: isSoonest,
    });
  }
}
