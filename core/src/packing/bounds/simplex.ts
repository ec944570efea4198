import { floatAt, valueAt } from '../../quantity';

/** A column of a linear programme: how much of each row one unit of it gives or takes, and what it costs. */
export interface SimplexColumn {
  readonly entries: readonly (readonly [row: number, amount: number])[];
  readonly cost: number;
}

const NEVER = 1e7;

/**
 * The cheapest combination of columns that gives at least what is asked for and takes at most what there is:
 * a revised simplex of few rows with an explicit inverse, to which columns are priced in one by one.
 * @source Dantzig's simplex method in its revised form (from memory)
 */
export class Simplex<Column extends SimplexColumn> {
  /** What one unit of each row is worth now: of what is asked for at least 0, of what there is at most 0. */
  readonly dual: Float64Array;
  readonly #rows: number;
  readonly #asked: number;
  readonly #start: Float64Array;
  readonly #value: Float64Array;
  readonly #inverse: readonly Float64Array[];
  readonly #basisCost: Float64Array;
  readonly #basis: (Column | undefined)[];

  /**
   * @param asked at least so much of each of the first rows
   * @param limits at most so much of each of the others
   * @param dearest of all costs, so that what is not given costs more
   */
  constructor(asked: readonly number[], limits: readonly number[], highest: number) {
    const rows = asked.length + limits.length;
    this.#rows = rows;
    this.#asked = asked.length;
    this.#start = Float64Array.from([...asked, ...limits]);
    this.#value = Float64Array.from(this.#start);
    /** At first, stand-ins of forbidding cost and slacks. */
    this.#inverse = Array.from({ length: rows }, (_, row) => {
      const line = new Float64Array(rows);
      line[row] = 1;
      return line;
    });
    this.#basisCost = Float64Array.from({ length: rows }, (_, row) =>
      row < asked.length ? NEVER * Math.max(1, highest) : 0,
    );
    this.#basis = Array.from({ length: rows });
    this.dual = new Float64Array(rows);
  }

  /**
   * @param entering the column that lowers the cost most at these prices; undefined: none
   * @returns whether none was left before the rounds were over
   */
  run(entering: (dual: Float64Array) => Column | undefined, mostRounds: number): boolean {
    for (let round = 0; round < mostRounds; round += 1) {
      this.dual.fill(0);
      for (let row = 0; row < this.#rows; row += 1) {
        const basisCost = floatAt(this.#basisCost, row);
        const line = valueAt(this.#inverse, row);
        if (basisCost !== 0)
          for (let at = 0; at < this.#rows; at += 1)
            this.dual[at] = floatAt(this.dual, at) + basisCost * floatAt(line, at);
      }
      const column = entering(this.dual);
      if (column === undefined) return true;
      if (!this.#pivot(column)) return false;
    }
    return false;
  }

  /** The columns of the combination and how much of each; a row that nothing gives has none. */
  *taken(): Generator<readonly [column: Column, amount: number]> {
    for (let row = 0; row < this.#rows; row += 1) {
      const column = this.#basis[row];
      if (column !== undefined) yield [column, floatAt(this.#value, row)];
    }
  }

  /**
   * What is asked for and what there is, at prices of its own.
   * @param scale prices of what is asked for are so much lower
   */
  farleyBound(scale: number): number {
    let sum = 0;
    for (let row = 0; row < this.#rows; row += 1)
      sum +=
        (row < this.#asked
          ? Math.max(0, floatAt(this.dual, row)) / scale
          : Math.min(0, floatAt(this.dual, row))) * floatAt(this.#start, row);
    return sum;
  }

  #pivot(column: Column): boolean {
    const rows = this.#rows;
    const step = new Float64Array(rows);
    for (let row = 0; row < rows; row += 1) {
      let sum = 0;
      for (const [at, amount] of column.entries) sum += floatAt(valueAt(this.#inverse, row), at) * amount;
      step[row] = sum;
    }
    let leaving = -1;
    let least = Number.POSITIVE_INFINITY;
    for (let row = 0; row < rows; row += 1) {
      const amount = floatAt(step, row);
      if (amount <= 1e-10) continue;
      const ratio = floatAt(this.#value, row) / amount;
      if (ratio < least - 1e-12) {
        least = ratio;
        leaving = row;
      }
    }
    const line = this.#inverse[leaving];
    if (line === undefined) return false;
    const by = floatAt(step, leaving);
    for (let at = 0; at < rows; at += 1) line[at] = floatAt(line, at) / by;
    for (let row = 0; row < rows; row += 1) {
      const change = floatAt(step, row);
      if (row === leaving || change === 0) continue;
      const inverseRow = valueAt(this.#inverse, row);
      for (let at = 0; at < rows; at += 1) {
        const amount = floatAt(line, at);
        if (amount !== 0) inverseRow[at] = floatAt(inverseRow, at) - change * amount;
      }
      this.#value[row] = Math.max(0, floatAt(this.#value, row) - change * least);
    }
    this.#value[leaving] = least;
    this.#basisCost[leaving] = column.cost;
    this.#basis[leaving] = column;
    return true;
  }
}
