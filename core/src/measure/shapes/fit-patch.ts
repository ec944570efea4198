import { valueAt } from '../../quantity';
import type { MeasurePoint } from '../../job';
import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { type CurvedPatch, type PatchDoubt, curvatureOf, patchAt } from '../../curved';
import { type FittedModel, fitModel } from '../network/fit-model';
import { type Outline, type Point, outlineBounds } from '../outline';
import { type Reading, sdOf } from '../reading';

/** Where the ends of the lines lie, as shares of the outline: from the left and from the top. */
const SHARES: Readonly<Record<MeasurePoint, readonly [across: number, down: number]>> = {
  tl: [0, 0],
  mt: [0.5, 0],
  tr: [1, 0],
  ml: [0, 0.5],
  mm: [0.5, 0.5],
  mr: [1, 0.5],
  bl: [0, 1],
  mb: [0.5, 1],
  br: [1, 1],
};

/** Points a curved pane is measured between. */
export const CURVED_POINTS = Object.keys(SHARES) as readonly MeasurePoint[];

/** Whether a line runs across the glass, not down. */
export function isAcross({ from, to }: Reading): boolean {
  return SHARES[from]?.[1] === SHARES[to]?.[1];
}

function pointAt(outline: Outline, name: string): Point {
  const [tl = ORIGIN, tr = ORIGIN, br = ORIGIN, bl = ORIGIN] = outline;
  const [across, down] = SHARES[name] ?? [0.5, 0.5];
  const mix = (a: number, b: number, share: number): number => a + (b - a) * share;
  return {
    x: mix(mix(tl.x, tr.x, across), mix(bl.x, br.x, across), down),
    y: mix(mix(tl.y, tr.y, across), mix(bl.y, br.y, across), down),
  };
}

const ORIGIN: Point = { x: 0, y: 0 };

/** The chord under a line, mm. */
export function chordOf(outline: Outline, { from, to }: Reading): number {
  const [a, b] = [pointAt(outline, from), pointAt(outline, to)];
  return Math.hypot(a.x - b.x, a.y - b.y);
}

/** Which terms of the patch the readings can tell. */
function termsFor(bends: readonly Reading[]): readonly (keyof CurvedPatch)[] {
  const across = new Set(
    bends
      .filter(({ kind }) => kind === 'sag')
      .filter(isAcross)
      .map(({ from }) => from),
  );
  const down = new Set(
    bends.filter((reading) => reading.kind === 'sag' && !isAcross(reading)).map(({ from }) => from),
  );
  const has = (test: (reading: Reading) => boolean): boolean => bends.some(test);
  return [
    'acrossMiddle',
    ...(across.size >= 2 ? (['acrossTop'] as const) : []),
    ...(across.size >= 3 ? (['acrossBottom'] as const) : []),
    'down',
    ...(down.size >= 2 && down.has('tl') && down.has('tr') ? (['skew'] as const) : []),
    ...(has((reading) => reading.kind === 'quarter sag' && isAcross(reading))
      ? (['quarticAcross'] as const)
      : []),
    ...(has((reading) => reading.kind === 'quarter sag' && !isAcross(reading))
      ? (['cubicDown'] as const)
      : []),
    ...(has(({ kind }) => kind === 'rocking gap') ? (['twist'] as const) : []),
  ];
}

/** The patch through the sags, by least squares. */
export function fitPatch(
  outline: Outline,
  bends: readonly Reading[],
): {
  readonly patch: CurvedPatch;
  readonly fitted: FittedModel;
  readonly used: readonly Reading[];
  readonly terms: readonly (keyof CurvedPatch)[];
  /** Standard deviation of a figure of the patch, from the stated accuracy of the readings. */
  readonly standardDeviationOf: (figure: (patch: CurvedPatch) => number) => number;
  /** Independent ways in which the patch may be off by the stated accuracy of the readings. */
  readonly doubts: readonly PatchDoubt[];
} {
  const { left, top, width, height } = outlineBounds(outline);
  const [a, h] = [width / 2, height / 2];
  const centre = { x: left + a, y: top + h };
  const local = (name: string): Point => {
    const at = pointAt(outline, name);
    return { x: at.x - centre.x, y: centre.y - at.y };
  };
  const terms = termsFor(bends);
  const flat = evenPatch(outline, bends, { a, h });
  const patchOf = (unknowns: readonly number[]): CurvedPatch => withTerms(flat, terms, unknowns);
  const scale: Readonly<Partial<Record<keyof CurvedPatch, number>>> = {
    twist: 1 / (a * h),
    skew: 1 / (a * h * h),
    cubicDown: 1 / h ** 3,
    quarticAcross: 1 / a ** 4,
    down: 1 / h ** 2,
  };
  const predict = (unknowns: readonly number[]): readonly number[] => {
    const patch = patchOf(unknowns);
    return bends.map((bend) => bendOf(patch, bend, local));
  };
  const scales = terms.map((term) => scale[term] ?? 1 / a ** 2);
  const fitted = fitModel(
    terms.map((term) => flat[term]),
    scales,
    bends.map((reading) => ({ value: reading.value_mm, sd: sdOf(reading) })),
    predict,
  );
  return {
    patch: patchOf(fitted.unknowns),
    fitted,
    used: bends,
    terms,
    doubts: doubtsOf(fitted, scales, patchOf),
    standardDeviationOf: (figure) =>
      standardDeviationOf(fitted, scales, (unknowns) => figure(patchOf(unknowns))),
  };
}

