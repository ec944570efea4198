import cdf from '@stdlib/stats-base-dists-normal-cdf';
import { saturation_Pa } from '../climate';

const GAS_JMOLK = 8.314462618;
const KELVIN = 273.15;
const REFERENCE_K = 303.15;
/** Of water, g/m² in a layer of one millimetre. */
export const WATER_GM2_MM = 1000;

/**
 * Vapour let through at a temperature; the energy is nearly nothing for polyester.
 * @source Arrhenius about 30 °C (model 2.1, from memory)
 */
export const permeabilityAt = (through: number, energy_Jmol: number, at_C: number): number =>
  through * Math.exp((-energy_Jmol / GAS_JMOLK) * (1 / (at_C + KELVIN) - 1 / REFERENCE_K));

/** One layer of a film in the way of vapour. */
interface VapourLayer {
  readonly thick_mm: number;
  readonly through: number;
}

/** Permeability of layers one on the other. @source resistances in series (closed form) */
export const inSeries = (layers: readonly VapourLayer[]): number =>
  layers.reduce((sum, { thick_mm }) => sum + thick_mm, 0) /
  layers.reduce((sum, { thick_mm, through }) => sum + thick_mm / through, 0);

/** Days a pocket lasts: that keeps its area and sinks, the likely one, and that keeps its slope. */
interface PocketLife {
  readonly least_days: number;
  readonly likely_days: number;
  readonly most_days: number;
}

/** @param leaves_gm2day water through the film above it */
export function pocketLife(high_mm: number, leaves_gm2day: number): PocketLife {
  const likely_days = (WATER_GM2_MM * high_mm) / leaves_gm2day;
  return { least_days: 0.5 * likely_days, likely_days, most_days: 1.5 * likely_days };
}

/** How wide a pocket is that keeps the slope of its edge: it falls straight to nothing. */
export const pocketWidth = (wide_mm: number, { most_days }: PocketLife, after_days: number): number =>
  wide_mm * Math.max(0, 1 - after_days / most_days);

/** Share of pockets that are no ordinary ones; our guess (model 2.6). */
const OUT_OF_ORDER = 0.1;

/**
 * Chance that a pocket still there is ordinary drying.
 * @param half_days in which half of the ordinary ones are gone
 * @param deviation of the logarithm of that
 * @source Bayes over a log-normal law (closed form)
 */
export function ordinaryStill(
  day: number,
  {
    half_days,
    deviation,
    outOfOrder = OUT_OF_ORDER,
  }: {
    readonly half_days: number;
    readonly deviation: number;
    readonly outOfOrder?: number;
  },
): number {
  const still = 1 - cdf(Math.log(day / half_days) / deviation, 0, 1);
  return ((1 - outOfOrder) * still) / ((1 - outOfOrder) * still + outOfOrder);
}

/** How much larger what is shut in gets when it is warmed: air that is dry, or with water to take up. */
export function grownBy(
  from_C: number,
  to_C: number,
  { isWet, pressure_Pa }: { readonly isWet: boolean; readonly pressure_Pa: number },
): number {
  const dry = (at_C: number): number => (isWet ? pressure_Pa - saturation_Pa(at_C) : pressure_Pa);
  return (dry(from_C) / dry(to_C)) * ((to_C + KELVIN) / (from_C + KELVIN));
}
