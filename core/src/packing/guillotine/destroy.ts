import { valueAt } from '../../quantity';
import { byWeight } from '../by-weight';
import type { LaidStrip, StockSegment } from './stock-segment';

const WASTEFUL_FIRST = 0.8;
const RELATED = 0.6;
const EMPTY_SHARE = 0.25;
const FEWEST_TAKEN = 2;
const MOST_EMPTIED = 8;

/**
 * The destroy operators: which strips are rebuilt. Mostly few, sometimes as many as `most`, because small
 * neighbourhoods alone end in local optima; now and then all of one film, so that it can be left out.
 * @source large neighbourhood search, Shaw 1998 (from memory): wasteful first, related ones together
 */
export function destroy(
  segments: readonly StockSegment[],
  laid: readonly LaidStrip[],
  most: number,
  random: () => number,
): ReadonlySet<number> {
  if (segments.length > 1 && random() < EMPTY_SHARE) {
    const emptied = laid[Math.floor(random() * laid.length)]?.segment;
    const all = laid.flatMap(({ segment }, index) => (segment === emptied ? [index] : []));
    if (all.length <= MOST_EMPTIED)
      return new Set([...all, ...wasteful(segments, laid, most, random)].slice(0, MOST_EMPTIED + 2));
  }
  return wasteful(segments, laid, most, random);
}

/** Some strips to build anew: a wasteful one, and others that share widths with it, or by chance. */
function wasteful(
  segments: readonly StockSegment[],
  laid: readonly LaidStrip[],
  most: number,
  random: () => number,
): ReadonlySet<number> {
  const count = Math.min(
    laid.length,
    FEWEST_TAKEN + Math.floor(random() * random() * (most - FEWEST_TAKEN + 1)),
  );
  const waste = laid.map(({ segment, strip }) => {
    const { problem, cost, most } = segments[segment] ?? { problem: { width: 1 }, cost: 0, most: 0 };
    return (
      (problem.width * strip.along - strip.filled) *
      (cost / problem.width) *
      (most === Number.POSITIVE_INFINITY ? 1 : 1.2)
    );
  });
  const first = random() < WASTEFUL_FIRST ? byWeight(waste, random) : Math.floor(random() * laid.length);
  const taken = new Set([first]);
  const widths = new Set(laid[first]?.strip.stacks.map(({ across }) => across));
  const mostWaste = Math.max(1e-12, ...waste);
  const isRelated = random() < RELATED;
  const weights = laid.map(
    ({ strip }, index) =>
      (isRelated ? 0.15 + strip.stacks.filter(({ across }) => widths.has(across)).length : 1) *
      (0.3 + valueAt(waste, index) / mostWaste),
  );
  while (taken.size < count) {
    for (const index of taken) weights[index] = 0;
    taken.add(byWeight(weights, random));
  }
  return taken;
}
