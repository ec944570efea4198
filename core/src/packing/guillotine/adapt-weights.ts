import { byWeight } from '../by-weight';

/** Picks among values, oftener those that made things better. */
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
          weights[index] = (weights[index] ?? 0) + 1;
        },
      };
    },
  };
}
