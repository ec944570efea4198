import type { LengthUnit } from '../quantity';

/** Corners and side midpoints of a four-sided pane, left and right as the surface's `seenFrom` says. */
export type PanePoint = 'tl' | 'tr' | 'br' | 'bl' | 'mt' | 'mr' | 'mb' | 'ml';
export type Instrument = 'tape' | 'laser' | 'guess';

/** One reading between two points. Repeats are separate rows. */
export interface Measure {
  readonly surfaceId: string;
  readonly fromPoint: PanePoint;
  readonly toPoint: PanePoint;
  /** As the person typed it. */
  readonly text: string;
  readonly unit: LengthUnit;
  readonly value_nm: number;
  readonly instrument: Instrument;
  /** null = the instrument's usual standard deviation. */
  readonly sd_nm: number | null;
}
