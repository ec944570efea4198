const GAS_JMOLK = 8.314462618;
const KELVIN = 273.15;
const REFERENCE_C = 20;

/** How much faster glue cures when it is warmer, J/mol; 25 to 80 are as likely: our guess (model 3). */
const CURE_ENERGY_JMOL = 50_000;

/** Some time at a temperature. */
interface CureSpan {
  readonly days: number;
  readonly film_C: number;
}

/**
 * Days that a span counts on the clock of cure, as days at 20 °C: twice as many for ten degrees more.
 * @source Arrhenius (closed form); the energy is our guess
 */
export const cureDays = (spans: readonly CureSpan[], energy_Jmol: number = CURE_ENERGY_JMOL): number =>
  spans.reduce(
    (sum, { days, film_C }) =>
      sum +
      days * Math.exp((-energy_Jmol / GAS_JMOLK) * (1 / (film_C + KELVIN) - 1 / (REFERENCE_C + KELVIN))),
    0,
  );

/** What glue holds at once, of what it will: our guess. */
const AT_ONCE = 0.2;
/** Days at 20 °C in which the rest grows by two thirds; decal by the trade's fourteen days. Our guesses. */
const CURE_CONSTANT_DAYS = { decal: 6.1, 'thin film': 1, security: 3 } as const;

export type CureKind = keyof typeof CURE_CONSTANT_DAYS;

/**
 * Share of its bond that film has: dry share and clock of cure together.
 * @param dryShare of the water that must leave; 1 where it was laid dry
 */
export const bondShare = (dryShare: number, clock_days: number, kind: CureKind): number =>
  AT_ONCE + (1 - AT_ONCE) * dryShare * (1 - Math.exp(-clock_days / CURE_CONSTANT_DAYS[kind]));
