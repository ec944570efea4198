import type { Known, PocketTests } from '../job';
import { RULES } from '../rules';

/** What a bubble is by its three questions. */
export interface PocketSaid {
  readonly isWater: Known;
  /** Water where water dries by itself; no: large, in a line, joined to an edge, with a rim. */
  readonly isOrdinary: boolean;
}

/**
 * Water creeps away under a thumb and comes back slowly, and hardly grows when warm; air springs back and
 * grows. Answers that contradict each other say nothing.
 * @param size_mm null: not measured
 * @source growth of air, wet air and water in volume (closed form); the press: common practice, no published
 * source
 */
export function pocketSaid({ press, warm, shape }: PocketTests, size_mm: number | null): PocketSaid {
  const isAir = press === 'springs back' || warm === 'larger';
  const isWater = press === 'creeps away' || warm === 'smaller';
  return {
    isWater: isAir === isWater ? 'unknown' : isWater ? 'yes' : 'no',
    isOrdinary:
      (shape === 'alone' || shape === 'not tried') && (size_mm === null || size_mm <= RULES.pocketOver.value),
  };
}
