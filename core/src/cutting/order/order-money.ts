import { type Formula, GEOMETRY, type Reasoned, type Source, type Step, applyFormula } from '../../quantity';
import type { Strip, StripExtra } from '../../packing';
import { type CutOrder, type CutOrderPlan, type CuttingRates, type StockUse, stockOf } from './cut-order';
import type { PlacedSegment } from './order-segments';

const RATE: Source = { kind: 'our guess', text: 'rates of this workshop; a guess until measured' };

export const MONEY_FORMULAS = {
  use: {
    id: 'cutting.filmOfUse',
    word: 'film of one roll or offcut',
    says: 'F = length used · worth a metre + worth of beginning it',
    unit: 'money',
    source: GEOMETRY,
    inputs: {
      used_mm: { word: 'length used', unit: 'mm' },
      perMetre: { word: 'worth a metre', unit: 'money' },
      whole: { word: 'worth of beginning it', unit: 'money' },
    },
    of: ({ used_mm, perMetre, whole }) => (used_mm > 0 ? (used_mm / 1000) * perMetre + whole : 0),
  } satisfies Formula<{ readonly used_mm: number; readonly perMetre: number; readonly whole: number }>,
  film: {
    id: 'cutting.film',
    word: 'film',
    says: 'F = film of all rolls and offcuts',
    unit: 'money',
    source: GEOMETRY,
    inputs: { sum: { word: 'film of each added up', unit: 'money' } },
    of: ({ sum }) => sum,
  } satisfies Formula<{ readonly sum: number }>,
  cost: {
    id: 'cutting.cost',
    word: 'film and cutting, less offcuts kept',
    says: 'C = F + cross-cuts · a + slits · b + pieces · c − offcuts kept',
    unit: 'money',
    source: RATE,
    inputs: {
      film: { word: 'film', unit: 'money' },
      crossCuts: { word: 'cross-cuts', unit: 'count' },
      perCrossCut: { word: 'a cross-cut', unit: 'money' },
      slits: { word: 'slits', unit: 'count' },
      perSlit: { word: 'a slit', unit: 'money' },
      pieces: { word: 'pieces', unit: 'count' },
      perPiece: { word: 'a piece', unit: 'money' },
      kept: { word: 'offcuts kept', unit: 'money' },
    },
    of: ({ film, crossCuts, perCrossCut, slits, perSlit, pieces, perPiece, kept }) =>
      film + crossCuts * perCrossCut + slits * perSlit + pieces * perPiece - kept,
  } satisfies Formula<CostInputs>,
  bound: {
    id: 'cutting.filmBound',
    word: 'film can cost no less',
    says: 'B = cheapest mixture of slices across all rolls and of what can lie on each offcut at once',
    unit: 'money',
    source: { kind: 'geometry', text: 'a linear programme: every layout is such a mixture' },
    inputs: { bound: { word: 'cheapest mixture', unit: 'money' } },
    of: ({ bound }) => bound,
  } satisfies Formula<{ readonly bound: number }>,
  waste: {
    id: 'cutting.orderWaste',
    word: 'waste',
    says: 'w = 1 − area of pieces ÷ area of film used',
    unit: 'share',
    source: GEOMETRY,
    inputs: {
      pieces_mm2: { word: 'area of pieces', unit: 'mm²' },
      film_mm2: { word: 'area of film used', unit: 'mm²' },
    },
    of: ({ pieces_mm2, film_mm2 }) => (film_mm2 === 0 ? 0 : 1 - pieces_mm2 / film_mm2),
  } satisfies Formula<{ readonly pieces_mm2: number; readonly film_mm2: number }>,
} as const;

interface CostInputs {
  readonly film: number;
  readonly crossCuts: number;
  readonly perCrossCut: number;
  readonly slits: number;
  readonly perSlit: number;
  readonly pieces: number;
  readonly perPiece: number;
  readonly kept: number;
}

