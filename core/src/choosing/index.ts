export { GOALS, type GoalKey, SCORE_SOURCE, goalsMet, hasLook, scoreOf } from './goals';
export {
  type FilmAnswer,
  type SurfaceGround,
  byFitness,
  groundOf,
  insteadOf,
  judgeFilm,
  whyNot,
} from './judge-film';
export { bestTradeOffs } from './pareto';
export { type Performance, performanceOf } from './performance';
export type { FilmAdvice, FilmReason, LimitMiss, WhyNot } from './said-of-film';
export { type SightLine, type SightLines, sightThrough } from './privacy-through';
export { type FilmQuestion, INDOOR_C, INDOOR_HUMIDITY } from './question';
export { type SunBook, type SurfaceRows, newSunBook, questionOf } from './question-of-rows';
export { CLASS_CAUTION, IMPACT_CLASSES, securityNotes } from './security-notes';
export { type WhatIf, sensitivityOf } from './sensitivity';
export { FIRE_CAUTION, type Fitness, surfaceFitness } from './surface-fitness';
export { type SweepSurface, sweep } from './sweep';
export { YEAR_FORMULAS } from './through-the-year';
