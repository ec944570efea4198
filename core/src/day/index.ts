export { type DayInput, type DayProblem, type DaySurface, type PlannedWork, dayProblem, firstWords, waitOf, workStepId } from './day-problem';
export { type CaseOfRows, caseOfRows } from './case-of-rows';
export { type KitItem, type KitList, kitList } from './kit';
export { type Liquid, MIX_FORMULAS, type MixInput, type MixLine, mixSheet } from './mix-sheet';
export { type ReturnCase, returnsAfter } from './returns';
export { type Closed, type ClosedBy, type Readiness, type ReadinessCase, type ReadinessLimits, type ReadinessMoment, USUAL_LIMITS, readiness } from './readiness';
