export { type LearnedKey, AT_FIRST } from './at-first';
export type { DurationKey } from './durations';
export { type Basis, type Learned, type Scope, BASES, SCOPE_KINDS, isVolume } from './learned';
export { learnedOf, sourceOf } from './look-up';
