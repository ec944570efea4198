import type { MeasureRemark } from './measure-case';
import { type Outline, type Point, outlineBounds } from './outline';

/** How a figure hangs when no level was read: on a level sill, its sides upright. */

/**
 * Turned so that this side is level, its second end to the left of its first, and shifted so that nothing
 * lies above or left of nought.
 * @param from the right end of the sill, as seen
 */
export function onLevelSill(corners: Outline, from: number, to: number): Outline {
  const [right, left] = [corners[from], corners[to]];
  if (right === undefined || left === undefined) return corners;
  const length = Math.max(Math.hypot(right.x - left.x, right.y - left.y), 1e-9);
  const along = { x: (right.x - left.x) / length, y: (right.y - left.y) / length };
  return fromCorner(
    corners.map(({ x, y }) => ({
      x: (x - left.x) * along.x + (y - left.y) * along.y,
      y: (y - left.y) * along.x - (x - left.x) * along.y,
    })),
  );
}

/** Shifted so that nothing lies above or left of nought. */
export function fromCorner(corners: Outline): Outline {
  const { left, top } = outlineBounds(corners);
  return corners.map(({ x, y }) => ({ x: x - left, y: y - top }));
}

const ABOVE_MM = 1;

/**
 * The side a polygon most likely stands on, corners clockwise from the upper left: the whole figure above it,
 * corner 1 at the upper left, its neighbours as upright as can be.
 * @returns its right end and its left one
 */
export function likeliestSill(corners: Outline): readonly [from: number, to: number] {
  let [best, least]: [readonly [number, number], number] = [
    [corners.length - 2, corners.length - 1],
    Number.POSITIVE_INFINITY,
  ];
  for (let from = 1; from < corners.length; from += 1) {
    const to = (from + 1) % corners.length;
    const own = onLevelSill(corners, from, to);
    const { height } = outlineBounds(own);
    const floor = own[from]?.y ?? 0;
    const isUnder = own.every(({ y }) => y <= floor + ABOVE_MM);
    const nearest = Math.min(...own.map(({ x, y }) => x + y));
    const first = (own[0]?.x ?? 0) + (own[0]?.y ?? 0);
    const score = (isUnder ? 0 : 10) + (first - nearest) / Math.max(height, 1) + leaning(own, from, to);
    if (score < least - 1e-9) {
      best = [from, to];
      least = score;
    }
  }
  return best;
}

/** How far the two sides that stand on a sill are from upright: 0, both are. */
function leaning(corners: Outline, from: number, to: number): number {
  const lean = (foot: Point | undefined, head: Point | undefined): number =>
    foot === undefined || head === undefined
      ? 1
      : Math.abs(head.x - foot.x) / Math.max(Math.hypot(head.x - foot.x, head.y - foot.y), 1e-9);
  return lean(corners[from], corners[from - 1]) + lean(corners[to], corners[(to + 1) % corners.length]);
}

const PARALLEL_RAD = 0.01;

/** What to ask where head and sill are not parallel and nothing says which is level. */
export function askedLevel(
  head: readonly [Point | undefined, Point | undefined],
  sill: readonly [Point | undefined, Point | undefined],
): readonly MeasureRemark[] {
  const slope = ([left, right]: readonly [Point | undefined, Point | undefined]): number =>
    left === undefined || right === undefined ? 0 : Math.atan2(right.y - left.y, right.x - left.x);
  return Math.abs(slope(head) - slope(sill)) < PARALLEL_RAD ? [] : [{ case: 'which edge is level' }];
}
