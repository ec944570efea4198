import { valueAt } from '../../quantity';
import {
  itemDemands,
  type PatternStock,
  type LeastCost,
  leastCost,
  leastCostSteps,
  OffcutFills,
  type PackingProblem,
  shortestOfAnyCuts,
} from '../../packing';
import type { CutOrder, OrderPiece } from './cut-order';
import { BOUNDLESS, MISSING, NO_PROBLEM } from './missing-film';
import type { PlacedSegment } from './order-segments';

/** So many pieces can always be parted by straight cuts, however they lie. */
const ALWAYS_CUTTABLE = 4;
const MOST_EXACT = 6;
const MOST_ROUNDS = 400;
/** Of a step: so much above a whole one is rounding. */
const WHOLE_STEP = 1e-6;
/** Subsets tried on one offcut, and on all together. */
const [MOST_TRIED, MOST_TRIED_IN_ALL] = [1000, 6000];

/**
 * What no plan of an order can cost less than: by slices, and by area where the programme of slices was given
 * up before its end. On one roll without end in whole steps.
 */
export function leastFilm(segments: readonly PlacedSegment[]): LeastCost | undefined {
  const bySlices = leastCost(segments.map(patternStock), demandsOf(segments));
  if (bySlices === undefined) return undefined;
  const bound = Math.max(
    bySlices.bound,
    Math.min(...segments.map(({ problem, cost }) => (problem.area * cost) / problem.width)),
  );
  const [lone] = segments;
  const isInSteps =
    segments.length === 1 && lone !== undefined && lone.most === Number.POSITIVE_INFINITY && lone.cost > 0;
  return { ...bySlices, bound: isInSteps ? Math.ceil(bound / lone.cost - WHOLE_STEP) * lone.cost : bound };
}

/**
 * The same with offcuts paid for whole taken as what can lie on them at once. Yields what is proven so far; a
 * step takes a millisecond or so.
 * @param isCuttable only what straight cuts take apart
 */
export function* leastFilmOffcutsWhole(
  segments: readonly PlacedSegment[],
  isCuttable: boolean,
): Generator<number, void> {
  const demands = demandsOf(segments);
  const isWhole = ({ most, fixed, cost }: PlacedSegment): boolean =>
    fixed > 0 && Number.isFinite(most) && cost === 0;
  const mostTried = Math.min(MOST_TRIED, MOST_TRIED_IN_ALL / segments.filter(isWhole).length);
  const stocks = segments.map((segment): PatternStock => {
    const { problem, most, fixed } = segment;
    if (!isWhole(segment)) return patternStock(segment);
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
 * A bound less the gaps that pieces at the end of a roll are calculated with and do not need, where no end
 * waste makes up for it. A new roll is begun only when what is next has room on none begun: any two are more
 * than one roll's worth.
 */
export function lessLastGaps(
  bound: number,
  segments: readonly PlacedSegment[],
  { gap_mm, endWaste_mm }: CutOrder,
): number {
  const saved_mm = Math.max(0, gap_mm - endWaste_mm);
  const real = segments.filter(({ stock }) => stock.id !== MISSING);
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

function patternStock({ problem, most, cost, fixed }: PlacedSegment): PatternStock {
  return {
    width: problem.width,
    cost: cost + (Number.isFinite(most) && most > 0 ? fixed / most : 0),
    most: Math.min(BOUNDLESS, most),
  };
}

function demandsOf(segments: readonly PlacedSegment[]): ReturnType<typeof itemDemands> {
  return itemDemands(
    segments[0]?.problem ?? NO_PROBLEM,
    segments.reduce((most, { problem }) => Math.max(most, problem.width), 0),
  );
}

/** Whether so many of each item type may lie on film so long; by slices alone where they are many. */
function mayLieOn(
  problem: PackingProblem,
  length: number,
  counts: ArrayLike<number>,
  isCuttable: boolean,
): boolean {
  const itemTypes = problem.itemTypes.map((itemType, at) => ({
    ...itemType,
    quantity: valueAt(counts, at),
    wantsEdge: false,
  }));
  const many = itemTypes.reduce((sum, { quantity }) => sum + quantity, 0);
  if (many <= (isCuttable ? MOST_EXACT : ALWAYS_CUTTABLE))
    return shortestOfAnyCuts({ ...problem, itemTypes }, length) !== undefined;
  const patterns = leastCost(
    [{ width: problem.width, cost: 1, most: length + 1 }],
    itemDemands({ ...problem, itemTypes: itemTypes.filter(({ quantity }) => quantity > 0) }, problem.width),
  );
  return patterns === undefined || patterns.bound <= length * (1 + 1e-9);
}
