import type { DayProblem } from '@yellow-pane/core/day';
import { type ReadyAnswer, isBeyondForecast } from '@yellow-pane/core/reading';
import type { PlannedStep } from '@yellow-pane/core/scheduling';

const MINUTE_MS = 60_000;

/**
 * Stretches that lie, in part, in hours without a forecast.
 * @param from_ms where the minutes of the plan begin
 */
export function stretchesBeyondForecast(
  steps: readonly PlannedStep[],
  works: DayProblem['works'],
  ready: ReadonlyMap<string, ReadyAnswer> | undefined,
  from_ms: number,
): ReadonlySet<string> {
  const isBeyond = ({ id, start, end }: PlannedStep): boolean => {
    const own = ready?.get(works.get(id)?.applicationId ?? '');
    return own !== undefined && isBeyondForecast(own, from_ms + start * MINUTE_MS, from_ms + end * MINUTE_MS);
  };
  return new Set(steps.filter(isBeyond).map(({ id }) => id));
}
