import { valueAt } from '../../quantity';
import { SingularValueDecomposition } from 'ml-matrix';
import {
  type Statistics,
  wellConditionedFactor,
  normalColumn,
  normalMatrix,
  statisticsOf,
} from './least-squares';

interface ModelReading {
  readonly value: number;
  readonly sd: number;
}

export interface FittedModel extends Statistics {
  readonly stopped: 'converged' | 'limit';
  readonly unknowns: readonly number[];
}

const MAX_ROUNDS = 30;
const DONE_SHARE = 1e-10;
const SLOPE_SHARE = 1e-5;
const LEAST_SHARE = 1e-4;

/** Fits a small model with few unknowns to readings by least squares, slopes by central differences.
 *  @param scales size of one natural step of each unknown
 *  @param predict what each reading would be for these unknowns, in the order of `readings` */
export function fitModel(
  start: readonly number[],
  scales: readonly number[],
  readings: readonly ModelReading[],
  predict: (unknowns: readonly number[]) => readonly number[],
): FittedModel {
  const count = start.length;
  let at = [...start];
  let stopped: FittedModel['stopped'] = 'limit';
  const rowsAt = (): Float64Array[] => slopesAt(at, scales, readings, predict);
  const wantedAt = (unknowns: readonly number[]): Float64Array => {
    const predicted = predict(unknowns);
    return Float64Array.from(
      readings,
      ({ value, sd }, index) => (value - (predicted[index] ?? Number.NaN)) / sd,
    );
  };
  const squaresAt = (unknowns: readonly number[]): number =>
    wantedAt(unknowns).reduce((sum, value) => sum + value * value, 0);
  let squares = squaresAt(at);
  for (let round = 0; round < MAX_ROUNDS && stopped === 'limit'; round += 1) {
    const rows = rowsAt();
    const normal = normalMatrix(rows, count);
    const towards = normalColumn(rows, wantedAt(at), count);
    const step = (
      wellConditionedFactor(normal)?.solve(towards) ?? new SingularValueDecomposition(normal).solve(towards)
    ).to1DArray();
    const moved = (share: number): number[] =>
      at.map((value, index) => value + share * valueAt(step, index) * (scales[index] ?? 1));
    let share = 1;
    while (!(squaresAt(moved(share)) <= squares * (1 + 1e-12) + 1e-12) && share > LEAST_SHARE) share /= 2;
    if (share <= LEAST_SHARE) break;
    at = moved(share);
    squares = squaresAt(at);
    if (step.every((value) => Math.abs(value) < DONE_SHARE)) stopped = 'converged';
  }
  return {
    ...statisticsOf(
      rowsAt(),
      wantedAt(at),
      readings.map(({ sd }) => sd),
      count,
    ),
    stopped,
    unknowns: at,
  };
}

/**
 * How each reading follows each unknown, in steps of its scale and standard deviations: central differences.
 */
function slopesAt(
  at: readonly number[],
  scales: readonly number[],
  readings: readonly ModelReading[],
  predict: (unknowns: readonly number[]) => readonly number[],
): Float64Array[] {
  const rows = readings.map(() => new Float64Array(at.length));
  scales.forEach((scale, unknown) => {
    const nudged = (by: number): readonly number[] =>
      predict(at.map((value, index) => (index === unknown ? value + by : value)));
    const onward = nudged(scale * SLOPE_SHARE);
    const back = nudged(-scale * SLOPE_SHARE);
    readings.forEach(({ sd }, index) => {
      const row = rows[index];
      if (row !== undefined)
        row[unknown] = (valueAt(onward, index) - valueAt(back, index)) / (2 * SLOPE_SHARE) / sd;
    });
  });
  return rows;
}
