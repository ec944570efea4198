import ShelfPack from '@mapbox/shelf-pack';
import { type CutOrder, type LayoutPiece, type LayoutRequest, checkCuttable, checkLayout, layOutByHandSteps, layOutFreeSteps, lengthBound, planOrderSteps, runThrough } from '@yellow-pane/core/cutting';
import { seededRandom } from '@yellow-pane/core/quantity';
import pack from 'bin-pack-with-constraints';
import { pack2D } from 'binpackingjs/2d';
import { packer } from 'guillotine-packer';
import { MaxRectsPacker } from 'maxrects-packer/dist/maxrects-packer.mjs';
import { median, ms, quantile } from './figures';
import type { Row } from './run';

const ROLL_MM = 1524;
const SEEDS = [101, 102, 103, 104, 105] as const;

/** A job and what its length is measured against: the optimum by construction, or a proven bound. */
interface Case {
  readonly request: LayoutRequest;
  readonly reference_mm: number;
}

/** Cut a roll without waste in three stages until there are about so many pieces. Odd seeds share widths of 127 mm steps. */
function zeroWaste(seed: number, count: number): Case {
  const random = seededRandom(seed);
  const pieces: LayoutPiece[] = [];
  let reference_mm = 0;
  const parts = (total: number, least: number, most: number, step: number): number[] => {
    const found: number[] = [];
    for (let rest = total; rest > 0; ) {
      const part = rest < 2 * least ? rest : Math.min(rest - least, Math.round((least + random() * (most - least)) / step) * step);
      found.push(part);
      rest -= part;
    }
    return found;
  };
  while (pieces.length < count) {
    const along = 900 + Math.floor(random() * 1200);
    reference_mm += along;
    for (const across of parts(ROLL_MM, 254, 762, seed % 2 === 1 ? 127 : 1)) for (const own of parts(along, 230, 1100, 1)) pieces.push({ id: String(pieces.length), across_mm: across, along_mm: own, mayTurn90: false });
  }
  return { request: { rollWidth_mm: ROLL_MM, pieces }, reference_mm };
}

/** A window schedule: so many panes of so few sizes. */
function windows(seed: number, count: number, sizes: number, widest: number): Case {
  const random = seededRandom(seed);
  const of = Array.from({ length: sizes }, () => [300 + Math.floor(random() * (widest - 300)), 350 + Math.floor(random() * (widest > 1000 ? 2100 : 600))] as const);
  const pieces = Array.from({ length: count }, (_, index): LayoutPiece => { const [across_mm, along_mm] = of[Math.floor(random() * sizes)] ?? [500, 500]; return { id: String(index), across_mm, along_mm, mayTurn90: false }; });
  const request = { rollWidth_mm: ROLL_MM, pieces };
  return { request, reference_mm: lengthBound(request).bound_mm.value };
}

type Way = 'by hand' | 'by plotter';
const forPlotter: Way = 'by plotter';

/** A roll cut without waste into pinwheels: no straight cut opens one. */
function pinwheels(seed: number, count: number): Case {
  const random = seededRandom(seed);
  const pieces: LayoutPiece[] = [];
  let reference_mm = 0;
  while (pieces.length < count) {
    const columns = random() < 0.5 ? 1 : 2;
    const along = 700 + Math.floor(random() * 900);
    reference_mm += along;
    const cut = 600 + Math.floor(random() * 300);
    for (const across of columns === 1 ? [ROLL_MM] : [cut, ROLL_MM - cut]) {
      const [a, b] = [0.3 + 0.4 * random(), 0.3 + 0.4 * random()];
      const [w, h] = [Math.floor(across * a), Math.floor(along * b)];
      const [p, q] = [Math.max(40, Math.floor(w * (0.3 + 0.5 * random()))), Math.max(40, Math.floor(h * (0.3 + 0.5 * random())))];
      for (const [own, other] of [[w, q], [across - w, h], [across - p, along - h], [p, along - q], [w - p, h - q]] as const) if (own > 0 && other > 0) pieces.push({ id: String(pieces.length), across_mm: own, along_mm: other, mayTurn90: false });
    }
  }
  return { request: { rollWidth_mm: ROLL_MM, pieces }, reference_mm };
}

const turning = ({ request, reference_mm }: Case, isBound: boolean): Case => { const own = { ...request, pieces: request.pieces.map((piece) => ({ ...piece, mayTurn90: true })) }; return { request: own, reference_mm: isBound ? lengthBound(own).bound_mm.value : reference_mm }; };

