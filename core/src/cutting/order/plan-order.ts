import { ANY_STAGES } from '../by-hand/lay-out-by-hand';
import { type SpaceResult, searchSpaces } from '../by-hand/search-spaces';
import type { LaidBand } from '../by-hand/space';
import type { FreeLayout } from '../free/search-free';
import type { CutOrder, CutOrderPlan, OrderPiece, StockUse } from './cut-order';
import { levelled, usesOf } from './film-uses';
import { finishedPlan } from './finished-plan';
import { freeSearches } from './free-on-rolls';
import {
  leastFilm,
  leastFilmByArea,
  leastFilmOfArea,
  leastFilmOffcutsWhole,
  lessLastGaps,
} from './least-film';
import { splitPenalty } from './lots-apart';
import { MISSING, missingFilm } from './missing-film';
import { extraOf, withFilmBound, withLowerBound } from './order-money';
import { orderSpaces } from './order-spaces';
import { pairOutlines } from './pair-outlines';
import { blockDrops } from './pattern-blocks';
import { refuseOrder } from './refuse-order';
import { shorterByAnyCuts } from './shorter-by-any-cuts';

export interface OrderLimits {
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
 * @source own: one search over bands on all films, led by the prices of the bar relaxation
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

function* planSteps(
  order: CutOrder,
  { seed, mostRounds }: OrderLimits,
): Generator<CutOrderPlan, CutOrderPlan> {
  const widest = order.stocks.reduce((most, { width_mm }) => Math.max(most, width_mm), 0);
  const fits = ({ across_mm, along_mm, mayTurn90 }: OrderPiece): boolean =>
    across_mm <= widest || (mayTurn90 && along_mm <= widest);
  const tooWide = order.pieces.filter((piece) => !fits(piece)).map(({ id }) => id);
  const laidOrder = tooWide.length === 0 ? order : { ...order, pieces: order.pieces.filter(fits) };
  const spaces = orderSpaces({ ...laidOrder, stocks: [...laidOrder.stocks, missingFilm(order)] });
  const kinds = spaces[0]?.problem.kinds ?? [];
  if (kinds.length === 0 || widest === 0)
    return finishedPlan(
      laidOrder,
      spaces,
      usesOf(laidOrder, spaces, [], new Map()),
      [],
      tooWide,
      0,
      'optimal',
    );
  const real = spaces.filter(({ stock }) => stock.id !== MISSING);
  const isEndless = real.some(
    ({ most, problem }) =>
      most === Number.POSITIVE_INFINITY &&
      kinds.every((_, kind) => problem.lies.some((lie) => lie.kind === kind)),
  );
  const open = isEndless ? real : spaces;
  const least = leastFilm(open);
  const search = searchSpaces(open, {
    seed,
    stages: order.stages === ANY_STAGES ? 3 : order.stages,
    mostRounds,
    bound:
      order.objective === 'length' || order.mode === 'by plotter'
        ? (least?.bound ?? 0)
        : Number.NEGATIVE_INFINITY,
    prices: least?.prices,
    turned: least?.turned,
    extra: extraOf(order),
    isFilmOnly: order.objective === 'length' || order.mode === 'by plotter',
    penalty: splitPenalty(laidOrder, open),
  });
  let filmBound = order.objective === 'money' ? lessLastGaps(least?.bound ?? 0, open, order) : 0;
  const higher =
    order.objective === 'money' ? leastFilmOffcutsWhole(open, order.mode === 'by hand') : undefined;
  const withHigherBound = (plan: CutOrderPlan): CutOrderPlan => {
    const step = higher?.next();
    if (step?.done === false) filmBound = Math.max(filmBound, lessLastGaps(step.value, open, order));
    return withFilmBound(plan, filmBound);
  };
  let best: CutOrderPlan | undefined;
  let known: SpaceResult['laid'] | undefined;
  let freed = new Map<number, FreeLayout>();
  const planOf = (
    laid: readonly LaidBand[],
    free: ReadonlyMap<number, FreeLayout>,
    stopped: CutOrderPlan['stopped'],
  ): CutOrderPlan =>
    finishedPlan(
      laidOrder,
      open,
      usesOf(laidOrder, open, laid, free),
      free.size > 0 ? laid.filter(({ space }) => !free.has(space)) : laid,
      tooWide,
      filmBound,
      stopped,
    );
  const isAny = order.mode === 'by hand' && order.stages === ANY_STAGES;
  const worthOf = ({ uses, cost }: CutOrderPlan): number =>
    order.objective === 'length' ? uses.reduce((sum, { used_mm }) => sum + used_mm, 0) : cost.value;
  const better = (one: CutOrderPlan, other: CutOrderPlan): CutOrderPlan =>
    worthOf(other) < worthOf(one) ? other : one;
  let shortest: CutOrderPlan | undefined;
  const inAnyStages = (laid: readonly LaidBand[], plan: CutOrderPlan): CutOrderPlan => {
    const shorter = shorterByAnyCuts(open, laid);
    const own = shorter.size === 0 ? plan : better(plan, planOf(laid, shorter, 'limit'));
    shortest = shortest === undefined ? own : better(shortest, own);
    return shortest;
  };
  let triedAny: SpaceResult['laid'] | undefined;
  const handRounds = order.mode === 'by plotter' ? Math.ceil(mostRounds * FREE_SHARE) : mostRounds;
  let step = search.next();
  for (
    ;
    step.done !== true &&
    step.value.rounds < Math.min(handRounds, order.mode === 'by plotter' ? FREE_AFTER : handRounds);
    step = search.next()
  ) {
    if (!step.value.isComplete) continue;
    if (best === undefined || step.value.laid !== known) {
      known = step.value.laid;
      best = planOf(known, freed, 'limit');
    }
    if (isAny && step.value.rounds >= ANY_AFTER && triedAny !== known) {
      triedAny = known;
      best = inAnyStages(known, best);
    }
    if (step.value.rounds % BOUND_EVERY === 0) best = withHigherBound(best);
    yield best;
  }
  const { laid, isProven } = step.value;
  const isBest =
    isProven ||
    (step.value.isComplete &&
      step.value.cost <= (least?.bound ?? Number.NEGATIVE_INFINITY) + NEAR &&
      order.objective === 'length');
  if (order.mode === 'by plotter') {
    for (const [space, layout] of freeSearches(open, laid, seed, mostRounds, least?.prices)) {
      if (layout !== freed.get(space)) {
        freed = new Map(freed).set(space, layout);
        best = planOf(laid, freed, 'limit');
      }
      if (best === undefined) continue;
      best = withHigherBound(best);
      yield best;
    }
  }
  if (!isAny) return planOf(laid, freed, isBest && freed.size === 0 ? 'optimal' : 'limit');
  return withFilmBound(
    laid === triedAny && best !== undefined ? best : inAnyStages(laid, planOf(laid, freed, 'limit')),
    filmBound,
  );
}
