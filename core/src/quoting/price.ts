import { CoreError, type Reasoned, applyFormula, valueAt } from '../quantity';
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
  // A half that was not quite one when it was calculated is one.
  return (Math.sign(money) * Math.floor(exact + 0.5 + 1e-9)) / times;
}

/** What a customer pays: net, tax, all. */
interface Taxed {
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

/** What is paid for lines in a currency; without a tax, none is added. */
export const billed = (
  lines: readonly number[],
  { currency, tax_percent }: { readonly currency: string; readonly tax_percent: number | null },
): Taxed => taxed(lines, (tax_percent ?? 0) / 100, decimalsOf(currency));

const USUAL_DECIMALS = 2;

/** Decimals of a currency. @source ISO 4217, as the platform's tables have it; two where they do not */
export function decimalsOf(currency: string | null): number {
  if (currency === null || !/^[A-Z]{3}$/.test(currency)) return USUAL_DECIMALS;
  const { maximumFractionDigits } = new Intl.NumberFormat('en', {
    style: 'currency',
    currency,
  }).resolvedOptions();
  return maximumFractionDigits ?? USUAL_DECIMALS;
}

/**
 * A sum of money in parts, each as the currency has it, that add up to it exactly.
 * @param weights how much each part counts; all nothing: alike
 */
export function sharedOut(total: number, weights: readonly number[], decimals: number): readonly number[] {
  const times = 10 ** decimals;
  const all = weights.reduce((sum, weight) => sum + weight, 0);
  const units = Math.round(inCurrency(total, decimals) * times);
  const exact = weights.map((weight) => units * (all === 0 ? 1 / weights.length : weight / all));
  const parts = exact.map(Math.floor);
  let left = units - parts.reduce((sum, part) => sum + part, 0);
  const byRest = exact
    .map((value, index) => ({ index, rest: value - Math.floor(value) }))
    .sort((a, b) => b.rest - a.rest || a.index - b.index);
  for (const { index } of byRest) {
    if (left <= 0) break;
    parts[index] = valueAt(parts, index) + 1;
    left -= 1;
  }
  return parts.map((part) => part / times);
}
