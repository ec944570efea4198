import {
  type GuillotineLimits,
  NOTHING_EXTRA,
  firstPlan,
  planned,
  wholeRoll,
  withBound,
} from '../guillotine/lay-out-guillotine';
import { type SegmentResult, searchSegments } from '../guillotine/search-segments';
import { type PackingProblem, packingProblem } from '../problem/packing-problem';
import type { LayoutPlan, LayoutRequest } from '../problem/layout-plan';
import { type LengthBound, lengthBound } from '../problem/layout';
import { refuseLayout } from '../guillotine/level-layout';
import { blockOf } from './blocks';
import { placeBlocks } from './place-blocks';
import { type SkylineLayout, searchSkyline } from './search-skyline';
import { isMostlyDifferent, mayBePerfect } from './whole-runs';

/**
 * The whole bound of many different pieces takes longer than laying them well: it waits for so many steps of
 * the search.
 */
const LATE_BOUND = 60;
/**
 * After how many steps of a beam a round by hand, which takes as long as many of them, gets its first turn,
 * and how often then: oftener where it is near. Where there may be no waste it is often the first to find so.
 */
const TURNS = { first: 300, seldom: 30, often: 15 } as const;
const TURNS_FOR_PERFECT = { first: 16, seldom: 8, often: 8 } as const;
/** With more pieces a round by hand takes longer, a step of a beam does not. */
const USUAL = 300;
const NEAR_BEHIND = 1.004;
/** Rounds by hand where it goes first. */
const BY_HAND_ROUNDS = 60;

/**
 * Lays pieces out for a plotter: anywhere, as long as none overlap. A search for layouts that can be cut by
 * hand goes on beside it and lends it its best, so that it is never longer than that one. Any-time,
 * deterministic for a seed and a number of rounds, as `layOutByHandSteps`.
 * @throws CoreError as `layOutInLevels`
 */
export function* layOutSkylineSteps(
  request: LayoutRequest,
  limits: Omit<GuillotineLimits, 'stages'>,
): Generator<LayoutPlan, LayoutPlan> {
  refuseLayout(request);
  const first = firstPlan(request);
  if (first !== undefined) yield first;
  if (first?.stopped === 'optimal') return first;
  const both = new BothSearches(request, limits, first);
  yield* both.byHandAtFirst();
  let search = both.startFree(both.start());
  let step = search.next();
  for (let turn = 1; step.done !== true; turn += 1) {
    const plan = both.planOf(step.value);
    yield plan;
    if (turn === LATE_BOUND && both.isLate) {
      if (both.boundInFull(plan).stopped === 'optimal') return both.planOf(step.value);
      if (!both.isForPerfect) {
        search = both.startFree(step.value);
        search.next();
      }
    }
    step = search.next(both.lentBy(turn, step.value));
  }
  const freely = step.value;
  if (freely.length > both.least) yield* both.byHandToTheEnd(freely);
  const shortest = both.planOf(both.shorterOf(freely));
  return both.isLate && shortest.stopped !== 'optimal' ? withBound(shortest, lengthBound(request)) : shortest;
}

/** The search for free layouts, the one for layouts cut by hand beside it, and the best of both so far. */
class BothSearches {
  readonly least: number;
  readonly isForPerfect: boolean;
  /** While only the quick bound is known. */
  isLate: boolean;
  readonly #problem: PackingProblem;
  readonly #byHand: ReturnType<typeof searchSegments>;
  /** Pieces of few sizes that were perhaps cut without waste are put together again soonest by hand. */
  readonly #isByHandFirst: boolean;
  readonly #turns: { readonly first: number; readonly seldom: number; readonly often: number };
  #bound: LengthBound;
  #best: LayoutPlan | undefined;
  #known: SkylineLayout | undefined;
  #hand: IteratorResult<SegmentResult, SegmentResult> | undefined;

