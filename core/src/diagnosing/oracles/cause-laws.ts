import cdf from '@stdlib/stats-base-dists-normal-cdf';
import { valueAt } from '../../quantity';
import { type NoisyOr, defectChance } from '../noisy-or';

/** Closed forms of the cause model, to check its answers by. */

/** Chance of a Z as large, either way, where certainty was deserved. */
export const asLarge = (z: number): number => 2 * (1 - cdf(Math.abs(z), 0, 1));

/** Chance that one cause fired, given the defect. */
export const firedGiven = (causes: NoisyOr, index: number): number =>
  valueAt(causes.chances, index) / defectChance(causes);
