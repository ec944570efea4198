import { floatAt, intAt, valueAt } from '../../quantity';
import { type Face, type Side, type Spot, sidesOf } from '../face';
import { type PressGrid, cellFor, centreOf, netOf, pressGrid } from './press-grid';
import { type Stroke, endOf, lengthOf, sweptBy } from '../stroke';
import { bubblesOf, closedMaxima } from './traps';

/** Film that is shut in, and the stroke that does it. */
export interface Trap {
  readonly at: Spot;
  readonly area_mm2: number;
  /** Index of the stroke that presses its last way out; undefined: it never had one. */
  readonly sealedBy: number | undefined;
}

/** What is wrong with an order of strokes, each with its place. */
export interface Findings {
  readonly traps: readonly Trap[];
  /** Vents the order would need: never less than there are bubbles. */
  readonly vents: number;
  /** Indices of strokes that lead water upwards above loose film. */
  readonly lifted: readonly number[];
  /** Share of the face that is never pressed, on the grid. */
  readonly neverPressed: number;
  /** Index of the first stroke that shuts something in. */
  readonly firstTrap: number | undefined;
}

/** Steeper than this a stroke carries water up: our guess. */
const RISES_DEG = 3;
const RISES = Math.tan((RISES_DEG * Math.PI) / 180);

interface FindingsAsked {
  readonly blade_mm: number;
  /** Laid dry: nothing runs down. */
  readonly isDry?: boolean;
  readonly cell_mm?: number;
}

/** Goes through an order of strokes on a grid no coarser than a fifth of the blade. */
export function findingsOf(face: Face, strokes: readonly Stroke[], asked: FindingsAsked): Findings {
  return findingsOn(gridFor(face, strokes, asked), strokes, asked.isDry ?? false);
}

export const gridFor = (face: Face, strokes: readonly Stroke[], asked: FindingsAsked): PressGrid =>
  pressGrid(face, strokes, asked.cell_mm ?? cellFor(asked.blade_mm));

/** The same on a grid that is there. */
export function findingsOn(grid: PressGrid, strokes: readonly Stroke[], isDry: boolean): Findings {
  const { net, cellOf } = netOf(grid);
  const maxima = closedMaxima(net);
  const traps = maxima.length === 0 ? [] : bubblesOf(net).map((bubble) => trapOf(grid, cellOf, bubble));
  const sealed = traps.flatMap(({ sealedBy }) => sealedBy ?? []);
  const all = Math.max(1, net.count);
  return {
    traps,
    vents: maxima.length,
    lifted: isDry ? [] : strokes.flatMap((stroke, index) => (lifts(grid, stroke, index) ? [index] : [])),
    neverPressed: net.times.reduce((sum, time) => sum + (time === Infinity ? 1 : 0), 0) / all,
    firstTrap: sealed.length === 0 ? undefined : Math.min(...sealed),
  };
}

function trapOf(
  grid: PressGrid,
  cellOf: Int32Array,
  { sealedAt, places }: ReturnType<typeof bubblesOf>[number],
): Trap {
  const centres = places.map((place) => centreOf(grid, intAt(cellOf, place)));
  const mean = {
    x: centres.reduce((sum, { x }) => sum + x, 0) / centres.length,
    y: centres.reduce((sum, { y }) => sum + y, 0) / centres.length,
  };
  const away = (own: Spot): number => Math.hypot(own.x - mean.x, own.y - mean.y);
  return {
    at: centres.reduce((best, own) => (away(own) < away(best) ? own : best)),
    area_mm2: places.length * grid.cell_mm * grid.cell_mm,
    sealedBy: sealedAt === Infinity ? undefined : Math.floor(sealedAt),
  };
}

/** Whether a stroke rises and film under its end is still loose. */
function lifts(grid: PressGrid, stroke: Stroke, index: number): boolean {
  const end = endOf(stroke);
  const before = stroke.path.at(-2) ?? end;
  const rise = end.y - before.y;
  if (rise <= RISES * Math.abs(end.x - before.x)) return false;
  const xs = sweptBy(stroke)
    .at(-1)
    ?.map(({ x }) => x) ?? [end.x];
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const first = Math.max(0, Math.ceil((left - grid.left) / grid.cell_mm - 0.5));
  const last = Math.min(grid.columns - 1, Math.floor((right - grid.left) / grid.cell_mm - 0.5));
  const rows = Math.min(grid.rows, Math.floor((end.y - grid.bottom) / grid.cell_mm));
  for (let row = 0; row < rows; row += 1)
    for (let column = first; column <= last; column += 1) {
      const cell = row * grid.columns + column;
      if (grid.isFace[cell] === 1 && floatAt(grid.times, cell) > index + 1) return true;
    }
  return false;
}

/** Ways water takes under an order of strokes, mm. */
export interface WaterWays {
  /** Along its stroke, on the mean. */
  readonly along_mm: number;
  /** To the nearest open side, on the mean. */
  readonly out_mm: number;
}

/**
 * How far water is led against how far it would have to go; undefined: nothing is pressed, or nothing is
 * open.
 */
export function waterWays(face: Face, grid: PressGrid, strokes: readonly Stroke[]): WaterWays | undefined {
  const open = sidesOf(face).filter(({ isClosed }) => !isClosed);
  const wayOut = nearestOf(open);
  const lengths = strokes.map(lengthOf);
  let [along, out, count] = [0, 0, 0];
  grid.isFace.forEach((own, cell) => {
    const time = grid.times[cell] ?? Infinity;
    if (own === 0 || time === Infinity) return;
    const stroke = Math.min(strokes.length - 1, Math.floor(time));
    const { x, y } = centreOf(grid, cell);
    along += valueAt(lengths, stroke) * (1 - (time - stroke));
    out += wayOut(x, y);
    count += 1;
  });
  return count === 0 || open.length === 0 ? undefined : { along_mm: along / count, out_mm: out / count };
}

/**
 * The way to the nearest of many sides, asked for many places: an arch has a hundred sides, a wall ten
 * thousand cells.
 */
function nearestOf(sides: readonly Side[]): (x: number, y: number) => number {
  const table = new Float64Array(sides.length * 5);
  sides.forEach(({ from, to }, index) => {
    const [dx, dy] = [to.x - from.x, to.y - from.y];
    table.set([from.x, from.y, dx, dy, 1 / (dx * dx + dy * dy || 1)], index * 5);
  });
  return (x, y) => {
    let least = Infinity;
    for (let at = 0; at < table.length; at += 5) {
      const px = x - floatAt(table, at);
      const py = y - floatAt(table, at + 1);
      const dx = floatAt(table, at + 2);
      const dy = floatAt(table, at + 3);
      const share = (px * dx + py * dy) * floatAt(table, at + 4);
      const on = share < 0 ? 0 : share > 1 ? 1 : share;
      const restX = px - on * dx;
      const restY = py - on * dy;
      const way2 = restX * restX + restY * restY;
      if (way2 < least) least = way2;
    }
    return Math.sqrt(least);
  };
}
