/**
 * 0.9995 quantiles of chi-squared by degrees of freedom 1…12.
 * @source standard statistical tables, checked in the spec
 */
const QUANTILE_9995 = [
  12.116, 15.202, 17.73, 19.997, 22.105, 24.103, 26.018, 27.868, 29.666, 31.42, 33.137, 34.821,
];

/**
 * The sum of squares that honest measures exceed five times in ten thousand.
 * @param freedom degrees of freedom, >= 1; beyond the table by the Wilson–Hilferty cube, good to 0.2 % there
 */
export function chiSquared9995(freedom: number): number {
  const share = 2 / (9 * freedom);
  return QUANTILE_9995[freedom - 1] ?? freedom * (1 - share + normalQuantile(0.0005) * Math.sqrt(share)) ** 3;
}

/**
 * How many standard deviations a normal figure exceeds with this probability.
 * @param tail 1e-12 to 0.5
 * @source Hastings' rational approximation (Abramowitz and Stegun 26.2.23, error below 4.5e-4) as the start,
 * then Newton on its own tail integral (from memory)
 */
export function normalQuantile(tail: number): number {
  const t = Math.sqrt(-2 * Math.log(tail));
  let z =
    t -
    (2.515517 + 0.802853 * t + 0.010328 * t * t) / (1 + 1.432788 * t + 0.189269 * t * t + 0.001308 * t ** 3);
  for (let round = 0; round < 3; round += 1)
    z += (normalTail(z) - tail) / (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI));
  return z;
}

/**
 * Share of a normal distribution above z, z ≥ 0.
 * @source Laplace's continued fraction beyond 2.5, series below (Abramowitz and Stegun 26.2.10 and 26.2.14,
 * from memory)
 */
export function normalTail(z: number): number {
  const density = Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);
  if (z > 2.5) {
    let fraction = 0;
    for (let n = 80; n >= 1; n -= 1) fraction = n / (z + fraction);
    return density / (z + fraction);
  }
  let term = z;
  let sum = z;
  for (let n = 1; n < 60; n += 1) {
    term *= (z * z) / (2 * n + 1);
    sum += term;
  }
  return 0.5 - density * sum;
}
