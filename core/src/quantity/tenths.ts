/** The nearest tenth of a millimetre. */
export const toTenth = (value_mm: number): number => Math.round(value_mm * 10) / 10;

const ROUNDING_SLACK = 1e-6;

/** Up to a whole tenth of a millimetre, never down but by rounding's own dust. */
export const upToTenth = (value_mm: number): number => Math.ceil(value_mm * 10 - ROUNDING_SLACK) / 10;
