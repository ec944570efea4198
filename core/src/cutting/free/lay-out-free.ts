import { type ByHandLimits, NOTHING_EXTRA, firstPlan, planned, wholeRoll, withBound } from '../by-hand/lay-out-by-hand';
import { type SpaceResult, searchSpaces } from '../by-hand/search-spaces';
import { stripProblem } from '../by-hand/strip-problem';
import { type LayoutPlan, type LayoutRequest, lengthBound } from '../layout';
import { refuseLayout } from '../level-layout';
import { blockOf } from './blocks';
import { placeBlocks } from './place-blocks';
import { type FreeLayout, searchFree } from './search-free';
import { isMostlyDifferent } from './whole-runs';

const BY_HAND_ROUNDS = 60;
/** The whole bound of many different pieces takes longer than laying them well: it waits for so many steps of the search. */
const LATE_BOUND = 60;
/** A round by hand takes as long as many steps of a beam: it gets a turn often while it is near, seldom when it has fallen behind. */
const NEAR_BEHIND = 1.004;
const OFTEN = 2;
const SELDOM = 3;
const RARELY = 8;
/** Where it does not begin, it waits for so many. */
const LATE_BY_HAND = 16;

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
  const startFree = (ownSeed: number, { laid, cost }: Pick<SpaceResult, 'laid' | 'cost'>): ReturnType<typeof searchFree> => searchFree(problem, { seed: ownSeed, mostRounds, bound: least, prices: bound.prices, start: { blocks: laid.map(({ band }) => blockOf(problem, band)), length: cost } });
  /** Where hardly two pieces are alike the plotter's own search is the quicker one: it goes first. */
  let hand = isDifferent ? undefined : byHand.next();
  while (hand !== undefined && hand.done !== true && (!hand.value.isComplete || hand.value.rounds < Math.min(mostRounds, BY_HAND_ROUNDS))) {
    if (hand.value.isComplete) yield planOf({ blocks: hand.value.laid.map(({ band }) => blockOf(problem, band)), length: hand.value.cost });
    hand = byHand.next();
  }
  let search = startFree(seed, hand === undefined ? { laid: [], cost: Math.floor((best?.length_mm.value ?? 0) / problem.alongStep_mm) + 1 } : hand.value);
  let turn = 0;
  for (let restarts = 1; ; ) {
    const step = search.next();
    const plan = planOf(step.value);
    if (step.done === true) return plan;
    yield plan;
    turn += 1;
    if (turn === LATE_BOUND && isDifferent) {
      bound = lengthBound(request);
      best = withBound(plan, bound);
      if (best.stopped === 'optimal') return best;
    }
    if (hand?.done === true || (hand === undefined && turn < LATE_BY_HAND) || turn % (isDifferent || hand === undefined ? RARELY : hand.value.cost > step.value.length * NEAR_BEHIND ? SELDOM : OFTEN) !== 0) continue;
    hand = byHand.next();
    if (!hand.value.isComplete || hand.value.cost >= step.value.length) continue;
    restarts += 1;
    search = startFree(seed + restarts, hand.value);
  }
}
