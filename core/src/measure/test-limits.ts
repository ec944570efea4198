import chiSquaredQuantile from '@stdlib/stats-base-dists-chisquare-quantile';
import normalQuantile from '@stdlib/stats-base-dists-normal-quantile';
import { RULES } from '../rules';

/** Each of the two tests may accuse honest measures half as often as both together. */
const EACH = RULES.falseAlarm.value / 2;

const squares = new Map<number, number>();
const worst = new Map<number, number>();

/** The sum of squared standardised residuals that honest measures seldom exceed. @param freedom at least 1 */
export function squaresAllowed(freedom: number): number {
  return kept(squares, freedom, () => chiSquaredQuantile(1 - EACH, freedom));
}

/** The largest of so many standardised residuals that honest ones seldom exceed, both signs counted. */
export function worstAllowed(count: number): number {
  return kept(worst, count, () => -normalQuantile(EACH / 2 / Math.max(1, count), 0, 1));
}

function kept(known: Map<number, number>, key: number, make: () => number): number {
  const value = known.get(key) ?? make();
  known.set(key, value);
  return value;
}
