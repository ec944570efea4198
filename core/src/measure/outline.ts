import type { SeenFrom } from '../job';

/** Millimetres; x to the right and y downwards from the top left corner, as seen from the surface's own side. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** Corners in the order top left, top right, bottom right, bottom left. */
export type Outline = readonly [Point, Point, Point, Point];

/** Width and height of the smallest rectangle around the outline whose top lies along the outline's top edge. */
export function outlineBounds(outline: Outline): { readonly left: number; readonly top: number; readonly width: number; readonly height: number } {
  const xs = outline.map((point) => point.x);
  const ys = outline.map((point) => point.y);
  const left = Math.min(...xs);
  const top = Math.min(...ys);
  return { left, top, width: Math.max(...xs) - left, height: Math.max(...ys) - top };
}

/** The outline as it looks from another side: the one place where left and right change.
 *  @returns the same corners, still ordered top left first, mirrored when the two sides face each other */
export function viewOutline(outline: Outline, seenFrom: SeenFrom, lookFrom: SeenFrom): Outline {
  if (seenFrom === lookFrom) return outline;
  const { left, width } = outlineBounds(outline);
  const mirror = ({ x, y }: Point): Point => ({ x: 2 * left + width - x, y });
  const [topLeft, topRight, bottomRight, bottomLeft] = outline;
  return [mirror(topRight), mirror(topLeft), mirror(bottomLeft), mirror(bottomRight)];
}
