import type { SeenFrom } from '../job';

/**
 * Millimetres; x to the right and y downwards from the top left corner, as seen from the surface's own side.
 */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** Corners clockwise from the top left one. Arcs are given as many short sides. */
export type Outline = readonly Point[];

export interface Bounds {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/**
 * Width and height of the smallest rectangle around the outline whose top lies along the outline's top edge.
 */
export function outlineBounds(outline: Outline): Bounds {
  let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const { x, y } of outline) {
    left = Math.min(left, x);
    right = Math.max(right, x);
    top = Math.min(top, y);
    bottom = Math.max(bottom, y);
  }
  return outline.length === 0
    ? { left: 0, top: 0, width: 0, height: 0 }
    : { left, top, width: right - left, height: bottom - top };
}

/**
 * The outline as it looks from another side: the one place where left and right change.
 * @param within what it is a part of, such as the wall of an opening
 * @returns the same corners, still clockwise from the top left one, mirrored when the two sides face each
 * other
 */
export function viewOutline(
  outline: Outline,
  seenFrom: SeenFrom,
  lookedFrom: SeenFrom,
  within: Outline = outline,
): Outline {
  if (seenFrom === lookedFrom) return outline;
  const mirror = mirrorOf(within);
  const [first, second, ...rest] = outline;
  if (first === undefined || second === undefined) return outline;
  return [mirror(second), mirror(first), ...rest.reverse().map(mirror)];
}

/** How one point of a surface looks from the other side of it. */
export function mirrorOf(outline: Outline): (point: Point) => Point {
  const { left, width } = outlineBounds(outline);
  return ({ x, y }) => ({ x: 2 * left + width - x, y });
}

export function areaOf(outline: Outline): number {
  return (
    outline.reduce((sum, { x, y }, index) => {
      const next = outline[(index + 1) % outline.length] ?? { x, y };
      return sum + x * next.y - next.x * y;
    }, 0) / 2
  );
}

export function perimeterOf(outline: Outline): number {
  return outline.reduce((sum, { x, y }, index) => {
    const next = outline[(index + 1) % outline.length] ?? { x, y };
    return sum + Math.hypot(next.x - x, next.y - y);
  }, 0);
}

/** No corner points inward and the corners go round clockwise. */
export function isConvex(outline: Outline): boolean {
  return outline.every((corner, index) => {
    const next = outline[(index + 1) % outline.length] ?? corner;
    const after = outline[(index + 2) % outline.length] ?? corner;
    return (next.x - corner.x) * (after.y - next.y) - (next.y - corner.y) * (after.x - next.x) > 0;
  });
}

/** No two sides cross each other. */
export function isSimple(outline: Outline): boolean {
  const count = outline.length;
  const side = (index: number): readonly [Point, Point] => [
    outline[index % count] ?? { x: 0, y: 0 },
    outline[(index + 1) % count] ?? { x: 0, y: 0 },
  ];
  for (let a = 0; a < count; a += 1) {
    for (let b = a + 2; b < count; b += 1) {
      if (a === 0 && b === count - 1) continue;
      if (doCross(side(a), side(b))) return false;
    }
  }
  return true;
}

function doCross([a, b]: readonly [Point, Point], [c, d]: readonly [Point, Point]): boolean {
  const turn = (p: Point, q: Point, r: Point): number =>
    Math.sign((q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x));
  return turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0;
}
