import { type Formula, GEOMETRY, type Reasoned, applyFormula } from '../../quantity';
import type { AskedMeasure } from '../network/judge';
import type { MeasureSlot } from '../measure-slot';
import type { NetworkPoint } from '../network/observation';
import { askedLevel, fromCorner, onLevelSill } from '../hanging';
import { type Outline, type Point, isConvex } from '../outline';
import type { Reading } from '../reading';
import { type Sizes, type SpreadFinder, straightSizes } from '../sizes';
import type { SurfaceCheck } from '../surface-check';
import { type ShapeMeasure, type SurfaceInput, firstUntaken } from './shape';
import { solveReadings } from './straight-network';

export const FOUR_SIDE_SLOTS: readonly MeasureSlot[] = [
  {
    key: 'width-top',
    kind: 'distance',
    from: 'tl',
    to: 'tr',
    word: 'width at the top',
    group: 'width',
    lies: 'top',
  },
  {
    key: 'width-middle',
    kind: 'distance',
    from: 'ml',
    to: 'mr',
    word: 'width in the middle',
    group: 'width',
    lies: 'inside',
    share: 0.5,
  },
  {
    key: 'width-bottom',
    kind: 'distance',
    from: 'bl',
    to: 'br',
    word: 'width at the bottom',
    group: 'width',
    lies: 'bottom',
  },
  {
    key: 'height-left',
    kind: 'distance',
    from: 'tl',
    to: 'bl',
    word: 'left height',
    group: 'height',
    lies: 'left',
  },
  {
    key: 'height-middle',
    kind: 'distance',
    from: 'mt',
    to: 'mb',
    word: 'middle height',
    group: 'height',
    lies: 'inside',
    share: 0.13,
  },
  {
    key: 'height-right',
    kind: 'distance',
    from: 'tr',
    to: 'br',
    word: 'right height',
    group: 'height',
    lies: 'right',
  },
  {
    key: 'diagonal-falling',
    kind: 'distance',
    from: 'tl',
    to: 'br',
    word: 'diagonal from top left',
    group: 'diagonal',
    lies: 'inside',
    share: 0.31,
  },
  {
    key: 'diagonal-rising',
    kind: 'distance',
    from: 'bl',
    to: 'tr',
    word: 'diagonal from bottom left',
    group: 'diagonal',
    lies: 'inside',
    share: 0.31,
  },
];

/** Readings that are not distances: none is asked for, each helps where diagonals cannot be reached. */
const SQUARE_SLOTS: readonly MeasureSlot[] = [
  {
    key: 'level-top',
    kind: 'level',
    from: 'tl',
    to: 'tr',
    word: 'right end of the top lower than the left',
    group: 'check',
    lies: 'beside',
    isExtra: true,
    how: 'Spirit level along the top; 0 when level, minus when the right end is higher.',
  },
  {
    key: 'level-sill',
    kind: 'level',
    from: 'bl',
    to: 'br',
    word: 'right end of the sill lower than the left',
    group: 'check',
    lies: 'beside',
    isExtra: true,
    how: 'Spirit level along the sill; 0 when level, minus when the right end is higher.',
  },
  ...(['tl', 'tr', 'br', 'bl'] as const).map((corner): MeasureSlot => ({
    key: `square-${corner}`,
    kind: 'right angle',
    from: corner,
    to: corner,
    word: `try square fits ${{ tl: 'upper left', tr: 'upper right', br: 'lower right', bl: 'lower left' }[corner]}`,
    group: 'check',
    lies: 'beside',
    isExtra: true,
    how: 'Type 0 when a try square lies tight in this corner.',
  })),
];

export const FOUR_CORNERS = ['tl', 'tr', 'br', 'bl'] as const;

