import cdf from '@stdlib/stats-base-dists-normal-cdf';
import pdf from '@stdlib/stats-base-dists-normal-pdf';
import type { LeftWater } from './drying';

/** One pocket says so much, as a log-normal deviation (model 2.5, our guess). */
const OF_ONE_POCKET = 0.3;

/**
 * A pocket of the shop's own: so much water had left through the film when it was seen, gone or still there.
 */
export interface PocketOfShop {
  readonly left_gm2: number;
  readonly isGone: boolean;
}

/**
 * Water left under film, as the shop's own pockets teach it: one seen gone is a measurement, one still there
 * says only that there was more.
 * @source normal update of the logarithm; for one still there the moments of a normal law cut off (closed
 * forms)
 */
export function learnedWater(first: LeftWater, pockets: readonly PocketOfShop[]): LeftWater {
  let [mean, variance] = [Math.log(first.value), first.doubt ** 2];
  for (const { left_gm2, isGone } of pockets) {
    if (left_gm2 <= 0) continue;
    const total = variance + OF_ONE_POCKET ** 2;
    const off = (Math.log(left_gm2) - mean) / Math.sqrt(total);
    if (isGone) {
      mean += (variance / Math.sqrt(total)) * off;
      variance -= variance ** 2 / total;
    } else {
      const more = 1 - cdf(off, 0, 1);
      // So far out nothing of the law is left: the pocket stands for what was seen of it.
      const hazard = more < 1e-12 ? off : pdf(off, 0, 1) / more;
      mean += (variance / Math.sqrt(total)) * hazard;
      variance -= (variance ** 2 / total) * hazard * (hazard - off);
    }
  }
  return { value: Math.exp(mean), doubt: Math.sqrt(variance) };
}
