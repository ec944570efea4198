import { floatAt, valueAt } from '../../quantity';
import { CholeskyDecomposition, Matrix, SingularValueDecomposition } from 'ml-matrix';

/** Partial derivatives over the standard deviation, one row an observation. */
type WeightedRows = readonly Float64Array[];

/** What the residuals of an adjustment say about each observation. */
export interface Statistics {
  /** How many of the unknowns the observations determine. */
  readonly rank: number;
  /** Of the unknowns. Only with full rank. */
  readonly covariance: Matrix;
  /** Adjusted minus observed, in the observation's unit. */
  readonly residuals: readonly number[];
  /** Share of a blunder that shows in its own residual: 0 = unseen, 1 = fully seen. */
  readonly redundancy: readonly number[];
  /** Residual over its own standard deviation; 0 where nothing checks the observation. */
  readonly standardised: readonly number[];
  /** Correlation of two of those statistics: near ±1 they cannot be told apart. */
  readonly correlation: (first: number, second: number) => number;
  /** Sum of squared residuals over their variances: chi-squared distributed when nothing is wrong. */
  readonly weightedSquares: number;
}

const RANK_TOLERANCE = 1e-9;
/** Cholesky pivots closer together than this leave no doubt that the rank is full. */
const CLEAR_PIVOT_RATIO = 1e-5;
const CLEAR_OF_WEAK = 4;
const BARELY_CHECKED = 1e-9;

export function normalMatrix(rows: WeightedRows, unknowns: number): Matrix {
  const normal = Matrix.zeros(unknowns, unknowns);
  for (let a = 0; a < unknowns; a += 1) {
    for (let b = 0; b <= a; b += 1) {
      let sum = 0;
      for (const row of rows) sum += floatAt(row, a) * floatAt(row, b);
      normal.set(a, b, sum);
      normal.set(b, a, sum);
    }
  }
  return normal;
}

/** The right-hand side of the normal equations, as a column. */
export function normalColumn(rows: WeightedRows, wanted: Float64Array, unknowns: number): Matrix {
  const column = Matrix.zeros(unknowns, 1);
  for (let unknown = 0; unknown < unknowns; unknown += 1) {
    let sum = 0;
    for (const [index, row] of rows.entries()) sum += floatAt(row, unknown) * floatAt(wanted, index);
    column.set(unknown, 0, sum);
  }
  return column;
}

/**
 * The Cholesky factor when the pivots say beyond doubt that everything is determined.
 * @param weakest singular values up to this determine nothing
 */
export function wellConditionedFactor(normal: Matrix, weakest = 0): CholeskyDecomposition | undefined {
  if (normal.rows === 0) return undefined;
  const factor = new CholeskyDecomposition(normal);
  if (!factor.isPositiveDefinite()) return undefined;
  const pivots = factor.lowerTriangularMatrix.diagonal();
  return Math.min(...pivots) > Math.max(Math.max(...pivots) * CLEAR_PIVOT_RATIO, CLEAR_OF_WEAK * weakest)
    ? factor
    : undefined;
}

/**
 * Directions of the unknowns, of length 1, that the observations leave open: known no better than 1 ÷
 * `weakest`.
 */
export function openDirections(
  rows: WeightedRows,
  unknowns: number,
  weakest: number,
): readonly (readonly number[])[] {
  const { diagonal, rightSingularVectors } = singularValues(rows, unknowns);
  const least = leastOf(diagonal, weakest);
  return diagonal.flatMap((value, index) => (value > least ? [] : [rightSingularVectors.getColumn(index)]));
}

const leastOf = (diagonal: readonly number[], weakest: number): number =>
  Math.max(weakest, Math.max(...diagonal, 0) * RANK_TOLERANCE);

/**
 * @param wanted (observed − adjusted) over the standard deviation
 * @param weakest singular values up to this count as nothing: what is known no better is not determined
 */
export function statisticsOf(
  rows: WeightedRows,
  wanted: Float64Array,
  sds: readonly number[],
  unknowns: number,
  weakest = 0,
): Statistics {
  const { covariance, rank } = inverseOf(rows, unknowns, weakest);
  const inverse = covariance.to2DArray();
  const through = rows.map((row) =>
    inverse.map((line) => line.reduce((sum, value, column) => sum + value * floatAt(row, column), 0)),
  );
  const seen = (first: number, second: number): number => {
    const row = rows[first] ?? [];
    const column = through[second] ?? [];
    let hat = 0;
    for (let unknown = 0; unknown < unknowns; unknown += 1)
      hat += valueAt(row, unknown) * valueAt(column, unknown);
    return (first === second ? 1 : 0) - hat;
  };
  const redundancy = rows.map((_, index) => Math.max(0, seen(index, index)));
  const root = (index: number): number => Math.sqrt(valueAt(redundancy, index));
  return {
    rank,
    covariance,
    redundancy,
    residuals: sds.map((sd, index) => -floatAt(wanted, index) * sd),
    weightedSquares: wanted.reduce((sum, value) => sum + value * value, 0),
    standardised: rows.map((_, index) =>
      valueAt(redundancy, index) < BARELY_CHECKED ? 0 : -floatAt(wanted, index) / root(index),
    ),
    correlation: (first, second) => {
      const roots = root(first) * root(second);
      return roots < BARELY_CHECKED ? 0 : seen(first, second) / roots;
    },
  };
}

function singularValues(rows: WeightedRows, unknowns: number): SingularValueDecomposition {
  const padded = Matrix.zeros(Math.max(rows.length, unknowns, 1), Math.max(unknowns, 1));
  rows.forEach((row, index) => {
    row.forEach((value, column) => {
      padded.set(index, column, value);
    });
  });
  return new SingularValueDecomposition(padded, { computeLeftSingularVectors: false });
}

function inverseOf(
  rows: WeightedRows,
  unknowns: number,
  weakest: number,
): { readonly covariance: Matrix; readonly rank: number } {
  const factor = wellConditionedFactor(normalMatrix(rows, unknowns), weakest);
  if (factor !== undefined) return { covariance: factor.solve(Matrix.eye(unknowns)), rank: unknowns };
  const svd = singularValues(rows, unknowns);
  const least = leastOf(svd.diagonal, weakest);
  const inverseSquares = svd.diagonal.map((value) => (value > least ? 1 / (value * value) : 0));
  const v = svd.rightSingularVectors;
  return {
    covariance: v.mmul(Matrix.diag(inverseSquares)).mmul(v.transpose()),
    rank: inverseSquares.filter((value) => value > 0).length,
  };
}
