import { fromCorner } from '../hanging';
import type { MeasureSlot } from '../measure-slot';
import type { NetworkPoint } from '../network/observation';
import type { Point } from '../outline';
import type { Reading } from '../reading';
import { straightSizes } from '../sizes';
import type { SurfaceCheck } from '../surface-check';
import { type ShapeMeasure, type SurfaceInput, firstUntaken } from './shape';
import { solveReadings } from './straight-network';

const SLOTS: readonly MeasureSlot[] = [
  { key: 'bottom', kind: 'distance', from: 'bl', to: 'br', word: 'bottom', group: 'width', lies: 'bottom' },
  { key: 'left', kind: 'distance', from: 'bl', to: 'tp', word: 'left side', group: 'side', lies: 'left' },
  { key: 'right', kind: 'distance', from: 'br', to: 'tp', word: 'right side', group: 'side', lies: 'right' },
  {
    key: 'height',
    kind: 'height over',
    from: 'tp',
    to: 'mb',
    word: 'height over the bottom',
    group: 'height',
    lies: 'inside',
    share: 0.5,
    how: 'From the upper corner square to the bottom: the check.',
  },
];

const POINTS: Readonly<Record<string, NetworkPoint>> = {
  bl: [{ corner: 0, share: 1 }],
  br: [{ corner: 1, share: 1 }],
  tp: [{ corner: 2, share: 1 }],
  mb: [
    { corner: 0, share: 0.5 },
    { corner: 1, share: 0.5 },
  ],
};
const ARMS: Readonly<Record<string, readonly [string, string]>> = {
  bl: ['br', 'tp'],
  br: ['bl', 'tp'],
  tp: ['bl', 'br'],
};

const SIDES = SLOTS.filter(({ kind }) => kind === 'distance').map(({ kind, from, to }) => ({
  kind,
  from,
  to,
}));

/** A triangle from its sides; a height or a right angle may stand for a side. */
export const threeSides: ShapeMeasure = {
  slots: () => [
    ...SLOTS,
    {
      key: 'level-sill',
      kind: 'level',
      from: 'bl',
      to: 'br',
      word: 'right end of the bottom lower than the left',
      group: 'check',
      lies: 'beside',
      isExtra: true,
      how: 'By a spirit level; 0 when level, minus when the right end is higher.',
    },
    ...(['bl', 'br'] as const).map((corner): MeasureSlot => ({
      key: `square-${corner}`,
      kind: 'right angle',
      from: corner,
      to: corner,
      word: `try square fits lower ${corner === 'bl' ? 'left' : 'right'}`,
      group: 'check',
      lies: 'beside',
      isExtra: true,
      how: 'Type 0 when a try square lies tight in this corner.',
    })),
  ],
  check: checkTriangle,
};

