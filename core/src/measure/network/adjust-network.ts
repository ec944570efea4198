import { floatAt, valueAt } from '../../quantity';
import { SingularValueDecomposition } from 'ml-matrix';
import { DETERMINED_WITHIN_MM } from '../../job';
import {
  type Statistics,
  wellConditionedFactor,
  normalColumn,
  normalMatrix,
  openDirections,
  statisticsOf,
} from './least-squares';
import { type NetworkObservation, type NetworkPoint, locate, observe } from './observation';
import type { Point } from '../outline';

/**
 * What is held while the rest is adjusted: the first corner and the direction to the second, the first corner
 * alone (level lines give the direction), or whole corners.
 */
export type Datum = 'top side level' | 'first corner' | readonly number[];

export interface NetworkSolution extends Statistics {
  /** `stalled`: no step makes it better although it has not settled. */
  readonly stopped: 'converged' | 'stalled' | 'limit';
  readonly corners: readonly Point[];
  readonly unknowns: number;
  /** Where a corner's coordinates stand among the unknowns; -1 = held. */
  readonly columns: readonly { readonly x: number; readonly y: number }[];
}

const MAX_ROUNDS = 60;
const STEP_DONE_MM = 1e-7;
const MOST_HALVINGS = 12;

/**
 * Adjusts observations between corners (and points between them) by nonlinear least squares: Gauss–Newton
 * with halved steps. What the observations leave open, or hardly know, stays as in `start`.
 * @param start mm, one point a corner
 * @param within_mm what is known no better than this is not determined
 * @source Gauss–Newton adjustment and w-test: Baarda, A Testing Procedure for Use in Geodetic Networks, 1968
 * (from memory)
 */
export function adjustNetwork(
  start: readonly Point[],
  observations: readonly NetworkObservation[],
  datum: Datum = 'top side level',
  within_mm = DETERMINED_WITHIN_MM,
): NetworkSolution {
  /**
   * A direction moves several corners at once: it is left open when it is known no better than twice that.
   */
  const weakest = 1 / (2 * within_mm);
  const columns = columnsOf(start.length, datum);
  let corners = start;
  let squares = weightedSquaresAt(corners, observations);
  let stopped: NetworkSolution['stopped'] = 'limit';
  for (let round = 0; round < MAX_ROUNDS && stopped === 'limit'; round += 1) {
    const step = stepTowards(start, corners, observations, columns, weakest);
    const largest = step.reduce((most, value) => Math.max(most, Math.abs(value)), 0);
    let share = 1;
    let next = moved(corners, step, columns, share);
    let nextSquares = weightedSquaresAt(next, observations);
    for (
      let halving = 0;
      !(nextSquares <= squares * (1 + 1e-12) + 1e-9) && halving < MOST_HALVINGS;
      halving += 1
    ) {
      share /= 2;
      next = moved(corners, step, columns, share);
      nextSquares = weightedSquaresAt(next, observations);
    }
    const isBetter = nextSquares <= squares * (1 + 1e-12) + 1e-9;
    if (!isBetter) {
      stopped = largest < STEP_DONE_MM ? 'converged' : 'stalled';
      break;
    }
    corners = next;
    squares = nextSquares;
    if (largest < STEP_DONE_MM) stopped = 'converged';
  }
  const { rows, wanted } = linearised(corners, observations, columns);
  const unknowns = freeCount(columns);
  return {
    ...statisticsOf(
      rows,
      wanted,
      observations.map(({ sd_mm }) => sd_mm),
      unknowns,
      weakest,
    ),
    stopped,
    corners,
    unknowns,
    columns,
  };
}

type Columns = NetworkSolution['columns'];

function columnsOf(corners: number, datum: Datum): Columns {
  let next = 0;
  const isHeld = (corner: number): boolean =>
    typeof datum === 'string' ? corner === 0 : datum.includes(corner);
  return Array.from({ length: corners }, (_, corner) => {
    if (isHeld(corner)) return { x: -1, y: -1 };
    const x = next++;
    return { x, y: datum === 'top side level' && corner === 1 ? -1 : next++ };
  });
}

function freeCount(columns: Columns): number {
  return columns.reduce((most, { x, y }) => Math.max(most, x + 1, y + 1), 0);
}

function linearised(
  corners: readonly Point[],
  observations: readonly NetworkObservation[],
  columns: Columns,
): { readonly rows: readonly Float64Array[]; readonly wanted: Float64Array } {
  const unknowns = freeCount(columns);
  const wanted = new Float64Array(observations.length);
  const rows = observations.map((observation, index) => {
    const row = new Float64Array(unknowns);
    const { value, gradients } = observe(corners, observation);
    wanted[index] = (observation.value_mm - value) / observation.sd_mm;
    observation.at.forEach((point, which) => {
      const gradient = gradients[which] ?? { x: 0, y: 0 };
      for (const { corner, share } of point) {
        const { x, y } = columns[corner] ?? { x: -1, y: -1 };
        if (x >= 0) row[x] = floatAt(row, x) + (gradient.x * share) / observation.sd_mm;
        if (y >= 0) row[y] = floatAt(row, y) + (gradient.y * share) / observation.sd_mm;
      }
    });
    return row;
  });
  return { rows, wanted };
}

