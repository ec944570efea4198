import { type Formula, GEOMETRY, type Reasoned, type Step, applyFormula } from '../../quantity';
import { fitModel } from '../fit-model';
import { type Agreement, judge } from '../judge';
import type { MeasureSlot } from '../measure-slot';
import { type Outline, type Point, outlineBounds } from '../outline';
import { type Reading, sdOf } from '../reading';
import { SIZE_FORMULAS, type Sizes, sizeOf } from '../sizes';
import type { SurfaceCheck } from '../surface-check';
import { checkFourSides } from './four-sides';
import { type ShapeMeasure, type SurfaceInput, firstUntaken } from './shape';

const RINGS = 6;
const ROUND_SLOTS: readonly MeasureSlot[] = [
  {
    key: 'height',
    kind: 'distance',
    from: 'floor',
    to: 'top',
    word: 'height',
    group: 'height',
    lies: 'left',
  },
  {
    key: 'round-foot',
    kind: 'circumference',
    from: 'floor',
    to: 'floor',
    word: 'round the foot',
    group: 'curve',
    lies: 'bottom',
  },
  {
    key: 'round-top',
    kind: 'circumference',
    from: 'top',
    to: 'top',
    word: 'round the top',
    group: 'curve',
    lies: 'top',
  },
  ...Array.from({ length: RINGS }, (_, index): readonly MeasureSlot[] => [
    {
      key: `round-c${index + 1}`,
      kind: 'circumference',
      from: `c${index + 1}`,
      to: `c${index + 1}`,
      word: index === 0 ? 'round the middle' : `round, ring ${index + 1}`,
      group: 'curve',
      lies: 'inside',
      share: 0.5,
      ...(index === 0 ? {} : { isExtra: true as const }),
      ...(index === 0
        ? {
            how: 'Half way up, unless a height for it is given: it shows whether the column swells or a tape slipped.',
          }
        : {}),
    },
    {
      key: `up-c${index + 1}`,
      kind: 'distance',
      from: 'floor',
      to: `c${index + 1}`,
      word: index === 0 ? 'height of the middle ring' : `height of ring ${index + 1}`,
      group: 'height',
      lies: 'beside',
      isExtra: true,
    },
  ]).flat(),
];
const SQUARE_SLOTS: readonly MeasureSlot[] = [
  {
    key: 'height',
    kind: 'distance',
    from: 'floor',
    to: 'top',
    word: 'height',
    group: 'height',
    lies: 'left',
  },
  { key: 'front', kind: 'distance', from: 'a', to: 'b', word: 'front face', group: 'width', lies: 'bottom' },
  { key: 'right', kind: 'distance', from: 'b', to: 'c', word: 'right face', group: 'width', lies: 'beside' },
  { key: 'back', kind: 'distance', from: 'c', to: 'd', word: 'back face', group: 'width', lies: 'beside' },
  { key: 'left', kind: 'distance', from: 'd', to: 'a', word: 'left face', group: 'width', lies: 'beside' },
  {
    key: 'radius',
    kind: 'radius',
    from: 'mm',
    to: 'mm',
    word: 'radius of its edges',
    group: 'edge',
    lies: 'beside',
    isExtra: true,
    how: '0 when sharp.',
  },
  {
    key: 'around',
    kind: 'circumference',
    from: 'mm',
    to: 'mm',
    word: 'once round',
    group: 'curve',
    lies: 'top',
    how: 'The check: a tape once round.',
  },
];

interface Frustum {
  readonly foot_mm: number;
  readonly top_mm: number;
  readonly height_mm: number;
}
const FRUSTUM = {
  foot_mm: { word: 'girth at the foot', unit: 'mm' },
  top_mm: { word: 'girth at the top', unit: 'mm' },
  height_mm: { word: 'height', unit: 'mm' },
} as const;

