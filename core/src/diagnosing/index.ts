export { type Forecast, asLarge, brierScore, spiegelhalterZ } from './calibration';
export {
  type Calibration,
  type CalibrationBin,
  type CaseInTheEnd,
  LEAST_CASES,
  beliefOf,
  calibrationOf,
} from './calibration-page';
export { type Diagnosis, diagnose } from './diagnose';
export {
  type Explained,
  STRENGTHS,
  type SpeaksFor,
  type Strength,
  capOf,
  explained,
  inTenths,
  strengthOf,
} from './explain';
export { type CauseRow, type EvidenceRow, type LookTable, type RemedyRow } from './look-table';
export {
  type CostlyRemedy,
  type QuestionWorth,
  MOST_QUESTIONS,
  nextQuestion,
  questionWorth,
  remediesForBoth,
  remediesOf,
  remedyCost,
  toAsk,
  whenItWorked,
} from './next-question';
export { type NoisyOr, defectChance, firedGiven, moreThanOne } from './noisy-or';
export { CALLER_SEES, type CallAnswer, type CallSaid, type CallerSees, callAnswer } from './phone-card';
export {
  ANOTHER_CAUSE,
  BELIEF,
  type CauseShare,
  type DiagnosisAsked,
  capped,
  chancesOf,
  named,
  posteriorOf,
  priorOf,
} from './posterior';
export { LOOK_TABLES, TABLE_VERSION } from './tables';
