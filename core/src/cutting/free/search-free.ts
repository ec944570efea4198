import { seededRandom } from '../../quantity';
import type { StripProblem } from '../by-hand/strip-problem';
import { byWeight } from '../by-weight';
import { type BeamWays, type Block, beam } from './beam';
import { partedAt } from './blocks';
import { WholeRuns } from './whole-runs';

export interface FreeSearch {
  readonly seed: number;
  readonly mostRounds: number;
  /** No layout can be shorter; reaching it ends the search. */
  readonly bound: number;
  /** What a piece of each kind is worth in the bound, if that is known. */
  readonly prices: readonly number[] | undefined;
  /** A layout to start from, or, without blocks, only the length to be beaten by laying everything anew. */
  readonly start: FreeLayout;
}

export interface FreeLayout {
  readonly blocks: readonly Block[];
  readonly length: number;
}

/** Pieces laid anew at a time, mostly few: few are laid very well, many only fairly. */
const MOST_ANEW = 120;
/** What a stretch of a front counts against it, as a share of waste. */
const STRETCHES = [0.003, 0.01, 0.03] as const;
const FRONTS = [1, 2, 4, 8, 16, 32, 64] as const;
const MIX = 0.25;

/** Starts from bands; takes some blocks apart again and again and lays their pieces anew with a beam, kept when not longer. Small jobs are also laid anew as a whole with beams of growing width.
 *  Yields the best so far; deterministic for a seed and a number of rounds. @source own: beam search inside a large neighbourhood search */
export function* searchFree(problem: StripProblem, { seed, mostRounds, bound, prices, start }: FreeSearch): Generator<FreeLayout, FreeLayout> {
  const random = seededRandom(seed);
  const all = Uint16Array.from(problem.kinds, ({ quantity }) => quantity);
  let { blocks, length } = start;
  let best = start;
  const whole = new WholeRuns(problem, bound, random);
  yield best;
  for (let round = 0; round < mostRounds && best.length > bound; round += 1) {
    const isWhole = whole.share > 0 && (round === 0 || blocks.length === 0 || random() < whole.share);
    const wholeRun = isWhole ? whole.next(best.length) : undefined;
    const taken = isWhole ? new Set(blocks.keys()) : takeApart(problem, blocks, random);
    const pieces = isWhole ? all : new Uint16Array(all.length);
    let before = 0;
    for (const index of taken) { before += blocks[index]?.along ?? 0; if (!isWhole) for (const { lie } of blocks[index]?.moves ?? []) pieces[lie.kind] = (pieces[lie.kind] ?? 0) + 1; }
    const run = beam(problem, pieces, waysOf(problem, prices, wholeRun?.fronts, random), wholeRun?.most ?? before + 1);
    let step = run.next();
    for (; step.done !== true; step = run.next()) yield best;
    if (step.value === undefined) {
      if (wholeRun !== undefined) whole.foundNothing(wholeRun);
      continue;
    }
    blocks = [...blocks.filter((_, index) => !taken.has(index)), ...partedAt(step.value)];
    length = isWhole ? step.value.along : length + step.value.along - before;
    if (length < best.length) best = { blocks, length };
    yield best;
  }
  return best;
}

/** @param wholeFronts of a run over all pieces: more pieces are tried on each front, and with less chance */
function waysOf({ kinds }: StripProblem, prices: readonly number[] | undefined, wholeFronts: number | undefined, random: () => number): BeamWays {
  const mix = prices === undefined || random() < 0.5 ? 0 : MIX;
  const isWhole = wholeFronts !== undefined;
  const fronts = wholeFronts ?? FRONTS[Math.floor(random() ** 2 * FRONTS.length)] ?? 1;
  const stretch = isWhole || random() < 0.5 ? (STRETCHES[Math.floor(random() * STRETCHES.length)] ?? 0) : 0;
  return { fronts, tries: (isWhole ? 6 : 2) + Math.floor(random() * 7), chance: 0.05 + random() * (isWhole ? 0.2 : 1), stretch, worth: kinds.map(({ across, along }, kind) => (1 - mix) * across * along + mix * (prices?.[kind] ?? 0)), random };
}

/** A wasteful block and others by chance, up to so many pieces. */
function takeApart({ width }: StripProblem, blocks: readonly Block[], random: () => number): ReadonlySet<number> {
  const waste = blocks.map(({ along, moves }) => width * along - moves.reduce((sum, { lie }) => sum + lie.across * lie.along, 0));
  const most = Math.max(1, ...waste);
  const weights = waste.map((own) => 0.1 + own / most);
  const target = 4 + random() ** 2 * (MOST_ANEW - 4);
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
