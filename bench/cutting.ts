import ShelfPack from '@mapbox/shelf-pack';
import { ANY_STAGES, type LayoutRequest, checkCuttable, checkLayout, layOutByHandSteps, layOutFreeSteps, lengthBound, planOrderSteps, runThrough } from '@yellow-pane/core/cutting';
import pack from 'bin-pack-with-constraints';
import { pack2D } from 'binpackingjs/2d';
import { packer } from 'guillotine-packer';
import { MaxRectsPacker } from 'maxrects-packer/dist/maxrects-packer.mjs';
import { type Case, ROLL_MM, job, mixed, panes, pinwheels, turning, zeroWaste } from './cutting-cases';
import { median, ms, quantile } from './figures';
import type { Row } from './run';

const SEEDS = [101, 102, 103, 104, 105, 106, 107, 108, 109, 110] as const;
/** When a search is looked at, milliseconds. */
const MARKS = [200, 1000, 5000] as const;

type Way = 'by hand' | 'by plotter';
const forPlotter: Way = 'by plotter';

/** Wanted mean gaps in percent, at each of the marks; null: shown only. */
type Goals = readonly [number | null, number | null, number | null];

const CLASSES: readonly { readonly name: string; readonly way?: Way; readonly goals: Goals; readonly make: (seed: number) => Case; readonly isPeered?: boolean }[] = [
  { name: 'by hand, zero waste in 3 stages, 20 pieces', goals: [0, 0, 0], make: (seed) => zeroWaste(seed, 20), isPeered: true },
  { name: 'by hand, zero waste in 3 stages, 50 pieces', goals: [0.3, 0.05, 0], make: (seed) => zeroWaste(seed, 50), isPeered: true },
  { name: 'by hand, zero waste in 3 stages, 100 pieces', goals: [0.8, 0.25, 0.05], make: (seed) => zeroWaste(seed, 100) },
  { name: 'by hand, zero waste in 3 stages, 200 pieces', goals: [0.8, 0.25, 0.05], make: (seed) => zeroWaste(seed, 200), isPeered: true },
  { name: 'by hand, zero waste in 3 stages, 500 pieces', goals: [1.2, 0.3, 0.08], make: (seed) => zeroWaste(seed, 500) },
  { name: 'by hand, job of 120 in 14 sizes, over the bound', goals: [null, null, null], make: (seed) => job(seed, 120, 14) },
  { name: 'by hand, job of 300 in 30 sizes, over the bound', goals: [2, 1, 0.6], make: (seed) => job(seed, 300, 30), isPeered: true },
  { name: 'by hand, job of 600 in 45 sizes, over the bound', goals: [2, 1, 0.5], make: (seed) => job(seed, 600, 45) },
  { name: 'by hand, panes, 300 in 30 sizes, over the bound', goals: [2, 1, 0.6], make: (seed) => panes(seed, 300, 30), isPeered: true },
  { name: 'by hand, job of 120 in 14 sizes, turning, over the bound', goals: [1.5, 0.6, 0.2], make: (seed) => turning(job(seed, 120, 14)) },
  { name: 'free, zero waste with pinwheels, 50 pieces', way: forPlotter, goals: [0.05, 0, 0], make: (seed) => pinwheels(seed, 50), isPeered: true },
  { name: 'free, zero waste with pinwheels, 100 pieces', way: forPlotter, goals: [0.25, 0.08, 0.01], make: (seed) => pinwheels(seed, 100) },
  { name: 'free, zero waste with pinwheels, 200 pieces', way: forPlotter, goals: [0.5, 0.1, 0.03], make: (seed) => pinwheels(seed, 200) },
  { name: 'free, job of 120 in 14 sizes, over the bound', way: forPlotter, goals: [0.1, 0.05, 0.03], make: (seed) => job(seed, 120, 14) },
  { name: 'free, job of 300 in 30 sizes, over the bound', way: forPlotter, goals: [0.1, 0.05, 0.03], make: (seed) => job(seed, 300, 30) },
  { name: 'free, panes, 300 in 30 sizes, over the bound', way: forPlotter, goals: [1.5, 0.4, 0.2], make: (seed) => panes(seed, 300, 30) },
  { name: 'free, job of 120 in 14 sizes, turning, over the bound', way: forPlotter, goals: [0.6, 0.2, 0.05], make: (seed) => turning(job(seed, 120, 14)) },
];

/** Layouts against what is known of them, and against general packing packages in the same run. Each search runs once and is looked at on its way. */
function gapsOf(wantedWay: Way): readonly Row[] {
  return CLASSES.filter(({ way = 'by hand' }) => way === wantedWay).flatMap(({ name, way = 'by hand', goals, make, isPeered = false }) => {
    const cases = SEEDS.map(make);
    const found = cases.map((one) => lengthsAt(one.request, way).map((length_mm) => gapOf(one, length_mm)));
    const own = MARKS.map((mark, at): Row => goalRow(`cut ${name}, after ${mark} ms: mean (worst) gap`, found.map((gapsOfOne) => gapsOfOne[at] ?? Number.NaN), goals[at] ?? null));
    const peers = !isPeered ? [] : Object.entries(PEERS).map(([peer, length]): Row => {
      const peerGaps = cases.flatMap((one) => { const own_mm = length(one.request); return own_mm === undefined ? [] : [gapOf(one, own_mm)]; });
      return { what: `the same, ${peer}`, wanted: 'beside it', got: peerGaps.length === 0 ? 'none found' : spread(peerGaps), isMet: true };
    });
    return [...own, ...peers];
  });
}

