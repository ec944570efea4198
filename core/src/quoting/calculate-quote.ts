import type { Reasoned } from '../quantity';
import { grossOf, priceFor } from './price';
import { type QuoteCase, QuoteDraws, meanCostOf } from './quote-cost';

export interface QuoteAsked {
  /** Share of the price to be kept; null: not said, and no price is made. */
  readonly margin: number | null;
  /** Chance taken that less of it is kept. */
  readonly risk: number;
  /** Share of the net price; null: not said. */
  readonly tax: number | null;
  /** A price somebody thinks of; null: none. */
  readonly typed: number | null;
}

export interface CalculatedQuote {
  readonly mean: Reasoned<number>;
  /** Four jobs in five like this one cost between these. */
  readonly least: number;
  readonly most: number;
  /** Null: no margin is said. */
  readonly price: Reasoned<number> | null;
  readonly priceAtMean: Reasoned<number> | null;
  /** Null: no margin, or no tax, is said. */
  readonly gross: Reasoned<number> | null;
  /** Chance that a job like this costs more than the price typed; null: none is. */
  readonly loss: number | null;
}

/** As usual, until somebody takes more or less. @source own judgement (model 7) */
export const USUAL_RISK = 0.2;
const BAND = 0.1;
/** The same job, the same figures. */
export const QUOTE_SEED = 28;

/**
 * What a job costs, how surely, and at which price the margin is kept.
 * @throws CoreError QUOTE_CASE, QUOTE_MARGIN
 */
export function calculateQuote(own: QuoteCase, { margin, risk, tax, typed }: QuoteAsked): CalculatedQuote {
  const draws = new QuoteDraws(own, QUOTE_SEED);
  const mean = meanCostOf(own);
  const price = margin === null ? null : priceFor(draws.over(risk), margin);
  return {
    ...{ mean, price },
    least: draws.over(1 - BAND),
    most: draws.over(BAND),
    priceAtMean: margin === null ? null : withWhy(mean, priceFor(mean.value, margin)),
    gross: price === null || tax === null ? null : withWhy(price, grossOf(price.value, tax)),
    loss: typed === null ? null : draws.lossAt(typed),
  };
}

const withWhy = (before: Reasoned<number>, own: Reasoned<number>): Reasoned<number> => ({
  value: own.value,
  why: [...before.why, ...own.why],
});
