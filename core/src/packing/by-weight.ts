/** An index by chance, oftener where its weight is larger; weights of 0 are passed over. */
export function byWeight(weights: readonly number[], random: () => number): number {
  let at = random() * weights.reduce((sum, weight) => sum + weight, 0);
  const drawn = weights.findIndex((weight) => weight > 0 && (at -= weight) <= 0);
  return drawn < 0
    ? Math.max(
        0,
        weights.findIndex((weight) => weight > 0),
      )
    : drawn;
}
