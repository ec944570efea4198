import type { MeasureKind } from './measure-row';

interface KindRule {
  readonly word: string;
  readonly least_mm: number;
  readonly most_mm: number;
  /** From a point to itself. */
  readonly atOnePoint: boolean;
  /** Whether a distance meter, held to a face and shot at a target, can take it. Common practice. */
  readonly byLaser: boolean;
}

const LONGEST_MM = 100_000;

/** What each kind of reading may be. */
export const MEASURE_KINDS: Readonly<Record<MeasureKind, KindRule>> = {
  distance: { word: 'distance', least_mm: 1, most_mm: LONGEST_MM, atOnePoint: false, byLaser: true },
  'height over': {
    word: 'height over a side',
    least_mm: 1,
    most_mm: LONGEST_MM,
    atOnePoint: false,
    byLaser: true,
  },
  'right angle': { word: 'right angle', least_mm: 0, most_mm: 0, atOnePoint: true, byLaser: false },
  level: { word: 'fall from level', least_mm: -1000, most_mm: 1000, atOnePoint: false, byLaser: false },
  sag: { word: 'sag', least_mm: -2000, most_mm: 2000, atOnePoint: false, byLaser: false },
  'quarter sag': {
    word: 'sag at the quarter',
    least_mm: -2000,
    most_mm: 2000,
    atOnePoint: false,
    byLaser: false,
  },
  'rocking gap': { word: 'rocking gap', least_mm: 0, most_mm: 1000, atOnePoint: true, byLaser: false },
  radius: { word: 'radius', least_mm: 0, most_mm: LONGEST_MM, atOnePoint: true, byLaser: false },
  circumference: {
    word: 'circumference',
    least_mm: 1,
    most_mm: LONGEST_MM,
    atOnePoint: true,
    byLaser: false,
  },
  thickness: { word: 'thickness', least_mm: 0, most_mm: 2000, atOnePoint: true, byLaser: false },
  wrap: { word: 'turned on to the back', least_mm: 0, most_mm: 2000, atOnePoint: true, byLaser: false },
  label: { word: 'size on the label', least_mm: 1, most_mm: LONGEST_MM, atOnePoint: false, byLaser: false },
};

/**
 * A size that is known no better than this (standard deviation, mm) is not determined: nobody could cut by
 * it. The rate `measure-determined` replaces it.
 * @source our guess
 */
export const DETERMINED_WITHIN_MM = 20;
