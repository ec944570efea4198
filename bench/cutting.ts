import ShelfPack from '@mapbox/shelf-pack';
import { type LayoutPiece, type LayoutRequest, checkCuttable, checkLayout, layOutByHand } from '@yellow-pane/core/cutting';
import { seededRandom } from '@yellow-pane/core/quantity';
import pack from 'bin-pack-with-constraints';
import { pack2D } from 'binpackingjs/2d';
import { packer } from 'guillotine-packer';
import { MaxRectsPacker } from 'maxrects-packer/dist/maxrects-packer.mjs';
import { quantile } from './figures';
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
  return { request, reference_mm: layOutByHand(request, { stages: 3, seed: 1, mostRounds: 0 }).bound_mm.value };
}

const CLASSES: readonly { readonly name: string; readonly goals: readonly (readonly [milliseconds: number, percent: number])[]; readonly make: (seed: number) => Case }[] = [
  { name: 'zero waste in 3 stages, 20 pieces', goals: [[200, 0], [1000, 0]], make: (seed) => zeroWaste(seed, 20) },
  { name: 'zero waste in 3 stages, 50 pieces', goals: [[200, 0.3], [1000, 0.05]], make: (seed) => zeroWaste(seed, 50) },
  { name: 'zero waste in 3 stages, 200 pieces', goals: [[200, 0.8], [1000, 0.25]], make: (seed) => zeroWaste(seed, 200) },
  { name: 'windows, 300 of 30 sizes, over the bound', goals: [[200, 2], [1000, 1]], make: (seed) => windows(seed, 300, 30, 1050) },
  { name: 'small panes, 300 of 30 sizes, over the bound', goals: [[200, 2], [1000, 1]], make: (seed) => windows(seed, 300, 30, 950) },
];

/** Layouts cut by hand against what is known of them, and against general packing packages in the same run. */
export function cuttingByHand(): readonly Row[] {
  return CLASSES.flatMap(({ name, goals, make }) => {
    const cases = SEEDS.map(make);
    const own = goals.map(([milliseconds, percent]): Row => {
      const gaps = cases.map((one) => gapOf(one, ourLength(one.request, milliseconds)));
      return { what: `cut by hand, ${name}, after ${milliseconds} ms: mean (worst) gap`, wanted: `${percent} %`, got: spread(gaps), isMet: mean(gaps) <= percent + 1e-9 };
    });
    const peers = Object.entries(PEERS).map(([peer, length]): Row => {
      const gaps = cases.flatMap((one) => { const found = length(one.request); return found === undefined ? [] : [gapOf(one, found)]; });
      return { what: `the same, ${peer}`, wanted: 'beside it', got: gaps.length === 0 ? 'none found' : spread(gaps), isMet: true };
    });
    return [...own, ...peers];
  });
}

const gapOf = ({ reference_mm }: Case, length_mm: number): number => (100 * (length_mm - reference_mm)) / reference_mm;
const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;
const spread = (gaps: readonly number[]): string => `${mean(gaps).toFixed(2)} (${quantile(gaps, 1).toFixed(2)}) %`;

function ourLength(request: LayoutRequest, milliseconds: number): number {
  const start = performance.now();
  const plan = layOutByHand(request, { stages: 3, seed: 1, mostRounds: Number.MAX_SAFE_INTEGER }, () => performance.now() - start > milliseconds);
  if (checkLayout(request, plan.placed).length > 0 || checkCuttable(plan.placed, 3).length > 0) throw new Error('an invalid layout was measured');
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
