/** Money as people write it: `EUR 12.50`; a plain figure while no currency is said. */
export function moneyIn(value: number, currency: string): string {
  return currency === ''
    ? value.toFixed(2)
    : new Intl.NumberFormat('en', { style: 'currency', currency, currencyDisplay: 'code' })
        .format(value)
        .replace(/\s/g, ' ');
}

/** Three capital letters, as in ISO 4217. */
export const isCurrency = (text: unknown): text is string =>
  typeof text === 'string' && /^[A-Z]{3}$/.test(text);

/** The currencies this browser knows by name. */
export function currencies(): readonly { readonly code: string; readonly name: string }[] {
  const names = new Intl.DisplayNames('en', { type: 'currency' });
  return Intl.supportedValuesOf('currency').map((code) => ({ code, name: names.of(code) ?? code }));
}
