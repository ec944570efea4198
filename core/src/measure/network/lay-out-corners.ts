import type { Outline, Point } from '../outline';

export interface CornerLength {
  readonly a: number;
  readonly b: number;
  readonly length_mm: number;
}

/**
 * Places numbered corners one after another by two lengths each, every corner pointing outward going
 * clockwise.
 * @returns the outline, or the corners no two lengths reach
 */
export function laidOut(
  lengths: readonly CornerLength[],
  count: number,
): { readonly outline: Outline } | { readonly open: readonly number[] } {
  const known = new Map(lengths.map(({ a, b, length_mm }) => [pairKey(a, b), length_mm]));
  const length = (a: number, b: number): number | undefined => known.get(pairKey(a, b));
  const corners = Array.from({ length: count }, (_, corner) => corner);
  const placed = new Map<number, Point>();
  const first =
    lengths.find(({ a, b }) => Math.abs(a - b) === 1 || Math.abs(a - b) === count - 1) ?? lengths[0];
  if (first === undefined) return { open: corners };
  placed.set(Math.min(first.a, first.b), { x: 0, y: 0 });
  placed.set(Math.max(first.a, first.b), { x: first.length_mm, y: 0 });
  for (let isMoving = true; isMoving;) {
    isMoving = false;
    for (const corner of corners) {
      if (placed.has(corner)) continue;
      const ties = [...placed.keys()]
        .filter((other) => length(corner, other) !== undefined)
        .sort((x, y) => x - y);
      const [a, b] = [ties[0], ties.at(-1)];
      if (a === undefined || b === undefined || a === b) continue;
      const at = thirdCorner(
        placed.get(a),
        placed.get(b),
        length(corner, a) ?? 0,
        length(corner, b) ?? 0,
        a < corner && corner < b,
      );
      if (at === undefined) continue;
      placed.set(corner, at);
      isMoving = true;
    }
  }
  const open = corners.filter((corner) => !placed.has(corner));
  return open.length > 0
    ? { open }
    : { outline: startingAtTop(corners.map((corner) => placed.get(corner) ?? { x: 0, y: 0 })) };
}

const pairKey = (a: number, b: number): string => (a < b ? `${a} ${b}` : `${b} ${a}`);

/** The corner between (or after) two others going clockwise. */
function thirdCorner(
  a: Point | undefined,
  b: Point | undefined,
  fromA: number,
  fromB: number,
  isBetween: boolean,
): Point | undefined {
  if (a === undefined || b === undefined) return undefined;
  const base = Math.hypot(b.x - a.x, b.y - a.y);
  if (base < 1e-9) return undefined;
  const along = (base ** 2 + fromA ** 2 - fromB ** 2) / (2 * base);
  const aside = Math.sqrt(Math.max(0, fromA ** 2 - along ** 2)) * (isBetween ? -1 : 1);
  const [ux, uy] = [(b.x - a.x) / base, (b.y - a.y) / base];
  return { x: a.x + ux * along - uy * aside, y: a.y + uy * along + ux * aside };
}

/** Corner 1 at the upper left with side 1–2 level, shifted so that nothing lies above or left of nought. */
function startingAtTop(corners: Outline): Outline {
  const [first = { x: 0, y: 0 }, second = { x: 1, y: 0 }] = corners;
  const length = Math.max(Math.hypot(second.x - first.x, second.y - first.y), 1e-9);
  const [ux, uy] = [(second.x - first.x) / length, (second.y - first.y) / length];
  const turned = corners.map(({ x, y }) => ({
    x: (x - first.x) * ux + (y - first.y) * uy,
    y: (y - first.y) * ux - (x - first.x) * uy,
  }));
  const [left, top] = [Math.min(...turned.map(({ x }) => x)), Math.min(...turned.map(({ y }) => y))];
  return turned.map(({ x, y }) => ({ x: x - left, y: y - top }));
}
