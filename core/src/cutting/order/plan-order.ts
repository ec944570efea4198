import {
  ANY_STAGES,
  type SegmentResult,
  searchSegments,
  type LaidStrip,
  type SkylineLayout,
} from '../../packing';
import type { CutOrder, CutOrderPlan, OrderPiece, StockUse } from './cut-order';
import { levelled, usesOf } from './film-uses';
import { finishedPlan } from './finished-plan';
import { skylineSearches } from './skyline-on-rolls';
import {
  leastFilm,
  leastFilmByArea,
  leastFilmOfArea,
  leastFilmOffcutsWhole,
  lessLastGaps,
} from './least-film';
import { splitPenalty } from './lot-split-penalty';
import { MISSING, missingFilm } from './missing-film';
import { extraOf, withFilmBound, withLowerBound } from './order-money';
import { type PlacedSegment, orderSegments } from './order-segments';
import { pairOutlines } from './pair-outlines';
import { blockDrops } from './pattern-blocks';
import { refuseOrder } from './refuse-order';
import { shorterByAnyCuts } from './shorter-by-any-cuts';

interface OrderLimits {
  readonly seed: number;
  readonly mostRounds: number;
}

const FREE_SHARE = 0.3;
const FREE_AFTER = 600;
/** From this round on each better plan of few pieces is tried in as many stages as it takes. */
const ANY_AFTER = 30;
/** Rounds between two steps of the bound. */
const BOUND_EVERY = 4;
const NEAR = 1e-6;

/**
 * Lays an order on the rolls and offcuts there are, and on rolls to order: which piece on which film, and
 * where. Pinned pieces stay. Any-time, as `layOutByHandSteps`; pieces there is no film for are named, never
 * left out silently.
 * @throws CoreError as `refuseOrder`
 * @source own: one search over strips on all films, led by the prices of the bar relaxation
 */
export function* planOrderSteps(order: CutOrder, limits: OrderLimits): Generator<CutOrderPlan, CutOrderPlan> {
  refuseOrder(order);
  const { order: blocked, apart: dropsOf, idsOf } = blockDrops(order);
  const { order: paired, apart: pairsOf, idsOf: idsOfPair } = pairOutlines(blocked);
  const hasBlocks = blocked !== order;
  const apart = (placed: CutOrderPlan['uses'][number]['placed']): CutOrderPlan['uses'][number]['placed'] =>
    dropsOf(pairsOf(placed));
  /**
   * Pieces that nest, or between whose repeats others might lie, cost at least their area; what their boxes
   * would prove is too much.
   */
  const byArea = hasBlocks ? leastFilmOfArea(order) : leastFilmByArea(order);
  let known: { readonly from: CutOrderPlan; readonly to: CutOrderPlan } | undefined;
  const whole = (plan: CutOrderPlan): CutOrderPlan => {
    if (byArea === Number.POSITIVE_INFINITY) return plan;
    if (known?.from !== plan)
      known = {
        from: plan,
        to: withLowerBound(
          {
            ...plan,
            uses: plan.uses.map((use) => withPlaced(use, apart(use.placed))),
            notLaid: paired === order ? plan.notLaid : plan.notLaid.flatMap(idsOfPair).flatMap(idsOf),
            stopped: plan.stopped === 'optimal' ? 'limit' : plan.stopped,
          },
          byArea,
        ),
      };
    return known.to;
  };
  const steps = planSteps(paired, limits);
  for (let step = steps.next(); ; step = steps.next()) {
    if (step.done === true) return whole(step.value);
    yield whole(step.value);
  }
}

/** A use with its blocks and pairs taken apart; its levels counted anew. */
function withPlaced(use: StockUse, placed: StockUse['placed']): StockUse {
  return placed.length === use.placed.length ? { ...use, placed } : { ...use, placed: levelled([...placed]) };
}

