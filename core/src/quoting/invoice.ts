import { CoreError } from '../quantity';
import { inCurrency } from './price';

/** A deposit as a part of the net price, in the currency. @throws CoreError QUOTE_DEPOSIT */
export function depositOf(net: number, percent: number, decimals: number): number {
  if (!(percent > 0 && percent <= 100))
    throw new CoreError('QUOTE_DEPOSIT', {
      path: 'deposit',
      expected: 'more than 0, at most 100 % of the price',
      got: `${percent} %`,
    });
  return inCurrency((net * percent) / 100, decimals);
}

/** What is left to ask for in the end: price and additions, less what was asked before. */
export function restOf(
  net: number,
  extras: readonly number[],
  askedBefore: readonly number[],
  decimals: number,
): number {
  const sum = (some: readonly number[]): number => some.reduce((all, one) => all + one, 0);
  return inCurrency(net + sum(extras) - sum(askedBefore), decimals);
}
