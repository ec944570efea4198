export { type Forecast, asLarge, brierScore, spiegelhalterZ } from './calibration';
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
  remediesOf,
  remedyCost,
  toAsk,
} from './next-question';
export { type NoisyOr, defectChance, firedGiven, moreThanOne } from './noisy-or';
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
