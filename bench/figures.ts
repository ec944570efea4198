/** The value below which a share of the sample lies (nearest rank). */
export function quantile(sample: readonly number[], share: number): number {
  const sorted = [...sample].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.ceil(share * sorted.length) - 1)] ?? Number.NaN;
}

export const median = (sample: readonly number[]): number => quantile(sample, 0.5);
export const ms = (value: number): string => `${value < 10 ? value.toFixed(2) : value.toFixed(0)} ms`;
