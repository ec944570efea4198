import quantile from '@stdlib/stats-base-dists-normal-quantile';
import { type QuoteCase, minutesOf, logNormalOf, looseMean } from '../quote-cost';

/** The cost exceeded with a chance, from work alone: for dragging; what may be to do again is left out. */
export function workCostOver(own: QuoteCase, chance: number): number {
  const { mu, deviation } = logNormalOf(minutesOf(own));
  return own.fixed + looseMean(own) + own.rate * Math.exp(mu + deviation * quantile(1 - chance, 0, 1));
}
