import { type LaidBand, blockOf, type FreeLayout, searchFree } from '../../packing';
import type { PlacedSpace } from './order-spaces';
import { problemOn } from './shorter-by-any-cuts';

/** Each whole-width space laid freely, in turns. */
export function* freeSearches(
  spaces: readonly PlacedSpace[],
  laid: readonly LaidBand[],
  seed: number,
  mostRounds: number,
  prices: readonly number[] | undefined,
): Generator<readonly [space: number, layout: FreeLayout]> {
  const running = spaces.flatMap((space, index) => {
    const bands = laid.filter((own) => own.space === index).map(({ band }) => band);
    if (bands.length === 0 || space.mostColumns === 1) return [];
    const problem = problemOn(space, bands);
    /** Laid freely, a piece that wants an edge may come to lie at either. */
    if (
      !(space.sides.left && space.sides.right) &&
      problem.kinds.some(({ wantsEdge, quantity }) => wantsEdge && quantity > 0)
    )
      return [];
    return [
      {
        index,
        search: searchFree(problem, {
          seed,
          mostRounds,
          bound: Math.ceil(problem.area / problem.width),
          prices,
          start: {
            blocks: bands.map((band) => blockOf(space.problem, band)),
            length: bands.reduce((sum, { along }) => sum + along, 0),
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
