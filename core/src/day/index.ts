export {
  type DayInput,
  type Blocked,
  type DayProblem,
  type DaySurface,
  type PlannedWork,
  dayProblem,
  firstWords,
  workStepId,
} from './day-problem';
export { type CaseOfRows, type ReadyUnknown, caseOfRows } from './case-of-rows';
export { type KitItem, type KitList, SUPPLIES, type SupplyKey, kitList, toBuy } from './kit';
export type { IntoBottle, MixFinding, MixRecipe, MixRemark } from './mix-said';
export { type Liquid, MIX_FORMULAS, type MixInput, type MixLine } from './mix-line';
export { mixSheet } from './mix-sheet';
export { CAP_RULE } from './slip-line';
export { type Bottle, type Slide, type SlideAnswer, SLIDE_FORMULAS, slideTest } from './slide-test';
export { LINER_UM, type Warming, type WarmingCase, glassStore_Jm2K, warmingUp } from './warming';
export { type FilmCourse, type ReturnCase, filmCourse } from './film-course';
export { GlassHours, type StandingGlass } from './glass-hours';
export {
  type Closed,
  type ClosedBy,
  type ClosedWhy,
  type Readiness,
  type ReadinessCase,
  type ReadinessLimits,
  type ReadinessMoment,
  USUAL_LIMITS,
} from './readiness-case';
export { readiness } from './readiness';
