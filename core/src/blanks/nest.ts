import type { Point } from './on-the-table';

export type Polygon = readonly Point[];

/**
 * Two equal pieces laid closer than their rectangles allow: the second shifted, and turned by half a turn or
 * not.
 */
export interface Nested {
  readonly width: number;
  readonly height: number;
  readonly second: { readonly dx: number; readonly dy: number; readonly flipped: boolean };
  /** Share of the two rectangles' area that is saved. */
  readonly saves: number;
}

const WORTH_SHARE = 0.01;

/**
 * The tightest pair of an outline with itself, slid along or across, as it is or turned by half a turn.
 * @param outline corners within its rectangle, any simple polygon whose sides can be told from left to right
 * (trapezoids, triangles, ring sectors)
 * @param most room across the roll
 * @returns undefined when nothing is saved
 * @source own: least shift at which no vertical (or level) line meets both outlines, exact for straight sides
 */
export function nestPair(outline: Polygon, gap: number, mayFlip: boolean, most: number): Nested | undefined {
  const [width, height] = sizeOf(outline);
  let best: Nested | undefined;
  for (const flipped of mayFlip ? [false, true] : [false]) {
    const partner = flipped ? halfTurned(outline, width, height) : outline;
    const dy = Math.max(0, shiftDown(outline, partner)) + gap;
    const dx = Math.max(0, shiftDown(swapped(outline), swapped(partner))) + gap;
    for (const [right, down] of [
      [0, dy],
      [dx, 0],
    ] as const) {
      const [w, h] = [width + right, height + down];
      if (w > most + 1e-6) continue;
      const plain = right === 0 ? width * (2 * height + gap) : (2 * width + gap) * height;
      const saves = 1 - (w * h) / plain;
      if (saves > WORTH_SHARE && (best === undefined || saves > best.saves))
        best = { width: w, height: h, second: { dx: right, dy: down, flipped }, saves };
    }
  }
  return best;
}

export function sizeOf(outline: Polygon): readonly [width: number, height: number] {
  return [Math.max(...outline.map(({ x }) => x)), Math.max(...outline.map(({ y }) => y))];
}

/** The middle of an outline's area. */
export function middleOf(outline: Polygon): Point {
  let [area, x, y] = [0, 0, 0];
  outline.forEach((from, index) => {
    const to = outline[(index + 1) % outline.length] ?? from;
    const cross = from.x * to.y - to.x * from.y;
    area += cross;
    x += (from.x + to.x) * cross;
    y += (from.y + to.y) * cross;
  });
  return { x: x / (3 * area), y: y / (3 * area) };
}

export function halfTurned(outline: Polygon, width: number, height: number): Polygon {
  return outline.map(({ x, y }) => ({ x: width - x, y: height - y }));
}

/** Across for along. */
export const swapped = (outline: Polygon): Polygon => outline.map(({ x, y }) => ({ x: y, y: x }));

/**
 * How far the other must go down so that it lies wholly below: the largest of lower edge less upper edge over
 * all upright lines through corners of either. Minus infinity: no upright line meets both.
 */
export function shiftDown(upper: Polygon, lower: Polygon): number {
  const lines = [...new Set([...upper, ...lower].map(({ x }) => x))];
  let most = Number.NEGATIVE_INFINITY;
  for (const x of lines) {
    const [above, below] = [spanAt(upper, x), spanAt(lower, x)];
    if (above !== undefined && below !== undefined) most = Math.max(most, above[1] - below[0]);
  }
  return most;
}

/** From where to where an upright line lies within an outline. */
export function spanAt(outline: Polygon, x: number): readonly [number, number] | undefined {
  let [least, most] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  outline.forEach((from, index) => {
    const to = outline[(index + 1) % outline.length] ?? from;
    if (Math.min(from.x, to.x) > x + 1e-9 || Math.max(from.x, to.x) < x - 1e-9) return;
    const ys =
      Math.abs(to.x - from.x) < 1e-9
        ? [from.y, to.y]
        : [from.y + ((to.y - from.y) * (x - from.x)) / (to.x - from.x)];
    for (const y of ys) {
      least = Math.min(least, y);
      most = Math.max(most, y);
    }
  });
  return most < least ? undefined : [least, most];
}

/** A convex outline grown by so much on every side, its corners sharp. Corners in either order. */
export function grown(outline: Polygon, by: number): Polygon {
  const turn = Math.sign(
    outline.reduce((sum, { x, y }, index) => {
      const next = outline[(index + 1) % outline.length] ?? { x, y };
      return sum + x * next.y - next.x * y;
    }, 0),
  );
  const sides = outline.map((from, index) => {
    const to = outline[(index + 1) % outline.length] ?? from;
    const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
    const [nx, ny] = [(turn * (to.y - from.y)) / length, (-turn * (to.x - from.x)) / length];
    return {
      x: from.x + nx * by,
      y: from.y + ny * by,
      dx: (to.x - from.x) / length,
      dy: (to.y - from.y) / length,
    };
  });
  return sides.map((side, index) => {
    const before = sides[(index + sides.length - 1) % sides.length] ?? side;
    const cross = before.dx * side.dy - before.dy * side.dx;
    if (Math.abs(cross) < 1e-9) return { x: side.x, y: side.y };
    const along = ((side.x - before.x) * side.dy - (side.y - before.y) * side.dx) / cross;
    return { x: before.x + along * before.dx, y: before.y + along * before.dy };
  });
}
