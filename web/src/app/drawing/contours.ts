import {
  type CurvedPatch,
  type Outline,
  type Point,
  outlineBounds,
  patchAt,
} from '@yellow-pane/core/measure';
import { contours } from 'd3-contour';

interface Contour {
  readonly height_mm: number;
  readonly path: string;
  readonly label: Point | undefined;
  /** From 0 (lowest) to 1. */
  readonly share: number;
}

const COLUMNS = 48;
const ROWS = 36;
const STEPS_MM = [1, 2, 5, 10, 20, 50, 100];
const MOST_LINES = 9;

/** Lines of equal height over the plane of the corners. @param at millimetres of the surface to the sheet */
export function contoursOf(
  patch: CurvedPatch,
  outline: Outline,
  at: (point: Point) => Point,
): readonly Contour[] {
  const { left, top, width, height } = outlineBounds(outline);
  const { halfWidth_mm: a, halfHeight_mm: h } = patch;
  const base =
    (patchAt(patch, a, h).z + patchAt(patch, -a, h).z + patchAt(patch, a, -h).z + patchAt(patch, -a, -h).z) /
    4;
  const values = Array.from({ length: COLUMNS * ROWS }, (_, index) => {
    const [i, j] = [index % COLUMNS, Math.floor(index / COLUMNS)];
    return patchAt(patch, -a + (2 * a * i) / (COLUMNS - 1), h - (2 * h * j) / (ROWS - 1)).z - base;
  });
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const step = STEPS_MM.find((candidate) => (high - low) / candidate <= MOST_LINES) ?? 100;
  const thresholds: number[] = [];
  for (let level = Math.ceil(low / step) * step; level <= high; level += step) thresholds.push(level);
  const toSheet = ([i = 0, j = 0]: readonly number[]): Point =>
    at({ x: left + ((i - 0.5) / (COLUMNS - 1)) * width, y: top + ((j - 0.5) / (ROWS - 1)) * height });
  return contours()
    .size([COLUMNS, ROWS])
    .thresholds(thresholds)(values)
    .map(({ value, coordinates }) => {
      const rings = coordinates.flat().map((ring) => ring.map(toSheet));
      const longest = [...rings].sort((x, y) => y.length - x.length)[0];
      return {
        height_mm: value,
        path: rings
          .map((ring) => `M${ring.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`)
          .join(''),
        label: longest?.[Math.floor(longest.length * 0.12)],
        share: high - low < 1e-9 ? 0 : (value - low) / (high - low),
      };
    });
}