export const cuttingByHand = (): readonly Row[] => [...gapsOf('by hand'), ...fewPanes(), ...firstPlans(), growth('by hand', 1.3), bounds(), memory()];
export const cuttingFreely = (): readonly Row[] => [...gapsOf(forPlotter), growth(forPlotter, 1)];

/** Met when the mean is, and the worst at most three times the wanted mean and 0.2. */
function goalRow(what: string, gaps: readonly number[], goal: number | null): Row {
  const isMet = goal === null || (mean(gaps) <= goal + 1e-9 && quantile(gaps, 1) <= 3 * goal + 0.2 + 1e-9);
  return { what, wanted: goal === null ? 'shown' : `${goal} %`, got: spread(gaps), isMet };
}

/** Four widths to order and six offcuts, each at its cost, against the bound of the linear programme. */
export function cuttingFromStock(): readonly Row[] {
  return ([[40, 6, [null, 5, 3]], [120, 14, [null, 2.5, 1.2]]] as const).flatMap(([count, sizes, goals]) => {
    const found = SEEDS.map((seed) => lookedAt(planOrderSteps(mixed(seed, count, sizes), { seed: 1, mostRounds: MANY }), ({ film, filmBound }) => (100 * (film.value - filmBound.value)) / filmBound.value));
    return MARKS.map((mark, at): Row => goalRow(`mixed widths and offcuts, ${count} pieces, after ${mark} ms: mean (worst) over the cost bound`, found.map((own) => own[at] ?? Number.NaN), goals[at] ?? null));
  });
}

/** A layout at once, whatever the number of pieces. */
function firstPlans(): readonly Row[] {
  return ([[100, 5], [600, 30], [2000, 150]] as const).map(([count, most]): Row => {
    const { request } = job(3, count, Math.min(80, count / 5));
    const times = Array.from({ length: 5 }, () => timed(() => layOutByHandSteps(request, { stages: 3, seed: 1, mostRounds: 0 }).next()));
    return { what: `first plan of ${count} pieces, median`, wanted: `${most} ms`, got: ms(median(times)), isMet: median(times) <= most };
  });
}

const LONGEST = 10_000;

/** How the time to within 1 % of the bound grows; few pieces lie above their bound by more, so that the power is taken from 200 pieces on. */
function growth(way: Way, most: number): Row {
  const counts = [10, 50, 200, 1000, 5000];
  const times = counts.map((count) => median([5, 6, 7].map((seed) => {
    const { request, reference_mm } = job(seed, count, Math.min(45, Math.max(3, count / 10)));
    const start = performance.now();
    const limits = { stages: 3 as const, seed: 1, mostRounds: MANY };
    for (const steps = way === 'by hand' ? layOutByHandSteps(request, limits) : layOutFreeSteps(request, limits); ; ) {
      const { value } = steps.next();
      if (value.stopped === 'optimal' || value.length_mm.value <= 1.01 * reference_mm || performance.now() - start > LONGEST) break;
    }
    return performance.now() - start;
  })));
  const exponent = Math.log((times[4] ?? 1) / (times[2] ?? 1)) / Math.log(5000 / 200);
  return { what: `${way === 'by hand' ? '' : 'cut free, '}time to within 1 % of the bound at ${counts.join(', ')} windows, median of three; power of n from 200 to 5,000`, wanted: `at most n^${most}`, got: `${times.map((time) => (time > LONGEST ? 'over 10 s' : ms(time))).join(', ')}; n^${exponent.toFixed(2)}`, isMet: exponent <= most };
}

/** Fourteen panes of which no two are alike: the most pieces that are proven. */
function fewPanes(): readonly Row[] {
  return ([[3, 'three stages'], [ANY_STAGES, 'as many stages as it takes']] as const).map(([stages, word]): Row => {
    const times = SEEDS.map((seed) => {
      const { request } = panes(seed, 42, 14);
      const pieces = request.pieces.filter(({ across_mm, along_mm }, at) => request.pieces.findIndex((other) => other.across_mm === across_mm && other.along_mm === along_mm) === at);
      return timed(() => { if (runFor(layOutByHandSteps({ ...request, pieces }, { stages, seed: 1, mostRounds: MANY }), 60_000).stopped !== 'optimal') throw new Error('not proven'); });
    });
    return { what: `14 different panes, proven for ${word}: median (worst)`, wanted: '1000 ms', got: `${ms(median(times))} (${ms(quantile(times, 1))})`, isMet: median(times) <= 1000 };
  });
}