const CLASSES: readonly { readonly name: string; readonly way?: Way; readonly goals: readonly (readonly [milliseconds: number, percent: number])[]; readonly make: (seed: number) => Case; readonly isPeered?: boolean }[] = [
  { name: 'by hand, zero waste in 3 stages, 20 pieces', goals: [[200, 0], [1000, 0]], make: (seed) => zeroWaste(seed, 20), isPeered: true },
  { name: 'by hand, zero waste in 3 stages, 50 pieces', goals: [[200, 0.3], [1000, 0.05]], make: (seed) => zeroWaste(seed, 50), isPeered: true },
  { name: 'by hand, zero waste in 3 stages, 200 pieces', goals: [[200, 0.8], [1000, 0.25]], make: (seed) => zeroWaste(seed, 200), isPeered: true },
  { name: 'by hand, zero waste in 3 stages, 500 pieces', goals: [[200, 1.2], [1000, 0.3]], make: (seed) => zeroWaste(seed, 500) },
  { name: 'by hand, windows, 300 of 30 sizes, over the bound', goals: [[200, 2], [1000, 1]], make: (seed) => windows(seed, 300, 30, 1050), isPeered: true },
  { name: 'by hand, windows, 600 of 45 sizes, over the bound', goals: [[200, 2], [1000, 1]], make: (seed) => windows(seed, 600, 45, 1050) },
  { name: 'by hand, small panes, 300 of 30 sizes, over the bound', goals: [[200, 2], [1000, 1]], make: (seed) => windows(seed, 300, 30, 950), isPeered: true },
  { name: 'by hand, windows, 120 of 14 sizes, turning allowed, over the bound', goals: [[200, 1.5], [1000, 0.6]], make: (seed) => turning(windows(seed, 120, 14, 1050), true) },
  { name: 'free, zero waste with pinwheels, 50 pieces', way: forPlotter, goals: [[200, 0.05], [1000, 0]], make: (seed) => pinwheels(seed, 50), isPeered: true },
  { name: 'free, zero waste with pinwheels, 100 pieces', way: forPlotter, goals: [[200, 0.25], [1000, 0.08]], make: (seed) => pinwheels(seed, 100) },
  { name: 'free, zero waste with pinwheels, 200 pieces', way: forPlotter, goals: [[200, 0.5], [1000, 0.1]], make: (seed) => pinwheels(seed, 200) },
  { name: 'free, windows, 300 of 30 sizes, over the bound', way: forPlotter, goals: [[200, 0.1], [1000, 0.05]], make: (seed) => windows(seed, 300, 30, 1050) },
  { name: 'free, small panes, 300 of 30 sizes, over the bound', way: forPlotter, goals: [[200, 1.5], [1000, 0.4]], make: (seed) => windows(seed, 300, 30, 950) },
];

/** Layouts against what is known of them, and against general packing packages in the same run. */
export function cutting(): readonly Row[] {
  const gaps = CLASSES.flatMap(({ name, way = 'by hand', goals, make, isPeered = false }) => {
    const cases = SEEDS.map(make);
    const own = goals.map(([milliseconds, percent]): Row => {
      const found = cases.map((one) => gapOf(one, ourLength(one.request, way, milliseconds)));
      return { what: `cut ${name}, after ${milliseconds} ms: mean (worst) gap`, wanted: `${percent} %`, got: spread(found), isMet: mean(found) <= percent + 1e-9 };
    });
    const peers = !isPeered ? [] : Object.entries(PEERS).map(([peer, length]): Row => {
      const found = cases.flatMap((one) => { const own_mm = length(one.request); return own_mm === undefined ? [] : [gapOf(one, own_mm)]; });
      return { what: `the same, ${peer}`, wanted: 'beside it', got: found.length === 0 ? 'none found' : spread(found), isMet: true };
    });
    return [...own, ...peers];
  });
  return [...gaps, ...mixedFilms(), ...firstPlans(), growth(), bounds(), memory()];
}

/** Four widths to order and six offcuts, each at its cost, against the bound of the linear programme. */
function mixedFilms(): readonly Row[] {
  return ([[40, 5, 3], [120, 2.5, 1.2]] as const).flatMap(([count, atOne, atFive]) => ([[1000, atOne], [5000, atFive]] as const).map(([milliseconds, percent]): Row => {
    const found = SEEDS.slice(0, 3).map((seed) => { const plan = runFor(planOrderSteps(mixedOrder(seed, count), { seed: 1, mostRounds: MANY }), milliseconds); return (100 * (plan.film.value - plan.filmBound.value)) / plan.filmBound.value; });
    return { what: `mixed widths and offcuts, ${count} pieces, after ${milliseconds} ms: mean (worst) over the cost bound`, wanted: `${percent} %`, got: spread(found), isMet: mean(found) <= percent };
  }));
}

