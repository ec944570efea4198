import { seededRandom } from '../../quantity';
import type { StripProblem } from '../by-hand/strip-problem';
import { byWeight } from '../by-weight';
import { pricedRoom } from '../exact/priced-room';
import { type BeamWays, type Block, beam } from './beam';
import { partedAt } from './blocks';
import { BredWays, type Way } from './bred-ways';
import { WholeRuns, mayBePerfect } from './whole-runs';

export interface FreeSearch {
  readonly seed: number;
  readonly mostRounds: number;
  /** No layout can be shorter; reaching it ends the search. */
  readonly bound: number;
  /** What a piece of each kind is worth in the bound, in any one unit, if that is known. */
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
/** What a stretch of a front counts against it, as a share of half of all length. */
const STRETCHES = [0.003, 0.01, 0.03] as const;
const FRONTS = [1, 2, 4, 8, 16, 32, 64] as const;
/** Where nothing is known to lead, what is worth more is laid a little sooner. */
const SOON = 0.002;
/** How often all pieces are laid anew, and how often where they may be laid without waste. */
const WHOLE = 0.5;
const FOR_PERFECT_WHOLE = 0.75;

/** Lays all pieces anew again and again, in ways that are bred by what they led to or, where there may be no waste, with beams of growing width; between them takes some blocks of the best
 *  apart and lays their pieces anew, kept when not longer. Yields the best so far and may be given a better one; deterministic for a seed and a number of rounds. @source own: beam search inside a large neighbourhood search */
export function* searchFree(problem: StripProblem, { seed, mostRounds, bound, prices: given, start }: FreeSearch): Generator<FreeLayout, FreeLayout, FreeLayout | undefined> {
  const random = seededRandom(seed);
  const prices = given && pricedRoom(problem, given).own;
  const all = Uint16Array.from(problem.kinds, ({ quantity }) => quantity);
  const whole = mayBePerfect(problem, bound) ? new WholeRuns(bound, random) : undefined;
  const bred = new BredWays(problem, prices !== undefined, random);
  let best = start;
  let { blocks } = start;
  let length = start.length;
  let lent: FreeLayout | undefined;
  const hear = (better: FreeLayout | undefined): void => { if (better !== undefined && better.length < (lent ?? best).length) lent = better; };
  hear(yield best);
  for (let round = 0; round < mostRounds; round += 1) {
    if (lent !== undefined && lent.length < best.length) { best = lent; ({ blocks, length } = lent); }
    if (best.length <= bound) break;
    const isWhole = round === 0 || blocks.length === 0 || random() < (whole === undefined ? WHOLE : FOR_PERFECT_WHOLE);
    const wholeRun = isWhole ? whole?.next(best.length) : undefined;
    const way = isWhole && whole === undefined ? bred.next() : undefined;
    const taken = isWhole ? new Set(blocks.keys()) : takeApart(problem, blocks, random);
    const pieces = isWhole ? all : new Uint16Array(all.length);
    let before = 0;
    for (const index of taken) { before += blocks[index]?.along ?? 0; if (!isWhole) for (const { lie } of blocks[index]?.moves ?? []) pieces[lie.kind] = (pieces[lie.kind] ?? 0) + 1; }
    const ways = way !== undefined ? bredWays(problem, prices, way, bred.fronts, random) : whole === undefined ? bredWays(problem, prices, bred.one(), someFronts(random), random) : plainWays(problem, wholeRun?.fronts, random);
    const run = beam(problem, pieces, ways, way !== undefined ? bred.most : (wholeRun?.most ?? before + 1));
    let step = run.next();
    for (; step.done !== true; step = run.next()) hear(yield best);
    if (step.value === undefined) {
      if (wholeRun !== undefined) whole?.foundNothing(wholeRun);
      if (way !== undefined) bred.foundNothing();
      continue;
    }
    if (way !== undefined) bred.found(way, step.value.along);
    if (isWhole && step.value.along > length) continue;
    blocks = isWhole ? partedAt(step.value) : [...blocks.filter((_, index) => !taken.has(index)), ...partedAt(step.value)];
    length = isWhole ? step.value.along : length + step.value.along - before;
    if (length < best.length) best = { blocks, length };
    hear(yield best);
  }
  return best;
}

const someFronts = (random: () => number): number => FRONTS[Math.floor(random() ** 2 * FRONTS.length)] ?? 1;

function bredWays({ width, kinds }: StripProblem, prices: readonly number[] | undefined, { mix, lean, chance, firstRow, tries }: Way, fronts: number, random: () => number): BeamWays {
  const worth = kinds.map(({ across, along }, kind) => ((1 - mix) * across * along) / width + mix * (prices?.[kind] ?? 0));
  return { fronts, tries, chance, firstRow, stretch: 0, worth, soon: worth.map((own, kind) => own * Math.exp(lean[kind] ?? 0)), random };
}

/** @param wholeFronts of a run over all pieces: more pieces are tried on each front, and with less chance */
function plainWays({ width, area, kinds }: StripProblem, wholeFronts: number | undefined, random: () => number): BeamWays {
  const isWhole = wholeFronts !== undefined;
  const stretch = isWhole || random() < 0.5 ? (STRETCHES[Math.floor(random() * STRETCHES.length)] ?? 0) : 0;
  const worth = kinds.map(({ across, along }) => (across * along) / width);
  return { fronts: wholeFronts ?? someFronts(random), tries: (isWhole ? 6 : 2) + Math.floor(random() * 7), chance: 0.05 + random() * (isWhole ? 0.2 : 1), firstRow: 1, stretch: (stretch * area) / width / 2, worth, soon: worth.map((own) => SOON * own), random };
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