export const COLUMN_FORMULAS = {
  area: {
    id: 'measure.columnArea',
    word: 'area',
    says: 'A = (C₁ + C₂)/2 · √(h² + ((C₁ − C₂)/2π)²)',
    unit: 'mm²',
    source: GEOMETRY,
    inputs: FRUSTUM,
    of: ({ foot_mm, top_mm, height_mm }) => ((foot_mm + top_mm) / 2) * slantOf(foot_mm, top_mm, height_mm),
  } satisfies Formula<Frustum>,
  edge: {
    id: 'measure.columnEdge',
    word: 'edge to work along',
    says: 'P = C₁ + C₂ + 2·slant height',
    unit: 'mm',
    source: GEOMETRY,
    inputs: FRUSTUM,
    of: ({ foot_mm, top_mm, height_mm }) => foot_mm + top_mm + 2 * slantOf(foot_mm, top_mm, height_mm),
  } satisfies Formula<Frustum>,
  girth: {
    id: 'measure.columnGirth',
    word: 'film girth across',
    says: 'G = the larger girth',
    unit: 'mm',
    source: GEOMETRY,
    inputs: FRUSTUM,
    of: ({ foot_mm, top_mm }) => Math.max(foot_mm, top_mm),
  } satisfies Formula<Frustum>,
  taper: {
    id: 'measure.columnTaper',
    word: 'taper',
    says: 'd = (C₁ − C₂)/π',
    unit: 'mm',
    source: GEOMETRY,
    inputs: FRUSTUM,
    of: ({ foot_mm, top_mm }) => (foot_mm - top_mm) / Math.PI,
  } satisfies Formula<Frustum>,
  squareGirth: {
    id: 'measure.squareGirth',
    word: 'film girth across',
    says: 'G = four faces − r·(8 − 2π)',
    unit: 'mm',
    source: GEOMETRY,
    inputs: { faces_mm: { word: 'four faces', unit: 'mm' }, radius_mm: { word: 'edge radius', unit: 'mm' } },
    of: ({ faces_mm, radius_mm }) => faces_mm - radius_mm * (8 - 2 * Math.PI),
  } satisfies Formula<{ readonly faces_mm: number; readonly radius_mm: number }>,
} as const;

function slantOf(foot_mm: number, top_mm: number, height_mm: number): number {
  return Math.hypot(height_mm, (foot_mm - top_mm) / (2 * Math.PI));
}

/** Half a millimetre of girth over the height is no taper anyone can cut. */
const NO_TAPER_MM = 0.5;
const ARC_SIDES = 48;

/** The film of a round column laid flat: a rectangle, or a ring sector when it tapers.
 *  @returns mm, clockwise from the upper left
 *  @source development of a cone frustum: ro = R₁·L/(R₁ − R₂), θ = 2π·(R₁ − R₂)/L (plane geometry) */
export function unrolled({ foot_mm, top_mm, height_mm }: Frustum): Outline {
  const slant = slantOf(foot_mm, top_mm, height_mm);
  if (Math.abs(foot_mm - top_mm) < NO_TAPER_MM)
    return [
      { x: 0, y: 0 },
      { x: (foot_mm + top_mm) / 2, y: 0 },
      { x: (foot_mm + top_mm) / 2, y: height_mm },
      { x: 0, y: height_mm },
    ];
  const angle = Math.abs(foot_mm - top_mm) / slant;
  const [outer, inner] = [Math.max(foot_mm, top_mm) / angle, Math.min(foot_mm, top_mm) / angle];
  const sign = foot_mm > top_mm ? 1 : -1;
  const arc = (radius: number): Point[] =>
    Array.from({ length: ARC_SIDES + 1 }, (_, index) => {
      const at = -angle / 2 + (angle * index) / ARC_SIDES;
      return { x: radius * Math.sin(at), y: sign * radius * Math.cos(at) };
    });
  const [upper, lower] = sign > 0 ? [arc(inner), arc(outer)] : [arc(outer), arc(inner)];
  const all = [...upper, ...lower.reverse()];
  const { left, top } = outlineBounds(all);
  return all.map(({ x, y }) => ({ x: x - left, y: y - top }));
}

export const roundColumn: ShapeMeasure = { slots: () => ROUND_SLOTS, check: checkRound };
export const squareColumn: ShapeMeasure = { slots: () => SQUARE_SLOTS, check: checkSquare };

