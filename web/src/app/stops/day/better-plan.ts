import { type DayPlan, type PlanProblem, type PlannedStep, checkPlan } from '@yellow-pane/core/scheduling';

/** Whether a plan goes before one there is: where that one still holds, only a shorter one does. */
export function betterThan(
  problem: PlanProblem,
  plan: readonly PlannedStep[],
): (other: Pick<DayPlan, 'finish'>) => boolean {
  if (plan.length === 0 || checkPlan(problem, plan).length > 0) return () => true;
  const finish = Math.max(...plan.map(({ end }) => end));
  return (other) => other.finish < finish;
}
