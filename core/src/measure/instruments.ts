import { type Instrument, MEASURE_KINDS, type MeasureKind } from '../job';
import { COMMON_PRACTICE, type Source } from '../quantity';

interface InstrumentAccuracy {
  readonly word: string;
  readonly base_mm: number;
  readonly perMetre_mm: number;
  readonly source: Source;
}

/** Standard deviation of one reading, by instrument. */
export const INSTRUMENTS: Readonly<Record<Instrument, InstrumentAccuracy>> = {
  tape: { word: 'tape', base_mm: 1, perMetre_mm: 0.1, source: COMMON_PRACTICE },
  laser: { word: 'laser', base_mm: 1.5, perMetre_mm: 0, source: COMMON_PRACTICE },
  photo: { word: 'photo', base_mm: 3, perMetre_mm: 1, source: { kind: 'our guess', text: 'our guess' } },
  guess: { word: 'guess', base_mm: 5, perMetre_mm: 0, source: { kind: 'our guess', text: 'our guess' } },
  about: {
    word: 'said on the phone',
    base_mm: 50,
    perMetre_mm: 50,
    source: { kind: 'our guess', text: 'our guess' },
  },
};

/** @returns mm, one standard deviation of a single reading of `value_mm` */
export function standardDeviation_mm(instrument: Instrument, value_mm: number): number {
  const { base_mm, perMetre_mm } = INSTRUMENTS[instrument];
  return base_mm + (perMetre_mm * value_mm) / 1000;
}

/** Whether an instrument can take such a measure: no laser measures a thickness or goes round a column. */
export function canTake(instrument: Instrument, kind: MeasureKind): boolean {
  if (instrument === 'photo') return kind === 'distance';
  return instrument !== 'laser' || MEASURE_KINDS[kind].byLaser;
}
