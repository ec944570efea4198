import { NM_PER_MM, NM_PER_UNIT } from './length';

/** As a person reads figures: millimetres and °C, inches and °F, or the two that meet in some countries. */
export const DISPLAY_UNITS = ['metric', 'imperial', 'inches and °C'] as const;
export type DisplayUnits = (typeof DISPLAY_UNITS)[number];

/** What a device kept or an address asks for; anything else is metric. */
export function displayUnitsOf(value: unknown): DisplayUnits {
  return DISPLAY_UNITS.find((units) => units === value) ?? 'metric';
}

const SIXTEENTHS_PER_INCH = 16;
const SIXTEENTH_NM = NM_PER_UNIT.in / SIXTEENTHS_PER_INCH;
const MM2_PER_IN2 = 645.16;

/** A length for the screen: metric in millimetres to 0.1, imperial in inches to the nearest 1/16.
 *  The stored value keeps its exactness; only the text is rounded.
 *  @example formatLength(879_475_000, 'imperial') // '34 5/8' */
export function formatLength(value_nm: number, units: DisplayUnits): string {
  return units === 'metric' ? formatMillimetres(value_nm) : formatInches(value_nm);
}

/** The same, with its unit: `879.5 mm`, `34 5/8 in`. */
export function formatLengthWithUnit(value_nm: number, units: DisplayUnits): string {
  return `${formatLength(value_nm, units)} ${units === 'metric' ? 'mm' : 'in'}`;
}

/** A length of film as people say it: `8.76 m`, or inches as `formatLengthWithUnit`. */
export function formatFilmLength(value_nm: number, units: DisplayUnits): string {
  return units === 'metric'
    ? `${(value_nm / (1000 * NM_PER_MM)).toFixed(2)} m`
    : formatLengthWithUnit(value_nm, units);
}

/** An area for the screen: square metres to 0.001, or square feet to 0.01. */
export function formatArea(area_mm2: number, units: DisplayUnits): string {
  return units === 'metric'
    ? `${(area_mm2 / 1e6).toFixed(3)} m²`
    : `${(area_mm2 / (144 * MM2_PER_IN2)).toFixed(2)} ft²`;
}

function formatMillimetres(value_nm: number): string {
  const tenths = Math.round((value_nm * 10) / NM_PER_MM);
  return tenths % 10 === 0 ? String(tenths / 10) : (tenths / 10).toFixed(1);
}

function formatInches(value_nm: number): string {
  const sign = value_nm < 0 ? '-' : '';
  const sixteenths = Math.round(Math.abs(value_nm) / SIXTEENTH_NM);
  const whole = Math.floor(sixteenths / SIXTEENTHS_PER_INCH);
  const rest = sixteenths % SIXTEENTHS_PER_INCH;
  if (rest === 0) return `${sign}${whole}`;
  const divisor = rest % 8 === 0 ? 8 : rest % 4 === 0 ? 4 : rest % 2 === 0 ? 2 : 1;
  const fraction = `${rest / divisor}/${SIXTEENTHS_PER_INCH / divisor}`;
  return whole === 0 ? `${sign}${fraction}` : `${sign}${whole} ${fraction}`;
}
