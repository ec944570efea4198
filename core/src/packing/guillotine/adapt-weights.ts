import { valueAt } from '../../quantity';
import { byWeight } from '../by-weight';

/**
 * Roulette-wheel choice among operators whose weights adapt to what led to improvements.
 * @source adaptive large neighbourhood search, Ropke and Pisinger 2006 (from memory)
 */
export function adaptWeights(
  values: readonly number[],
  random: () => number,
): { readonly pick: () => { readonly value: number; readonly reward: () => void } } {
  const weights = values.map(() => 2);
  return {
    pick: () => {
      const index = byWeight(weights, random);
      return {
        value: values[index] ?? 1,
        reward: () => {
          weights[index] = valueAt(weights, index) + 1;
        },
      };
    },
  };
}
