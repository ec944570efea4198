import { Matrix, SingularValueDecomposition } from 'ml-matrix';
import type { Point } from './outline';

/** A point as a weighted sum of the unknown corners: a corner itself, or the middle of two. */
export type NetworkPoint = readonly { readonly corner: number; readonly share: number }[];

export interface NetworkDistance {
  readonly from: NetworkPoint;
  readonly to: NetworkPoint;
  readonly value_mm: number;
  readonly sd_mm: number;
}

export interface NetworkSolution {
  readonly stopped: 'converged' | 'limit';
  readonly corners: readonly Point[];
  /** How many of the free coordinates the distances determine, and how many there are. */
  readonly rank: number;
  readonly unknowns: number;
  /** Of the free coordinates (first corner fixed, second on the x axis): mm². Only with full rank. */
  readonly covariance: Matrix;
  /** Adjusted minus measured, mm. */
  readonly residuals_mm: readonly number[];
  /** Share of a blunder that shows in its own residual: 0 = unseen, 1 = fully seen. */
  readonly redundancy: readonly number[];
  /** Residual over its own standard deviation; 0 where nothing checks the measure. */
  readonly standardised: readonly number[];
  /** Correlation of two of those statistics: near ±1 they cannot be told apart. */
  readonly correlation: (first: number, second: number) => number;
  /** Sum of squared residuals over their variances: chi-squared distributed when nothing is wrong. */
  readonly weightedSquares: number;
}

const MAX_ROUNDS = 40;
const STEP_DONE_MM = 1e-6;
const RANK_TOLERANCE = 1e-9;
/** A standard deviation so loose that it only holds what no distance determines, as a share of the figure's size. */
const LOOSE_SHARE = 0.1;
const BARELY_CHECKED = 1e-9;

/** Adjusts distances between corners (and side middles) by nonlinear least squares.
 *  What the distances leave open stays near `start`.
 *  @param start mm, one point a corner; the first is held, the second held on its height
 *  @source Gauss–Newton adjustment and w-test: Baarda, A Testing Procedure for Use in Geodetic Networks, 1968 (from memory) */
export function adjustNetwork(start: readonly Point[], distances: readonly NetworkDistance[]): NetworkSolution {
  const scale_mm = Math.max(...start.map(({ x, y }) => Math.hypot(x, y)), 1);
  let corners = start;
  let stopped: NetworkSolution['stopped'] = 'limit';
  for (let round = 0; round < MAX_ROUNDS && stopped === 'limit'; round += 1) {
    const step = stepTowards(start, corners, distances, scale_mm * LOOSE_SHARE);
    corners = moved(corners, step);
    if (Math.max(...step.map(Math.abs)) < STEP_DONE_MM) stopped = 'converged';
  }
  return describe(corners, distances, stopped);
}

function describe(corners: readonly Point[], distances: readonly NetworkDistance[], stopped: NetworkSolution['stopped']): NetworkSolution {
  const unknowns = freeCount(corners);
  const jacobian = weightedJacobian(corners, distances);
  const svd = new SingularValueDecomposition(jacobian.rows >= unknowns ? jacobian : padded(jacobian, unknowns), { autoTranspose: true });
  const largest = Math.max(...svd.diagonal, 0);
  const rank = svd.diagonal.filter((value) => value > largest * RANK_TOLERANCE).length;
  const inverseSquares = svd.diagonal.map((value) => (value > largest * RANK_TOLERANCE ? 1 / (value * value) : 0));
  const v = svd.rightSingularVectors;
  const covariance = v.mmul(Matrix.diag(inverseSquares)).mmul(v.transpose());
  const hat = jacobian.mmul(covariance).mmul(jacobian.transpose());
  const residuals_mm = distances.map((distance) => lengthOf(corners, distance) - distance.value_mm);
  const seen = (first: number, second: number): number => (first === second ? 1 : 0) - hat.get(first, second);
  const redundancy = distances.map((_, index) => Math.max(0, seen(index, index)));
  const spread = (index: number): number => Math.sqrt(redundancy[index] ?? 0);
  return {
    stopped,
    corners,
    rank,
    unknowns,
    covariance,
    residuals_mm,
    redundancy,
    standardised: distances.map((distance, index) => (spread(index) < BARELY_CHECKED ** 0.5 ? 0 : (residuals_mm[index] ?? 0) / distance.sd_mm / spread(index))),
    correlation: (first, second) => {
      const spreads = spread(first) * spread(second);
      return spreads < BARELY_CHECKED ? 0 : seen(first, second) / spreads;
    },
    weightedSquares: distances.reduce((sum, distance, index) => sum + ((residuals_mm[index] ?? 0) / distance.sd_mm) ** 2, 0),
  };
}

