import type { Quantity, Reading } from '../job';
import { type DisplayUnits, degreesOf, parseTemperature } from '../quantity';

/** What a quantity is read with, in which unit, and between which values it can be. */
export interface ReadingKind {
  readonly unit: '°C' | '%' | 'mm' | 'g' | 'lx';
  readonly least: number;
  readonly most: number;
  readonly instrument: Reading['instrument'];
}

/** Bounds of what can be at a surface film is laid on: our guess; a gun's nozzle is not read with these. */
export const READING_KINDS: Readonly<Record<Quantity, ReadingKind>> = {
  'surface temperature': { unit: '°C', least: -40, most: 150, instrument: 'infrared thermometer' },
  'room temperature': { unit: '°C', least: -40, most: 60, instrument: 'thermometer' },
  'film temperature': { unit: '°C', least: -40, most: 300, instrument: 'infrared thermometer' },
  humidity: { unit: '%', least: 0, most: 100, instrument: 'hygrometer' },
  'wall moisture': { unit: '%', least: 0, most: 100, instrument: 'damp meter' },
  distance: { unit: 'mm', least: 0, most: 100_000, instrument: 'rule' },
  length: { unit: 'mm', least: 0, most: 100_000, instrument: 'rule' },
  mass: { unit: 'g', least: 0, most: 100_000, instrument: 'scales' },
  light: { unit: 'lx', least: 0, most: 200_000, instrument: 'light meter' },
};

/** A reading as it was typed; or why it cannot be. */
export type TypedReading =
  | { readonly case: 'read'; readonly value: number }
  | { readonly case: 'no figure' }
  | { readonly case: 'cannot be'; readonly value: number; readonly least: number; readonly most: number };

const PLAIN = /^(-?\d{1,6}(?:[.,]\d{1,4})?)\s*(%|mm|g|lx)?$/;

/**
 * Reads what an instrument shows: a bare figure is in the unit of the quantity, temperatures on the scale of
 * the person.
 * @returns the value in °C, percent, mm, g or lx
 */
export function readReading(text: string, quantity: Quantity, units: DisplayUnits): TypedReading {
  const { unit, least, most } = READING_KINDS[quantity];
  const value = unit === '°C' ? parseTemperature(text, units) : plain(text, unit);
  if (value === undefined) return { case: 'no figure' };
  return value < least || value > most ? { case: 'cannot be', value, least, most } : { case: 'read', value };
}

function plain(text: string, unit: string): number | undefined {
  const [, figure, given] = PLAIN.exec(text.normalize('NFKC').trim().replace(/[−–]/, '-')) ?? [];
  if (figure === undefined || (given !== undefined && given !== unit)) return undefined;
  return Number(figure.replace(',', '.'));
}

/** The unit as the person reads it. */
export const unitShown = (quantity: Quantity, units: DisplayUnits): string =>
  READING_KINDS[quantity].unit === '°C' ? degreesOf(units) : READING_KINDS[quantity].unit;
