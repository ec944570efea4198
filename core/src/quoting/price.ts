import { CoreError, type Reasoned, applyFormula } from '../quantity';
import { QUOTE_FORMULAS } from './quote-formulas';

/**
 * The price at which so much of it is kept with the chance that is left.
 * @param cost exceeded with the risk taken
 * @param margin wanted, as a share of the price; asked, never guessed
 * @throws CoreError QUOTE_MARGIN
 */
export function priceFor(cost: number, margin: number): Reasoned<number> {
  if (!(margin >= 0 && margin < 1))
    throw new CoreError('QUOTE_MARGIN', {
      path: 'margin',
      expected: '0 to less than 100 % of the price',
      got: `${margin * 100} %`,
    });
  const step = applyFormula(QUOTE_FORMULAS.price, { cost, margin });
  return { value: step.value, why: [step] };
}

/** @param tax share of the net price */
export function grossOf(net: number, tax: number): Reasoned<number> {
  const step = applyFormula(QUOTE_FORMULAS.gross, { net, tax });
  return { value: step.value, why: [step] };
}

/** As a currency has it, half away from nothing. @param decimals of the currency */
export function inCurrency(money: number, decimals: number): number {
  const times = 10 ** decimals;
  const exact = Math.abs(money) * times;
  // A half that was not quite one when it was reckoned is one.
  return (Math.sign(money) * Math.floor(exact + 0.5 + 1e-9)) / times;
}

/** What a customer pays: net, tax, all. */
export interface Taxed {
  readonly net: number;
  readonly tax: number;
  readonly gross: number;
}

/** Tax on the sum of lines already in the currency, rounded once. @param rate share of the net */
export function taxed(lines: readonly number[], rate: number, decimals: number): Taxed {
  const net = inCurrency(
    lines.reduce((sum, line) => sum + line, 0),
    decimals,
  );
  const tax = inCurrency(net * rate, decimals);
  return { net, tax, gross: inCurrency(net + tax, decimals) };
}
