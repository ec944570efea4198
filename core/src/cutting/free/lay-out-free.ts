import { type ByHandLimits, NOTHING_EXTRA, firstPlan, planned, wholeRoll, withBound } from '../by-hand/lay-out-by-hand';
import { searchSpaces } from '../by-hand/search-spaces';
import { stripProblem } from '../by-hand/strip-problem';
import { type LayoutPlan, type LayoutRequest, lengthBound } from '../layout';
import { refuseLayout } from '../level-layout';
import { blockOf } from './blocks';
import { placeBlocks } from './place-blocks';
import { type FreeLayout, searchFree } from './search-free';
import { isMostlyDifferent } from './whole-runs';

/** The whole bound of many different pieces takes longer than laying them well: it waits for so many steps of the search. */
const LATE_BOUND = 60;
/** A round by hand takes as long as many steps of a beam: it gets a turn oftener while it is near. */
const NEAR_BEHIND = 1.004;
const OFTEN = 15;
const SELDOM = 30;
/** It waits for so many first. */
const LATE_BY_HAND = 300;

/** Lays pieces out for a plotter: anywhere, as long as none overlap. A search for layouts that can be cut by hand goes on beside it and lends it its best, so that it is never longer than that one.
 *  Any-time, deterministic for a seed and a number of rounds, as `layOutByHandSteps`. @throws CoreError as `layOutInLevels` */
export function* layOutFreeSteps(request: LayoutRequest, { seed, mostRounds }: Omit<ByHandLimits, 'stages'>): Generator<LayoutPlan, LayoutPlan> {
  refuseLayout(request);
  const first = firstPlan(request);
  if (first !== undefined) yield first;
  if (first?.stopped === 'optimal') return first;
  const problem = stripProblem(request);
  const isDifferent = first !== undefined && isMostlyDifferent(problem);
  let bound = lengthBound(request, isDifferent);
  const least = Math.ceil(bound.bound_mm.value / problem.alongStep_mm - 1e-6);
  const byHand = searchSpaces([wholeRoll(problem)], { seed, stages: 3, mostRounds, bound: least, prices: bound.prices, turned: bound.turned, extra: NOTHING_EXTRA, isFilmOnly: true, penalty: () => 0 });
  let best = first && withBound(first, bound);
  let known: FreeLayout | undefined;
  const planOf = (layout: FreeLayout): LayoutPlan => {
    if (best === undefined || (layout.blocks.length > 0 && layout !== known && layout.length * problem.alongStep_mm < best.length_mm.value - 1e-9)) best = planned(request, bound, placeBlocks(problem, layout.blocks, request.rollWidth_mm), false);
    known = layout;
    return best;
  };
  const search = searchFree(problem, { seed, mostRounds, bound: least, prices: bound.prices, start: { blocks: [], length: Math.floor((best?.length_mm.value ?? 0) / problem.alongStep_mm) + 1 } });
  let step = search.next();
  let hand = undefined as ReturnType<typeof byHand.next> | undefined;
  let turn = 0;
  for (;;) {
    const plan = planOf(step.value);
    if (step.done === true) return plan;
    yield plan;
    turn += 1;
    if (turn === LATE_BOUND && isDifferent) {
      bound = lengthBound(request);
      best = withBound(plan, bound);
      if (best.stopped === 'optimal') return best;
    }
    let lent: FreeLayout | undefined;
    if (hand?.done !== true && turn >= LATE_BY_HAND && turn % (hand === undefined || isDifferent || hand.value.cost > step.value.length * NEAR_BEHIND ? SELDOM : OFTEN) === 0) {
      hand = byHand.next();
      if (hand.value.isComplete && hand.value.cost < step.value.length) lent = { blocks: hand.value.laid.map(({ band }) => blockOf(problem, band)), length: hand.value.cost };
    }
    step = search.next(lent);
  }
}
