import { valueAt } from '../../quantity';
import type { MeasureKind, MeasurePoint } from '../../job';
import type { Statistics } from './least-squares';
import type { Reading } from '../reading';
import { squaresAllowed, worstAllowed } from '../test-limits';

export interface Suspect {
  readonly id: string;
  readonly kind: MeasureKind;
  readonly from: MeasurePoint;
  readonly to: MeasurePoint;
  /** How much too long the reading is if it alone is wrong, mm (negative: too short). */
  readonly tooLong_mm: number;
  /** The reading that would agree with all others. */
  readonly wouldFit_mm: number;
}

export interface AskedMeasure {
  readonly kind: MeasureKind;
  readonly from: MeasurePoint;
  readonly to: MeasurePoint;
}

/** How surely a slip in each reading would be found. */
interface Reliability {
  readonly id: string;
  readonly residual_mm: number;
  readonly standardised: number;
  /** 0 = nothing checks it, 1 = all others do. */
  readonly redundancy: number;
  /** A slip of this size would be found 19 times out of 20; null where nothing checks it. */
  readonly smallestSlipFound_mm: number | null;
  /** A slip of this size would be found 4 times out of 5; smaller ones may hide. */
  readonly mayHide_mm: number | null;
}

export type Agreement =
  | { readonly kind: 'not checked'; readonly reliability: readonly Reliability[] }
  | { readonly kind: 'agree'; readonly worst_mm: number; readonly reliability: readonly Reliability[] }
  | {
      readonly kind: 'disagree';
      readonly suspects: readonly [Suspect, ...Suspect[]];
      readonly decide?: AskedMeasure;
      readonly reliability: readonly Reliability[];
    };

const CANNOT_TELL_APART = 0.9;
const NINETEEN_IN_TWENTY = 1.645;
const FOUR_IN_FIVE = 0.8416;

/**
 * The shift, in standard deviations, that the sum of squares finds 4 times in 5.
 * @source normal approximation of the non-central chi-squared
 */
function foundBySquares(freedom: number): number {
  if (freedom < 1) return Number.POSITIVE_INFINITY;
  const limit = squaresAllowed(freedom);
  let [low, high] = [0, 200];
  while (high - low > 0.01) {
    const middle = (low + high) / 2;
    if ((freedom + middle - limit) / Math.sqrt(2 * (freedom + 2 * middle)) < FOUR_IN_FIVE) low = middle;
    else high = middle;
  }
  return Math.sqrt(high);
}

/** Whether readings pass both tests: the sum of squares, and the worst of them alone. */
export function isHonest(statistics: Statistics, count: number): boolean {
  const freedom = count - statistics.rank;
  return (
    freedom < 1 ||
    (statistics.weightedSquares <= squaresAllowed(freedom) &&
      statistics.standardised.every((value) => Math.abs(value) <= worstAllowed(count)))
  );
}

/** What each reading would show of a blunder in it, and what it may hide. */
function reliabilityOf(
  readings: readonly Reading[],
  sds: readonly number[],
  statistics: Statistics,
): readonly Reliability[] {
  const freedom = sds.length - statistics.rank;
  const limit = worstAllowed(sds.length);
  return readings.map(({ id }, index) => {
    const redundancy = valueAt(statistics.redundancy, index);
    const smallest_mm = (shift: number): number | null =>
      redundancy < 1e-9 ? null : (shift * valueAt(sds, index)) / Math.sqrt(redundancy);
    return {
      id,
      redundancy,
      residual_mm: valueAt(statistics.residuals, index),
      standardised: valueAt(statistics.standardised, index),
      mayHide_mm: smallest_mm(Math.min(limit + FOUR_IN_FIVE, foundBySquares(freedom))),
      smallestSlipFound_mm: smallest_mm(limit + NINETEEN_IN_TWENTY),
    };
  });
}

/** Says whether readings agree, and which one is wrong when that can be known.
 *  @param readings those that can be wrong; `statistics` may go on with assumptions after them
 *  @param sds mm, one a reading
 *  @param decider asks which further measure would tell two suspects apart
 *  @source global test and data snooping after Baarda, 1968 (from memory) */
export function judge(
  readings: readonly Reading[],
  sds: readonly number[],
  statistics: Statistics,
  decider: (first: number, second: number) => AskedMeasure | undefined = () => undefined,
): Agreement {
  const freedom = sds.length - statistics.rank;
  const reliability = reliabilityOf(readings, sds, statistics);
  if (freedom < 1) return { kind: 'not checked', reliability };
  const order = readings
    .map((_, index) => index)
    .sort(
      (a, b) => Math.abs(valueAt(statistics.standardised, b)) - Math.abs(valueAt(statistics.standardised, a)),
    );
  const [worst = 0, ...rest] = order;
  if (isHonest(statistics, sds.length))
    return {
      kind: 'agree',
      worst_mm: Math.max(0, ...readings.map((_, index) => Math.abs(valueAt(statistics.residuals, index)))),
      reliability,
    };
  const alike = rest.filter((index) => Math.abs(statistics.correlation(worst, index)) > CANNOT_TELL_APART);
  const decide = alike[0] === undefined ? undefined : decider(worst, alike[0]);
  const suspectAt = (index: number): Suspect => {
    const reading = valueAt(readings, index);
    const tooLong_mm =
      -valueAt(statistics.residuals, index) / Math.max(valueAt(statistics.redundancy, index), 1e-9);
    return {
      id: reading.id,
      kind: reading.kind,
      from: reading.from,
      to: reading.to,
      tooLong_mm,
      wouldFit_mm: reading.value_mm - tooLong_mm,
    };
  };
  return {
    kind: 'disagree',
    suspects: [suspectAt(worst), ...alike.map(suspectAt)],
    reliability,
    ...(decide === undefined ? {} : { decide }),
  };
}
