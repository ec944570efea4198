import type { MeasureRemark } from '../measure-case';
import type { MeasurePoint } from '../../job';
import { type Formula, type Reasoned, applyFormula } from '../../quantity';
import { hardnessOf } from '../curved/hardness';
import { type CurvedPatch, curvatureOf, patchAt } from '../curved/patch';
import { surplusAtEdges } from '../curved/surplus';
import { type FittedModel, fitModel } from '../fit-model';
import { type Agreement, type AskedMeasure, judge } from '../judge';
import type { MeasureSlot } from '../measure-slot';
import { type Outline, type Point, outlineBounds } from '../outline';
import { type Reading, sdOf } from '../reading';
import type { Sizes } from '../sizes';
import type { SurfaceCheck } from '../surface-check';
import { FOUR_SIDE_SLOTS, checkFourSides } from './four-sides';
import { type ShapeMeasure, type SurfaceInput, firstUntaken } from './shape';

const chord = (key: string): MeasureSlot => {
  const slot = FOUR_SIDE_SLOTS.find((candidate) => candidate.key === key);
  if (slot === undefined) throw new RangeError(key);
  return { ...slot, word: `chord: ${slot.word}` };
};
const sag = (
  key: string,
  from: string,
  to: string,
  word: string,
  share: number,
  more: Partial<MeasureSlot> = {},
): MeasureSlot => ({
  key,
  kind: 'sag',
  from,
  to,
  word,
  group: 'curve',
  lies: 'inside',
  share,
  how: 'From the middle of the chord to the glass; minus where it is hollow.',
  ...more,
});
const quarter = (key: string, from: string, to: string, word: string): MeasureSlot => ({
  key,
  kind: 'quarter sag',
  from,
  to,
  word,
  group: 'curve',
  lies: 'beside',
  isExtra: true,
  how: 'At a quarter of the chord. Only worth it when read to half a millimetre.',
});

const SLOTS: readonly MeasureSlot[] = [
  chord('width-top'),
  sag('sag-top', 'tl', 'tr', 'sag of the top', 0.5),
  { ...chord('width-middle'), share: 0.2 },
  sag('sag-middle', 'ml', 'mr', 'sag across the middle', 0.8),
  chord('width-bottom'),
  sag('sag-bottom', 'bl', 'br', 'sag of the bottom', 0.5),
  chord('height-left'),
  sag('sag-left', 'tl', 'bl', 'sag of the left side', 0.7),
  { ...chord('height-middle'), share: 0.27 },
  sag('sag-centre', 'mt', 'mb', 'sag down the middle', 0.73),
  chord('height-right'),
  sag('sag-right', 'tr', 'br', 'sag of the right side', 0.7),
  { ...chord('diagonal-falling'), share: 0.3 },
  { ...chord('diagonal-rising'), lies: 'beside', isExtra: true },
  quarter('quarter-left', 'ml', 'mr', 'sag a quarter in from the left, across the middle'),
  quarter('quarter-right', 'mr', 'ml', 'sag a quarter in from the right, across the middle'),
  quarter('quarter-upper', 'mt', 'mb', 'sag a quarter down the middle'),
  quarter('quarter-lower', 'mb', 'mt', 'sag three quarters down the middle'),
  ...(['tr', 'br'] as const).map((corner): MeasureSlot => ({
    key: `rocking-${corner}`,
    kind: 'rocking gap',
    from: corner,
    to: corner,
    word: `${corner === 'tr' ? 'upper' : 'lower'} right corner stands off`,
    group: 'curve',
    lies: 'beside',
    isExtra: true,
    how: 'Three corners on a flat board, bulge up: the gap under the fourth. 0 when none rocks.',
  })),
];

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

interface SurplusInputs {
  readonly across_mm: number;
  readonly down_mm: number;
  readonly width_mm: number;
  readonly share: number;
}