function bounds(): Row {
  const { request } = job(9, 600, 45);
  const times = Array.from({ length: 5 }, () => timed(() => lengthBound(request)));
  return { what: 'bound of 45 sizes, median', wanted: '50 ms', got: ms(median(times)), isMet: median(times) <= 50 };
}

function memory(): Row {
  const { request } = job(9, 600, 45);
  const before = process.memoryUsage().heapUsed;
  runFor(layOutByHandSteps(request, { stages: 3, seed: 1, mostRounds: MANY }), 2000);
  const used = (process.memoryUsage().heapUsed - before) / 2 ** 20;
  return { what: 'heap after 2 s of search, 600 pieces, garbage not yet collected', wanted: '150 MB', got: `${used.toFixed(0)} MB`, isMet: used <= 150 };
}

const MANY = Number.MAX_SAFE_INTEGER;
const timed = (run: () => unknown): number => { const start = performance.now(); run(); return performance.now() - start; };
function runFor<Plan>(steps: Generator<Plan, Plan>, milliseconds: number): Plan {
  const start = performance.now();
  return runThrough(steps, () => performance.now() - start > milliseconds, () => undefined);
}

const gapOf = ({ reference_mm }: Case, length_mm: number): number => (100 * (length_mm - reference_mm)) / reference_mm;
const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;
const spread = (gaps: readonly number[]): string => `${mean(gaps).toFixed(2)} (${quantile(gaps, 1).toFixed(2)}) %`;

/** What a search has found at each of the marks; what it ends with from then on. */
function lookedAt<Plan, Figure>(steps: Generator<Plan, Plan>, figureOf: (plan: Plan) => Figure): readonly Figure[] {
  const start = performance.now();
  const figures: Figure[] = [];
  for (;;) {
    const { value, done } = steps.next();
    while (figures.length < MARKS.length && (done === true || performance.now() - start >= (MARKS[figures.length] ?? 0))) figures.push(figureOf(value));
    if (figures.length === MARKS.length) return figures;
  }
}

function lengthsAt(request: LayoutRequest, way: Way): readonly number[] {
  const limits = { stages: 3 as const, seed: 1, mostRounds: MANY };
  return lookedAt(way === 'by hand' ? layOutByHandSteps(request, limits) : layOutFreeSteps(request, limits), ({ placed, length_mm }) => {
    if (checkLayout(request, placed).length > 0 || (way === 'by hand' && checkCuttable(placed, 3).length > 0)) throw new Error('an invalid layout was measured');
    return length_mm.value;
  });
}

type Boxes = readonly { readonly width: number; readonly height: number }[];
const boxesOf = ({ pieces }: LayoutRequest): Boxes => pieces.map(({ across_mm, along_mm }) => ({ width: across_mm, height: along_mm }));

/** Packages that fill one bin: its height is halved down from what surely suffices, which flatters them. */
function shortest(boxes: Boxes, fits: (height: number) => boolean): number | undefined {
  let low = boxes.reduce((sum, { width, height }) => sum + width * height, 0) / ROLL_MM;
  let high = low * 2.5;
  if (!fits(high)) return undefined;
  for (let step = 0; step < 9; step += 1) { const middle = (low + high) / 2; if (fits(middle)) high = middle; else low = middle; }
  return high;
}

const PEERS: Readonly<Record<string, (request: LayoutRequest) => number | undefined>> = {
  'maxrects-packer (free)': (request) => {
    const boxes = boxesOf(request);
    return shortest(boxes, (height) => { const filler = new MaxRectsPacker(ROLL_MM, height, 0, { smart: false, pot: false, square: false, allowRotation: false }); filler.addArray(boxes.map((box) => ({ ...box }))); return filler.bins.length === 1; });
  },
  'binpackingjs (free)': (request) => {
    const boxes = boxesOf(request);
    return boxes.length > 60 ? undefined : shortest(boxes, (height) => pack2D({ bins: [{ width: ROLL_MM, height }], boxes: boxes.map((box) => ({ ...box, constrainRotation: true })) }).unpackedBoxes.length === 0);
  },
  '@mapbox/shelf-pack (2 stages)': (request) => {
    const placed = new ShelfPack(ROLL_MM, 1e7).pack(boxesOf(request).map(({ width, height }) => ({ w: width, h: height })).sort((a, b) => b.h - a.h));
    return placed.length < request.pieces.length ? undefined : Math.max(...placed.map(({ y, h }) => y + h));
  },
  'guillotine-packer (up to 60 pieces)': (request) => {
    const boxes = boxesOf(request);
    return boxes.length > 60 ? undefined : shortest(boxes, (height) => packer({ binWidth: ROLL_MM, binHeight: height, items: boxes.map((box, index) => ({ name: String(index), ...box })) }, { kerfSize: 0, allowRotation: false })?.length === 1);
  },
  'bin-pack-with-constraints': (request) => pack(boxesOf(request).map((box) => ({ ...box })), { maxWidth: ROLL_MM }).height,
};
