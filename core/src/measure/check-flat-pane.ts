import type { Instrument, PanePoint } from '../job';
import { CoreError, type Formula, type Reasoned, applyFormula } from '../quantity';
import { type NetworkDistance, type NetworkPoint, type NetworkSolution, adjustNetwork } from './adjust-network';
import { chiSquared999 } from './chi-squared';
import { standardDeviation_mm } from './instruments';
import type { Outline, Point } from './outline';
import { type CornerInputs, SIZE_FORMULAS, cornerInputs } from './pane-sizes';
import { PANE_SLOTS, type PaneSlot } from './pane-slots';
import { startFigure } from './start-figure';

export interface PaneMeasure {
  readonly id: string;
  readonly from: PanePoint;
  readonly to: PanePoint;
  readonly value_mm: number;
  readonly instrument: Instrument;
  /** Stated by the person; otherwise the instrument's own. */
  readonly sd_mm?: number;
}

export interface PaneSizes {
  readonly area_mm2: Reasoned<number>;
  readonly perimeter_mm: Reasoned<number>;
  readonly outOfSquare_mm: Reasoned<number>;
  readonly aroundWidth_mm: Reasoned<number>;
  readonly aroundHeight_mm: Reasoned<number>;
}

export interface Suspect {
  readonly id: string;
  readonly from: PanePoint;
  readonly to: PanePoint;
  /** How much too long the reading is if it alone is wrong, mm (negative: too short). */
  readonly tooLong_mm: number;
  /** The reading that would agree with all others. */
  readonly wouldFit_mm: number;
}

export type Agreement =
  | { readonly kind: 'not checked' }
  | { readonly kind: 'agree'; readonly worst_mm: number }
  | { readonly kind: 'disagree'; readonly suspects: readonly [Suspect, ...Suspect[]]; readonly decide?: { readonly from: PanePoint; readonly to: PanePoint } };

/** What the measures of a four-sided pane say, as one of four named outcomes. */
export type PaneCheck =
  | { readonly state: 'unfinished'; readonly needs: readonly ('a width' | 'a height')[] }
  | { readonly state: 'impossible'; readonly suspects: readonly Suspect[] }
  /** Too few measures to know the shape: drawn with square corners, and said so. */
  | { readonly state: 'drawn square'; readonly outline: Outline; readonly sizes: PaneSizes; readonly agreement: Agreement; readonly helpsNext: PaneSlot }
  | { readonly state: 'measured'; readonly outline: Outline; readonly sizes: PaneSizes; readonly agreement: Agreement };

const CORNER_OF: Readonly<Record<PanePoint, NetworkPoint>> = {
  tl: [{ corner: 0, share: 1 }],
  tr: [{ corner: 1, share: 1 }],
  br: [{ corner: 2, share: 1 }],
  bl: [{ corner: 3, share: 1 }],
  mt: [{ corner: 0, share: 0.5 }, { corner: 1, share: 0.5 }],
  mr: [{ corner: 1, share: 0.5 }, { corner: 2, share: 0.5 }],
  mb: [{ corner: 2, share: 0.5 }, { corner: 3, share: 0.5 }],
  ml: [{ corner: 3, share: 0.5 }, { corner: 0, share: 0.5 }],
};

/** Corner to the middle of a side that does not touch it: these tell suspects apart best. */
const DECIDERS: readonly (readonly [PanePoint, PanePoint])[] = [
  ['bl', 'mr'], ['tl', 'mr'], ['br', 'ml'], ['tr', 'ml'], ['bl', 'mt'], ['br', 'mt'], ['tl', 'mb'], ['tr', 'mb'],
];

const CANNOT_TELL_APART = 0.9;
const SHORTEST_MM = 1;
const LONGEST_MM = 100_000;

/** Checks the measures of one flat four-sided pane against each other and gives its shape.
 *  @param measures any subset, repeats allowed; each between two different points, 1 mm to 100 m
 *  @throws CoreError MEASURE_DISTANCE_RANGE, MEASURE_POINTS_SAME */