export const FOUR_SIDE_POINTS: Readonly<Record<string, NetworkPoint>> = {
  tl: [{ corner: 0, share: 1 }],
  tr: [{ corner: 1, share: 1 }],
  br: [{ corner: 2, share: 1 }],
  bl: [{ corner: 3, share: 1 }],
  mt: [
    { corner: 0, share: 0.5 },
    { corner: 1, share: 0.5 },
  ],
  mr: [
    { corner: 1, share: 0.5 },
    { corner: 2, share: 0.5 },
  ],
  mb: [
    { corner: 2, share: 0.5 },
    { corner: 3, share: 0.5 },
  ],
  ml: [
    { corner: 3, share: 0.5 },
    { corner: 0, share: 0.5 },
  ],
};

export const FOUR_SIDE_ARMS: Readonly<Record<string, readonly [string, string]>> = {
  tl: ['tr', 'bl'],
  tr: ['tl', 'br'],
  br: ['tr', 'bl'],
  bl: ['br', 'tl'],
};

const span = (from: string, to: string): AskedMeasure => ({ kind: 'distance', from, to });
/** Corner to the middle of a side that does not touch it: these tell suspects apart best. */
export const FOUR_SIDE_DECIDERS: readonly AskedMeasure[] = [
  span('bl', 'mr'),
  span('tl', 'mr'),
  span('br', 'ml'),
  span('tr', 'ml'),
  span('bl', 'mt'),
  span('br', 'mt'),
  span('tl', 'mb'),
  span('tr', 'mb'),
  ...FOUR_SIDE_SLOTS.map(({ from, to }) => span(from, to)),
];

interface LevelInputs {
  readonly left_mm: number;
  readonly right_mm: number;
}

export const OFF_LEVEL: Formula<LevelInputs> = {
  id: 'measure.offLevel',
  word: 'top edge off level',
  says: 'd = height of the left end − height of the right end, in the adjusted figure',
  unit: 'mm',
  source: GEOMETRY,
  inputs: {
    left_mm: { word: 'left end of the top, down', unit: 'mm' },
    right_mm: { word: 'right end of the top, down', unit: 'mm' },
  },
  of: ({ left_mm, right_mm }) => right_mm - left_mm,
};

/** What distances, right angles and a level line say about a four-sided figure.
 *  @throws CoreError from the readings' own limits */
export function checkFourSides({
  readings,
  determinedWithin_mm: within_mm,
}: Pick<SurfaceInput, 'readings' | 'determinedWithin_mm'>): SurfaceCheck {
  const start = startRectangle(readings);
  if ('needs' in start) return { state: 'unfinished', needs: start.needs };
  const solved = solveReadings(readings, {
    start: start.outline,
    pointOf: (name) => FOUR_SIDE_POINTS[name],
    armsOf: (name) => FOUR_SIDE_ARMS[name],
    deciders: FOUR_SIDE_DECIDERS,
    within_mm,
  });
  const { solution, agreement, isDetermined, rankWith } = solved;
  if (!isConvex(solution.corners))
    return { state: 'impossible', suspects: agreement.kind === 'disagree' ? agreement.suspects : [] };
  const hasLevel = readings.some(({ kind }) => kind === 'level');
  const hanging = (corners: readonly Point[]): Outline =>
    hasLevel ? fromCorner(corners) : onLevelSill(corners, 2, 3);
  const outline = hanging(solution.corners);
  const spread: SpreadFinder | undefined =
    solved.spread === undefined
      ? undefined
      : (size) => solved.spread?.((corners) => size(hanging(corners))) ?? Number.NaN;
  const remark = isDetermined
    ? undefined
    : 'Too few measures: corners drawn square. Measure a diagonal to know.';
  const sizes: Sizes = {
    ...straightSizes(outline, spread, remark),
    ...(hasLevel ? { offLevel_mm: offLevel(solution.corners, solved.spread) } : {}),
  };
  const figure = { outline, points: fourSidePoints(outline) };
  const common = {
    figure,
    sizes,
    agreement,
    remarks:
      hasLevel || agreement.kind === 'disagree'
        ? []
        : askedLevel([outline[0], outline[1]], [outline[3], outline[2]]),
  };
  if (isDetermined)
    return { state: 'measured', ...common, helpsNext: firstUntaken(FOUR_SIDE_SLOTS, readings) };
  const open = FOUR_SIDE_SLOTS.filter((slot) => !isTaken(readings, slot));
  const raises =
    open.find((slot) => rankWith(slot.from, slot.to) > solution.rank) ??
    open.find(({ group }) => group === 'diagonal');
  return {
    state: 'assumed',
    assumes: 'square corners',
    ...common,
    helpsNext: raises ?? firstUntaken(FOUR_SIDE_SLOTS, readings),
  };
}