export const CURVED_FORMULAS = {
  surplus: {
    id: 'measure.surplus',
    word: 'film too long at the edge',
    says: 'S = ∫∫ K dA gathered from the level line across the middle to the edge; for small sags 8·(sag across)·(sag down)/W',
    unit: 'mm',
    source: { kind: 'geometry', text: 'Gauss–Bonnet on the fitted patch; an estimate for the survey' },
    inputs: {
      across_mm: { word: 'sag across the middle', unit: 'mm' },
      down_mm: { word: 'sag down the middle', unit: 'mm' },
      width_mm: { word: 'chord across', unit: 'mm' },
      share: { word: 'ratio of the patch to the small-sag rule', unit: '–' },
    },
    of: ({ across_mm, down_mm, width_mm, share }) => ((8 * across_mm * down_mm) / width_mm) * share,
  } satisfies Formula<SurplusInputs>,
  greatest: {
    id: 'measure.greatestSag',
    word: 'stands out at most',
    says: 'largest height of the fitted patch over the plane of its corners',
    unit: 'mm',
    source: { kind: 'geometry', text: 'least squares patch through the sags' },
    inputs: { most_mm: { word: 'largest height', unit: 'mm' } },
    of: ({ most_mm }) => most_mm,
  } satisfies Formula<{ readonly most_mm: number }>,
  residual: {
    id: 'measure.patchResidual',
    word: 'patch fits the sags within',
    says: 'root mean square of patch minus reading',
    unit: 'mm',
    source: { kind: 'geometry', text: 'least squares patch through the sags' },
    inputs: { sum: { word: 'sum of squares', unit: 'mm²' }, count: { word: 'readings', unit: '–' } },
    of: ({ sum, count }) => Math.sqrt(sum / count),
  } satisfies Formula<{ readonly sum: number; readonly count: number }>,
} as const;

/** Curved glass: chords give the outline, sags the patch. */
export const curvedGlass: ShapeMeasure = { slots: () => SLOTS, check: checkCurved };

function checkCurved({ readings, determinedWithin_mm }: SurfaceInput): SurfaceCheck {
  const chords = readings.filter(({ kind }) => kind === 'distance');
  const flat = checkFourSides({ readings: chords, determinedWithin_mm });
  if (!('figure' in flat)) return flat;
  const bends = readings.filter(
    ({ kind }) => kind === 'sag' || kind === 'quarter sag' || kind === 'rocking gap',
  );
  const sags = bends.filter(({ kind }) => kind === 'sag');
  const middle: AskedMeasure[] = [
    { kind: 'sag', from: 'ml', to: 'mr' },
    { kind: 'sag', from: 'mt', to: 'mb' },
  ];
  const slotOf = (asked: AskedMeasure): MeasureSlot | undefined =>
    SLOTS.find(({ kind, from, to }) => kind === asked.kind && from === asked.from && to === asked.to);
  const outline = flat.figure.outline;
  if (!sags.some(isAcross) || !sags.some((reading) => !isAcross(reading))) {
    const helpsNext = sags.some(isAcross)
      ? slotOf(middle[1] ?? { kind: 'sag', from: 'mt', to: 'mb' })
      : slotOf(middle[0] ?? { kind: 'sag', from: 'ml', to: 'mr' });
    return {
      ...flat,
      state: 'assumed',
      assumes: 'flat, for want of a sag across and one down',
      helpsNext,
      remarks: [...flat.remarks, { case: 'drawn flat' }],
    };
  }
  const tooDeep = sags.find((reading) => Math.abs(reading.value_mm) > 0.45 * chordOf(outline, reading));
  if (tooDeep !== undefined)
    return {
      state: 'impossible',
      why: { case: 'sag too deep', sag_mm: tooDeep.value_mm },
      suspects: [],
    };
  const { patch, fitted, used } = fitPatch(outline, bends);
  const bendAgreement = judge(used, used.map(sdOf), fitted, () =>
    SLOTS.find(
      (slot) => slot.kind === 'sag' && !sags.some(({ from, to }) => from === slot.from && to === slot.to),
    ),
  );
  const agreement: Agreement =
    flat.agreement.kind === 'disagree'
      ? flat.agreement
      : bendAgreement.kind === 'not checked' && flat.agreement.kind === 'agree'
        ? flat.agreement
        : { ...bendAgreement, reliability: [...flat.agreement.reliability, ...bendAgreement.reliability] };
  const surplus = surplusAtEdges(patch);
  const { width } = outlineBounds(outline);
  const hardness = hardnessOf({ ...surplus, width_mm: width });
  const sizes: Sizes = { ...flat.sizes, ...curvedSizes(patch, fitted, surplus, outline) };
  const unknown = stillUnknown(bends, patch, surplus);
  const remarks = [{ case: 'how hard it is' as const, hardness }, ...unknown.remarks];
  const helpsNext = firstUntaken(SLOTS, readings) ?? unknown.ask;
  const figure = { ...flat.figure, patch };
  const hasThree =
    sags.filter(isAcross).length >= 3 && sags.filter((reading) => !isAcross(reading)).length >= 3;
  if (flat.state === 'assumed') return { ...flat, figure, sizes, agreement, remarks, helpsNext };
  if (!hasThree)
    return {
      state: 'assumed',
      assumes: 'the sags not taken like those taken',
      figure,
      sizes,
      agreement,
      remarks,
      helpsNext,
    };
  return { state: 'measured', figure, sizes, agreement, remarks, helpsNext };
}