export function checkFlatPane(measures: readonly PaneMeasure[]): PaneCheck {
  measures.forEach(refuseAbsurd);
  const start = startFigure(measures);
  if ('needs' in start) return { state: 'unfinished', needs: start.needs };
  const distances = measures.map(distanceOf);
  const solution = adjustNetwork(start.outline, distances);
  const outline = solution.corners as unknown as Outline;
  const agreement = judge(measures, distances, start.outline, solution);
  if (!isConvex(outline)) return { state: 'impossible', suspects: agreement.kind === 'disagree' ? agreement.suspects : [] };
  const isDetermined = solution.rank === solution.unknowns;
  const sizes = sizesOf(outline, isDetermined ? solution : undefined);
  return isDetermined ? { state: 'measured', outline, sizes, agreement } : { state: 'drawn square', outline, sizes, agreement, helpsNext: mostHelpful(measures, start.outline, distances) };
}

function refuseAbsurd(measure: PaneMeasure): void {
  if (measure.from === measure.to) throw new CoreError('MEASURE_POINTS_SAME', { path: measure.id, expected: 'two different points', got: measure.from });
  if (!(measure.value_mm >= SHORTEST_MM && measure.value_mm <= LONGEST_MM)) {
    throw new CoreError('MEASURE_DISTANCE_RANGE', { path: measure.id, expected: `${SHORTEST_MM} to ${LONGEST_MM} mm`, got: String(measure.value_mm) });
  }
}

function distanceOf(measure: PaneMeasure): NetworkDistance {
  return {
    from: CORNER_OF[measure.from],
    to: CORNER_OF[measure.to],
    value_mm: measure.value_mm,
    sd_mm: measure.sd_mm ?? standardDeviation_mm(measure.instrument, measure.value_mm),
  };
}

function judge(measures: readonly PaneMeasure[], distances: readonly NetworkDistance[], start: Outline, solution: NetworkSolution): Agreement {
  const freedom = distances.length - solution.rank;
  if (freedom < 1) return { kind: 'not checked' };
  if (solution.weightedSquares <= chiSquared999(freedom)) return { kind: 'agree', worst_mm: Math.max(...solution.residuals_mm.map(Math.abs)) };
  const order = measures.map((_, index) => index).sort((a, b) => Math.abs(solution.standardised[b] ?? 0) - Math.abs(solution.standardised[a] ?? 0));
  const [worst = 0, ...rest] = order;
  const alike = rest.filter((index) => Math.abs(solution.correlation(worst, index)) > CANNOT_TELL_APART);
  const suspectAt = (index: number): Suspect => suspectOf(measures, distances, solution, index);
  const decide = alike[0] === undefined ? undefined : bestDecider(start, distances, worst, alike[0]);
  return { kind: 'disagree', suspects: [suspectAt(worst), ...alike.map(suspectAt)], ...(decide === undefined ? {} : { decide }) };
}

function suspectOf(measures: readonly PaneMeasure[], distances: readonly NetworkDistance[], solution: NetworkSolution, index: number): Suspect {
  const measure = measures[index];
  const distance = distances[index];
  if (measure === undefined || distance === undefined) throw new RangeError(`no measure ${index}`);
  const tooLong_mm = -(solution.residuals_mm[index] ?? 0) / (solution.redundancy[index] ?? 1);
  return { id: measure.id, from: measure.from, to: measure.to, tooLong_mm, wouldFit_mm: distance.value_mm - tooLong_mm };
}

function bestDecider(start: Outline, distances: readonly NetworkDistance[], first: number, second: number): { readonly from: PanePoint; readonly to: PanePoint } | undefined {
  const without = (left: number): readonly Point[] => adjustNetwork(start, distances.filter((_, index) => index !== left)).corners;
  const ifFirst = without(first);
  const ifSecond = without(second);
  const apart = ([from, to]: readonly [PanePoint, PanePoint]): number => Math.abs(spanOf(ifFirst, from, to) - spanOf(ifSecond, from, to));
  const best = [...DECIDERS].sort((a, b) => apart(b) - apart(a))[0];
  return best === undefined ? undefined : { from: best[0], to: best[1] };
}

