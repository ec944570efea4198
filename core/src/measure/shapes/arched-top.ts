import { type Formula, GEOMETRY, type Reasoned, applyFormula } from '../../quantity';
import { ARC_FORMULAS, arcPoints, segmentArea } from '../arcs';
import { onLevelSill } from '../hanging';
import type { MeasureSlot } from '../measure-slot';
import type { NetworkPoint } from '../network/observation';
import { type Outline, type Point, areaOf, isConvex, outlineBounds, perimeterOf } from '../outline';
import type { Reading } from '../reading';
import { SIZE_FORMULAS, type Sizes, type SpreadFinder, sizeOf } from '../sizes';
import type { SurfaceCheck } from '../surface-check';
import { FOUR_SIDE_ARMS, FOUR_SIDE_DECIDERS, FOUR_SIDE_POINTS } from './four-sides';
import { type ShapeMeasure, type SurfaceInput, firstUntaken } from './shape';
import { solveReadings } from './straight-network';

const SLOTS: readonly MeasureSlot[] = [
  {
    key: 'rise',
    kind: 'height over',
    from: 'ct',
    to: 'mt',
    word: 'rise of the arch',
    group: 'height',
    lies: 'inside',
    share: 0.5,
    how: 'From the line between the springs up to the crown.',
  },
  {
    key: 'width-top',
    kind: 'distance',
    from: 'tl',
    to: 'tr',
    word: 'width at the springs',
    group: 'width',
    lies: 'inside',
    share: 0.72,
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
    word: 'left height to the spring',
    group: 'height',
    lies: 'left',
  },
  {
    key: 'height-right',
    kind: 'distance',
    from: 'tr',
    to: 'br',
    word: 'right height to the spring',
    group: 'height',
    lies: 'right',
  },
  {
    key: 'height-crown',
    kind: 'distance',
    from: 'mb',
    to: 'ct',
    word: 'height to the crown',
    group: 'height',
    lies: 'inside',
    share: 0.3,
  },
  {
    key: 'diagonal-falling',
    kind: 'distance',
    from: 'tl',
    to: 'br',
    word: 'diagonal from the left spring',
    group: 'diagonal',
    lies: 'inside',
    share: 0.7,
  },
  {
    key: 'diagonal-rising',
    kind: 'distance',
    from: 'bl',
    to: 'tr',
    word: 'diagonal from bottom left',
    group: 'diagonal',
    lies: 'inside',
    share: 0.2,
  },
];

const POINTS: Readonly<Record<string, NetworkPoint>> = { ...FOUR_SIDE_POINTS, ct: [{ corner: 4, share: 1 }] };
const SEGMENT_POINTS: Readonly<Record<string, NetworkPoint>> = {
  tl: [{ corner: 0, share: 1 }],
  tr: [{ corner: 1, share: 1 }],
  mt: [
    { corner: 0, share: 0.5 },
    { corner: 1, share: 0.5 },
  ],
  ct: [{ corner: 2, share: 1 }],
};
/** An arch is taken as even: its crown over the middle of the springs. */
const EVEN_ARCH_SD_MM = 1;

interface ArchInputs {
  readonly straight_mm2: number;
  readonly chord_mm: number;
  readonly rise_mm: number;
}

export const ARCHED_AREA: Formula<ArchInputs> = {
  id: 'measure.archedArea',
  word: 'area under the arch',
  says: 'A = straight part + R²·(φ − sin φ)/2, φ = 4·atan(2s/c), R = (c²/4 + s²)/(2s)',
  unit: 'mm²',
  source: GEOMETRY,
  inputs: {
    straight_mm2: { word: 'straight part', unit: 'mm²' },
    chord_mm: { word: 'width at the springs', unit: 'mm' },
    rise_mm: { word: 'rise', unit: 'mm' },
  },
  of: ({ straight_mm2, chord_mm, rise_mm }) => straight_mm2 + segmentArea(chord_mm, rise_mm),
};

