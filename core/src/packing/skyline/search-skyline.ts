import { seededRandom, countAt, valueAt } from '../../quantity';
import type { PackingProblem } from '../problem/packing-problem';
import { byWeight } from '../by-weight';
import { reducedCosts } from '../exact/reduced-costs';
import { type Block, beam } from './beam';
import { partedAt } from './blocks';
import { drivenByEdges, drivenByEvolution } from './beam-driver';
import { mayBePerfect } from './whole-runs';

interface SkylineSearch {
  readonly seed: number;
  readonly mostRounds: number;
  /** No layout can be shorter; reaching it ends the search. */
  readonly bound: number;
  /** What a piece of each item type is worth in the bound, in any one unit, if that is known. */
  readonly prices: readonly number[] | undefined;
  /** A layout to start from, or, without blocks, only the length to be beaten by laying everything anew. */
  readonly start: SkylineLayout;
}

export interface SkylineLayout {
  readonly blocks: readonly Block[];
  readonly length: number;
}

/** Pieces laid anew at a time, mostly few: few are laid very well, many only fairly. */
const MOST_ANEW = 120;

/**
 * Lays all pieces anew again and again, in ways that are evolved by what they led to or, where there may be
 * no waste, with beams of growing width; between them takes some blocks of the best apart and lays their
 * pieces anew, kept when not longer. Yields the best so far and may be given a better one; deterministic for
 * a seed and a number of rounds.
 * @source own: beam search inside a large neighbourhood search
 */
export function* searchSkyline(
  problem: PackingProblem,
  { seed, mostRounds, bound, prices: given, start }: SkylineSearch,
): Generator<SkylineLayout, SkylineLayout, SkylineLayout | undefined> {
  const random = seededRandom(seed);
  const prices = given && reducedCosts(problem, given).perPiece;
  const all = Uint16Array.from(problem.itemTypes, ({ quantity }) => quantity);
  const leading = mayBePerfect(problem, bound)
    ? drivenByEdges(problem, bound, random)
    : drivenByEvolution(problem, prices, random);
  let best = start;
  let { blocks } = start;
  let length = start.length;
  let lent: SkylineLayout | undefined;
  const hear = (better: SkylineLayout | undefined): void => {
    if (better !== undefined && better.length < (lent ?? best).length) lent = better;
  };
  hear(yield best);
  for (let round = 0; round < mostRounds; round += 1) {
    if (lent !== undefined && lent.length < best.length) {
      best = lent;
      ({ blocks, length } = lent);
    }
    if (best.length <= bound) break;
    const whole =
      round === 0 || blocks.length === 0 || random() < leading.share ? leading.whole(best.length) : undefined;
    const taken = whole === undefined ? destroy(problem, blocks, random) : new Set(blocks.keys());
    const [pieces, before] = whole === undefined ? heldBy(problem, blocks, taken) : [all, length];
    const run = beam(problem, pieces, whole?.weights ?? leading.part(), whole?.most ?? before + 1);
    let step = run.next();
    for (; step.done !== true; step = run.next()) hear(yield best);
    whole?.ended(step.value?.along);
    if (step.value === undefined || step.value.along > before) continue;
    blocks = [...blocks.filter((_, index) => !taken.has(index)), ...partedAt(step.value)];
    length += step.value.along - before;
    if (length < best.length) best = { blocks, length };
    hear(yield best);
  }
  return best;
}

/** Pieces of some blocks by item type, and the length of them. */
function heldBy(
  { itemTypes }: PackingProblem,
  blocks: readonly Block[],
  taken: ReadonlySet<number>,
): readonly [pieces: Uint16Array, length: number] {
  const pieces = new Uint16Array(itemTypes.length);
  let length = 0;
  for (const index of taken) {
    const { moves, along } = blocks[index] ?? { moves: [], along: 0 };
    length += along;
    for (const { orientation } of moves)
      pieces[orientation.itemType] = countAt(pieces, orientation.itemType) + 1;
  }
  return [pieces, length];
}

/** A wasteful block and others by chance, up to so many pieces. */
function destroy(
  { width }: PackingProblem,
  blocks: readonly Block[],
  random: () => number,
): ReadonlySet<number> {
  const waste = blocks.map(
    ({ along, moves }) =>
      width * along - moves.reduce((sum, { orientation }) => sum + orientation.across * orientation.along, 0),
  );
  const most = Math.max(1, ...waste);
  const weights = waste.map((wasted) => 0.1 + wasted / most);
  const target = 4 + random() ** 2 * (MOST_ANEW - 4);
  const taken = new Set<number>();
  for (let held = 0; taken.size < blocks.length;) {
    const at = byWeight(weights, random);
    const count = valueAt(blocks, at).moves.length;
    if (taken.size > 0 && held + count > target) break;
    taken.add(at);
    held += count;
    weights[at] = 0;
    weights.forEach((weight, index) => {
      if (weight > 0) weights[index] = 0.5 * weight + 0.2;
    });
  }
  return taken;
}
