import type { SurfaceRows } from '@yellow-pane/core/choosing';
import {
  type SeenBearing,
  type SeenEnd,
  type WeatherHour,
  bearingFromEnd,
  sunTrack,
} from '@yellow-pane/core/climate';
import { type ReadinessLimits, caseOfRows } from '@yellow-pane/core/day';
import type { SeenFrom } from '@yellow-pane/core/job';
import {
  type DayPlan,
  type NoPlan,
  type PlanProblem,
  isSooner,
  planDaySteps,
} from '@yellow-pane/core/scheduling';
import { type SearchTime, searchFor } from './search-for';
import type { Air } from '@yellow-pane/core/waiting';
import { type ReadyAnswer, type ReadyAsk, newReadyBook, readyAnswers } from '@yellow-pane/core/reading';

export interface DayWorkerApi {
  ready(
    asks: readonly ReadyAsk[],
    weather: readonly WeatherHour[],
    from_ms: number,
    to_ms: number,
    indoor: Air,
    limits: ReadinessLimits,
  ): readonly ReadyAnswer[];
  /** The bearing by which the sun came or went at that moment; null: none near does. */
  bearing(rows: SurfaceRows, side: SeenFrom, end: SeenEnd, instant_ms: number): SeenBearing | null;
  /**
   * Searches for as long as asked, and longer while better plans are still found; tells of each as it is
   * found.
   */
  plan(
    problem: PlanProblem,
    asked: SearchTime,
    onProgress: (share: number) => void,
    onBetter: (plan: DayPlan) => void,
  ): DayPlan | NoPlan;
}

const HALF_DAY_MS = 43_200_000;
const ANY_AIR: Air = { air_C: 20, humidity: 0.5 };
const book = newReadyBook();

/** What the day worker does, in whichever thread. */
export const dayWork: DayWorkerApi = {
  ready: (asks, weather, from_ms, to_ms, indoor, limits) =>
    readyAnswers(asks, weather, from_ms, to_ms, indoor, limits, book),
  bearing(rows, side, end, instant_ms) {
    const { place, facing } = caseOfRows(rows, side, undefined, ANY_AIR, book.sun).own;
    return facing === null
      ? null
      : bearingFromEnd(
          sunTrack(place, instant_ms - HALF_DAY_MS, instant_ms + HALF_DAY_MS),
          facing,
          end,
          instant_ms,
        );
  },
  plan(problem, { seed, ...time }, onProgress, onBetter) {
    return searchFor<DayPlan | NoPlan>(
      planDaySteps(problem, { seed, mostRounds: Number.MAX_SAFE_INTEGER }),
      time,
      {
        onProgress,
        onBetter: (plan) => {
          if (plan.state === 'planned') onBetter(plan);
        },
      },
      isSooner,
    );
  },
};
