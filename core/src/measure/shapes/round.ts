import { type Formula, GEOMETRY, type Reasoned, applyFormula } from '../../quantity';
import { fitModel } from '../network/fit-model';
import { judge } from '../network/judge';
import type { MeasureSlot } from '../measure-slot';
import type { Outline, Point } from '../outline';
import { sdOf } from '../reading';
import { SIZE_FORMULAS, type Sizes, sizeOf } from '../sizes';
import type { SurfaceCheck } from '../surface-check';
import { type ShapeMeasure, type SurfaceInput, firstUntaken } from './shape';

const ROUND_SLOTS: readonly MeasureSlot[] = [
  {
    key: 'across',
    kind: 'distance',
    from: 'ml',
    to: 'mr',
    word: 'diameter across',
    group: 'width',
    lies: 'inside',
    share: 0.25,
  },
  {
    key: 'down',
    kind: 'distance',
    from: 'mt',
    to: 'mb',
    word: 'diameter down',
    group: 'height',
    lies: 'inside',
    share: 0.2,
  },
  {
    key: 'falling',
    kind: 'distance',
    from: 'q1',
    to: 'q3',
    word: 'diameter, upper left to lower right',
    group: 'diagonal',
    lies: 'inside',
    share: 0.8,
  },
  {
    key: 'rising',
    kind: 'distance',
    from: 'q4',
    to: 'q2',
    word: 'diameter, lower left to upper right',
    group: 'diagonal',
    lies: 'inside',
    share: 0.8,
  },
  {
    key: 'around',
    kind: 'circumference',
    from: 'mm',
    to: 'mm',
    word: 'once round the edge',
    group: 'curve',
    lies: 'beside',
    isExtra: true,
  },
];
const OVAL_SLOTS: readonly MeasureSlot[] = [
  {
    key: 'across',
    kind: 'distance',
    from: 'ml',
    to: 'mr',
    word: 'width',
    group: 'width',
    lies: 'inside',
    share: 0.25,
  },
  {
    key: 'down',
    kind: 'distance',
    from: 'mt',
    to: 'mb',
    word: 'height',
    group: 'height',
    lies: 'inside',
    share: 0.2,
  },
  {
    key: 'around',
    kind: 'circumference',
    from: 'mm',
    to: 'mm',
    word: 'once round the edge',
    group: 'curve',
    lies: 'beside',
    how: 'The check: a tape once round the edge.',
  },
];
const SIDES = 72;

interface Axes {
  readonly width_mm: number;
  readonly height_mm: number;
}
const AXES = { width_mm: { word: 'width', unit: 'mm' }, height_mm: { word: 'height', unit: 'mm' } } as const;

export const ROUND_FORMULAS = {
  area: {
    id: 'measure.ovalArea',
    word: 'area',
    says: 'A = π/4 · width · height',
    unit: 'mm²',
    source: GEOMETRY,
    inputs: AXES,
    of: ({ width_mm, height_mm }) => (Math.PI / 4) * width_mm * height_mm,
  } satisfies Formula<Axes>,
  edge: {
    id: 'measure.ovalEdge',
    word: 'edge to work along',
    says: 'P = π·(a+b)·Σ C(½,n)²·hⁿ with h = ((a−b)/(a+b))²',
    unit: 'mm',
    source: {
      kind: 'published',
      text: 'series of Ivory (1798) for the perimeter of an ellipse, from memory',
    },
    inputs: AXES,
    of: ({ width_mm, height_mm }) => ovalEdge(width_mm, height_mm),
  } satisfies Formula<Axes>,
  outOfRound: {
    id: 'measure.outOfRound',
    word: 'out of round',
    says: 'largest minus smallest diameter measured',
    unit: 'mm',
    source: GEOMETRY,
    inputs: {
      most_mm: { word: 'largest diameter', unit: 'mm' },
      least_mm: { word: 'smallest diameter', unit: 'mm' },
    },
    of: ({ most_mm, least_mm }) => most_mm - least_mm,
  } satisfies Formula<{ readonly most_mm: number; readonly least_mm: number }>,
  diameter: {
    id: 'measure.diameter',
    word: 'diameter',
    says: 'd = mean of the diameters, each weighed by its accuracy, and girth/π',
    unit: 'mm',
    source: GEOMETRY,
    inputs: { mean_mm: { word: 'weighted mean', unit: 'mm' } },
    of: ({ mean_mm }) => mean_mm,
  } satisfies Formula<{ readonly mean_mm: number }>,
} as const;

/** Perimeter of an ellipse: terms until they no longer count. */
export function ovalEdge(width_mm: number, height_mm: number): number {
  const [a, b] = [width_mm / 2, height_mm / 2];
  const h = ((a - b) / (a + b)) ** 2;
  let [sum, choose, power] = [1, 1, 1];
  for (let n = 1; n < 200; n += 1) {
    choose *= (1.5 - n) / n;
    power *= h;
    sum += choose ** 2 * power;
  }
  return Math.PI * (a + b) * sum;
}

export const round: ShapeMeasure = {
  slots: () => ROUND_SLOTS,
  check: ({ readings }) => {
    const diameters = readings.filter(({ kind }) => kind === 'distance');
    if (diameters.length === 0 && !readings.some(({ kind }) => kind === 'circumference'))
      return { state: 'unfinished', needs: ['a diameter'] };
    return checkOval(readings, 'round');
  },
};

