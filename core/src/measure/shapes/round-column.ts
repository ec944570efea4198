import { type Reasoned, type Step, applyFormula } from '../../quantity';
import { fitModel } from '../network/fit-model';
import { type Agreement, judge } from '../network/judge';
import type { MeasureRemark } from '../measure-case';
import type { MeasureSlot } from '../measure-slot';
import { type Outline, type Point, outlineBounds } from '../outline';
import { type Reading, sdOf } from '../reading';
import { SIZE_FORMULAS, type Sizes, sizeOf } from '../sizes';
import type { SurfaceCheck } from '../surface-check';
import { COLUMN_FORMULAS, type Frustum, unrolled } from './column-film';
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
/** A round column by its height and its girths; from two levels on it may taper. */
export const roundColumn: ShapeMeasure = { slots: () => ROUND_SLOTS, check: checkRound };

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
  const upOf = (ring: string): number => heightOf(ring, readings, height_mm);
  const levels = new Set(rings.map(({ from }) => upOf(from)));
  const tapers = levels.size > 1;
  const mean = meanOf(rings);
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
  const common = {
    figure: { outline, ...standingUp(frustum, upOf) },
    sizes: sizesOf(frustum, outline, tapers),
    agreement,
    helpsNext: firstUntaken(ROUND_SLOTS, readings),
    remarks: offTheTaper(rings, upOf),
  };
  return tapers ? { state: 'measured', ...common } : { state: 'assumed', assumes: 'no taper', ...common };
}

/** How far a ring may lie off a straight taper by its tape alone, in standard deviations. Our judgement. */
const BEYOND_ITS_TAPE = 3;

/** The ring furthest off the line from the lowest to the highest, where its tape cannot explain it. */
function offTheTaper(rings: readonly Reading[], upOf: (ring: string) => number): readonly MeasureRemark[] {
  const levels = [...new Set(rings.map(({ from }) => upOf(from)))]
    .sort((a, b) => a - b)
    .map((up_mm) => {
      const taken = rings.filter(({ from }) => upOf(from) === up_mm);
      return { up_mm, girth_mm: meanOf(taken), sd_mm: sdOfMean(taken) };
    });
  const [lowest, highest] = [levels[0], levels.at(-1)];
  if (lowest === undefined || highest === undefined) return [];
  const off = levels.slice(1, -1).map((level) => {
    const share = (level.up_mm - lowest.up_mm) / (highest.up_mm - lowest.up_mm);
    const straight = lowest.girth_mm + (highest.girth_mm - lowest.girth_mm) * share;
    const sd = Math.hypot(level.sd_mm, (1 - share) * lowest.sd_mm, share * highest.sd_mm);
    return { up_mm: level.up_mm, off_mm: level.girth_mm - straight, sd };
  });
  const worst = off.sort((a, b) => Math.abs(b.off_mm) - Math.abs(a.off_mm))[0];
  return worst === undefined || Math.abs(worst.off_mm) <= BEYOND_ITS_TAPE * worst.sd
    ? []
    : [{ case: 'off the taper', up_mm: worst.up_mm, off_mm: worst.off_mm }];
}

const meanOf = (taken: readonly Reading[]): number =>
  taken.reduce((sum, { value_mm }) => sum + value_mm, 0) / taken.length;

const sdOfMean = (taken: readonly Reading[]): number =>
  Math.hypot(...taken.map((reading) => sdOf(reading))) / taken.length;

/** How high a ring lies: at the foot, at the top, as measured, or half way up. */
function heightOf(ring: string, readings: readonly Reading[], height_mm: number): number {
  if (ring === 'floor') return 0;
  if (ring === 'top') return height_mm;
  const taken = readings.find(
    ({ kind, from, to }) => kind === 'distance' && [from, to].includes('floor') && [from, to].includes(ring),
  );
  return taken?.value_mm ?? height_mm / 2;
}

/** The column as one sees it, with the points its measures are named by. */
function standingUp(
  { foot_mm, top_mm, height_mm }: Frustum,
  upOf: (ring: string) => number,
): { readonly standing: Outline; readonly points: Readonly<Record<string, Point>> } {
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
  return { standing, points };
}

function sizesOf(frustum: Frustum, outline: Outline, tapers: boolean): Sizes {
  const reasoned = (step: Step): Reasoned<number> => ({ value: step.value, why: [step] });
  return {
    area_mm2: reasoned(applyFormula(COLUMN_FORMULAS.area, frustum)),
    perimeter_mm: reasoned(applyFormula(COLUMN_FORMULAS.edge, frustum)),
    aroundWidth_mm: sizeOf(SIZE_FORMULAS.aroundWidth, boxAround(outline)),
    aroundHeight_mm: sizeOf(SIZE_FORMULAS.aroundHeight, boxAround(outline)),
    girthWidth_mm: reasoned(applyFormula(COLUMN_FORMULAS.girth, frustum)),
    ...(tapers ? { taper_mm: reasoned(applyFormula(COLUMN_FORMULAS.taper, frustum)) } : {}),
  };
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
