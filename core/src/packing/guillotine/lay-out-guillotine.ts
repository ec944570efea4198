import type { LayoutPlan, LayoutRequest } from '../problem/layout-plan';
import { type LengthBound, layoutSums, lengthBound } from '../problem/layout';
import { layOutInLevels, refuseLayout } from './level-layout';
import { isFewForAnyCuts, shortestOfAnyCuts } from '../exact/any-cuts';
import { partedAt } from '../skyline/blocks';
import { placeBlocks } from '../skyline/place-blocks';
import { placeStrips } from './place-strips';
import { BEFORE_EXACT, type SegmentResult, searchSegments } from './search-segments';
import type { StripExtra, StockSegment } from './stock-segment';
import { type PackingProblem, packingProblem } from '../problem/packing-problem';

/**
 * Cross-cut, slit, and with 3 cross-cut again; a last trimming cut is free. `ANY_STAGES`: as many as it
 * takes, where few pieces are laid; many are laid in 3.
 */
export type Stages = 2 | 3 | typeof ANY_STAGES;
export const ANY_STAGES = 99;

export interface GuillotineLimits {
  readonly stages: Stages;
  readonly seed: number;
  /** Rounds of improving; the same seed and rounds give the same plan. */
  readonly mostRounds: number;
}

const MOST_STACKS = 8;
const MOST_ITEM_TYPES_AT_ONCE = 48;
const LATE_BOUND_ROUNDS = 150;
const BOTH_EDGES = 2;
export const NOTHING_EXTRA: StripExtra = () => 0;
const NEAR_MM = 0.05;

/**
 * Lays pieces out so that a person can cut them with a straight-edge: strips across the roll, stacks in a
 * strip, pieces in a stack. Any-time: gives the best plan so far after each round, the first at once, until
 * the bound is met, few pieces were gone through whole, or the rounds are done. Never worse than
 * `layOutInLevels`. Pieces that want a factory edge lie at one.
 * @throws CoreError as `layOutInLevels`
 * @source own search: subset sums by bit sets, large neighbourhoods, exact dynamic programme for few pieces
 */
export function* layOutGuillotineSteps(
  request: LayoutRequest,
  { stages, seed, mostRounds }: GuillotineLimits,
): Generator<LayoutPlan, LayoutPlan> {
  refuseLayout(request);
  const first = firstPlan(request);
  if (first !== undefined) yield first;
  if (first?.stopped === 'optimal') return first;
  const problem = packingProblem(request);
  const isLate = first !== undefined && hasSlowBound(problem);
  const isAny = stages === ANY_STAGES;
  const incumbent = new Incumbent(request, problem, !isAny, lengthBound(request, isLate), first);
  if (incumbent.plan?.stopped === 'optimal') return incumbent.plan;
  const { bound } = incumbent;
  const search = searchSegments([wholeRoll(problem)], {
    seed,
    stages: isAny ? 3 : stages,
    /** Proven in three stages first would only take longer: no layout of any stages can be missed by it. */
    mostRounds: isAny && isFewForAnyCuts(problem) ? Math.min(mostRounds, BEFORE_EXACT) : mostRounds,
    bound: Math.ceil(bound.bound_mm.value / problem.alongStep_mm - 1e-6),
    prices: bound.prices,
    turned: bound.turned,
    extra: NOTHING_EXTRA,
    isFilmOnly: true,
  });
  for (let step = search.next(); ; step = search.next()) {
    if (!step.value.isComplete && step.done !== true) continue;
    const plan = incumbent.take(step.value);
    if (step.done === true) return isAny ? inAnyStages(request, problem, incumbent.bound, plan) : plan;
    yield plan;
    if (!isLate || step.value.rounds !== LATE_BOUND_ROUNDS) continue;
    const proven = incumbent.take(step.value, lengthBound(request));
    if (proven.stopped === 'optimal') return proven;
  }
}

/** The best plan so far, kept as the search gives better ones. */
class Incumbent {
  plan: LayoutPlan | undefined;
  #laid: SegmentResult['laid'] | undefined;

  constructor(
    private readonly request: LayoutRequest,
    private readonly problem: PackingProblem,
    private readonly isProofFinal: boolean,
    public bound: LengthBound,
    first: LayoutPlan | undefined,
  ) {
    this.plan = first && withBound(first, bound);
  }

