import type { DayPlan, NoPlan } from './plan-day';

/** Whether one answer goes before another: a plan before none, the earlier finish before the later. */
export function isSooner(plan: DayPlan | NoPlan, than: DayPlan | NoPlan): boolean {
  return plan.state === 'planned' && (than.state === 'none' || plan.finish < than.finish);
}

/** Whether no plan can be shorter. */
export function isSoonest(plan: DayPlan | NoPlan): boolean {
  return plan.state === 'planned' && plan.workingMinutes <= plan.leastWorkingMinutes;
}
