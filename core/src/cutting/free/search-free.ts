import { seededRandom } from '../../quantity';
import type { Band } from '../by-hand/band';
import type { StripProblem } from '../by-hand/strip-problem';
import { byWeight } from '../by-weight';
import { type BeamWays, type Block, beam } from './beam';
import { blockOf, partedAt } from './blocks';

export interface FreeSearch {
  readonly seed: number;
  readonly mostRounds: number;
  /** No layout can be shorter; reaching it ends the search. */
  readonly bound: number;
  /** What a piece of each kind is worth in the bound, if that is known. */
  readonly prices: readonly number[] | undefined;
  /** A layout that can be cut by hand, to start from: the free one is never longer. */
  readonly start: readonly Band[];
}

export interface FreeLayout {
  readonly blocks: readonly Block[];
  readonly length: number;
}

/** Pieces laid anew at a time: few are laid very well, many only fairly. */
const MOST_ANEW = 48;
const MOST_WHOLE = 120;
const WHOLE_SHARE = 0.25;
const FRONTS = [1, 2, 4, 8, 16, 32, 64] as const;
const MIX = 0.25;

const lengthOf = (blocks: readonly Block[]): number => blocks.reduce((sum, { along }) => sum + along, 0);

/** Starts from bands; takes some blocks apart again and again and lays their pieces anew with a beam, kept when not longer. Small jobs are also laid anew as a whole with beams of growing width.
 *  Yields the best so far; deterministic for a seed and a number of rounds. @source own: beam search inside a large neighbourhood search */
export function* searchFree(problem: StripProblem, { seed, mostRounds, bound, prices, start }: FreeSearch): Generator<FreeLayout, FreeLayout> {
  const random = seededRandom(seed);
  const all = Uint16Array.from(problem.kinds, ({ quantity }) => quantity);
  const count = all.reduce((sum, own) => sum + own, 0);
  let blocks: readonly Block[] = start.map((band) => blockOf(problem, band));
  let best: FreeLayout = { blocks, length: lengthOf(blocks) };
  let length = best.length;
  let wholeFronts = 1;
  yield best;
  for (let round = 0; round < mostRounds && best.length > bound; round += 1) {
    const isWhole = count <= MOST_WHOLE && (round === 0 || random() < WHOLE_SHARE);
    const taken = isWhole ? new Set(blocks.keys()) : takeApart(problem, blocks, random);
    const pieces = isWhole ? all : new Uint16Array(all.length);
    let before = 0;
    for (const index of taken) { before += blocks[index]?.along ?? 0; if (!isWhole) for (const { lie } of blocks[index]?.moves ?? []) pieces[lie.kind] = (pieces[lie.kind] ?? 0) + 1; }
    const run = beam(problem, pieces, waysOf(problem, prices, isWhole ? wholeFronts : (FRONTS[Math.floor(random() ** 2 * FRONTS.length)] ?? 1), random), isWhole ? best.length : before + 1);
    let step = run.next();
    for (; step.done !== true; step = run.next()) yield best;
    if (isWhole && step.value === undefined && wholeFronts < 2000) wholeFronts += Math.ceil(wholeFronts / 3);
    if (step.value === undefined) continue;
    blocks = [...blocks.filter((_, index) => !taken.has(index)), ...partedAt(step.value)];
    length = isWhole ? step.value.along : length + step.value.along - before;
    if (length < best.length) best = { blocks, length };
    yield best;
  }
  return best;
}

function waysOf({ kinds }: StripProblem, prices: readonly number[] | undefined, fronts: number, random: () => number): BeamWays {
  const mix = prices === undefined || random() < 0.5 ? 0 : MIX;
  return { fronts, tries: 2 + Math.floor(random() * 7), chance: 0.05 + random(), worth: kinds.map(({ across, along }, kind) => (1 - mix) * across * along + mix * (prices?.[kind] ?? 0)), random };
}

/** A wasteful block and others by chance, up to so many pieces. */
function takeApart({ width }: StripProblem, blocks: readonly Block[], random: () => number): ReadonlySet<number> {
  const waste = blocks.map(({ along, moves }) => width * along - moves.reduce((sum, { lie }) => sum + lie.across * lie.along, 0));
  const most = Math.max(1, ...waste);
  const weights = waste.map((own) => 0.1 + own / most);
  const target = 4 + random() * (MOST_ANEW - 4);
  const taken = new Set<number>();
  for (let held = 0; taken.size < blocks.length; ) {
    const at = byWeight(weights, random);
    const own = blocks[at]?.moves.length ?? 0;
    if (taken.size > 0 && held + own > target) break;
    taken.add(at);
    held += own;
    weights[at] = 0;
    weights.forEach((weight, index) => { if (weight > 0) weights[index] = 0.5 * weight + 0.2; });
  }
  return taken;
}