  take({ laid, cost, isProven }: SegmentResult, bound?: LengthBound): LayoutPlan {
    const { request, problem } = this;
    const isOptimal = isProven && this.isProofFinal;
    if (
      this.plan === undefined ||
      (laid !== this.#laid && cost * problem.alongStep_mm < this.plan.length_mm.value - 1e-9)
    ) {
      this.#laid = laid;
      const strips = laid.map(({ strip }) => strip);
      const placed = placeStrips(problem, strips, request.rollWidth_mm);
      this.plan = planned(request, this.bound, placed, isOptimal);
    } else if (isOptimal && this.plan.stopped !== 'optimal') this.plan = { ...this.plan, stopped: 'optimal' };
    if (bound !== undefined) {
      this.bound = bound;
      this.plan = withBound(this.plan, bound);
    }
    return this.plan;
  }
}

/** Few pieces in as many stages as it takes, proven; many as they are. */
function inAnyStages(
  request: LayoutRequest,
  problem: PackingProblem,
  bound: LengthBound,
  plan: LayoutPlan,
): LayoutPlan {
  if (plan.stopped === 'optimal' || !isFewForAnyCuts(problem)) return plan;
  const most = Math.round(plan.length_mm.value / problem.alongStep_mm);
  const block = shortestOfAnyCuts(problem, most, bound.prices);
  return block === undefined || block.along === most
    ? { ...plan, stopped: 'optimal' }
    : planned(request, bound, placeBlocks(problem, partedAt(block), request.rollWidth_mm), true);
}

/**
 * Whether the whole bound of this many different pieces takes longer than laying them well: it then waits for
 * some rounds of the search.
 */
function hasSlowBound({ itemTypes }: PackingProblem): boolean {
  return itemTypes.length > MOST_ITEM_TYPES_AT_ONCE;
}

/** A plan at once, in levels; undefined when pieces want a factory edge, which levels do not heed. */
export function firstPlan(request: LayoutRequest): LayoutPlan | undefined {
  if (request.pieces.length === 0)
    return { ...layOutInLevels(request, lengthBound(request)), stopped: 'optimal' };
  return request.pieces.some(({ wantsEdge }) => wantsEdge === true)
    ? undefined
    : layOutInLevels(request, lengthBound(request, true));
}

export function withBound(plan: LayoutPlan, { bound_mm }: LengthBound): LayoutPlan {
  return {
    ...plan,
    bound_mm,
    stopped: plan.length_mm.value - bound_mm.value < NEAR_MM ? 'optimal' : plan.stopped,
  };
}

/** A roll without end, cut from edge to edge. */
export function wholeRoll(problem: PackingProblem): StockSegment {
  return {
    problem,
    most: Number.POSITIVE_INFINITY,
    mostStrip: Number.POSITIVE_INFINITY,
    cost: 1,
    fixed: 0,
    mostStacks: MOST_STACKS,
    edges: BOTH_EDGES,
    lot: 0,
  };
}

/**
 * The same, run through.
 * @param isOver asked between rounds: true keeps the best so far
 * @param onBetter each better plan as it is found
 */
export function layOutGuillotine(
  request: LayoutRequest,
  limits: GuillotineLimits,
  isOver: () => boolean = () => false,
  onBetter: (plan: LayoutPlan) => void = () => undefined,
): LayoutPlan {
  return runThrough(layOutGuillotineSteps(request, limits), isOver, onBetter);
}

/** Runs a search that gives its best so far after each round. */
export function runThrough<Plan>(
  steps: Generator<Plan, Plan>,
  isOver: () => boolean,
  onBetter: (plan: Plan) => void,
): Plan {
  let last: Plan | undefined;
  for (let step = steps.next(); ; step = steps.next()) {
    if (step.value !== last) onBetter(step.value);
    last = step.value;
    if (step.done === true || isOver()) return last;
  }
}

export function planned(
  request: LayoutRequest,
  bound: LengthBound,
  placed: LayoutPlan['placed'],
  isProven: boolean,
): LayoutPlan {
  const sums = layoutSums(request, placed, bound);
  return {
    placed,
    ...sums,
    stopped: isProven || sums.length_mm.value - sums.bound_mm.value < NEAR_MM ? 'optimal' : 'limit',
  };
}
