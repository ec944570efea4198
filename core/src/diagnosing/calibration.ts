/** A certainty that was shown, and whether it came true. */
export interface Forecast {
  readonly chance: number;
  readonly came: boolean;
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;
const came = (own: Forecast): number => (own.came ? 1 : 0);

/** Mean square of what was claimed against what came: 0 right and certain, 0.25 a coin. @source Brier 1950 */
export const brierScore = (forecasts: readonly Forecast[]): number =>
  mean(forecasts.map((own) => (own.chance - came(own)) ** 2));

/**
 * Whether certainty was deserved: as a standard normal where it was.
 * @source Spiegelhalter 1986
 */
export function spiegelhalterZ(forecasts: readonly Forecast[]): number {
  const top = forecasts.reduce((sum, own) => sum + (came(own) - own.chance) * (1 - 2 * own.chance), 0);
  const below = forecasts.reduce((sum, { chance }) => sum + (1 - 2 * chance) ** 2 * chance * (1 - chance), 0);
  return top / Math.sqrt(below);
}
