export { type QuoteAsked, type QuoteReckoned, QUOTE_SEED, USUAL_RISK, reckonQuote } from './reckon-quote';
export { type Parts, type Used, costOf, isChance, partsOf } from './account';
export { type TimeLaw, type TimePrior, robustTimeLaw, timeLaw, timeNotOver } from './predicted-time';
export { type Taxed, billed, decimalsOf, grossOf, inCurrency, priceFor, sharedOut, taxed } from './price';
export { QUOTE_FORMULAS } from './quote-formulas';
export {
  DRAWS,
  MOST_STEP_MIN,
  type Moments,
  QuoteDraws,
  type QuoteCase,
  type QuotedChance,
  type QuotedMoney,
  type QuotedWork,
  meanCost,
  meanCostOf,
  minutesNotOver,
  minutesOf,
  noneOf,
  workCostOver,
} from './quote-cost';
export { depositOf, restOf } from './invoice';
export { type TickFault, type Ticked, type TickedMinutes, tickedMinutes } from './ticked-minutes';
