import {
  type ByHandLimits,
  NOTHING_EXTRA,
  firstPlan,
  planned,
  wholeRoll,
  withBound,
} from '../by-hand/lay-out-by-hand';
import { type SpaceResult, searchSpaces } from '../by-hand/search-spaces';
import { stripProblem } from '../by-hand/strip-problem';
import type { LayoutPlan, LayoutRequest } from '../layout-plan';
import { lengthBound } from '../layout';
import { refuseLayout } from '../level-layout';
import { blockOf } from './blocks';
import { placeBlocks } from './place-blocks';
import { type FreeLayout, searchFree } from './search-free';
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
export function* layOutFreeSteps(
  request: LayoutRequest,
  { seed, mostRounds }: Omit<ByHandLimits, 'stages'>,
): Generator<LayoutPlan, LayoutPlan> {
  refuseLayout(request);
  const first = firstPlan(request);
  if (first !== undefined) yield first;
  if (first?.stopped === 'optimal') return first;
  const problem = stripProblem(request);
  const isDifferent = first !== undefined && isMostlyDifferent(problem);
  let isLate = isDifferent;
  let bound = lengthBound(request, isLate);
  const least = Math.ceil(bound.bound_mm.value / problem.alongStep_mm - 1e-6);
  const byHand = searchSpaces([wholeRoll(problem)], {
    seed,
    stages: 3,
    mostRounds,
    bound: least,
    prices: bound.prices,
    turned: bound.turned,
    extra: NOTHING_EXTRA,
    isFilmOnly: true,
  });
  let best = first && withBound(first, bound);
  let known: FreeLayout | undefined;
  const planOf = (layout: FreeLayout): LayoutPlan => {
    if (
      best === undefined ||
      (layout.blocks.length > 0 &&
        layout !== known &&
        layout.length * problem.alongStep_mm < best.length_mm.value - 1e-9)
    )
      best = planned(request, bound, placeBlocks(problem, layout.blocks, request.rollWidth_mm), false);
    known = layout;
    return best;
  };
  const isForPerfect = mayBePerfect(problem, least);
  /** Pieces of few sizes that were perhaps cut without waste are put together again soonest by hand. */
  const isByHandFirst = !isForPerfect && problem.area === least * problem.width;
  const rarer = Math.max(1, Math.round(request.pieces.length / USUAL));
  const turns =
    isForPerfect || isByHandFirst
      ? TURNS_FOR_PERFECT
      : { first: TURNS.first * rarer, seldom: TURNS.seldom * rarer, often: TURNS.often * rarer };
  const startFree = (start: FreeLayout): ReturnType<typeof searchFree> =>
    searchFree(problem, { seed, mostRounds, bound: least, prices: bound.prices, start });
  const ofHand = ({ laid, cost }: SpaceResult): FreeLayout => ({
    blocks: laid.map(({ band }) => blockOf(problem, band)),
    length: cost,
  });
  let hand = best === undefined || isByHandFirst ? byHand.next() : undefined;
  while (
    hand?.done === false &&
    (!hand.value.isComplete || (isByHandFirst && hand.value.rounds < Math.min(mostRounds, BY_HAND_ROUNDS)))
  ) {
    if (hand.value.isComplete) yield planOf(ofHand(hand.value));
    hand = byHand.next();
  }
  let search = startFree(
    hand === undefined || !hand.value.isComplete
      ? { blocks: [], length: Math.floor((best?.length_mm.value ?? 0) / problem.alongStep_mm) + 1 }
      : ofHand(hand.value),
  );
  let step = search.next();
  for (let turn = 1; step.done !== true; turn += 1) {
    const plan = planOf(step.value);
    yield plan;
    if (turn === LATE_BOUND && isLate) {
      isLate = false;
      bound = lengthBound(request);
      best = withBound(plan, bound);
      if (best.stopped === 'optimal') return best;
      if (!isForPerfect) {
        search = startFree(step.value);
        search.next();
      }
    }
    let lent: FreeLayout | undefined;
    if (
      hand?.done !== true &&
      turn >= turns.first &&
      turn %
        (hand === undefined || hand.value.cost > step.value.length * NEAR_BEHIND
          ? turns.seldom
          : turns.often) ===
        0
    ) {
      hand = byHand.next();
      if (hand.value.isComplete && hand.value.cost < step.value.length) lent = ofHand(hand.value);
    }
    step = search.next(lent);
  }
  const freely = step.value;
  if (freely.length > least)
    while (hand?.done !== true) {
      yield planOf(freely);
      hand = byHand.next();
    }
  const shortest = planOf(
    hand?.done === true && hand.value.isComplete && hand.value.cost < freely.length
      ? ofHand(hand.value)
      : freely,
  );
  return isLate && shortest.stopped !== 'optimal' ? withBound(shortest, lengthBound(request)) : shortest;
}
