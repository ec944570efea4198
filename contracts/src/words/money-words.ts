import { decimalsOf, inCurrency } from '@yellow-pane/core/quoting';

/** Money as it is written on every page and paper: letters of its currency, its decimals, thousands apart. */
export function moneyWords(value: number, currency: string | null): string {
  const bare = bareMoney(value, currency);
  return currency === null ? bare : `${currency} ${bare}`;
}

/** The same for a column whose head names the currency. */
export function bareMoney(value: number, currency: string | null): string {
  const decimals = decimalsOf(currency);
  return inCurrency(value, decimals).toLocaleString('en-GB', {
    minimumFractionDigits: decimals,
    maximumFractionDigits: decimals,
  });
}

/** To whole units: a rough price is not known to the coin. */
export const roughMoney = (value: number, currency: string): string =>
  `${currency} ${Math.round(value).toLocaleString('en-GB')}`;
