import {
  barDemands,
  type BarStock,
  type LeastCost,
  leastCost,
  leastCostSteps,
  OffcutFills,
  type StripProblem,
  shortestOfAnyCuts,
} from '../../packing';
import type { CutOrder, OrderPiece } from './cut-order';
import { BOUNDLESS, MISSING, NO_PROBLEM } from './missing-film';
import type { PlacedSpace } from './order-spaces';

/** So many pieces can always be taken apart by straight cuts, however they lie. */
const ALWAYS_CUTTABLE = 4;
const MOST_EXACT = 6;
const MOST_ROUNDS = 400;
/** Of a step: so much above a whole one is rounding. */
const WHOLE_STEP = 1e-6;
/** Selections tried on one offcut, and on all together. */
const [MOST_TRIED, MOST_TRIED_IN_ALL] = [1000, 6000];

/**
 * What no plan of an order can cost less than: by slices, and by area where the programme of slices was given
 * up before its end. On one roll without end in whole steps.
 */
export function leastFilm(spaces: readonly PlacedSpace[]): LeastCost | undefined {
  const bySlices = leastCost(spaces.map(barStock), demandsOf(spaces));
  if (bySlices === undefined) return undefined;
  const bound = Math.max(
    bySlices.bound,
    Math.min(...spaces.map(({ problem, cost }) => (problem.area * cost) / problem.width)),
  );
  const [lone] = spaces;
  const isInSteps =
    spaces.length === 1 && lone !== undefined && lone.most === Number.POSITIVE_INFINITY && lone.cost > 0;
  return { ...bySlices, bound: isInSteps ? Math.ceil(bound / lone.cost - WHOLE_STEP) * lone.cost : bound };
}

/**
 * The same with offcuts paid for whole taken as what can lie on them at once. Yields what is proven so far; a
 * step takes a millisecond or so.
 * @param isCuttable only what straight cuts take apart
 */
export function* leastFilmOffcutsWhole(
  spaces: readonly PlacedSpace[],
  isCuttable: boolean,
): Generator<number, void> {
  const demands = demandsOf(spaces);
  const isWhole = ({ most, fixed, cost }: PlacedSpace): boolean =>
    fixed > 0 && Number.isFinite(most) && cost === 0;
  const mostTried = Math.min(MOST_TRIED, MOST_TRIED_IN_ALL / spaces.filter(isWhole).length);
  const stocks = spaces.map((space): BarStock => {
    const { problem, most, fixed } = space;
    if (!isWhole(space)) return barStock(space);
    return {
      width: problem.width,
      most,
      cost: fixed,
      fills: new OffcutFills(
        problem.width,
        most,
        demands,
        (counts) => mayLieOn(problem, most, counts, isCuttable),
        mostTried,
      ),
    };
  });
  if (stocks.every(({ fills }) => fills === undefined)) return;
  yield* leastCostSteps(stocks, demands, MOST_ROUNDS);
}

/**
 * By area alone, for a plotter that cuts outlines which are no rectangles: these may lie in one another, and
 * boxes round them would say too much. Infinity: there are none.
 */
export function leastFilmByArea({ mode, stocks, pieces }: CutOrder): number {
  if (mode === 'by hand' || pieces.every(({ outline }) => outline === undefined))
    return Number.POSITIVE_INFINITY;
  return leastFilmOfArea({ stocks, pieces });
}

/** What film of so much area costs at least. */
export function leastFilmOfArea({ stocks, pieces }: Pick<CutOrder, 'stocks' | 'pieces'>): number {
  const area_mm2 = pieces.reduce(
    (sum, { outline, across_mm, along_mm }) =>
      sum + (outline === undefined ? across_mm * along_mm : areaOf(outline)),
    0,
  );
  return (
    area_mm2 *
    Math.min(
      ...stocks.map(
        ({ perMetre, whole, width_mm, length_mm }) => (perMetre / 1000 + whole / length_mm) / width_mm,
      ),
    )
  );
}

function areaOf(outline: NonNullable<OrderPiece['outline']>): number {
  return Math.abs(
    outline.reduce((sum, { x, y }, index) => {
      const next = outline[(index + 1) % outline.length] ?? { x, y };
      return sum + (x * next.y - next.x * y) / 2;
    }, 0),
  );
}

/**
 * A bound less the gaps that pieces at the end of a roll are reckoned with and do not need, where no end
 * waste makes up for it. A new roll is begun only when what is next has room on none begun: any two are more
 * than one roll's worth.
 */
export function lessLastGaps(
  bound: number,
  spaces: readonly PlacedSpace[],
  { gap_mm, endWaste_mm }: CutOrder,
): number {
  const saved_mm = Math.max(0, gap_mm - endWaste_mm);
  const real = spaces.filter(({ stock }) => stock.id !== MISSING);
  const shortest_mm = real.reduce(
    (least, { stock }) => (stock.what === 'to order' ? Math.min(least, stock.length_mm) : least),
    Number.POSITIVE_INFINITY,
  );
  return Math.max(
    0,
    bound * (1 - (2 * saved_mm) / shortest_mm) -
      real.reduce((sum, { stock }) => sum + (saved_mm / 1000) * stock.perMetre, 0),
  );
}

function barStock({ problem, most, cost, fixed }: PlacedSpace): BarStock {
  return {
    width: problem.width,
    cost: cost + (Number.isFinite(most) && most > 0 ? fixed / most : 0),
    most: Math.min(BOUNDLESS, most),
  };
}

function demandsOf(spaces: readonly PlacedSpace[]): ReturnType<typeof barDemands> {
  return barDemands(
    spaces[0]?.problem ?? NO_PROBLEM,
    spaces.reduce((most, { problem }) => Math.max(most, problem.width), 0),
  );
}

/** Whether so many of each kind may lie on film so long; by slices alone where they are many. */
function mayLieOn(
  problem: StripProblem,
  length: number,
  counts: ArrayLike<number>,
  isCuttable: boolean,
): boolean {
  const kinds = problem.kinds.map((kind, at) => ({ ...kind, quantity: counts[at] ?? 0, wantsEdge: false }));
  const many = kinds.reduce((sum, { quantity }) => sum + quantity, 0);
  if (many <= (isCuttable ? MOST_EXACT : ALWAYS_CUTTABLE))
    return shortestOfAnyCuts({ ...problem, kinds }, length) !== undefined;
  const bars = leastCost(
    [{ width: problem.width, cost: 1, most: length + 1 }],
    barDemands({ ...problem, kinds: kinds.filter(({ quantity }) => quantity > 0) }, problem.width),
  );
  return bars === undefined || bars.bound <= length * (1 + 1e-9);
}
