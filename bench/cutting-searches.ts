import { planOrderSteps } from '@yellow-pane/core/cutting';
import {
  type LayoutRequest,
  checkCuttable,
  checkLayout,
  layOutGuillotineSteps,
  layOutSkylineSteps,
} from '@yellow-pane/core/packing';
import { type Case, job, mixed, panes, pinwheels, turning, zeroWaste } from './cutting-cases';

/** When a search is looked at, milliseconds. */
export const MARKS = [200, 1000, 5000] as const;

export type Way = 'by hand' | 'by plotter';
const forPlotter: Way = 'by plotter';

/** Wanted mean gaps in percent, at each of the marks; null: shown only. */
export type Goals = readonly [number | null, number | null, number | null];

export interface CuttingClass {
  readonly name: string;
  readonly way?: Way;
  readonly goals: Goals;
  readonly make: (seed: number) => Case;
  readonly isPeered?: boolean;
}

export const CLASSES: readonly CuttingClass[] = [
  {
    name: 'by hand, zero waste in 3 stages, 20 pieces',
    goals: [0, 0, 0],
    make: (seed) => zeroWaste(seed, 20),
    isPeered: true,
  },
  {
    name: 'by hand, zero waste in 3 stages, 50 pieces',
    goals: [0.3, 0.05, 0],
    make: (seed) => zeroWaste(seed, 50),
    isPeered: true,
  },
  {
    name: 'by hand, zero waste in 3 stages, 100 pieces',
    goals: [0.8, 0.25, 0.05],
    make: (seed) => zeroWaste(seed, 100),
  },
  {
    name: 'by hand, zero waste in 3 stages, 200 pieces',
    goals: [0.8, 0.25, 0.05],
    make: (seed) => zeroWaste(seed, 200),
    isPeered: true,
  },
  {
    name: 'by hand, zero waste in 3 stages, 500 pieces',
    goals: [1.2, 0.3, 0.08],
    make: (seed) => zeroWaste(seed, 500),
  },
  {
    name: 'by hand, zero waste in 3 stages, half of the pieces at the sides with a factory edge, 100 pieces',
    goals: [null, 0.25, 0.05],
    make: (seed) => zeroWaste(seed, 100, 0.5),
  },
  {
    name: 'by hand, job of 120 in 14 sizes, over the bound',
    goals: [null, null, null],
    make: (seed) => job(seed, 120, 14),
  },
  {
    name: 'by hand, job of 300 in 30 sizes, over the bound',
    goals: [2, 1, 0.6],
    make: (seed) => job(seed, 300, 30),
    isPeered: true,
  },
  {
    name: 'by hand, job of 600 in 45 sizes, over the bound',
    goals: [2, 1, 0.5],
    make: (seed) => job(seed, 600, 45),
  },
  {
    name: 'by hand, panes, 300 in 30 sizes, over the bound',
    goals: [2, 1, 0.6],
    make: (seed) => panes(seed, 300, 30),
    isPeered: true,
  },
  {
    name: 'by hand, job of 120 in 14 sizes, turning, over the bound',
    goals: [1.5, 0.6, 0.2],
    make: (seed) => turning(job(seed, 120, 14)),
  },
  {
    name: 'free, zero waste with pinwheels, 50 pieces',
    way: forPlotter,
    goals: [0.05, 0, 0],
    make: (seed) => pinwheels(seed, 50),
    isPeered: true,
  },
  {
    name: 'free, zero waste with pinwheels, 100 pieces',
    way: forPlotter,
    goals: [0.25, 0.08, 0.01],
    make: (seed) => pinwheels(seed, 100),
  },
  {
    name: 'free, zero waste with pinwheels, 200 pieces',
    way: forPlotter,
    goals: [0.5, 0.1, 0.03],
    make: (seed) => pinwheels(seed, 200),
  },
  {
    name: 'free, job of 120 in 14 sizes, over the bound',
    way: forPlotter,
    goals: [0.1, 0.05, 0.03],
    make: (seed) => job(seed, 120, 14),
  },
  {
    name: 'free, job of 300 in 30 sizes, over the bound',
    way: forPlotter,
    goals: [0.1, 0.05, 0.03],
    make: (seed) => job(seed, 300, 30),
  },
  {
    name: 'free, panes, 300 in 30 sizes, over the bound',
    way: forPlotter,
    goals: [1.5, 0.4, 0.2],
    make: (seed) => panes(seed, 300, 30),
  },
  {
    name: 'free, job of 120 in 14 sizes, turning, over the bound',
    way: forPlotter,
    goals: [0.6, 0.2, 0.05],
    make: (seed) => turning(job(seed, 120, 14)),
  },
];

/** What a search stood at: the less worth the better, and its gap in percent. */
export interface Stand {
  readonly worth: number;
  readonly gap: number;
}

export const gapOf = ({ reference_mm }: Case, length_mm: number): number =>
  (100 * (length_mm - reference_mm)) / reference_mm;

/** One search of one case, looked at on its way. */
export function standsOfClass(name: string, caseSeed: number, seed: number): readonly Stand[] {
  const found = CLASSES.find((own) => own.name === name);
  if (found === undefined) throw new Error(`no class ${name}`);
  const own = found.make(caseSeed);
  return lengthsAt(own.request, found.way ?? 'by hand', seed).map((length_mm) => ({
    worth: length_mm,
    gap: gapOf(own, length_mm),
  }));
}

/** Four widths to order and six offcuts, each at its cost, against the bound of the linear programme. */
export function standsOfOrder(
  count: number,
  sizes: number,
  caseSeed: number,
  seed: number,
): readonly Stand[] {
  return lookedAt(
    planOrderSteps(mixed(caseSeed, count, sizes), { seed, mostRounds: MANY }),
    ({ film, filmBound, cost }) => ({
      worth: cost.value,
      gap: (100 * (film.value - filmBound.value)) / filmBound.value,
    }),
  );
}

const MANY = Number.MAX_SAFE_INTEGER;

/** What a search has found at each of the marks; what it ends with from then on. */
function lookedAt<Plan, Figure>(
  steps: Generator<Plan, Plan>,
  figureOf: (plan: Plan) => Figure,
): readonly Figure[] {
  const start = performance.now();
  const figures: Figure[] = [];
  for (;;) {
    const { value, done } = steps.next();
    while (
      figures.length < MARKS.length &&
      (done === true || performance.now() - start >= (MARKS[figures.length] ?? 0))
    )
      figures.push(figureOf(value));
    if (figures.length === MARKS.length) return figures;
  }
}

function lengthsAt(request: LayoutRequest, way: Way, seed: number): readonly number[] {
  const limits = { stages: 3 as const, seed, mostRounds: MANY };
  return lookedAt(
    way === 'by hand' ? layOutGuillotineSteps(request, limits) : layOutSkylineSteps(request, limits),
    ({ placed, length_mm }) => {
      if (
        checkLayout(request, placed).length > 0 ||
        (way === 'by hand' && checkCuttable(placed, 3).length > 0)
      )
        throw new Error('an invalid layout was measured');
      return length_mm.value;
    },
  );
}