function isAcross({ from, to }: Reading): boolean {
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

function chordOf(outline: Outline, { from, to }: Reading): number {
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
    ...(down.size >= 2 && down.has('tl') && down.has('tr') ? (['sideways'] as const) : []),
    ...(has((reading) => reading.kind === 'quarter sag' && isAcross(reading))
      ? (['endsAcross'] as const)
      : []),
    ...(has((reading) => reading.kind === 'quarter sag' && !isAcross(reading)) ? (['endDown'] as const) : []),
    ...(has(({ kind }) => kind === 'rocking gap') ? (['twist'] as const) : []),
  ];
}

function fitPatch(
  outline: Outline,
  bends: readonly Reading[],
): {
  readonly patch: CurvedPatch;
  readonly fitted: FittedModel;
  readonly used: readonly Reading[];
  readonly terms: readonly (keyof CurvedPatch)[];
} {
  const { left, top, width, height } = outlineBounds(outline);
  const [a, h] = [width / 2, height / 2];
  const centre = { x: left + a, y: top + h };
  const local = (name: string): Point => {
    const at = pointAt(outline, name);
    return { x: at.x - centre.x, y: centre.y - at.y };
  };
  const terms = termsFor(bends);
  const startOf = (isLine: (reading: Reading) => boolean): number => {
    const line = bends.filter(({ kind }) => kind === 'sag').find(isLine);
    return line === undefined ? 0 : curvatureOf(chordOf(outline, line), line.value_mm);
  };
  const [across, down] = [startOf(isAcross), startOf((reading) => !isAcross(reading))];
  const flat: CurvedPatch = {
    halfWidth_mm: a,
    halfHeight_mm: h,
    acrossBottom: across,
    acrossMiddle: across,
    acrossTop: across,
    down,
    twist: 0,
    sideways: 0,
    endDown: 0,
    endsAcross: 0,
  };
  const patchOf = (unknowns: readonly number[]): CurvedPatch => {
    const set = Object.fromEntries(
      terms.map((term, index) => [term, unknowns[index] ?? 0]),
    ) as Partial<CurvedPatch>;
    const patch = { ...flat, ...set };
    const isLinear = terms.includes('acrossTop') && !terms.includes('acrossBottom');
    return terms.includes('acrossTop')
      ? { ...patch, ...(isLinear ? { acrossBottom: 2 * patch.acrossMiddle - patch.acrossTop } : {}) }
      : { ...patch, acrossTop: patch.acrossMiddle, acrossBottom: patch.acrossMiddle };
  };
  const scale: Readonly<Partial<Record<keyof CurvedPatch, number>>> = {
    twist: 1 / (a * h),
    sideways: 1 / (a * h * h),
    endDown: 1 / h ** 3,
    endsAcross: 1 / a ** 4,
    down: 1 / h ** 2,
  };
  const predict = (unknowns: readonly number[]): readonly number[] => {
    const patch = patchOf(unknowns);
    const z = ({ x, y }: Point): number => patchAt(patch, x, y).z;
    return bends.map(({ kind, from, to }) => {
      if (kind === 'rocking gap')
        return (from === 'br' ? -1 : 1) * (z(local('tr')) - z(local('tl')) - z(local('br')) + z(local('bl')));
      const [p, q] = [local(from), local(to)];
      const share = kind === 'quarter sag' ? 0.25 : 0.5;
      return (
        z({ x: p.x + (q.x - p.x) * share, y: p.y + (q.y - p.y) * share }) - (1 - share) * z(p) - share * z(q)
      );
    });
  };
  const fitted = fitModel(
    terms.map((term) => flat[term]),
    terms.map((term) => scale[term] ?? 1 / a ** 2),
    bends.map((reading) => ({ value: reading.value_mm, sd: sdOf(reading) })),
    predict,
  );
  return { patch: patchOf(fitted.unknowns), fitted, used: bends, terms };
}