export const fourSides: ShapeMeasure = {
  slots: () => [...FOUR_SIDE_SLOTS, ...SQUARE_SLOTS],
  check: checkFourSides,
};

export function fourSidePoints(outline: Outline): Readonly<Record<string, Point>> {
  const [tl = ORIGIN, tr = ORIGIN, br = ORIGIN, bl = ORIGIN] = outline;
  const middle = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });
  return {
    tl,
    tr,
    br,
    bl,
    mt: middle(tl, tr),
    mr: middle(tr, br),
    mb: middle(br, bl),
    ml: middle(bl, tl),
    mm: middle(middle(tl, br), middle(tr, bl)),
  };
}

/**
 * The rectangle to start from: mean width by mean height, the missing one from a diagonal where that is
 * possible.
 */
function startRectangle(
  readings: readonly Reading[],
): { readonly outline: Outline } | { readonly needs: readonly string[] } {
  const mean = (group: MeasureSlot['group']): number | undefined => {
    const values = readings
      .filter((reading) => FOUR_SIDE_SLOTS.some((slot) => slot.group === group && isSlot(reading, slot)))
      .map(({ value_mm }) => value_mm);
    return values.length === 0 ? undefined : medianOf(values);
  };
  const diagonal = mean('diagonal');
  const width = mean('width') ?? leg(diagonal, mean('height'));
  const height = mean('height') ?? leg(diagonal, mean('width'));
  if (width === undefined || height === undefined)
    return {
      needs: [...(width === undefined ? ['a width'] : []), ...(height === undefined ? ['a height'] : [])],
    };
  return {
    outline: [
      { x: 0, y: 0 },
      { x: width, y: 0 },
      { x: width, y: height },
      { x: 0, y: height },
    ],
  };
}

/** One wrong reading does not move it far. */
function medianOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1
    ? (sorted[middle] ?? Number.NaN)
    : ((sorted[middle - 1] ?? Number.NaN) + (sorted[middle] ?? Number.NaN)) / 2;
}

const ORIGIN: Point = { x: 0, y: 0 };

function isSlot(reading: Reading, { kind, from, to }: MeasureSlot): boolean {
  return (
    reading.kind === kind &&
    ((reading.from === from && reading.to === to) || (reading.from === to && reading.to === from))
  );
}

function isTaken(readings: readonly Reading[], slot: MeasureSlot): boolean {
  return readings.some((reading) => isSlot(reading, slot));
}

function leg(diagonal: number | undefined, other: number | undefined): number | undefined {
  return diagonal !== undefined && other !== undefined && diagonal > other
    ? Math.sqrt(diagonal ** 2 - other ** 2)
    : undefined;
}

function offLevel(corners: readonly Point[], spread: SpreadFinder | undefined): Reasoned<number> {
  const [left_mm, right_mm] = [corners[0]?.y ?? Number.NaN, corners[1]?.y ?? Number.NaN];
  const plusMinus = spread?.((at) => (at[1]?.y ?? 0) - (at[0]?.y ?? 0));
  const step = applyFormula(
    OFF_LEVEL,
    { left_mm, right_mm },
    plusMinus === undefined
      ? {}
      : { uncertainty: { plusMinus, says: 'one standard deviation, from the accuracy of the measures' } },
  );
  return { value: step.value, why: [step] };
}
