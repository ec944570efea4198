import type { Basis } from '../learned';
import { type DisplayUnits, formatLengthWithUnit, formatTemperature, nmFromMm } from '../quantity';

export type NumberUnit = 'mm' | 'm' | 'kg' | '°C' | '°' | 'mm/s' | 's' | 'min' | 'h' | 'days' | '%';

/** A figure of a step: one value or from–to, with its unit and how it is known. */
interface StepNumber {
  readonly value: number | readonly [from: number, to: number];
  readonly unit: NumberUnit;
  readonly basis: Basis;
  /** What is to be said with it. */
  readonly note?: string;
}

/** By the name it has in the words of its step: `{inset}`. */
export type StepNumbers = Readonly<Record<string, StepNumber>>;

const make =
  (unit: NumberUnit) =>
  (value: StepNumber['value'], basis: Basis = 'common practice'): StepNumber => ({ value, unit, basis });

export const mm = make('mm');
export const metres = make('m');
export const kilograms = make('kg');
export const celsius = make('°C');
export const degrees = make('°');
export const mmPerSecond = make('mm/s');
export const seconds = make('s');
export const minutes = make('min');
export const hours = make('h');
export const days = make('days');
export const percent = make('%');

/** Exact, by definition. */
const M_PER_FT = 0.3048;
const KG_PER_LB = 0.45359237;
const NAMED = /\{(\w+)\}/g;

/** Words with their figures filled in, in the units of the crew; a name without a figure stays as it is. */
export function filled(words: string, numbers: StepNumbers, units: DisplayUnits): string {
  return words.replaceAll(NAMED, (whole, name: string) => {
    const number = numbers[name];
    if (number === undefined) return whole;
    return `${numberWord(number, units)}${number.note === undefined ? '' : ` (${number.note})`}`;
  });
}

/** `25 to 50 mm`, `1 to 2 in`, `540 °C`, `1004 °F`. */
export function numberWord({ value, unit }: StepNumber, units: DisplayUnits): string {
  const [from, to] = typeof value === 'number' ? [value, undefined] : value;
  const last = one(to ?? from, unit, units);
  if (to === undefined) return last;
  const first = one(from, unit, units);
  const suffix = / (\S+)$/.exec(last)?.[1] ?? '';
  return `${first.endsWith(` ${suffix}`) ? first.slice(0, -suffix.length - 1) : first} to ${last}`;
}

function one(value: number, unit: NumberUnit, units: DisplayUnits): string {
  switch (unit) {
    case 'mm':
      return formatLengthWithUnit(nmFromMm(value), units);
    case 'mm/s':
      return `${formatLengthWithUnit(nmFromMm(value), units)} a second`;
    case 'm':
      return units === 'metric' ? `${value} m` : `${Math.round((value * 10) / M_PER_FT) / 10} ft`;
    case 'kg':
      return units === 'metric' ? `${value} kg` : `${Math.round(value / KG_PER_LB)} lb`;
    case '°C':
      return formatTemperature(value, units);
    case '°':
      return `${value}°`;
    case 's':
    case 'min':
    case 'h':
    case 'days':
    case '%':
      return `${value} ${unit}`;
  }
}

/** Names that the words of a step use, to hold against its figures. */
export const namesIn = (words: string): readonly string[] =>
  [...words.matchAll(NAMED)].map(([, name = '']) => name);

/** What a figure of a step is. */
type FigureKind = 'angle' | 'weight' | 'distance' | 'speed' | 'overlap' | 'temperature' | 'time' | 'strength';

/** A figure as it is said, with what it is and how it is known. */
export interface SaidFigure {
  readonly kind: FigureKind;
  readonly said: string;
  readonly basis: Basis;
}

const KIND_OF_UNIT: Readonly<Record<NumberUnit, FigureKind>> = {
  mm: 'distance',
  m: 'distance',
  kg: 'weight',
  '°C': 'temperature',
  '°': 'angle',
  'mm/s': 'speed',
  s: 'time',
  min: 'time',
  h: 'time',
  days: 'time',
  '%': 'strength',
};

/** The figures of a step apart from its words, in the units of the crew. */
export const saidFigures = (numbers: StepNumbers, units: DisplayUnits): readonly SaidFigure[] =>
  Object.entries(numbers).map(([name, number]) => ({
    kind: name === 'lap' ? 'overlap' : KIND_OF_UNIT[number.unit],
    said: numberWord(number, units),
    basis: number.basis,
  }));