function* planSteps(order: CutOrder, limits: OrderLimits): Generator<CutOrderPlan, CutOrderPlan> {
  const widest = order.stocks.reduce((most, { width_mm }) => Math.max(most, width_mm), 0);
  const fits = ({ across_mm, along_mm, mayTurn90 }: OrderPiece): boolean =>
    across_mm <= widest || (mayTurn90 && along_mm <= widest);
  const tooWide = order.pieces.filter((piece) => !fits(piece)).map(({ id }) => id);
  const laidOrder = tooWide.length === 0 ? order : { ...order, pieces: order.pieces.filter(fits) };
  const segments = orderSegments({ ...laidOrder, stocks: [...laidOrder.stocks, missingFilm(order)] });
  if ((segments[0]?.problem.itemTypes ?? []).length === 0 || widest === 0) {
    const pinned = usesOf(laidOrder, segments, [], new Map());
    return finishedPlan(laidOrder, segments, pinned, [], tooWide, 0, 'optimal');
  }
  const search = new OrderSearch(laidOrder, segments, tooWide, limits);
  const end = yield* search.byHand();
  if (order.mode === 'by plotter') yield* search.freely(end);
  return search.finish(end);
}

/** The search over the strips of all films, its bound, and the best plan so far. */
class OrderSearch {
  readonly #open: readonly PlacedSegment[];
  readonly #least: ReturnType<typeof leastFilm>;
  readonly #search: ReturnType<typeof searchSegments>;
  readonly #higher: ReturnType<typeof leastFilmOffcutsWhole> | undefined;
  readonly #isAny: boolean;
  #filmBound: number;
  #best: CutOrderPlan | undefined;
  #freed = new Map<number, SkylineLayout>();
  #shortest: CutOrderPlan | undefined;
  #triedAny: SegmentResult['laid'] | undefined;