function checkRound({ readings }: SurfaceInput): SurfaceCheck {
  const heights = readings.filter(
    ({ kind, from, to }) => kind === 'distance' && [from, to].includes('floor') && [from, to].includes('top'),
  );
  const rings = readings.filter(({ kind }) => kind === 'circumference');
  const needs = [
    ...(heights.length === 0 ? ['the height'] : []),
    ...(rings.length === 0 ? ['once round it'] : []),
  ];
  if (needs.length > 0) return { state: 'unfinished', needs };
  const height_mm = heights.reduce((sum, { value_mm }) => sum + value_mm, 0) / heights.length;
  const upOf = (ring: string): number =>
    ring === 'floor'
      ? 0
      : ring === 'top'
        ? height_mm
        : (readings.find(
            ({ kind, from, to }) =>
              kind === 'distance' && [from, to].includes('floor') && [from, to].includes(ring),
          )?.value_mm ?? height_mm / 2);
  const levels = new Set(rings.map(({ from }) => upOf(from)));
  const tapers = levels.size > 1;
  const mean = rings.reduce((sum, { value_mm }) => sum + value_mm, 0) / rings.length;
  const fitted = fitModel(
    tapers ? [mean, mean] : [mean],
    tapers ? [mean, mean] : [mean],
    rings.map((ring) => ({ value: ring.value_mm, sd: sdOf(ring) })),
    ([foot = 0, top = foot]) => rings.map(({ from }) => foot + ((top - foot) * upOf(from)) / height_mm),
  );
  const [foot_mm = mean, top_mm = foot_mm] = fitted.unknowns;
  if (foot_mm <= 0 || top_mm <= 0)
    return { state: 'impossible', why: { case: 'girths close to a point' }, suspects: [] };
  const frustum = { foot_mm, top_mm, height_mm };
  const agreement: Agreement = judge(rings, rings.map(sdOf), fitted, () => untakenRing(rings));
  const outline = unrolled(frustum);
  const [footWidth, topWidth] = [foot_mm / Math.PI, top_mm / Math.PI];
  const wide = Math.max(footWidth, topWidth);
  const standing: Outline = [
    { x: (wide - topWidth) / 2, y: 0 },
    { x: (wide + topWidth) / 2, y: 0 },
    { x: (wide + footWidth) / 2, y: height_mm },
    { x: (wide - footWidth) / 2, y: height_mm },
  ];
  const points: Record<string, Point> = {
    tl: standing[0] ?? ORIGIN,
    tr: standing[1] ?? ORIGIN,
    br: standing[2] ?? ORIGIN,
    bl: standing[3] ?? ORIGIN,
    floor: { x: wide / 2, y: height_mm },
    top: { x: wide / 2, y: 0 },
    mm: { x: wide / 2, y: height_mm / 2 },
  };
  for (let ring = 1; ring <= RINGS; ring += 1)
    points[`c${ring}`] = { x: wide / 2, y: height_mm - upOf(`c${ring}`) };
  const reasoned = (step: Step): Reasoned<number> => ({ value: step.value, why: [step] });
  const sizes: Sizes = {
    area_mm2: reasoned(applyFormula(COLUMN_FORMULAS.area, frustum)),
    perimeter_mm: reasoned(applyFormula(COLUMN_FORMULAS.edge, frustum)),
    aroundWidth_mm: sizeOf(SIZE_FORMULAS.aroundWidth, boxAround(outline)),
    aroundHeight_mm: sizeOf(SIZE_FORMULAS.aroundHeight, boxAround(outline)),
    girthWidth_mm: reasoned(applyFormula(COLUMN_FORMULAS.girth, frustum)),
    ...(tapers ? { taper_mm: reasoned(applyFormula(COLUMN_FORMULAS.taper, frustum)) } : {}),
  };
  const common = {
    figure: { outline, standing, points },
    sizes,
    agreement,
    helpsNext: firstUntaken(ROUND_SLOTS, readings),
    remarks: [],
  };
  return tapers ? { state: 'measured', ...common } : { state: 'assumed', assumes: 'no taper', ...common };
}

function untakenRing(rings: readonly Reading[]): {
  readonly kind: 'circumference';
  readonly from: string;
  readonly to: string;
} {
  const ring =
    Array.from({ length: RINGS }, (_, index) => `c${index + 1}`).find(
      (name) => !rings.some(({ from }) => from === name),
    ) ?? 'c1';
  return { kind: 'circumference', from: ring, to: ring };
}

