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
export {
  type BareStress,
  type GlassSituation,
  type PaneStress,
  STRESS_CAUTION,
  type StressVerdict,
  bareStress,
  judgeStress,
} from './judge-stress';
export {
  type Circumstances,
  MATRIX_SOURCE,
  type MatrixAnswer,
  type MatrixCase,
  type MatrixClass,
  compatibility,
  penaltiesOf,
} from './matrix';
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
