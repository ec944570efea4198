import { intAt, valueAt } from '../../quantity';
import { type Face, type Side, boundsOf, sidesOf, wayToSide } from '../face';
import { type Stroke, lengthOf, sweptBy, wayBetween } from '../stroke';
import type { EscapeNet } from './traps';

/**
 * When each cell of a face is pressed for the first time: the number of its stroke, and how far that has
 * gone.
 */
export interface PressGrid {
  readonly cell_mm: number;
  readonly columns: number;
  readonly rows: number;
  readonly left: number;
  readonly bottom: number;
  readonly isFace: Uint8Array;
  /** Infinity: never. */
  readonly times: Float64Array;
  /** At an edge that lets air and water out. */
  readonly isOpen: Uint8Array;
}

/** The end of a stroke is not yet the next one. */
const BEFORE_ITS_END = 1 - 1e-9;

/** A blade is at least so many cells wide (model 1.5). */
const CELLS_A_BLADE = 5;
/** Cells of a usual grid, mm. */
const CELL_MM = 20;

export const cellFor = (blade_mm: number): number => Math.min(CELL_MM, blade_mm / CELLS_A_BLADE);

export function pressGrid(face: Face, strokes: readonly Stroke[], cell_mm: number): PressGrid {
  const { left, right, bottom, top } = boundsOf(face);
  const columns = Math.max(1, Math.ceil((right - left) / cell_mm - 1e-9));
  const rows = Math.max(1, Math.ceil((top - bottom) / cell_mm - 1e-9));
  const blank = { cell_mm, columns, rows, left, bottom };
  const isFace = cellsOn(blank, sidesOf(face));
  const times = new Float64Array(columns * rows).fill(Infinity);
  strokes.forEach((stroke, index) => {
    press(blank, times, stroke, index);
  });
  return { ...blank, isFace, times, isOpen: openCells(blank, isFace, face) };
}

type Cells = Pick<PressGrid, 'cell_mm' | 'columns' | 'rows' | 'left' | 'bottom'>;

export const centreOf = (
  { cell_mm, columns, left, bottom }: Cells,
  cell: number,
): { x: number; y: number } => ({
  x: left + ((cell % columns) + 0.5) * cell_mm,
  y: bottom + (Math.floor(cell / columns) + 0.5) * cell_mm,
});

/** Cells whose middle lies on film, row by row. */
function cellsOn({ cell_mm, columns, rows, left, bottom }: Cells, sides: readonly Side[]): Uint8Array {
  const isFace = new Uint8Array(columns * rows);
  for (let row = 0; row < rows; row += 1) {
    const y = bottom + (row + 0.5) * cell_mm;
    const crossed = sides
      .flatMap(({ from, to }) =>
        from.y > y === to.y > y ? [] : [from.x + ((y - from.y) * (to.x - from.x)) / (to.y - from.y)],
      )
      .sort((a, b) => a - b);
    for (let at = 0; at + 1 < crossed.length; at += 2) {
      const first = Math.max(0, Math.ceil((valueAt(crossed, at) - left) / cell_mm - 0.5));
      const last = Math.min(columns - 1, Math.ceil((valueAt(crossed, at + 1) - left) / cell_mm - 0.5) - 1);
      for (let column = first; column <= last; column += 1) isFace[row * columns + column] = 1;
    }
  }
  return isFace;
}

