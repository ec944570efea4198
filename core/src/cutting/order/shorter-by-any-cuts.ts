import {
  type LaidStrip,
  type PackingProblem,
  isFewForAnyCuts,
  shortestOfAnyCuts,
  partedAt,
  type SkylineLayout,
} from '../../packing';
import type { PlacedSegment } from './order-segments';

/** Pieces laid in strips on one segment, as a problem of their own. */
export function problemOn({ problem }: PlacedSegment, strips: readonly LaidStrip['strip'][]): PackingProblem {
  const pieces = new Map<number, number>();
  for (const { stacks } of strips)
    for (const stack of stacks)
      for (const { itemType } of stack.pieces) pieces.set(itemType, (pieces.get(itemType) ?? 0) + 1);
  const itemTypes = problem.itemTypes.map((itemType, at) => ({ ...itemType, quantity: pieces.get(at) ?? 0 }));
  return {
    ...problem,
    itemTypes,
    area: itemTypes.reduce((sum, { across, along, quantity }) => sum + across * along * quantity, 0),
  };
}

/**
 * Films whose few pieces lie shorter when they may be cut in as many stages as it takes. By number of the
 * segment.
 */
export function shorterByAnyCuts(
  segments: readonly PlacedSegment[],
  laid: readonly LaidStrip[],
): ReadonlyMap<number, SkylineLayout> {
  const layouts = new Map<number, SkylineLayout>();
  segments.forEach((segment, index) => {
    const strips = laid.filter((laidStrip) => laidStrip.segment === index).map(({ strip }) => strip);
    const problem = problemOn(segment, strips);
    if (
      strips.length === 0 ||
      segment.mostStacks === 1 ||
      !isFewForAnyCuts({
        ...problem,
        itemTypes: problem.itemTypes.map((itemType) =>
          itemType.quantity === 0 ? { ...itemType, wantsEdge: false, mayTurn: false } : itemType,
        ),
      })
    )
      return;
    const block = shortestOfAnyCuts(problem, strips.reduce((sum, { along }) => sum + along, 0) - 1);
    const blocks = block && partedAt(block);
    if (blocks?.every(({ along }) => along <= segment.mostStrip) === true)
      layouts.set(index, { blocks, length: block?.along ?? 0 });
  });
  return layouts;
}
