export { type Caution, CAUTIONS } from './cautions';
export { type WorkStep, workStepsFor } from './work-steps';
export { FLAT_GLASS, type StepTemplate } from './flat-glass';
export { type SlipMix, SLIP_FORMULAS, SLIP_MIXES, slipNeeded, slipShare } from './slip';
export { type Rate, DEFAULT_RATES } from './rates';
export { DEFAULT_SCHOOLS, SCHOOLS } from './schools';
