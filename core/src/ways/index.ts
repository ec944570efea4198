export { type Caution, CAUTIONS } from './cautions';
export {
  MINUTES_FORMULA,
  type WorkStep,
  type LeftOutStep,
  type WorkStepsInput,
  stepCaseOf,
  stepsLeftOut,
  workStepsFor,
} from './work-steps';
export {
  FLAT_GLASS,
  type Pause,
  type SharedTool,
  type StepCase,
  type StepTemplate,
  TEMPLATES,
  type WorkTemplate,
  isHandover,
  isLaidWet,
  numbersOf,
  templateFor,
} from './templates';
export { type SlipMix, SLIP_FORMULAS, SLIP_MIXES, slipNeeded, slipShare } from './slip';
export { DEFAULT_SCHOOLS, SCHOOLS } from './schools';
export { type StepNumber, type StepNumbers, filled, namesIn } from './step-numbers';
export { waysDocument } from './ways-document';