export const ARCHED_EDGE: Formula<{
  readonly straight_mm: number;
  readonly chord_mm: number;
  readonly rise_mm: number;
}> = {
  id: 'measure.archedEdge',
  word: 'edge to work along',
  says: 'P = straight sides + 4·R·atan(2s/c)',
  unit: 'mm',
  source: GEOMETRY,
  inputs: {
    straight_mm: { word: 'straight sides', unit: 'mm' },
    chord_mm: { word: 'width at the springs', unit: 'mm' },
    rise_mm: { word: 'rise', unit: 'mm' },
  },
  of: ({ straight_mm, chord_mm, rise_mm }) => straight_mm + ARC_FORMULAS.length.of({ chord_mm, rise_mm }),
};

/**
 * An arched top by springs, crown and the straight part below; a bare arch when nothing below is measured.
 */
export const archedTop: ShapeMeasure = { slots: () => SLOTS, check: checkArch };

function checkArch({ readings, determinedWithin_mm: within_mm }: SurfaceInput): SurfaceCheck {
  const mean = (...keys: readonly string[]): number | undefined =>
    meanOf(
      readings,
      SLOTS.filter(({ key }) => keys.includes(key)),
    );
  const hasBody = readings.some(({ from, to }) =>
    [from, to].some((point) => ['bl', 'br', 'mb'].includes(point)),
  );
  const width = mean('width-top', 'width-bottom');
  const height = mean('height-left', 'height-right') ?? minus(mean('height-crown'), mean('rise'));
  const rise = mean('rise') ?? minus(mean('height-crown'), mean('height-left', 'height-right'));
  const wantsHeight = hasBody && readings.some(({ from, to }) => [from, to].includes('mb'));
  const needs = [
    ...(width === undefined ? ['a width'] : []),
    ...(wantsHeight && height === undefined ? ['a height to the spring'] : []),
    ...(rise === undefined ? ['the rise of the arch'] : []),
  ];
  if (width === undefined || rise === undefined || needs.length > 0) return { state: 'unfinished', needs };
  if (rise <= 0)
    return { state: 'impossible', why: { case: 'crown below the springs', rise_mm: rise }, suspects: [] };
  const withBody = hasBody && height !== undefined;
  const crown = { x: width / 2, y: -rise };
  const start: readonly Point[] = withBody
    ? [{ x: 0, y: 0 }, { x: width, y: 0 }, { x: width, y: height }, { x: 0, y: height }, crown]
    : [{ x: 0, y: 0 }, { x: width, y: 0 }, crown];
  const pointOf = (name: string): NetworkPoint | undefined => (withBody ? POINTS : SEGMENT_POINTS)[name];
  const evenAt = [pointOf('mt') ?? [], pointOf('tr') ?? [], pointOf('ct') ?? []] as const;
  const solved = solveReadings(readings, {
    start,
    pointOf,
    armsOf: (name) => FOUR_SIDE_ARMS[name],
    sideUnder: () => ['tr', 'tl'],
    assumptions: [{ kind: 'right angle', at: evenAt, value_mm: 0, sd_mm: EVEN_ARCH_SD_MM }],
    deciders: withBody ? FOUR_SIDE_DECIDERS : [],
    within_mm,
  });
  const corners = withBody ? onLevelSill(solved.solution.corners, 2, 3) : solved.solution.corners;
  if (withBody && !isConvex(corners.slice(0, 4)))
    return {
      state: 'impossible',
      suspects: solved.agreement.kind === 'disagree' ? solved.agreement.suspects : [],
    };
  const outline = archOutline(corners);
  const figure = { outline, points: pointsOf(corners, outline) };
  const remark = solved.isDetermined ? undefined : 'Too few measures: corners drawn square.';
  const sizes = archSizes(corners, outline, solved.spread, remark);
  const slots = withBody ? SLOTS : SLOTS.filter(({ key }) => key === 'rise' || key === 'width-top');
  const common = {
    figure,
    sizes,
    agreement: solved.agreement,
    helpsNext: firstUntaken(slots, readings),
    remarks: [{ case: 'part of a circle' as const }],
  };
  return solved.isDetermined
    ? { state: 'measured', ...common }
    : { state: 'assumed', assumes: 'square corners', ...common };
}

