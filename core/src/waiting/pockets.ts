import cdf from '@stdlib/stats-base-dists-normal-cdf';

/** Of water, g/m² in a layer of one millimetre. */
export const WATER_GM2_MM = 1000;

/** One layer of a film in the way of vapour. */
interface VapourLayer {
  readonly thick_mm: number;
  readonly through: number;
}

/** Permeability of layers one on the other. @source resistances in series (closed form) */
export const inSeries = (layers: readonly VapourLayer[]): number =>
  layers.reduce((sum, { thick_mm }) => sum + thick_mm, 0) /
  layers.reduce((sum, { thick_mm, through }) => sum + thick_mm / through, 0);

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
