export { type Allowable, allowableOf, breakageChance, durationFactor, edgeLengthFactor } from './allowable';
export { type StressRequest, reckonStress } from './reckon-stress';
export {
  type AngledAbsorption,
  type DayStress,
  type StressMoment,
  type StressSetting,
  absorptionOf,
  dayStress,
  designSuns,
} from './day-stress';
export {
  DESIGN_SOURCE,
  type DesignDay,
  type DesignTemperatures,
  USUAL_TEMPERATURES,
  designDays,
  outdoorAt,
} from './design-days';
export type { GlassSituation } from './glass-situation';
export { type PaneStress, edgeLoadOf, shareUsed } from './pane-stress';
export { type BareStress, STRESS_CAUTION, type StressVerdict, bareStress, judgeStress } from './judge-stress';
export {
  ADDS_LITTLE,
  type Circumstances,
  MATRIX_SOURCE,
  type MatrixAnswer,
  type MatrixCase,
  type MatrixClass,
  type Penalty,
  compatibility,
  penaltiesOf,
} from './matrix';
export type { EdgeLoad, GlassAssumption, StressAdvice, StressReason } from './stress-said';
export {
  GLASS_SOURCE,
  STRESS_FORMULAS,
  STRESS_PER_KELVIN_MPA,
  type StressCase,
  edgeStress,
  edgeStressSteps,
} from './stress';
export {
  type EdgeHold,
  FACTOR_SOURCE,
  FRAME_FOLLOWS_OUTDOORS,
  type ShadePattern,
  edgeHoldOf,
  patternOf,
  stressFactor,
} from './stress-factors';
