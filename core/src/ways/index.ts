export { type Caution, CAUTIONS } from './cautions';
export { type WorkStepsInput, isLargeSheet, schoolCaseOf, stepCaseOf } from './work-case';
export {
  MINUTES_FORMULA,
  type WorkStep,
  type LeftOutStep,
  filmGoesOnAt,
  headOf,
  heldBackBy,
  schoolsAsked,
  stepCalled,
  stepsLeftOut,
  wayFor,
  workStepsFor,
} from './work-steps';
export {
  type Pause,
  type SharedTool,
  type StepCase,
  type StepDrawing,
  type StepTemplate,
  TEMPLATES,
  type Wanted,
  type WorkTemplate,
  isHandover,
  isLaidWet,
  numbersOf,
  templateFor,
  wordsOf,
} from './templates';
export { type SlipMix, SLIP_FORMULAS, SLIP_MIXES, slipNeeded, slipShare } from './slip';
export {
  type ChosenSchools,
  SCHOOLS,
  SCHOOL_KEYS,
  type SchoolCase,
  type SchoolKey,
  type SchoolTaken,
  schoolTaken,
} from './schools';
export {
  type FigureKind,
  type NumberUnit,
  type SaidFigure,
  type StepNumber,
  type StepNumbers,
  filled,
  namesIn,
} from './step-numbers';
export { type WhatNow, WHAT_NOW, whatNowFor } from './what-now';
export { waysDocument } from './ways-document';
