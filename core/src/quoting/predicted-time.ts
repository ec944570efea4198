import { Matrix, inverse } from 'ml-matrix';

/** What is thought of how long work takes before any time was taken, as a normal-inverse-gamma law. */
export interface TimePrior {
  readonly m0: readonly number[];
  /** Variances of the coefficients, in parts of the variance of a time. */
  readonly v0: readonly number[];
  readonly a0: number;
  readonly b0: number;
}

/** The same after times were taken. */
export interface TimeLaw {
  readonly m: readonly number[];
  readonly v: Matrix;
  readonly a: number;
  readonly b: number;
}

/**
 * Work whose logarithm of time is linear in what is known of it, after some times.
 * @param x a row a time taken: 1, logarithm of the size, hard or not, person, way
 * @param y logarithms of the times; none: the prior, exactly
 * @param weights of the times; absent: all alike
 * @source conjugate normal-inverse-gamma regression (closed form)
 */
export function timeLaw(
  { m0, v0, a0, b0 }: TimePrior,
  x: readonly (readonly number[])[],
  y: readonly number[],
  weights: readonly number[] = y.map(() => 1),
): TimeLaw {
  const prior = Matrix.diag(v0.map((variance) => 1 / variance));
  const mean0 = Matrix.columnVector([...m0]);
  if (y.length === 0) return { m: m0, v: Matrix.diag([...v0]), a: a0, b: b0 };
  const rows = new Matrix(x.map((row) => [...row]));
  const weighed = Matrix.diag([...weights]).mmul(rows);
  const times = Matrix.columnVector([...y]);
  const precision = prior.clone().add(rows.transpose().mmul(weighed));
  const v = inverse(precision);
  const m = v.mmul(prior.mmul(mean0).add(weighed.transpose().mmul(times)));
  const square = (of: Matrix, by: Matrix): number => of.transpose().mmul(by).mmul(of).get(0, 0);
  const seen = y.reduce((sum, value, index) => sum + (weights[index] ?? 1) * value * value, 0);
  return {
    m: m.to1DArray(),
    v,
    a: a0 + y.length / 2,
    b: b0 + (seen + square(mean0, prior) - square(m, precision)) / 2,
  };
}
