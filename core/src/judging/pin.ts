import type { Known, MarkLook } from '../job';

/** A mark as it is judged: mm, x to the right and y upwards from the lower left corner of the surface. */
export interface Pin {
  readonly id: string;
  readonly look: MarkLook;
  readonly x: number;
  readonly y: number;
  /** Null: not measured. Of a light gap its width. */
  readonly size_mm: number | null;
  /** Of what is longer than wide; null: a spot. */
  readonly length_mm: number | null;
  /** Water under the film, by its three questions. */
  readonly isMoisture: Known;
  /** Water that does not dry as water does: too large, in a line, joined to an edge, with a rim. */
  readonly isOutOfOrder?: boolean;
  /** A person looked from where the rules say: obtrusive, or not; undefined: nobody did. */
  readonly isObtrusive?: boolean;
  /** Of a scratch: it is in the glass, and nobody recorded it before the work. */
  readonly isNewInGlass: Known;
}

/** What must be measured or is wrong with a pin. */
export type PinFault = 'beside the surface' | 'no size' | 'size out of range';

/** Nothing smaller is seen, nothing larger is a mark, mm. */
export const PIN_SIZE = { least_mm: 0.05, most_mm: 3000 } as const;