/** Columns of the factor of the covariance, as what each makes of the patch. */
function doubtsOf(
  { unknowns, covariance }: FittedModel,
  scales: readonly number[],
  patchOf: (unknowns: readonly number[]) => CurvedPatch,
): readonly PatchDoubt[] {
  const { lowerTriangularMatrix: factor } = new CholeskyDecomposition(
    Matrix.add(covariance, covariance.transpose()).div(2),
  );
  const middle = patchOf(unknowns);
  return unknowns.map((_, column) => {
    const off = patchOf(unknowns.map((value, row) => value + factor.get(row, column) * valueAt(scales, row)));
    return Object.fromEntries(
      (Object.keys(middle) as (keyof CurvedPatch)[])
        .map((term) => [term, off[term] - middle[term]] as const)
        .filter(([, by]) => by !== 0),
    );
  });
}

const NUDGE = 1e-4;

/** How far the scatter of the unknowns moves a figure: its slopes against their covariance. */
function standardDeviationOf(
  { unknowns, covariance }: FittedModel,
  scales: readonly number[],
  figure: (unknowns: readonly number[]) => number,
): number {
  const slopes = scales.map((scale, unknown) => {
    const at = (by: number): number =>
      figure(unknowns.map((value, index) => (index === unknown ? value + by * scale : value)));
    return (at(NUDGE) - at(-NUDGE)) / (2 * NUDGE);
  });
  const variance = slopes.reduce(
    (sum, slope, row) =>
      sum + slopes.reduce((line, other, column) => line + slope * other * covariance.get(row, column), 0),
    0,
  );
  return Math.sqrt(Math.max(0, variance));
}

/** The patch a single sag across and a single one down would give: where the search for the others begins. */
function evenPatch(
  outline: Outline,
  bends: readonly Reading[],
  { a, h }: { readonly a: number; readonly h: number },
): CurvedPatch {
  const startOf = (isLine: (reading: Reading) => boolean): number => {
    const line = bends.filter(({ kind }) => kind === 'sag').find(isLine);
    return line === undefined ? 0 : curvatureOf(chordOf(outline, line), line.value_mm);
  };
  const [across, down] = [startOf(isAcross), startOf((reading) => !isAcross(reading))];
  return {
    halfWidth_mm: a,
    halfHeight_mm: h,
    acrossBottom: across,
    acrossMiddle: across,
    acrossTop: across,
    down,
    twist: 0,
    skew: 0,
    cubicDown: 0,
    quarticAcross: 0,
  };
}

/** The patch with these terms set; what is not told across follows from what is. */
function withTerms(
  flat: CurvedPatch,
  terms: readonly (keyof CurvedPatch)[],
  unknowns: readonly number[],
): CurvedPatch {
  const set = Object.fromEntries(
    terms.map((term, index) => [term, valueAt(unknowns, index)]),
  ) as Partial<CurvedPatch>;
  const patch = { ...flat, ...set };
  if (!terms.includes('acrossTop'))
    return { ...patch, acrossTop: patch.acrossMiddle, acrossBottom: patch.acrossMiddle };
  return terms.includes('acrossBottom')
    ? patch
    : { ...patch, acrossBottom: 2 * patch.acrossMiddle - patch.acrossTop };
}

/** What a reading would be on this patch. */
function bendOf(patch: CurvedPatch, { kind, from, to }: Reading, local: (name: string) => Point): number {
  const z = ({ x, y }: Point): number => patchAt(patch, x, y).z;
  if (kind === 'rocking gap')
    return (from === 'br' ? -1 : 1) * (z(local('tr')) - z(local('tl')) - z(local('br')) + z(local('bl')));
  const [p, q] = [local(from), local(to)];
  const share = kind === 'quarter sag' ? 0.25 : 0.5;
  const at = { x: p.x + (q.x - p.x) * share, y: p.y + (q.y - p.y) * share };
  return z(at) - (1 - share) * z(p) - share * z(q);
}
