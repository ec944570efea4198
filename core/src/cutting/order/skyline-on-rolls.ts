import { type LaidStrip, blockOf, type SkylineLayout, searchSkyline } from '../../packing';
import type { PlacedSegment } from './order-segments';
import { problemOn } from './shorter-by-any-cuts';

/** Each whole-width segment laid freely, in turns. */
export function* skylineSearches(
  segments: readonly PlacedSegment[],
  laid: readonly LaidStrip[],
  seed: number,
  mostRounds: number,
  prices: readonly number[] | undefined,
): Generator<readonly [segment: number, layout: SkylineLayout]> {
  const running = segments.flatMap((segment, index) => {
    const strips = laid.filter((laidStrip) => laidStrip.segment === index).map(({ strip }) => strip);
    if (strips.length === 0 || segment.mostStacks === 1) return [];
    const problem = problemOn(segment, strips);
    /** Laid freely, a piece that wants an edge may come to lie at either. */
    if (
      !(segment.sides.left && segment.sides.right) &&
      problem.itemTypes.some(({ wantsEdge, quantity }) => wantsEdge && quantity > 0)
    )
      return [];
    return [
      {
        index,
        search: searchSkyline(problem, {
          seed,
          mostRounds,
          bound: Math.ceil(problem.area / problem.width),
          prices,
          start: {
            blocks: strips.map((strip) => blockOf(segment.problem, strip)),
            length: strips.reduce((sum, { along }) => sum + along, 0),
          },
        }),
      },
    ];
  });
  for (const open = [...running]; open.length > 0;) {
    for (const one of [...open]) {
      const step = one.search.next();
      yield [one.index, step.value];
      if (step.done === true) open.splice(open.indexOf(one), 1);
    }
  }
}
