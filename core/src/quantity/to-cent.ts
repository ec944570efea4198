/** Money to the hundredth, as it is kept and shown. */
export const toCent = (value: number): number => Math.round(value * 100) / 100;
