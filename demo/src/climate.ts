import type { ClimateYear } from '@yellow-pane/core/job';

/** Invented, as of a place at 1180 m: mean air, from night to day, humidity, sun. */
export const CLIMATE: ClimateYear = [
  [-3, 8, 0.78, 0.45],
  [-2, 9, 0.74, 0.5],
  [1, 10, 0.7, 0.5],
  [5, 10, 0.68, 0.48],
  [9, 11, 0.7, 0.48],
  [13, 11, 0.71, 0.52],
  [15, 12, 0.7, 0.57],
  [15, 11, 0.72, 0.56],
  [11, 10, 0.75, 0.54],
  [7, 9, 0.77, 0.5],
  [1, 8, 0.79, 0.42],
  [-2, 7, 0.8, 0.4],
].map(([air_C = 0, swing_K = 0, humidity = 0, sun = 0]) => ({ air_C, swing_K, humidity, sun }));

/** The same higher up, where it is colder. */
export const climateUp = (colder_K: number): ClimateYear =>
  CLIMATE.map((month) => ({ ...month, air_C: month.air_C - colder_K }));