function curvedSizes(
  patch: CurvedPatch,
  fitted: FittedModel,
  surplus: ReturnType<typeof surplusAtEdges>,
  outline: Outline,
): Partial<Sizes> {
  const { halfWidth_mm: a, halfHeight_mm: h } = patch;
  const width_mm = outlineBounds(outline).width;
  const sagOf = (x: number, y: number): number =>
    patchAt(patch, 0, 0).z - (patchAt(patch, x, y).z + patchAt(patch, -x, -y).z) / 2;
  const [across_mm, down_mm] = [sagOf(a, 0), sagOf(0, h)];
  const plain = (8 * across_mm * down_mm) / width_mm;
  const corners =
    (patchAt(patch, a, h).z + patchAt(patch, -a, h).z + patchAt(patch, a, -h).z + patchAt(patch, -a, -h).z) /
    4;
  let most_mm = -Infinity;
  for (let i = -8; i <= 8; i += 1)
    for (let j = -8; j <= 8; j += 1)
      most_mm = Math.max(most_mm, patchAt(patch, (a * i) / 8, (h * j) / 8).z - corners);
  const one = (value: number, step: ReturnType<typeof applyFormula>): Reasoned<number> => ({
    value,
    why: [step],
  });
  const surplusOf = (value: number): Reasoned<number> => {
    const step = applyFormula(
      CURVED_FORMULAS.surplus,
      { across_mm, down_mm, width_mm, share: Math.abs(plain) < 1e-9 ? 0 : value / plain },
      { remark: 'laid along the level line across the middle' },
    );
    return one(step.value, step);
  };
  const greatest = applyFormula(CURVED_FORMULAS.greatest, { most_mm });
  const residual = applyFormula(CURVED_FORMULAS.residual, {
    sum: fitted.residuals.reduce((sum, value) => sum + value * value, 0),
    count: fitted.residuals.length,
  });
  return {
    greatestSag_mm: one(greatest.value, greatest),
    surplusTop_mm: surplusOf(surplus.top_mm),
    surplusBottom_mm: surplusOf(surplus.bottom_mm),
    fitResidual_mm: one(residual.value, residual),
  };
}

/** A rocking gap this large is tried, to see whether twist matters. */
const TRIED_GAP_MM = 10;

/** What the sags cannot show, and whether it matters here. */
function stillUnknown(
  bends: readonly Reading[],
  patch: CurvedPatch,
  surplus: { readonly top_mm: number; readonly bottom_mm: number },
): { readonly remarks: readonly MeasureRemark[]; readonly ask: MeasureSlot | undefined } {
  const worst = Math.max(Math.abs(surplus.top_mm), Math.abs(surplus.bottom_mm));
  const remarks: MeasureRemark[] = [];
  const ask: MeasureSlot[] = [];
  const find = (key: string): void => {
    const slot = SLOTS.find((candidate) => candidate.key === key);
    if (slot !== undefined) ask.push(slot);
  };
  if (worst > 3 && !bends.some((reading) => reading.kind === 'quarter sag' && isAcross(reading))) {
    remarks.push({ case: 'curve near the ends unknown' });
    find('quarter-left');
  }
  if (worst > 1.5 && !bends.some(({ kind }) => kind === 'rocking gap')) {
    const twisted = surplusAtEdges({
      ...patch,
      twist: TRIED_GAP_MM / (4 * patch.halfWidth_mm * patch.halfHeight_mm),
    });
    const changes = Math.abs(twisted.top_mm - surplus.top_mm) > 0.05 * worst;
    remarks.push({ case: 'twist unknown', matters: changes, gap_mm: TRIED_GAP_MM });
    if (changes) find('rocking-tr');
  }
  return { remarks, ask: ask[0] };
}
