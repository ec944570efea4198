import { RULES } from '../../rules';
import type { Pause } from './template';

/** Slip dries while one looks away. */
export const OPEN_TIME: Pause = {
  least: 0,
  most: RULES.slipOpen.value,
  why: 'the slip dries: go straight on, or wet again',
};
export const ONE_GO: Pause = {
  least: 0,
  most: RULES.oneGo.value,
  why: 'one go, while water lies under the film',
};
/** Nobody lets go of film that only slides. */
export const HELD: Pause = { least: 0, most: 0, why: 'the film is held by hand until it is locked' };
export const WET_AGAIN: Pause = { least: 0, most: 45, why: 'dust settles on clean glass' };
export const STRAIGHT_ON: Pause = { least: 0, most: 5, why: 'wetted just before the film goes on' };