/** What the rest beside the last stack of a strip is worth when it is large enough to keep. */
export function keptOf(
  segment: PlacedSegment,
  { along, stacks }: Strip,
  { keepWidth_mm, keepLength_mm, keepShare }: CuttingRates,
): number {
  const { acrossStep_mm, alongStep_mm } = segment.problem;
  /** The roll's own width: in steps as coarse as the pieces allow it is rounded down. */
  const rest_mm = segment.width_mm - stacks.reduce((sum, { across }) => sum + across, 0) * acrossStep_mm;
  const along_mm = along * alongStep_mm;
  if (rest_mm < keepWidth_mm || along_mm < keepLength_mm) return 0;
  return keepShare * (segment.stock.perMetre / 1000) * along_mm * (rest_mm / segment.stock.width_mm);
}

/** What a strip costs beside its film. */
export function extraOf(order: CutOrder): StripExtra {
  const { perCrossCut, perSlit, perPiece } = order.rates;
  if (order.mode === 'by plotter' || order.objective === 'length') return () => 0;
  return (segment, strip) =>
    perCrossCut +
    strip.stacks.length * perSlit +
    perPiece * strip.stacks.reduce((sum, { pieces }) => sum + pieces.length, 0) -
    keptOf(segment as PlacedSegment, strip, order.rates);
}

/** Cuts made, and what is kept is worth. */
export interface CutSums {
  readonly crossCuts: number;
  readonly slits: number;
  readonly kept: number;
}

/** The sums of a plan, each with its reason. */
export function moneyOf(
  order: CutOrder,
  uses: readonly StockUse[],
  cuts: CutSums,
  filmBound: number,
): {
  readonly film: Reasoned<number>;
  readonly cost: Reasoned<number>;
  readonly filmBound: Reasoned<number>;
  readonly waste_share: Reasoned<number>;
} {
  const steps: Step[] = uses.map(({ stockId, used_mm }) => {
    const { perMetre, whole } = stockOf(order, stockId);
    return applyFormula(MONEY_FORMULAS.use, { used_mm, perMetre, whole });
  });
  const film = applyFormula(MONEY_FORMULAS.film, { sum: steps.reduce((sum, { value }) => sum + value, 0) });
  const { perCrossCut, perSlit, perPiece } = order.rates;
  const pieces = uses.reduce((sum, { placed }) => sum + placed.length, 0);
  const cost = applyFormula(MONEY_FORMULAS.cost, {
    film: film.value,
    perCrossCut,
    perSlit,
    perPiece,
    pieces,
    ...cuts,
  });
  const waste = applyFormula(MONEY_FORMULAS.waste, areasOf(order, uses));
  return {
    film: { value: film.value, why: [...steps, film] },
    cost: { value: cost.value, why: [film, cost] },
    filmBound: boundOf(film.value, filmBound),
    waste_share: { value: waste.value, why: [waste] },
  };
}

function areasOf(
  order: CutOrder,
  uses: readonly StockUse[],
): { readonly pieces_mm2: number; readonly film_mm2: number } {
  let [pieces_mm2, film_mm2] = [0, 0];
  for (const { stockId, used_mm, placed } of uses) {
    film_mm2 += used_mm * stockOf(order, stockId).width_mm;
    for (const { across_mm, along_mm } of placed) pieces_mm2 += across_mm * along_mm;
  }
  return { pieces_mm2, film_mm2 };
}

/** A plan with a bound that has risen since. A plan that leaves pieces out has none. */
export function withFilmBound(plan: CutOrderPlan, filmBound: number): CutOrderPlan {
  if (plan.stopped === 'infeasible' || plan.filmBound.value >= Math.min(filmBound, plan.film.value))
    return plan;
  return { ...plan, filmBound: boundOf(plan.film.value, filmBound) };
}

/** A plan of which no more than this is proven. */
export function withLowerBound(plan: CutOrderPlan, filmBound: number): CutOrderPlan {
  return plan.filmBound.value <= filmBound
    ? plan
    : { ...plan, filmBound: boundOf(plan.film.value, filmBound) };
}

function boundOf(film: number, filmBound: number): Reasoned<number> {
  const bound = applyFormula(MONEY_FORMULAS.bound, { bound: Math.min(filmBound, film) });
  return { value: bound.value, why: [bound] };
}