function checkTriangle({ readings, determinedWithin_mm: within_mm }: SurfaceInput): SurfaceCheck {
  const lengthOf = (key: string): number | undefined =>
    mean(
      readings,
      SLOTS.find((slot) => slot.key === key),
    );
  const bottom = lengthOf('bottom');
  const [left, right, height] = [lengthOf('left'), lengthOf('right'), lengthOf('height')];
  const isSquare = (corner: string): boolean =>
    readings.some(({ kind, from }) => kind === 'right angle' && from === corner);
  if (bottom === undefined) return { state: 'unfinished', needs: ['the bottom'] };
  const apex = apexFrom(bottom, left, right, height, isSquare('bl'), isSquare('br'));
  if (apex === undefined)
    return { state: 'unfinished', needs: [left === undefined ? 'the left side' : 'the right side'] };
  if (apex === 'cannot close') return cannotClose([bottom, left ?? 0, right ?? 0]);
  const solved = solveReadings(readings, {
    start: [
      { x: 0, y: 0 },
      { x: bottom, y: 0 },
      { x: apex.x, y: -apex.y },
    ],
    pointOf: (name) => POINTS[name],
    armsOf: (name) => ARMS[name],
    sideUnder: () => ['br', 'bl'],
    deciders: SIDES,
    within_mm,
  });
  const turned = (corners: readonly Point[]): readonly Point[] => {
    const [bl = ORIGIN, br = ORIGIN, tp = ORIGIN] = corners;
    return fromCorner([tp, br, bl]);
  };
  const outline = turned(solved.solution.corners);
  const [tp = ORIGIN, br = ORIGIN, bl = ORIGIN] = outline;
  if (!((br.x - bl.x) * (bl.y - tp.y) > 1))
    return {
      state: 'impossible',
      why: { case: 'corners on one line' },
      suspects: solved.agreement.kind === 'disagree' ? solved.agreement.suspects : [],
    };
  const spread =
    solved.spread === undefined
      ? undefined
      : (size: (at: readonly Point[]) => number) =>
          solved.spread?.((corners) => size(turned(corners))) ?? Number.NaN;
  const figure = {
    outline,
    points: { tp, br, bl, mb: { x: (bl.x + br.x) / 2, y: bl.y }, foot: { x: tp.x, y: bl.y } },
  };
  const found = {
    figure,
    sizes: straightSizes(outline, spread, undefined),
    agreement: solved.agreement,
    helpsNext: firstUntaken(SLOTS, readings),
    remarks: [],
  };
  return solved.isDetermined
    ? { state: 'measured', ...found }
    : { state: 'assumed', assumes: 'the side not measured', ...found };
}

function cannotClose(sides: readonly number[]): SurfaceCheck {
  const [longest_mm = 0, ...others] = [...sides].sort((a, b) => b - a);
  const others_mm = others.reduce((sum, side) => sum + side, 0);
  return { state: 'impossible', why: { case: 'sides cannot close', longest_mm, others_mm }, suspects: [] };
}

const ORIGIN: Point = { x: 0, y: 0 };

function mean(readings: readonly Reading[], slot: MeasureSlot | undefined): number | undefined {
  const values = readings
    .filter(
      ({ kind, from, to }) =>
        kind === slot?.kind &&
        ((from === slot.from && to === slot.to) || (from === slot.to && to === slot.from)),
    )
    .map(({ value_mm }) => value_mm);
  return values.length === 0 ? undefined : values.reduce((sum, value) => sum + value, 0) / values.length;
}

/** Where the upper corner stands over the bottom, from whatever two things are known. */
function apexFrom(
  bottom: number,
  left: number | undefined,
  right: number | undefined,
  height: number | undefined,
  squareLeft: boolean,
  squareRight: boolean,
): Point | 'cannot close' | undefined {
  if (left !== undefined && right !== undefined) {
    const x = (bottom ** 2 + left ** 2 - right ** 2) / (2 * bottom);
    const y2 = left ** 2 - x ** 2;
    return y2 <= 0 ? 'cannot close' : { x, y: Math.sqrt(y2) };
  }
  if (squareLeft && (left ?? height) !== undefined) return { x: 0, y: left ?? height ?? 0 };
  if (squareRight && (right ?? height) !== undefined) return { x: bottom, y: right ?? height ?? 0 };
  if (squareLeft && right !== undefined)
    return right <= bottom ? 'cannot close' : { x: 0, y: Math.sqrt(right ** 2 - bottom ** 2) };
  if (squareRight && left !== undefined)
    return left <= bottom ? 'cannot close' : { x: bottom, y: Math.sqrt(left ** 2 - bottom ** 2) };
  if (height !== undefined && left !== undefined)
    return left < height ? 'cannot close' : { x: Math.sqrt(left ** 2 - height ** 2), y: height };
  if (height !== undefined && right !== undefined)
    return right < height ? 'cannot close' : { x: bottom - Math.sqrt(right ** 2 - height ** 2), y: height };
  return undefined;
}