function stepTowards(start: readonly Point[], corners: readonly Point[], distances: readonly NetworkDistance[], loose_mm: number): number[] {
  const unknowns = freeCount(corners);
  const jacobian = weightedJacobian(corners, distances);
  const rows = new Matrix(distances.length + unknowns, unknowns);
  rows.setSubMatrix(jacobian, 0, 0);
  const wanted = Matrix.zeros(distances.length + unknowns, 1);
  distances.forEach((distance, index) => { wanted.set(index, 0, (distance.value_mm - lengthOf(corners, distance)) / distance.sd_mm); });
  const hasFullRank = distances.length >= unknowns && rankOf(jacobian) === unknowns;
  if (!hasFullRank) {
    const drift = freeCoordinates(start).map((value, index) => value - (freeCoordinates(corners)[index] ?? 0));
    drift.forEach((value, index) => {
      rows.set(distances.length + index, index, 1 / loose_mm);
      wanted.set(distances.length + index, 0, value / loose_mm);
    });
  }
  return new SingularValueDecomposition(rows).solve(wanted).to1DArray();
}

function rankOf(jacobian: Matrix): number {
  const { diagonal } = new SingularValueDecomposition(jacobian, { computeLeftSingularVectors: false, computeRightSingularVectors: false });
  const largest = Math.max(...diagonal);
  return diagonal.filter((value) => value > largest * RANK_TOLERANCE).length;
}

function weightedJacobian(corners: readonly Point[], distances: readonly NetworkDistance[]): Matrix {
  const jacobian = Matrix.zeros(Math.max(distances.length, 1), freeCount(corners));
  distances.forEach((distance, row) => {
    const from = locate(corners, distance.from);
    const to = locate(corners, distance.to);
    const length = Math.max(Math.hypot(to.x - from.x, to.y - from.y), 1e-9);
    const along = { x: (to.x - from.x) / length / distance.sd_mm, y: (to.y - from.y) / length / distance.sd_mm };
    const add = (corner: number, share: number): void => {
      const { x, y } = freeColumns(corner);
      if (x !== undefined) jacobian.set(row, x, jacobian.get(row, x) + along.x * share);
      if (y !== undefined) jacobian.set(row, y, jacobian.get(row, y) + along.y * share);
    };
    distance.to.forEach(({ corner, share }) => { add(corner, share); });
    distance.from.forEach(({ corner, share }) => { add(corner, -share); });
  });
  return jacobian;
}

function padded(matrix: Matrix, rows: number): Matrix {
  const wider = Matrix.zeros(rows, matrix.columns);
  wider.setSubMatrix(matrix, 0, 0);
  return wider;
}

/** Columns of a corner's coordinates: none for the first, x only for the second, both after that. */
function freeColumns(corner: number): { readonly x?: number; readonly y?: number } {
  if (corner === 0) return {};
  return corner === 1 ? { x: 0 } : { x: 2 * corner - 3, y: 2 * corner - 2 };
}

function freeCount(corners: readonly Point[]): number {
  return 2 * corners.length - 3;
}

function freeCoordinates(corners: readonly Point[]): number[] {
  return corners.flatMap(({ x, y }, corner) => (corner === 0 ? [] : corner === 1 ? [x] : [x, y]));
}

function moved(corners: readonly Point[], step: readonly number[]): readonly Point[] {
  const part = (column: number | undefined): number => (column === undefined ? 0 : (step[column] ?? 0));
  return corners.map(({ x, y }, corner) => ({ x: x + part(freeColumns(corner).x), y: y + part(freeColumns(corner).y) }));
}

function locate(corners: readonly Point[], point: NetworkPoint): Point {
  return point.reduce<Point>((sum, { corner, share }) => ({ x: sum.x + share * (corners[corner]?.x ?? NaN), y: sum.y + share * (corners[corner]?.y ?? NaN) }), { x: 0, y: 0 });
}

function lengthOf(corners: readonly Point[], distance: NetworkDistance): number {
  const from = locate(corners, distance.from);
  const to = locate(corners, distance.to);
  return Math.hypot(to.x - from.x, to.y - from.y);
}