  constructor(
    private readonly order: CutOrder,
    segments: readonly PlacedSegment[],
    private readonly tooWide: readonly string[],
    private readonly limits: OrderLimits,
  ) {
    const isForMoney = order.objective === 'money';
    const isFilmOnly = order.objective === 'length' || order.mode === 'by plotter';
    this.#open = segmentsOfUse(segments);
    this.#least = leastFilm(this.#open);
    this.#search = searchSegments(this.#open, {
      seed: limits.seed,
      stages: order.stages === ANY_STAGES ? 3 : order.stages,
      mostRounds: limits.mostRounds,
      bound: isFilmOnly ? (this.#least?.bound ?? 0) : Number.NEGATIVE_INFINITY,
      prices: this.#least?.prices,
      turned: this.#least?.turned,
      extra: extraOf(order),
      isFilmOnly,
      penalty: splitPenalty(order, this.#open),
    });
    /** Of many sizes the programme of slices is not asked: by area there is always a bound. */
    const bySlices = isForMoney ? lessLastGaps(this.#least?.bound ?? 0, this.#open, order) : 0;
    this.#filmBound = Math.max(bySlices, leastFilmOfArea(order));
    this.#higher = isForMoney ? leastFilmOffcutsWhole(this.#open, order.mode === 'by hand') : undefined;
    this.#isAny = order.mode === 'by hand' && order.stages === ANY_STAGES;
  }

  /** Rounds of strips cut by hand; where a plotter cuts, only the first of them. */
  *byHand(): Generator<CutOrderPlan, SegmentResult> {
    const { mostRounds } = this.limits;
    const rounds =
      this.order.mode === 'by plotter'
        ? Math.min(Math.ceil(mostRounds * FREE_SHARE), FREE_AFTER)
        : mostRounds;
    let known: SegmentResult['laid'] | undefined;
    let step = this.#search.next();
    for (; step.done !== true && step.value.rounds < rounds; step = this.#search.next()) {
      const { laid, isComplete, rounds: at } = step.value;
      if (!isComplete) continue;
      if (this.#best === undefined || laid !== known) {
        known = laid;
        this.#best = this.#planOf(laid, 'limit');
      }
      if (this.#isAny && at >= ANY_AFTER && this.#triedAny !== laid) {
        this.#triedAny = laid;
        this.#best = this.#inAnyStages(laid, this.#best);
      }
      if (at % BOUND_EVERY === 0) this.#best = this.#withHigherBound(this.#best);
      yield this.#best;
    }
    return step.value;
  }

  /** Pieces anywhere on each roll, for a plotter. */
  *freely({ laid }: SegmentResult): Generator<CutOrderPlan, void> {
    const { seed, mostRounds } = this.limits;
    for (const [segment, layout] of skylineSearches(
      this.#open,
      laid,
      seed,
      mostRounds,
      this.#least?.prices,
    )) {
      if (layout !== this.#freed.get(segment)) {
        this.#freed = new Map(this.#freed).set(segment, layout);
        this.#best = this.#planOf(laid, 'limit');
      }
      if (this.#best === undefined) continue;
      this.#best = this.#withHigherBound(this.#best);
      yield this.#best;
    }
  }

  finish({ laid, isProven, isComplete, cost }: SegmentResult): CutOrderPlan {
    const isBest =
      isProven ||
      (isComplete &&
        cost <= (this.#least?.bound ?? Number.NEGATIVE_INFINITY) + NEAR &&
        this.order.objective === 'length');
    if (!this.#isAny) return this.#planOf(laid, isBest && this.#freed.size === 0 ? 'optimal' : 'limit');
    const plan =
      laid === this.#triedAny && this.#best !== undefined
        ? this.#best
        : this.#inAnyStages(laid, this.#planOf(laid, 'limit'));
    return withFilmBound(plan, this.#filmBound);
  }

  #planOf(
    laid: readonly LaidStrip[],
    stopped: CutOrderPlan['stopped'],
    free: ReadonlyMap<number, SkylineLayout> = this.#freed,
  ): CutOrderPlan {
    return finishedPlan(
      this.order,
      this.#open,
      usesOf(this.order, this.#open, laid, free),
      free.size > 0 ? laid.filter(({ segment }) => !free.has(segment)) : laid,
      this.tooWide,
      this.#filmBound,
      stopped,
    );
  }

  #inAnyStages(laid: readonly LaidStrip[], plan: CutOrderPlan): CutOrderPlan {
    const shorter = shorterByAnyCuts(this.#open, laid);
    const shortest = shorter.size === 0 ? plan : this.#better(plan, this.#planOf(laid, 'limit', shorter));
    this.#shortest = this.#shortest === undefined ? shortest : this.#better(this.#shortest, shortest);
    return this.#shortest;
  }

  #better(one: CutOrderPlan, other: CutOrderPlan): CutOrderPlan {
    const dualPriceOf = ({ uses, cost }: CutOrderPlan): number =>
      this.order.objective === 'length' ? uses.reduce((sum, { used_mm }) => sum + used_mm, 0) : cost.value;
    return dualPriceOf(other) < dualPriceOf(one) ? other : one;
  }

  #withHigherBound(plan: CutOrderPlan): CutOrderPlan {
    const step = this.#higher?.next();
    if (step?.done === false)
      this.#filmBound = Math.max(this.#filmBound, lessLastGaps(step.value, this.#open, this.order));
    return withFilmBound(plan, this.#filmBound);
  }
}

/** Film that is missing is counted with only where the film there is does not do. */
function segmentsOfUse(segments: readonly PlacedSegment[]): readonly PlacedSegment[] {
  const itemTypes = segments[0]?.problem.itemTypes ?? [];
  const real = segments.filter(({ stock }) => stock.id !== MISSING);
  const isEndless = real.some(
    ({ most, problem }) =>
      most === Number.POSITIVE_INFINITY &&
      itemTypes.every((_, itemType) =>
        problem.orientations.some((orientation) => orientation.itemType === itemType),
      ),
  );
  return isEndless ? real : segments;
}
