import { byWeight } from '../by-weight';
import type { LaidBand, Space } from './space';

const WASTEFUL_FIRST = 0.8;
const RELATED = 0.6;
const EMPTY_SHARE = 0.25;
const FEWEST_TAKEN = 2;
const MOST_EMPTIED = 8;

/**
 * Some bands to build anew, mostly few, sometimes as many as `most`: small changes alone end where none of
 * them helps. Now and then all of one film, so that it can be done without.
 */
export function takeApart(
  spaces: readonly Space[],
  laid: readonly LaidBand[],
  most: number,
  random: () => number,
): ReadonlySet<number> {
  if (spaces.length > 1 && random() < EMPTY_SHARE) {
    const emptied = laid[Math.floor(random() * laid.length)]?.space;
    const all = laid.flatMap(({ space }, index) => (space === emptied ? [index] : []));
    if (all.length <= MOST_EMPTIED)
      return new Set([...all, ...wasteful(spaces, laid, most, random)].slice(0, MOST_EMPTIED + 2));
  }
  return wasteful(spaces, laid, most, random);
}

/** Some bands to build anew: a wasteful one, and others that share widths with it, or by chance. */
function wasteful(
  spaces: readonly Space[],
  laid: readonly LaidBand[],
  most: number,
  random: () => number,
): ReadonlySet<number> {
  const count = Math.min(
    laid.length,
    FEWEST_TAKEN + Math.floor(random() * random() * (most - FEWEST_TAKEN + 1)),
  );
  const waste = laid.map(({ space, band }) => {
    const { problem, cost, most } = spaces[space] ?? { problem: { width: 1 }, cost: 0, most: 0 };
    return (
      (problem.width * band.along - band.filled) *
      (cost / problem.width) *
      (most === Number.POSITIVE_INFINITY ? 1 : 1.2)
    );
  });
  const first = random() < WASTEFUL_FIRST ? byWeight(waste, random) : Math.floor(random() * laid.length);
  const taken = new Set([first]);
  const widths = new Set(laid[first]?.band.columns.map(({ across }) => across));
  const mostWaste = Math.max(1e-12, ...waste);
  const isRelated = random() < RELATED;
  const weights = laid.map(
    ({ band }, index) =>
      (isRelated ? 0.15 + band.columns.filter(({ across }) => widths.has(across)).length : 1) *
      (0.3 + (waste[index] ?? 0) / mostWaste),
  );
  while (taken.size < count) {
    for (const index of taken) weights[index] = 0;
    taken.add(byWeight(weights, random));
  }
  return taken;
}