/** Cells under a stroke that nothing pressed before it. */
function press(
  { cell_mm, columns, rows, left, bottom }: Cells,
  times: Float64Array,
  stroke: Stroke,
  number: number,
): void {
  const whole = lengthOf(stroke) || 1;
  const { along } = stroke.blade;
  let gone = 0;
  sweptBy(stroke).forEach((corners, piece) => {
    const [from, to] = [stroke.path[piece], stroke.path[piece + 1]];
    if (from === undefined || to === undefined) return;
    const length = wayBetween(from, to);
    const across = (to.x - from.x) * along.y - (to.y - from.y) * along.x;
    const ys = corners.map(({ y }) => y);
    const firstRow = Math.max(0, Math.ceil((Math.min(...ys) - bottom) / cell_mm - 0.5 - 1e-9));
    const lastRow = Math.min(rows - 1, Math.floor((Math.max(...ys) - bottom) / cell_mm - 0.5 + 1e-9));
    for (let row = firstRow; row <= lastRow && across !== 0; row += 1) {
      const y = bottom + (row + 0.5) * cell_mm;
      const [x0, x1] = reachAt(corners, y);
      const first = Math.max(0, Math.ceil((x0 - left) / cell_mm - 0.5 - 1e-9));
      const last = Math.min(columns - 1, Math.floor((x1 - left) / cell_mm - 0.5 + 1e-9));
      for (let column = first; column <= last; column += 1) {
        const cell = row * columns + column;
        if (times[cell] !== Infinity) continue;
        const x = left + (column + 0.5) * cell_mm;
        const share = ((x - from.x) * along.y - (y - from.y) * along.x) / across;
        times[cell] = number + Math.min(BEFORE_ITS_END, Math.max(0, (gone + share * length) / whole));
      }
    }
    gone += length;
  });
}

/** From where to where four corners reach at a height. */
function reachAt(
  corners: readonly { readonly x: number; readonly y: number }[],
  y: number,
): readonly [number, number] {
  let [least, most] = [Infinity, -Infinity];
  corners.forEach((from, index) => {
    const to = corners[(index + 1) % corners.length] ?? from;
    if (Math.min(from.y, to.y) > y || Math.max(from.y, to.y) < y) return;
    const xs =
      from.y === to.y ? [from.x, to.x] : [from.x + ((y - from.y) * (to.x - from.x)) / (to.y - from.y)];
    least = Math.min(least, ...xs);
    most = Math.max(most, ...xs);
  });
  return [least, most];
}

/** Cells at the rim; where a side is closed, only those that an open side is as near to. */
function openCells(cells: Cells, isFace: Uint8Array, face: Face): Uint8Array {
  const { columns, rows, cell_mm } = cells;
  const isOpen = new Uint8Array(columns * rows);
  const open = sidesOf(face).filter(({ isClosed }) => !isClosed);
  const hasClosed = face.closed?.some((sides) => sides.includes(true)) ?? false;
  const isOff = (row: number, column: number): boolean =>
    row < 0 || column < 0 || row >= rows || column >= columns || isFace[row * columns + column] === 0;
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      const cell = row * columns + column;
      if (isFace[cell] === 0) continue;
      const isRim = AROUND.some(([right, up]) => isOff(row + up, column + right));
      if (isRim && (!hasClosed || open.some((side) => wayToSide(centreOf(cells, cell), side) <= cell_mm)))
        isOpen[cell] = 1;
    }
  return isOpen;
}

const AROUND = [-1, 0, 1]
  .flatMap((right) => [-1, 0, 1].map((up) => [right, up] as const))
  .filter(([a, b]) => a !== 0 || b !== 0);

/** The cells of film as a net, each beside its eight neighbours. */
export function netOf({ columns, rows, isFace, times, isOpen }: PressGrid): {
  readonly net: EscapeNet;
  readonly cellOf: Int32Array;
} {
  const numberOf = new Int32Array(columns * rows).fill(-1);
  const cellOf = new Int32Array(isFace.reduce((sum, own) => sum + own, 0));
  let count = 0;
  isFace.forEach((own, cell) => {
    if (own === 0) return;
    numberOf[cell] = count;
    cellOf[count] = cell;
    count += 1;
  });
  return {
    cellOf,
    net: {
      count,
      times: Float64Array.from(cellOf, (cell) => times[cell] ?? Infinity),
      isOpen: Uint8Array.from(cellOf, (cell) => valueAt(isOpen, cell)),
      mostNeighbours: 8,
      neighbours: (place, into) => {
        const cell = intAt(cellOf, place);
        const column = cell % columns;
        const row = (cell - column) / columns;
        let many = 0;
        for (let up = -1; up <= 1; up += 1) {
          if (row + up < 0 || row + up >= rows) continue;
          for (let right = -1; right <= 1; right += 1) {
            if ((up === 0 && right === 0) || column + right < 0 || column + right >= columns) continue;
            const other = numberOf[cell + up * columns + right] ?? -1;
            if (other >= 0) {
              into[many] = other;
              many += 1;
            }
          }
        }
        return many;
      },
    },
  };
}
