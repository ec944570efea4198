import { type CutOrder } from '@yellow-pane/core/cutting';
import { type LayoutPiece, type LayoutRequest, lengthBound } from '@yellow-pane/core/packing';
import { seededRandom } from '@yellow-pane/core/quantity';

/**
 * Seeded jobs of the classes that cutting is judged by. Sizes, lengths of bands and columns in a band are
 * spread as in the sample jobs.
 */

export const ROLL_MM = 1524;

/** A job and what its length is measured against: the optimum by construction, or a proven bound. */
export interface Case {
  readonly request: LayoutRequest;
  readonly reference_mm: number;
}

type Random = () => number;
const between = (random: Random, least: number, most: number): number =>
  least + Math.floor(random() * (most - least + 1));
const pieceOf = (index: number, across_mm: number, along_mm: number): LayoutPiece => ({
  id: String(index),
  across_mm,
  along_mm,
  mayTurn90: false,
});

/** A length cut into so many parts on a grid, the largest at most four times the smallest. */
function parts(random: Random, total: number, count: number, grid: number): readonly number[] {
  const weights = Array.from({ length: count }, () => 0.35 + random());
  const sum = weights.reduce((all, weight) => all + weight, 0);
  let [reached, before] = [0, 0];
  return weights.map((weight) => {
    reached += weight / sum;
    const until = Math.round((reached * total) / grid) * grid;
    const part = until - before;
    before = until;
    return part;
  });
}

/**
 * A roll cut without waste in three stages: bands of 1.3 to 3.05 m, two to four columns, one to six pieces
 * each. Odd seeds share widths of 127 mm steps. Of the pieces at the roll's sides so large a share wants its
 * factory edge.
 */
export function zeroWaste(seed: number, count: number, wishing = 0): Case {
  const random = seededRandom(seed);
  const wish = seededRandom(seed + 1);
  const pieces: LayoutPiece[] = [];
  let reference_mm = 0;
  while (pieces.length < count) {
    const along = between(random, 1300, 3050);
    reference_mm += along;
    const columns = between(random, 2, 4);
    const widths = parts(random, ROLL_MM, columns, seed % 2 === 1 ? 127 : 1);
    widths.forEach((across, column) => {
      const left = count - pieces.length - (columns - 1 - column);
      const isOuter = column === 0 || column === columns - 1;
      for (const own of parts(
        random,
        along,
        Math.max(1, Math.min(left, between(random, Math.ceil(along / 1100), Math.floor(along / 420)))),
        1,
      ))
        pieces.push({
          ...pieceOf(pieces.length, across, own),
          ...(isOuter && wish() < wishing ? { wantsEdge: true } : {}),
        });
    });
  }
  return { request: { rollWidth_mm: ROLL_MM, pieces }, reference_mm };
}

/**
 * A window schedule: so many panes of so few sizes, each at least three times. Two sizes in three are usual
 * openings with what a blank is larger or smaller.
 */
export function windows(seed: number, count: number, sizes: number, widest: number, longest: number): Case {
  const random = seededRandom(seed);
  const extra = [0, 10, 20, -6, -14];
  const side = (least: number, most: number): number =>
    random() < 0.65
      ? between(random, Math.ceil(least / 50), Math.floor(most / 50)) * 50 +
        (extra[between(random, 0, 4)] ?? 0)
      : between(random, least, most);
  const of = Array.from({ length: sizes }, () => [side(300, widest - 20), side(340, longest - 20)] as const);
  const weights = of.map(() => 0.1 + random());
  const spare = count - 3 * sizes;
  const all = weights.reduce((sum, weight) => sum + weight, 0);
  const quantities = weights.map((weight) => 3 + Math.floor((spare * weight) / all));
  for (let index = 0; quantities.reduce((sum, own) => sum + own, 0) < count; index += 1)
    quantities[index % sizes] = (quantities[index % sizes] ?? 0) + 1;
  const pieces = of
    .flatMap(([across_mm, along_mm], size) =>
      Array.from({ length: quantities[size] ?? 0 }, () => [across_mm, along_mm] as const),
    )
    .map(([across_mm, along_mm], index) => pieceOf(index, across_mm, along_mm));
  const request = { rollWidth_mm: ROLL_MM, pieces };
  return { request, reference_mm: lengthBound(request).bound_mm.value };
}

