/**
 * Units a length may be typed in. Lengths are kept as whole nanometres, so that 1/64 in (396,875 nm) stays
 * exact.
 */
export type LengthUnit = 'mm' | 'cm' | 'm' | 'in' | 'ft';

export const NM_PER_MM = 1_000_000;

/**
 * Nanometres per unit.
 * @source 1 in = 25.4 mm exactly, international yard and pound agreement of 1959 (from memory)
 */
export const NM_PER_UNIT: Readonly<Record<LengthUnit, number>> = {
  mm: NM_PER_MM,
  cm: 10 * NM_PER_MM,
  m: 1000 * NM_PER_MM,
  in: 25_400_000,
  ft: 304_800_000,
};

/** Millimetres, as core calculates with them, from stored nanometres. */
export function mmFromNm(value_nm: number): number {
  return value_nm / NM_PER_MM;
}

/** Nearest whole nanometre. */
export function nmFromMm(value_mm: number): number {
  return Math.round(value_mm * NM_PER_MM);
}
