import { signal } from '@angular/core';
import type { DayPlan, NoPlan, PlanProblem } from '@yellow-pane/core/scheduling';
import type { DayPool } from '../../workers/day-pool';
import { Search } from '../../workers/search';

/** Less is not worth unpacking a plan for. */
const WORTH_MIN = 30;
const LOOK = { least_ms: 2000, most_ms: 6000 } as const;

export interface Gain {
  readonly plan: DayPlan;
  /** When the plan shown ends, minute of the days. */
  readonly finish: number;
}

/** Looks, beside whatever is shown, for a plan that ends sooner. */
export class Gains {
  readonly found = signal<Gain | undefined>(undefined);
  readonly #search = new Search<DayPlan | NoPlan>();

  constructor(private readonly pool: DayPool) {}

  /**
   * @param finish when the plan shown ends
   * @param isStillAsked false once the plan shown or the days have become others
   */
  async look(problem: PlanProblem, finish: number, isStillAsked: () => boolean): Promise<void> {
    this.found.set(undefined);
    const plan = await this.#search.run((options) => this.pool.plan(problem, LOOK, options));
    if (plan?.state === 'planned' && plan.finish <= finish - WORTH_MIN && isStillAsked())
      this.found.set({ plan, finish });
  }

  /** What was offered is no longer; a search for more ends. */
  forget(): void {
    this.#search.end();
    this.found.set(undefined);
  }
}