function mixedOrder(seed: number, count: number): CutOrder {
  const random = seededRandom(seed + 7);
  const pieces = windows(seed, count, count > 60 ? 14 : 6, 1400).request.pieces.map((piece) => ({ ...piece, group: '' }));
  const bought = [914, 1219, 1524, 1829].map((width_mm) => ({ id: String(width_mm), what: 'to order' as const, width_mm, length_mm: 1_000_000, perMetre: (width_mm / 1524) * 1000 * (0.98 + 0.06 * random()), whole: 0, lot: '', edges: 'both' as const }));
  const offcuts = Array.from({ length: 6 }, (_, index) => { const [width_mm, length_mm] = [[700, 914, 1219, 1524][Math.floor(random() * 4)] ?? 914, 1500 + Math.floor(random() * 2500)]; return { id: `o${index}`, what: 'offcut' as const, width_mm, length_mm, perMetre: 0, whole: (width_mm / 1524) * length_mm * 0.35, lot: '', edges: 'both' as const }; });
  return { stocks: [...bought, ...offcuts], pieces, pinned: [], mode: 'by hand', stages: 3, gap_mm: 0, endWaste_mm: 0, mostSheet_mm: Number.POSITIVE_INFINITY, objective: 'money', rates: { perCrossCut: 0, perSlit: 0, perPiece: 0, keepWidth_mm: 200, keepLength_mm: 500, keepShare: 0, perSplitGroup: 0 } };
}

/** A layout at once, whatever the number of pieces. */
function firstPlans(): readonly Row[] {
  return ([[100, 5], [600, 30], [2000, 150]] as const).map(([count, most]): Row => {
    const { request } = windows(3, count, Math.min(80, count / 5), 1050);
    const times = Array.from({ length: 5 }, () => timed(() => layOutByHandSteps(request, { stages: 3, seed: 1, mostRounds: 0 }).next()));
    return { what: `first plan of ${count} pieces, median`, wanted: `${most} ms`, got: ms(median(times)), isMet: median(times) <= most };
  });
}

/** How the time to the first plan and to within 1 % grows from 10 to 5,000 pieces. */
function growth(): Row {
  const counts = [10, 50, 200, 1000, 5000];
  const times = counts.map((count) => {
    const { request } = windows(5, count, Math.min(30, Math.max(3, count / 10)), 1050);
    const bound = lengthBound(request).bound_mm.value;
    const start = performance.now();
    for (const steps = layOutByHandSteps(request, { stages: 3, seed: 1, mostRounds: MANY }); ; ) {
      const { value } = steps.next();
      if (value.stopped === 'optimal' || value.length_mm.value <= 1.01 * bound || performance.now() - start > 5000) break;
    }
    return performance.now() - start;
  });
  const exponent = Math.log((times[3] ?? 1) / (times[1] ?? 1)) / Math.log(1000 / 50);
  return { what: `time to within 1 % of the bound at ${counts.join(', ')} windows; power of n from 50 to 1,000`, wanted: 'at most n^1.3', got: `${times.map((time) => (time > 5000 ? 'over 5 s' : ms(time))).join(', ')}; n^${exponent.toFixed(2)}`, isMet: exponent <= 1.3 };
}

function bounds(): Row {
  const { request } = windows(9, 600, 45, 1050);
  const times = Array.from({ length: 5 }, () => timed(() => lengthBound(request)));
  return { what: 'bound of 45 sizes, median', wanted: '50 ms', got: ms(median(times)), isMet: median(times) <= 50 };
}

function memory(): Row {
  const { request } = windows(9, 600, 45, 1050);
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

function ourLength(request: LayoutRequest, way: Way, milliseconds: number): number {
  const limits = { stages: 3 as const, seed: 1, mostRounds: MANY };
  const plan = runFor(way === 'by hand' ? layOutByHandSteps(request, limits) : layOutFreeSteps(request, limits), milliseconds);
  if (checkLayout(request, plan.placed).length > 0 || (way === 'by hand' && checkCuttable(plan.placed, 3).length > 0)) throw new Error('an invalid layout was measured');
  return plan.length_mm.value;
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