  constructor(
    private readonly request: LayoutRequest,
    private readonly limits: Omit<GuillotineLimits, 'stages'>,
    first: LayoutPlan | undefined,
  ) {
    const { seed, mostRounds } = limits;
    const problem = packingProblem(request);
    this.#problem = problem;
    this.isLate = first !== undefined && isMostlyDifferent(problem);
    const bound = lengthBound(request, this.isLate);
    this.#bound = bound;
    this.least = Math.ceil(bound.bound_mm.value / problem.alongStep_mm - 1e-6);
    this.#byHand = searchSegments([wholeRoll(problem)], {
      seed,
      stages: 3,
      mostRounds,
      bound: this.least,
      prices: bound.prices,
      turned: bound.turned,
      extra: NOTHING_EXTRA,
      isFilmOnly: true,
    });
    this.#best = first && withBound(first, bound);
    this.isForPerfect = mayBePerfect(problem, this.least);
    this.#isByHandFirst = !this.isForPerfect && problem.area === this.least * problem.width;
    const rarer = Math.max(1, Math.round(request.pieces.length / USUAL));
    this.#turns =
      this.isForPerfect || this.#isByHandFirst
        ? TURNS_FOR_PERFECT
        : { first: TURNS.first * rarer, seldom: TURNS.seldom * rarer, often: TURNS.often * rarer };
  }

  /** The best plan, with this layout among those it was chosen from. */
  planOf(layout: SkylineLayout): LayoutPlan {
    if (
      this.#best === undefined ||
      (layout.blocks.length > 0 &&
        layout !== this.#known &&
        layout.length * this.#problem.alongStep_mm < this.#best.length_mm.value - 1e-9)
    ) {
      const placed = placeBlocks(this.#problem, layout.blocks, this.request.rollWidth_mm);
      this.#best = planned(this.request, this.#bound, placed, false);
    }
    this.#known = layout;
    return this.#best;
  }

  /** Where nothing is laid yet, or it goes first: rounds by hand before the free search begins. */
  *byHandAtFirst(): Generator<LayoutPlan, void> {
    const rounds = Math.min(this.limits.mostRounds, BY_HAND_ROUNDS);
    this.#hand = this.#best === undefined || this.#isByHandFirst ? this.#byHand.next() : undefined;
    while (
      this.#hand?.done === false &&
      (!this.#hand.value.isComplete || (this.#isByHandFirst && this.#hand.value.rounds < rounds))
    ) {
      if (this.#hand.value.isComplete) yield this.planOf(this.#ofHand(this.#hand.value));
      this.#hand = this.#byHand.next();
    }
  }

  *byHandToTheEnd(freely: SkylineLayout): Generator<LayoutPlan, void> {
    while (this.#hand?.done !== true) {
      yield this.planOf(freely);
      this.#hand = this.#byHand.next();
    }
  }

  /** What the free search begins with. */
  start(): SkylineLayout {
    return this.#hand === undefined || !this.#hand.value.isComplete
      ? {
          blocks: [],
          length: Math.floor((this.#best?.length_mm.value ?? 0) / this.#problem.alongStep_mm) + 1,
        }
      : this.#ofHand(this.#hand.value);
  }

  startFree(start: SkylineLayout): ReturnType<typeof searchSkyline> {
    const { seed, mostRounds } = this.limits;
    return searchSkyline(this.#problem, {
      ...{ seed, mostRounds, bound: this.least, prices: this.#bound.prices },
      start,
    });
  }

  /** The whole bound, when the quick one was taken at first. */
  boundInFull(plan: LayoutPlan): LayoutPlan {
    this.isLate = false;
    this.#bound = lengthBound(this.request);
    this.#best = withBound(plan, this.#bound);
    return this.#best;
  }

  /** When it is its turn, a round by hand; its layout where it is shorter. */
  lentBy(turn: number, free: SkylineLayout): SkylineLayout | undefined {
    const { first, seldom, often } = this.#turns;
    const isBehind = this.#hand === undefined || this.#hand.value.cost > free.length * NEAR_BEHIND;
    if (this.#hand?.done === true || turn < first || turn % (isBehind ? seldom : often) !== 0)
      return undefined;
    this.#hand = this.#byHand.next();
    const { value } = this.#hand;
    return value.isComplete && value.cost < free.length ? this.#ofHand(value) : undefined;
  }

  shorterOf(freely: SkylineLayout): SkylineLayout {
    const hand = this.#hand;
    return hand?.done === true && hand.value.isComplete && hand.value.cost < freely.length
      ? this.#ofHand(hand.value)
      : freely;
  }

  #ofHand({ laid, cost }: SegmentResult): SkylineLayout {
    return { blocks: laid.map(({ strip }) => blockOf(this.#problem, strip)), length: cost };
  }
}