export const job = (seed: number, count: number, sizes: number): Case =>
  windows(seed, count, sizes, 1480, 2470);
export const panes = (seed: number, count: number, sizes: number): Case =>
  windows(seed, count, sizes, 970, 970);

export function turning({ request }: Case): Case {
  const own = { ...request, pieces: request.pieces.map((piece) => ({ ...piece, mayTurn90: true })) };
  return { request: own, reference_mm: lengthBound(own).bound_mm.value };
}

/**
 * A roll cut without waste into pinwheels of five, some of their pieces cut once more: no straight cut opens
 * one.
 */
export function pinwheels(seed: number, count: number): Case {
  const random = seededRandom(seed);
  const boxes: (readonly [number, number])[] = [];
  let reference_mm = 0;
  const wheels = Math.max(1, Math.round(count / 5.5));
  for (let wheel = 0; wheel < wheels; wheel += 1) {
    const along = between(random, 1000, 2400);
    reference_mm += along;
    const [x, y] = parts(random, ROLL_MM, 3, 1).reduce<number[]>(
      (row, part) => [...row, (row.at(-1) ?? 0) + part],
      [],
    );
    const [u, v] = parts(random, along, 3, 1).reduce<number[]>(
      (row, part) => [...row, (row.at(-1) ?? 0) + part],
      [],
    );
    if (x === undefined || y === undefined || u === undefined || v === undefined) continue;
    boxes.push([y, u], [ROLL_MM - y, v], [ROLL_MM - x, along - v], [x, along - u], [y - x, v - u]);
  }
  while (boxes.length < count) {
    const largest = boxes.reduce(
      (best, [w, h], index) => (w * h > (boxes[best]?.[0] ?? 0) * (boxes[best]?.[1] ?? 0) ? index : best),
      0,
    );
    const [w, h] = boxes[largest] ?? [0, 0];
    const cut = between(random, Math.round(Math.max(w, h) * 0.35), Math.round(Math.max(w, h) * 0.65));
    boxes.splice(
      largest,
      1,
      ...(w > h
        ? ([
            [cut, h],
            [w - cut, h],
          ] as const)
        : ([
            [w, cut],
            [w, h - cut],
          ] as const)),
    );
  }
  return {
    request: { rollWidth_mm: ROLL_MM, pieces: boxes.map(([w, h], index) => pieceOf(index, w, h)) },
    reference_mm,
  };
}

/** Four widths to order by the metre and six offcuts, each at 35 % of its price once it is used. */
export function mixed(seed: number, count: number, sizes: number): CutOrder {
  const random = seededRandom(seed + 7);
  const pieces = job(seed, count, sizes).request.pieces.map((piece) => ({ ...piece, group: '' }));
  const bought = [914, 1219, 1524, 1829].map((width_mm) => ({
    id: String(width_mm),
    what: 'to order' as const,
    width_mm,
    length_mm: 1_000_000,
    perMetre: (width_mm / ROLL_MM) * 1000 * (0.98 + 0.06 * random()),
    whole: 0,
    lot: '',
    edges: 'both' as const,
  }));
  const offcuts = Array.from({ length: 6 }, (_, index) => {
    const [width_mm, length_mm] = [
      [700, 914, 1219, 1524][between(random, 0, 3)] ?? 914,
      between(random, 1500, 4100),
    ];
    return {
      id: `o${index}`,
      what: 'offcut' as const,
      width_mm,
      length_mm,
      perMetre: 0,
      whole: (width_mm / ROLL_MM) * length_mm * 0.35,
      lot: '',
      edges: 'both' as const,
    };
  });
  return {
    stocks: [...bought, ...offcuts],
    pieces,
    pinned: [],
    mode: 'by hand',
    stages: 3,
    gap_mm: 0,
    endWaste_mm: 0,
    mostSheet_mm: Number.POSITIVE_INFINITY,
    objective: 'money',
    rates: {
      perCrossCut: 0,
      perSlit: 0,
      perPiece: 0,
      keepWidth_mm: 200,
      keepLength_mm: 500,
      keepShare: 0,
      perSplitGroup: 0,
    },
  };
}
