/** Laws of strength behind the allowable stress: to check it by, never shown. */

const AT_ALLOWABLE = 0.008;

/** Annealed glass bears less the longer. @param seconds > 0 @source ASTM E1300: (3 s / t)^(1/16) */
export function durationFactor(seconds: number): number {
  return (3 / seconds) ** (1 / 16);
}

/**
 * Weibull chance of breaking at a share of the allowable: for classes and checks, never shown as a percentage
 * of our own.
 */
export function breakageChance(utilisation: number, modulus = 7): number {
  return 1 - (1 - AT_ALLOWABLE) ** (utilisation ** modulus);
}