export const oval: ShapeMeasure = {
  slots: () => OVAL_SLOTS,
  check: ({ readings }) => {
    const isThere = (point: string): boolean =>
      readings.some(({ kind, from, to }) => kind === 'distance' && [from, to].includes(point));
    const needs = [...(isThere('ml') ? [] : ['a width']), ...(isThere('mt') ? [] : ['a height'])];
    return needs.length > 0 ? { state: 'unfinished', needs } : checkOval(readings, 'oval');
  },
};

function checkOval(all: SurfaceInput['readings'], form: 'round' | 'oval'): SurfaceCheck {
  const readings = all.filter(({ kind }) => kind === 'distance' || kind === 'circumference');
  const isUpright = ({ from, to }: SurfaceInput['readings'][number]): boolean => [from, to].includes('mt');
  const first =
    readings[0]?.kind === 'circumference' ? readings[0].value_mm / Math.PI : (readings[0]?.value_mm ?? 1);
  const predict = (unknowns: readonly number[]): readonly number[] => {
    const [width = 0, height = width] = unknowns;
    return readings.map((reading) =>
      reading.kind === 'circumference' ? ovalEdge(width, height) : isUpright(reading) ? height : width,
    );
  };
  const start = form === 'round' ? [first] : [first, readings.find(isUpright)?.value_mm ?? first];
  const fitted = fitModel(
    start,
    start,
    readings.map((reading) => ({ value: reading.value_mm, sd: sdOf(reading) })),
    predict,
  );
  const [width_mm = first, height_mm = width_mm] = fitted.unknowns;
  const agreement = judge(readings, readings.map(sdOf), fitted, () =>
    form === 'round'
      ? { kind: 'distance', from: 'q1', to: 'q3' }
      : { kind: 'circumference', from: 'mm', to: 'mm' },
  );
  const spread_mm = Math.sqrt(Math.max(0, fitted.covariance.get(0, 0))) * (start[0] ?? 1);
  const diameters = readings.filter(({ kind }) => kind === 'distance').map(({ value_mm }) => value_mm);
  return {
    state: 'measured',
    figure: ovalFigure(width_mm, height_mm),
    sizes: ovalSizes(form, { width_mm, height_mm }, spread_mm, diameters),
    agreement,
    helpsNext: firstUntaken(form === 'round' ? ROUND_SLOTS : OVAL_SLOTS, all),
    remarks: [],
  };
}

/** The oval with the points its measures are named by. */
function ovalFigure(width_mm: number, height_mm: number) {
  const at = (angle: number): Point => ({
    x: (width_mm / 2) * (1 + Math.cos(angle)),
    y: (height_mm / 2) * (1 + Math.sin(angle)),
  });
  const outline: Outline = Array.from({ length: SIDES }, (_, index) =>
    at((-3 * Math.PI) / 4 + (2 * Math.PI * index) / SIDES),
  );
  return {
    outline,
    points: {
      mm: { x: width_mm / 2, y: height_mm / 2 },
      mt: at(-Math.PI / 2),
      mr: at(0),
      mb: at(Math.PI / 2),
      ml: at(Math.PI),
      q1: at((-3 * Math.PI) / 4),
      q2: at(-Math.PI / 4),
      q3: at(Math.PI / 4),
      q4: at((3 * Math.PI) / 4),
    },
  };
}

function ovalSizes(
  form: 'round' | 'oval',
  { width_mm, height_mm }: { readonly width_mm: number; readonly height_mm: number },
  spread_mm: number,
  diameters: readonly number[],
): Sizes {
  const says = 'one standard deviation, from the accuracy of the measures';
  const reasoned = (step: ReturnType<typeof applyFormula>): Reasoned<number> => ({
    value: step.value,
    why: [step],
  });
  const areaSpread =
    (Math.PI / 4) *
    (form === 'round' ? 2 * width_mm * spread_mm : Math.hypot(height_mm, width_mm) * spread_mm);
  const box = [
    { x: 0, y: 0 },
    { x: width_mm, y: 0 },
    { x: width_mm, y: height_mm },
    { x: 0, y: height_mm },
  ];
  const spread = { uncertainty: { plusMinus: spread_mm, says } };
  const [most_mm, least_mm] = [Math.max(...diameters), Math.min(...diameters)];
  return {
    ...(form === 'round'
      ? { diameter_mm: reasoned(applyFormula(ROUND_FORMULAS.diameter, { mean_mm: width_mm }, spread)) }
      : {}),
    ...(form === 'round' && diameters.length > 1
      ? { outOfRound_mm: reasoned(applyFormula(ROUND_FORMULAS.outOfRound, { most_mm, least_mm })) }
      : {}),
    area_mm2: reasoned(
      applyFormula(
        ROUND_FORMULAS.area,
        { width_mm, height_mm },
        { uncertainty: { plusMinus: areaSpread, says } },
      ),
    ),
    perimeter_mm: reasoned(applyFormula(ROUND_FORMULAS.edge, { width_mm, height_mm })),
    aroundWidth_mm: sizeOf(SIZE_FORMULAS.aroundWidth, box),
    aroundHeight_mm: sizeOf(SIZE_FORMULAS.aroundHeight, box),
  };
}
