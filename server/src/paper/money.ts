import { decimalsOf, inCurrency } from '@yellow-pane/core/quoting';

/** Money as it is written on paper: the letters of its currency, as many decimals as it has. */
export function moneyOf(currency: string): (value: number) => string {
  const decimals = decimalsOf(currency);
  return (value) => `${currency} ${inCurrency(value, decimals).toFixed(decimals)}`;
}