function archSizes(
  corners: readonly Point[],
  outline: Outline,
  spread: SpreadFinder | undefined,
  remark: string | undefined,
): Sizes {
  const body = corners.length === 5 ? corners.slice(0, 4) : [];
  const { chord_mm, rise_mm } = chordOf(corners);
  const straight_mm2 = Math.abs(areaOf(body));
  const straight_mm = body.length === 0 ? chord_mm : perimeterOf(body) - chord_mm;
  const noted = (
    of: (at: readonly Point[]) => number,
  ): {
    readonly uncertainty?: { readonly plusMinus: number; readonly says: string };
    readonly remark?: string;
  } => ({
    ...(remark === undefined ? {} : { remark }),
    ...(spread === undefined
      ? {}
      : {
          uncertainty: {
            plusMinus: spread(of),
            says: 'one standard deviation, from the accuracy of the measures',
          },
        }),
  });
  const area = applyFormula(
    ARCHED_AREA,
    { straight_mm2, chord_mm, rise_mm },
    noted(
      (at) =>
        Math.abs(areaOf(at.length === 5 ? at.slice(0, 4) : [])) +
        segmentArea(chordOf(at).chord_mm, chordOf(at).rise_mm),
    ),
  );
  const edge = applyFormula(
    ARCHED_EDGE,
    { straight_mm, chord_mm, rise_mm },
    remark === undefined ? {} : { remark },
  );
  const radius = applyFormula(
    ARC_FORMULAS.radius,
    { chord_mm, rise_mm },
    noted((at) => ARC_FORMULAS.radius.of(chordOf(at))),
  );
  const reasoned = (step: typeof area): Reasoned<number> => ({ value: step.value, why: [step] });
  return {
    area_mm2: reasoned(area),
    perimeter_mm: reasoned(edge),
    radius_mm: reasoned(radius),
    aroundWidth_mm: sizeOf(SIZE_FORMULAS.aroundWidth, outline),
    aroundHeight_mm: sizeOf(SIZE_FORMULAS.aroundHeight, outline),
  };
}

function chordOf(corners: readonly Point[]): { readonly chord_mm: number; readonly rise_mm: number } {
  const [tl = ORIGIN, tr = ORIGIN] = corners;
  const crown = corners.at(-1) ?? ORIGIN;
  const chord_mm = Math.hypot(tr.x - tl.x, tr.y - tl.y);
  return {
    chord_mm,
    rise_mm: Math.abs((tr.x - tl.x) * (crown.y - tl.y) - (tr.y - tl.y) * (crown.x - tl.x)) / chord_mm,
  };
}

const ORIGIN: Point = { x: 0, y: 0 };

function archOutline(corners: readonly Point[]): Outline {
  const [tl = ORIGIN, tr = ORIGIN, br, bl] = corners.length === 5 ? corners : corners.slice(0, 2);
  const arc = arcPoints(tl, tr, chordOf(corners).rise_mm);
  const all = [...arc, ...(br === undefined || bl === undefined ? [] : [br, bl])];
  const { left, top } = outlineBounds(all);
  return all.map(({ x, y }) => ({ x: x - left, y: y - top }));
}

function pointsOf(corners: readonly Point[], outline: Outline): Readonly<Record<string, Point>> {
  const [tl = ORIGIN] = corners;
  const shift = { x: (outline[0]?.x ?? 0) - tl.x, y: (outline[0]?.y ?? 0) - tl.y };
  const at = (point: Point | undefined): Point => ({
    x: (point?.x ?? 0) + shift.x,
    y: (point?.y ?? 0) + shift.y,
  });
  const middle = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });
  const points = { tl: at(corners[0]), tr: at(corners[1]), ct: at(corners.at(-1)) };
  const top = { ...points, mt: middle(points.tl, points.tr) };
  if (corners.length < 5) return { ...top, bl: top.tl, br: top.tr, mb: top.mt };
  const [br, bl] = [at(corners[2]), at(corners[3])];
  return { ...top, br, bl, mb: middle(br, bl), ml: middle(top.tl, bl), mr: middle(top.tr, br) };
}

function meanOf(readings: readonly Reading[], slots: readonly MeasureSlot[]): number | undefined {
  const values = readings
    .filter((reading) =>
      slots.some(
        ({ kind, from, to }) =>
          reading.kind === kind &&
          ((reading.from === from && reading.to === to) || (reading.from === to && reading.to === from)),
      ),
    )
    .map(({ value_mm }) => value_mm);
  return values.length === 0 ? undefined : values.reduce((sum, value) => sum + value, 0) / values.length;
}

function minus(whole: number | undefined, part: number | undefined): number | undefined {
  return whole === undefined || part === undefined ? undefined : whole - part;
}
