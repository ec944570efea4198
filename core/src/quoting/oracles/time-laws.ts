import { valueAt } from '../../quantity';
import { Matrix } from 'ml-matrix';
import quantile from '@stdlib/stats-base-dists-t-quantile';
import { type TimePrior, type TimeLaw, timeLaw } from '../predicted-time';

/** Closed forms of the time of work: the time law answered for one chance, and one that bears outliers. */

/** Degrees of freedom of errors, and rounds of weighing: model 6. */
const ROBUST = { degrees: 4, rounds: 60 } as const;

/**
 * The time not exceeded with a chance; at a half the median.
 * @param x what is known of the work, as a row of the times taken
 * @source Student law of the next value (closed form)
 */
export function timeNotOver(chance: number, x: readonly number[], { m, v, a, b }: TimeLaw): number {
  const row = Matrix.rowVector([...x]);
  const mean = row.mmul(Matrix.columnVector([...m])).get(0, 0);
  const scale = Math.sqrt((b / a) * (1 + row.mmul(v).mmul(row.transpose()).get(0, 0)));
  return Math.exp(mean + (chance === 0.5 ? 0 : scale * quantile(chance, 2 * a)));
}

/**
 * The same where a time may be far off: each weighed by how far it lies from the others.
 * @source Student errors by reweighting; not exact Bayes (model 6)
 */
export function robustTimeLaw(
  prior: TimePrior,
  x: readonly (readonly number[])[],
  y: readonly number[],
): TimeLaw {
  let weights: readonly number[] = y.map(() => 1);
  let law = timeLaw(prior, x, y, weights);
  for (let round = 0; round < ROBUST.rounds; round += 1) {
    const variance = law.b / law.a;
    const { m } = law;
    weights = y.map((value, index) => {
      const off = value - (x[index] ?? []).reduce((sum, one, at) => sum + one * valueAt(m, at), 0);
      return (ROBUST.degrees + 1) / (ROBUST.degrees + (off * off) / variance);
    });
    law = timeLaw(prior, x, y, weights);
  }
  return law;
}
