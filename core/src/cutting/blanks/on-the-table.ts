import type { SeenFrom } from '../../job';

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** Whether an outline drawn as the surface is seen must be mirrored to be marked on film that lies with its liner up.
 *  Seen from the side the film goes on, the film's face looks at you; on the table the liner looks at you: left and right change places. A film on the other side than the surface is seen from changes them once more.
 *  The one place where left and right are exchanged for the table. */
export function isMirroredOnTable(seenFrom: SeenFrom, filmedFrom: SeenFrom, linerUp: boolean): boolean {
  return (seenFrom === filmedFrom) === linerUp;
}

/** An outline as it lies on the table, in the rectangle it is cut from. */
export function onTable(outline: readonly Point[], width: number, isMirrored: boolean): readonly Point[] {
  return isMirrored ? outline.map(({ x, y }) => ({ x: width - x, y })).reverse() : outline;
}

/** An outline turned by a quarter so that its top lies along the roll, the top towards the left factory edge. */
export function quarterTurned(outline: readonly Point[], width: number): readonly Point[] {
  return outline.map(({ x, y }) => ({ x: y, y: width - x }));
}

/** The same turned back. @param width of the blank as it lay before the first turn */
export function quarterTurnedBack(outline: readonly Point[], width: number): readonly Point[] {
  return outline.map(({ x, y }) => ({ x: width - y, y: x }));
}

/** Where the top of a blank points on the roll: towards its end, or towards one of its long edges. */
export type TopPoints = 'to the roll end' | 'to the core' | 'to the left edge' | 'to the right edge';
export type BlankEdge = 'top' | 'right' | 'bottom' | 'left';

export interface OnRoll {
  readonly x_mm: number;
  readonly across_mm: number;
  readonly turned: boolean;
  readonly flipped?: boolean | undefined;
}

const NEAR_MM = 0.11;

/** How a blank lies on its roll, seen with the liner up: where its top points, and which of its edges are factory edges.
 *  @param roll width and which long edges are still the factory's @param topAlong its blank stands with the top along the roll before any turning */
export function lieOf({ x_mm, across_mm, turned, flipped = false }: OnRoll, roll: { readonly width_mm: number; readonly leftEdge: boolean; readonly rightEdge: boolean }, topAlong: boolean): { readonly top: TopPoints; readonly factoryEdges: readonly BlankEdge[] } {
  const atLeft = roll.leftEdge && x_mm < NEAR_MM;
  const atRight = roll.rightEdge && roll.width_mm - x_mm - across_mm < NEAR_MM;
  if (turned === topAlong) return { top: flipped ? 'to the core' : 'to the roll end', factoryEdges: [...(atLeft ? ['left' as const] : []), ...(atRight ? ['right' as const] : [])] };
  /** Lying along the roll the top goes to a factory edge where there is one. */
  const top = flipped || (atRight && !atLeft) ? 'to the right edge' : 'to the left edge';
  return { top, factoryEdges: [...(atLeft || atRight ? ['top' as const] : []), ...(atLeft && atRight ? ['bottom' as const] : [])] };
}
