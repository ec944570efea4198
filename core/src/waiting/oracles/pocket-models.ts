import { saturation_Pa } from '../../climate';
import { WATER_GM2_MM } from '../pockets';

/** Models of pockets that nothing asks yet: their check values pin the chain from film to clear glass. */

const GAS_JMOLK = 8.314462618;
const KELVIN = 273.15;
const REFERENCE_K = 303.15;

/** Days a pocket lasts: that keeps its area and sinks, the likely one, and that keeps its slope. */
interface PocketLife {
  readonly least_days: number;
  readonly likely_days: number;
  readonly most_days: number;
}

/**
 * Vapour let through at a temperature; the energy is nearly nothing for polyester.
 * @source Arrhenius about 30 °C (model 2.1, from memory)
 */
export const permeabilityAt = (through: number, energy_Jmol: number, at_C: number): number =>
  through * Math.exp((-energy_Jmol / GAS_JMOLK) * (1 / (at_C + KELVIN) - 1 / REFERENCE_K));

/** @param leaves_gm2day water through the film above it */
export function pocketLife(high_mm: number, leaves_gm2day: number): PocketLife {
  const likely_days = (WATER_GM2_MM * high_mm) / leaves_gm2day;
  return { least_days: 0.5 * likely_days, likely_days, most_days: 1.5 * likely_days };
}

/** How wide a pocket is that keeps the slope of its edge: it falls straight to nothing. */
export const pocketWidth = (wide_mm: number, { most_days }: PocketLife, after_days: number): number =>
  wide_mm * Math.max(0, 1 - after_days / most_days);

/** How much larger what is shut in gets when it is warmed: air that is dry, or with water to take up. */
export function grownBy(
  from_C: number,
  to_C: number,
  { isWet, pressure_Pa }: { readonly isWet: boolean; readonly pressure_Pa: number },
): number {
  const dry = (at_C: number): number => (isWet ? pressure_Pa - saturation_Pa(at_C) : pressure_Pa);
  return (dry(from_C) / dry(to_C)) * ((to_C + KELVIN) / (from_C + KELVIN));
}
