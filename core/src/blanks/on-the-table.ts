import type { Liner, SeenFrom } from '../job';

export interface Point {
  readonly x: number;
  readonly y: number;
}

/**
 * Where a person stands wherever film is cut, drawn or written to a file: at the free end of the roll, which
 * lies away from them. x runs from the left long edge, at the left hand, to the right; y from the free end
 * away from the person. So every drawing is one of film seen from above.
 */
export const STANDING = 'You stand at the free end, the roll lies away from you: left is at your left hand.';

/**
 * Whether a figure drawn as the surface is seen must be mirrored to be its film seen from above with the top
 * pointing away. Seen from the side the film goes on, the film's face looks at you. With the liner up the
 * other face looks at you: left and right change places. A film on the other side than the surface is seen
 * from changes them once more. The one place where left and right are exchanged for the table.
 */
export function isMirroredOnTable(seenFrom: SeenFrom, filmedFrom: SeenFrom, liner: Liner): boolean {
  return (seenFrom === filmedFrom) === (liner === 'up');
}

/**
 * A blank's figure, drawn as the surface is seen (x to the right, y down from its top), as it lies unturned
 * on the roll: its top at the free end, towards the person, which turns it by half a turn.
 * @param width of the blank, mm
 * @returns corners in the order given, from the blank's own corner on the roll
 */
export function lyingOnRoll(
  outline: readonly Point[],
  width: number,
  seenFrom: SeenFrom,
  filmedFrom: SeenFrom,
  liner: Liner,
): readonly Point[] {
  return isMirroredOnTable(seenFrom, filmedFrom, liner)
    ? outline
    : outline.map(({ x, y }) => ({ x: width - x, y }));
}

/** An outline turned by a quarter so that its top lies along the roll, the top towards the left edge. */
export function quarterTurned(outline: readonly Point[], width: number): readonly Point[] {
  return outline.map(({ x, y }) => ({ x: y, y: width - x }));
}

/** The same turned back. @param width of the blank as it lay before the first turn */
export function quarterTurnedBack(outline: readonly Point[], width: number): readonly Point[] {
  return outline.map(({ x, y }) => ({ x: width - y, y: x }));
}

/** Where the top of a blank points on the roll: towards its free end, or towards one of its long edges. */
type TopPoints = 'to the roll end' | 'to the core' | 'to the left edge' | 'to the right edge';
export type BlankEdge = 'top' | 'right' | 'bottom' | 'left';

interface OnRoll {
  readonly x_mm: number;
  readonly across_mm: number;
  readonly turned: boolean;
  readonly flipped?: boolean | undefined;
  /**
   * As it lies, from its own corner, when it is no rectangle: its half turn is settled then, and only a side
   * of it can lie along an edge. A plain rectangle lies as suits its edges best.
   */
  readonly outline?: readonly Point[] | null | undefined;
}

interface RollEdges {
  readonly width_mm: number;
  readonly leftEdge: boolean;
  readonly rightEdge: boolean;
}

const NEAR_MM = 0.11;
/** Shorter than this a side along an edge is no use as a straight one. */
const LEAST_SIDE_MM = 50;

/**
 * How a blank lies on its roll: where its top points, and which of its edges are factory edges. Left and
 * right of the blank are meant as it hangs, seen from the side the film is on.
 * @param roll width and which long edges are still the factory's
 * @param topAlong its blank stands with the top along the roll before any turning
 */
export function lieOf(
  { x_mm, across_mm, turned, flipped = false, outline = null }: OnRoll,
  roll: RollEdges,
  topAlong: boolean,
  liner: Liner,
): { readonly top: TopPoints; readonly factoryEdges: readonly BlankEdge[] } {
  const atLeft = roll.leftEdge && x_mm < NEAR_MM && hasSideAt(outline, 0);
  const atRight =
    roll.rightEdge && roll.width_mm - x_mm - across_mm < NEAR_MM && hasSideAt(outline, across_mm);
  const edges = (left: BlankEdge, right: BlankEdge): readonly BlankEdge[] => [
    ...(atLeft ? [left] : []),
    ...(atRight ? [right] : []),
  ];
  if (turned !== topAlong) {
    const isTopRight = flipped || (outline === null && atRight && !atLeft);
    return isTopRight
      ? { top: 'to the right edge', factoryEdges: edges('bottom', 'top') }
      : { top: 'to the left edge', factoryEdges: edges('top', 'bottom') };
  }
  /**
   * The top at the person, the liner looking up: what hangs left lies left. The half turn changes that, and
   * so does the liner down.
   */
  const isSame = flipped !== (liner === 'up');
  return {
    top: flipped ? 'to the core' : 'to the roll end',
    factoryEdges: isSame ? edges('left', 'right') : edges('right', 'left'),
  };
}

/** Whether a side of an outline, not only a corner, lies along an edge. */
function hasSideAt(outline: readonly Point[] | null, at_mm: number): boolean {
  if (outline === null) return true;
  return outline.some((from, index) => {
    const to = outline[(index + 1) % outline.length] ?? from;
    return (
      Math.abs(from.x - at_mm) < NEAR_MM &&
      Math.abs(to.x - at_mm) < NEAR_MM &&
      Math.abs(to.y - from.y) > LEAST_SIDE_MM
    );
  });
}