function spanOf(corners: readonly Point[], from: PanePoint, to: PanePoint): number {
  const at = (point: PanePoint): Point =>
    CORNER_OF[point].reduce<Point>((sum, { corner, share }) => ({ x: sum.x + share * (corners[corner]?.x ?? NaN), y: sum.y + share * (corners[corner]?.y ?? NaN) }), { x: 0, y: 0 });
  return Math.hypot(at(to).x - at(from).x, at(to).y - at(from).y);
}

/** The untaken customary measure that raises the rank, else the first untaken one. */
function mostHelpful(measures: readonly PaneMeasure[], start: Outline, distances: readonly NetworkDistance[]): PaneSlot {
  const untaken = PANE_SLOTS.filter((slot) => !measures.some((measure) => (measure.from === slot.from && measure.to === slot.to) || (measure.from === slot.to && measure.to === slot.from)));
  const rank = adjustNetwork(start, distances).rank;
  const raises = untaken.find((slot) => adjustNetwork(start, [...distances, { from: CORNER_OF[slot.from], to: CORNER_OF[slot.to], value_mm: spanOf(start, slot.from, slot.to), sd_mm: 1 }]).rank > rank);
  const helpful = raises ?? untaken[0] ?? PANE_SLOTS[0];
  if (helpful === undefined) throw new RangeError('no customary measure');
  return helpful;
}

function sizesOf(outline: Outline, solution: NetworkSolution | undefined): PaneSizes {
  const reasoned = (formula: Formula<CornerInputs>): Reasoned<number> => {
    const remark = solution === undefined ? 'Too few measures: corners drawn square. Measure a diagonal to know.' : undefined;
    const sd = solution === undefined ? undefined : propagated(formula, outline, solution);
    const step = applyFormula(formula, cornerInputs(outline), {
      ...(remark === undefined ? {} : { remark }),
      ...(sd === undefined ? {} : { uncertainty: { plusMinus: sd, says: 'one standard deviation, from the accuracy of the measures' } }),
    });
    return { value: step.value, why: [step] };
  };
  return {
    area_mm2: reasoned(SIZE_FORMULAS.area),
    perimeter_mm: reasoned(SIZE_FORMULAS.perimeter),
    outOfSquare_mm: reasoned(SIZE_FORMULAS.outOfSquare),
    aroundWidth_mm: reasoned(SIZE_FORMULAS.aroundWidth),
    aroundHeight_mm: reasoned(SIZE_FORMULAS.aroundHeight),
  };
}

/** Standard deviation of a size by the law of propagation, with differences of 0.01 mm.
 *  Of the two one-sided slopes the steeper counts: where a size turns (a gap of nothing can only grow) their mean would claim certainty. */
function propagated(formula: Formula<CornerInputs>, outline: Outline, { covariance }: NetworkSolution): number {
  const nudge = 0.01;
  const free: readonly (keyof CornerInputs)[] = ['x2', 'x3', 'y3', 'x4', 'y4'];
  const at = cornerInputs(outline);
  const here = formula.of(at);
  const gradient = free.map((key) => {
    const onward = (formula.of({ ...at, [key]: at[key] + nudge }) - here) / nudge;
    const back = (here - formula.of({ ...at, [key]: at[key] - nudge })) / nudge;
    return Math.abs(onward) >= Math.abs(back) ? onward : back;
  });
  const variance = gradient.reduce((sum, a, row) => sum + gradient.reduce((inner, b, column) => inner + a * b * covariance.get(row, column), 0), 0);
  return Math.sqrt(Math.max(0, variance));
}

function isConvex(outline: Outline): boolean {
  return outline.every((corner, index) => {
    const next = outline[(index + 1) % 4] ?? corner;
    const after = outline[(index + 2) % 4] ?? corner;
    return (next.x - corner.x) * (after.y - next.y) - (next.y - corner.y) * (after.x - next.x) > 0;
  });
}
