export { type QuoteAsked, type QuoteReckoned, USUAL_RISK, reckonQuote } from './reckon-quote';
export { type Parts, type Used, costOf, isChance, partsOf } from './account';
export { type TimeLaw, type TimePrior, robustTimeLaw, timeLaw, timeNotOver } from './predicted-time';
export { type Taxed, grossOf, inCurrency, priceFor, taxed } from './price';
export { QUOTE_FORMULAS } from './quote-formulas';
export {
  DRAWS,
  MOST_STEP_MIN,
  type Moments,
  QuoteDraws,
  type QuoteCase,
  type QuotedChance,
  type QuotedWork,
  meanCost,
  meanCostOf,
  minutesOf,
  noneOf,
  workCostOver,
} from './quote-cost';
