import {
  type DisplayUnits,
  ML_PER_US_FL_OZ,
  formatArea,
  formatDifference,
  formatLengthWithUnit,
  formatTemperature,
  nmFromMm,
} from '@yellow-pane/core/quantity';

/** Figures as a person reads them: in their own units. */
export interface Figures {
  readonly units: DisplayUnits;
  /** As fine as it was measured. */
  readonly length: (mm: number) => string;
  /** To the whole millimetre, or to 1/16 in. */
  readonly about: (mm: number) => string;
  readonly area: (m2: number) => string;
  /** Small ones as fine as a syringe reads. */
  readonly volume: (litres: number) => string;
  readonly weight: (kilograms: number) => string;
  readonly temperature: (celsius: number, digits?: number) => string;
  /** A difference of temperatures. */
  readonly difference: (kelvin: number) => string;
  readonly percent: (share: number) => string;
}

export function figuresIn(units: DisplayUnits): Figures {
  return {
    units,
    length: (mm) => formatLengthWithUnit(nmFromMm(mm), units),
    about: (mm) => formatLengthWithUnit(nmFromMm(units === 'metric' ? Math.round(mm) : mm), units),
    volume: (litres) => volumeIn(units, litres),
    weight: (kilograms) => weightIn(units, kilograms),
    area: (m2) => formatArea(m2 * 1e6, units),
    temperature: (celsius, digits) => formatTemperature(celsius, units, digits),
    difference: (kelvin) => formatDifference(kelvin, units),
    percent: (share) => `${Math.round(share * 100)} %`,
  };
}

const KG_PER_LB = 0.45359237;

function weightIn(units: DisplayUnits, kilograms: number): string {
  const [value, unit] = units === 'metric' ? [kilograms, 'kg'] : [kilograms / KG_PER_LB, 'lb'];
  return `${value.toFixed(value < 10 ? 1 : 0)} ${unit}`;
}

function volumeIn(units: DisplayUnits, litres: number): string {
  const ml = litres * 1000;
  if (units !== 'metric') return `${(ml / ML_PER_US_FL_OZ).toFixed(1)} fl oz`;
  if (ml >= 1000) return `${litres.toFixed(1)} l`;
  return `${ml < 20 ? Math.round(ml * 10) / 10 : Math.round(ml)} ml`;
}

/** A case that core tells as data, with the figures that belong to it. */
export interface Case {
  readonly case: string;
}

/** A sentence for each case there is: one that is forgotten does not compile. */
export type Messages<Said extends Case> = {
  readonly [Name in Said['case']]:
    string | ((said: Extract<Said, { readonly case: Name }>, figures: Figures) => string);
};

/** The sentence of a case, in the person's units. */
export function sentenceOf<Said extends Case>(
  messages: Messages<Said>,
  said: Said,
  units: DisplayUnits,
): string {
  const message = messages[said.case as Said['case']];
  return typeof message === 'string' ? message : message(said as never, figuresIn(units));
}

/** Words that follow a number: `1 opening`, `2 openings`. */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`;
}

/** The same with a capital letter at the beginning. */
export function capital(text: string): string {
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}`;
}
