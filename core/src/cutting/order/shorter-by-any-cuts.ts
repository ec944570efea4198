import {
  type LaidBand,
  type StripProblem,
  isFewForAnyCuts,
  shortestOfAnyCuts,
  partedAt,
  type FreeLayout,
} from '../../packing';
import type { PlacedSpace } from './order-spaces';

/** Pieces laid in bands on one space, as a problem of their own. */
export function problemOn({ problem }: PlacedSpace, bands: readonly LaidBand['band'][]): StripProblem {
  const pieces = new Map<number, number>();
  for (const { columns } of bands)
    for (const column of columns)
      for (const { kind } of column.pieces) pieces.set(kind, (pieces.get(kind) ?? 0) + 1);
  const kinds = problem.kinds.map((kind, at) => ({ ...kind, quantity: pieces.get(at) ?? 0 }));
  return {
    ...problem,
    kinds,
    area: kinds.reduce((sum, { across, along, quantity }) => sum + across * along * quantity, 0),
  };
}

/**
 * Films whose few pieces lie shorter when they may be cut in as many stages as it takes. By number of the
 * space.
 */
export function shorterByAnyCuts(
  spaces: readonly PlacedSpace[],
  laid: readonly LaidBand[],
): ReadonlyMap<number, FreeLayout> {
  const found = new Map<number, FreeLayout>();
  spaces.forEach((space, index) => {
    const bands = laid.filter((own) => own.space === index).map(({ band }) => band);
    const problem = problemOn(space, bands);
    if (
      bands.length === 0 ||
      space.mostColumns === 1 ||
      !isFewForAnyCuts({
        ...problem,
        kinds: problem.kinds.map((kind) =>
          kind.quantity === 0 ? { ...kind, wantsEdge: false, mayTurn: false } : kind,
        ),
      })
    )
      return;
    const block = shortestOfAnyCuts(problem, bands.reduce((sum, { along }) => sum + along, 0) - 1);
    const blocks = block && partedAt(block);
    if (blocks?.every(({ along }) => along <= space.mostBand) === true)
      found.set(index, { blocks, length: block?.along ?? 0 });
  });
  return found;
}