const ORIGIN: Point = { x: 0, y: 0 };

function boxAround(outline: Outline): Outline {
  const { left, top, width, height } = outlineBounds(outline);
  return [
    { x: left, y: top },
    { x: left + width, y: top },
    { x: left + width, y: top + height },
    { x: left, y: top + height },
  ];
}

function checkSquare({ readings }: SurfaceInput): SurfaceCheck {
  const value = (key: string): number | undefined => {
    const slot = SQUARE_SLOTS.find((candidate) => candidate.key === key);
    const values = readings
      .filter(
        ({ kind, from, to }) =>
          kind === slot?.kind &&
          ((from === slot.from && to === slot.to) || (from === slot.to && to === slot.from)),
      )
      .map(({ value_mm }) => value_mm);
    return values.length === 0 ? undefined : values.reduce((sum, next) => sum + next, 0) / values.length;
  };
  const height_mm = value('height');
  const faces = [value('front'), value('right'), value('back'), value('left')];
  const radius_mm = value('radius') ?? 0;
  const around = value('around');
  const front = faces.find((face) => face !== undefined);
  if (height_mm === undefined || (front === undefined && around === undefined))
    return {
      state: 'unfinished',
      needs: [
        ...(height_mm === undefined ? ['the height'] : []),
        ...(front === undefined && around === undefined ? ['a face'] : []),
      ],
    };
  const assumed = faces.map(
    (face, index) =>
      face ?? faces[(index + 2) % 4] ?? front ?? ((around ?? 0) + radius_mm * (8 - 2 * Math.PI)) / 4,
  );
  const faces_mm = assumed.reduce((sum, face) => sum + face, 0);
  const step = applyFormula(COLUMN_FORMULAS.squareGirth, { faces_mm, radius_mm });
  const taken = readings
    .filter(({ kind }) => kind === 'circumference' || kind === 'distance')
    .filter(({ from }) => from !== 'floor' && from !== 'top');
  const fitted = fitModel(
    assumed,
    assumed,
    taken.map((reading) => ({ value: reading.value_mm, sd: sdOf(reading) })),
    (at) =>
      taken.map(({ kind, from, to }) =>
        kind === 'circumference'
          ? at.reduce((sum, face) => sum + face, 0) - radius_mm * (8 - 2 * Math.PI)
          : (at[['ab', 'bc', 'cd', 'da'].findIndex((pair) => pair === from + to || pair === to + from)] ?? 0),
      ),
  );
  const agreement = judge(taken, taken.map(sdOf), fitted, () => undefined);
  const girth_mm = step.value;
  const flat = checkFourSides({
    readings: [
      ['tl', 'tr', girth_mm],
      ['tl', 'bl', height_mm],
    ].map(([from, to, value_mm]) => ({
      id: `${String(from)}${String(to)}`,
      kind: 'distance',
      from: String(from),
      to: String(to),
      value_mm: Number(value_mm),
      instrument: 'tape',
    })),
  });
  if (!('figure' in flat)) return flat;
  const width = assumed[0] ?? girth_mm / 4;
  const standing: Outline = [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height_mm },
    { x: 0, y: height_mm },
  ];
  const [tl, tr, br, bl] = standing as [Point, Point, Point, Point];
  const points = {
    tl,
    tr,
    br,
    bl,
    floor: { x: 0, y: height_mm },
    top: { x: 0, y: 0 },
    a: bl,
    b: br,
    c: br,
    d: bl,
    mm: { x: width / 2, y: height_mm / 2 },
  };
  const plain = Object.fromEntries(
    Object.entries(flat.sizes).filter(([key]) => key !== 'outOfSquare_mm'),
  ) as unknown as Sizes;
  const sizes: Sizes = { ...plain, girthWidth_mm: { value: girth_mm, why: [step] } };
  const common = {
    figure: { outline: flat.figure.outline, standing, points },
    sizes,
    agreement,
    helpsNext: firstUntaken(SQUARE_SLOTS, readings),
    remarks: [],
  };
  return faces.every((face) => face !== undefined)
    ? { state: 'measured', ...common }
    : { state: 'assumed', assumes: 'opposite faces alike', ...common };
}
