export { type Broken, brokenBy, checkPlan, crewFor, mayGiveWay, whyNotEarlier } from './broken-by';
export { type DayPlan, type NoPlan, type PlanLimits, planDaySteps } from './plan-day';
export type {
  Air,
  Fitness,
  Lag,
  Person,
  PlanProblem,
  PlanStep,
  PlannedStep,
  Reason,
  Span,
  Tool,
} from './problem';
export { sampleProblem } from './sample-problems';
export { isSooner, isSoonest } from './sooner';
export type { Relief } from './what-would-give';
export { workingHours, workingMinutes } from './working-minutes';