function stepTowards(
  start: readonly Point[],
  corners: readonly Point[],
  observations: readonly NetworkObservation[],
  columns: Columns,
  weakest: number,
): readonly number[] {
  const unknowns = freeCount(columns);
  const { rows, wanted } = linearised(corners, observations, columns);
  const normal = normalMatrix(rows, unknowns);
  const towards = normalColumn(rows, wanted, unknowns);
  const factor = wellConditionedFactor(normal, weakest);
  if (factor !== undefined) return factor.solve(towards).to1DArray();
  const drift = new Array<number>(unknowns).fill(0);
  columns.forEach(({ x, y }, corner) => {
    if (x >= 0) drift[x] = (start[corner]?.x ?? 0) - (corners[corner]?.x ?? 0);
    if (y >= 0) drift[y] = (start[corner]?.y ?? 0) - (corners[corner]?.y ?? 0);
  });
  for (const direction of openDirections(rows, unknowns, weakest)) {
    const back = direction.reduce((sum, value, index) => sum + value * valueAt(drift, index), 0);
    direction.forEach((a, row) => {
      towards.set(row, 0, towards.get(row, 0) + a * back);
      direction.forEach((b, column) => {
        normal.set(row, column, normal.get(row, column) + a * b);
      });
    });
  }
  return new SingularValueDecomposition(normal).solve(towards).to1DArray();
}

function weightedSquaresAt(corners: readonly Point[], observations: readonly NetworkObservation[]): number {
  return observations.reduce(
    (sum, observation) =>
      sum + ((observe(corners, observation).value - observation.value_mm) / observation.sd_mm) ** 2,
    0,
  );
}

function moved(
  corners: readonly Point[],
  step: readonly number[],
  columns: Columns,
  share: number,
): readonly Point[] {
  return corners.map(({ x, y }, corner) => {
    const at = columns[corner] ?? { x: -1, y: -1 };
    return {
      x: at.x < 0 ? x : x + share * valueAt(step, at.x),
      y: at.y < 0 ? y : y + share * valueAt(step, at.y),
    };
  });
}

/**
 * Standard deviation of anything worked out from the corners, by the law of propagation, with differences of
 * 0.01 mm. Of the two one-sided slopes the steeper counts: where a size turns (a gap of nothing can only
 * grow) their mean would claim certainty.
 * @returns the unit of `sizeOf`
 */
export function standardDeviationOf(
  sizeOf: (corners: readonly Point[]) => number,
  { corners, columns, covariance }: Pick<NetworkSolution, 'corners' | 'columns' | 'covariance'>,
): number {
  const nudge = 0.01;
  const here = sizeOf(corners);
  const gradient = new Float64Array(freeCount(columns));
  const slope = (corner: number, x: number, y: number): number => {
    const at = (sign: 1 | -1): number =>
      sizeOf(
        corners.map((point, index) =>
          index === corner ? { x: point.x + sign * x, y: point.y + sign * y } : point,
        ),
      );
    const onward = (at(1) - here) / nudge;
    const back = (here - at(-1)) / nudge;
    return Math.abs(onward) >= Math.abs(back) ? onward : back;
  };
  columns.forEach(({ x, y }, corner) => {
    if (x >= 0) gradient[x] = slope(corner, nudge, 0);
    if (y >= 0) gradient[y] = slope(corner, 0, nudge);
  });
  let variance = 0;
  gradient.forEach((a, row) => {
    gradient.forEach((b, column) => {
      variance += a * b * covariance.get(row, column);
    });
  });
  return Math.sqrt(Math.max(0, variance));
}

/** The largest standard deviation of a distance between two corners, mm. */
export function worstSpan_mm({
  corners,
  columns,
  covariance,
}: Pick<NetworkSolution, 'corners' | 'columns' | 'covariance'>): number {
  let worst = 0;
  corners.forEach((a, first) => {
    corners.slice(0, first).forEach((b, second) => {
      const length = Math.max(Math.hypot(a.x - b.x, a.y - b.y), 1e-9);
      const [ux, uy] = [(a.x - b.x) / length, (a.y - b.y) / length];
      const by = [
        [columns[first]?.x ?? -1, ux],
        [columns[first]?.y ?? -1, uy],
        [columns[second]?.x ?? -1, -ux],
        [columns[second]?.y ?? -1, -uy],
      ].filter(([column = -1]) => column >= 0);
      let variance = 0;
      for (const [i = 0, u = 0] of by)
        for (const [j = 0, v = 0] of by) variance += u * v * covariance.get(i, j);
      worst = Math.max(worst, variance);
    });
  });
  return Math.sqrt(worst);
}

/** Distance between two points of a solved figure, mm. */
export function spanOf(corners: readonly Point[], from: NetworkPoint, to: NetworkPoint): number {
  const a = locate(corners, from);
  const b = locate(corners, to);
  return Math.hypot(b.x - a.x, b.y - a.y);
}
