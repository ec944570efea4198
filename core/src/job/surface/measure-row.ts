import type { LengthUnit } from '../../quantity';

/** What a reading is the measure of. */
export type MeasureKind =
  | 'distance'
  /** From a point square to the line of a side. */
  | 'height over'
  /** A try square fits at this corner. */
  | 'right angle'
  /** How much lower the second point lies than the first, by a level. */
  | 'level'
  /** From the middle of a chord to the glass. */
  | 'sag'
  /** From a quarter of a chord, near its first point, to the glass. */
  | 'quarter sag'
  /** Under the fourth corner while three touch a flat board. */
  | 'rocking gap'
  | 'radius'
  | 'circumference'
  | 'thickness'
  /** How far the film turns on to the back of an edge. */
  | 'wrap'
  /** What the label of pre-cut film says. */
  | 'label';

/**
 * A named point of a surface, left and right as the surface's `seenFrom` says: corners such as `tl`, side
 * middles such as `mt`, numbered corners such as `p3`.
 */
export type MeasurePoint = string;
export const INSTRUMENT_NAMES = ['tape', 'laser', 'photo', 'guess', 'about'] as const;
/** What somebody said on the phone: enough for a rough price, never cut by. */
export const SAID_ABOUT = 'about' satisfies (typeof INSTRUMENT_NAMES)[number];
export type Instrument = (typeof INSTRUMENT_NAMES)[number];

/** One reading between two points. Repeats are separate rows. */
export interface Measure {
  readonly surfaceId: string;
  readonly kind: MeasureKind;
  readonly fromPoint: MeasurePoint;
  readonly toPoint: MeasurePoint;
  /** As the person typed it. */
  readonly text: string;
  readonly unit: LengthUnit;
  readonly value_nm: number;
  readonly instrument: Instrument;
  /** null = the instrument's usual standard deviation. */
  readonly sd_nm: number | null;
}
