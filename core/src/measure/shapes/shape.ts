import type { SurfaceShape, WallFacts } from '../../job';
import type { MeasureSlot } from '../measure-slot';
import type { Reading } from '../reading';
import type { SurfaceCheck } from '../surface-check';

/** A part as sizes: mm, from the surface's upper left corner; null = not measured. */
export interface PartSize {
  readonly kind: 'opening' | 'furrow';
  readonly name: string;
  readonly x_mm: number | null;
  readonly y_mm: number | null;
  readonly width_mm: number | null;
  readonly height_mm: number | null;
  readonly depth_mm: number | null;
  readonly form: 'none' | 'V' | 'square' | 'half round';
  readonly count: number;
}

/** Joints of a wall, mm. */
export type JointSizes = Pick<WallFacts, 'bond'> & {
  readonly unitWidth_mm: number | null;
  readonly unitHeight_mm: number | null;
  readonly jointWidth_mm: number | null;
  readonly jointDepth_mm: number | null;
};

export interface SurfaceInput {
  readonly shape: SurfaceShape;
  /** Of `many sides`. */
  readonly corners?: number | null;
  readonly readings: readonly Reading[];
  /** What is known no better than this (standard deviation) is not determined; a rate of the shop. */
  readonly determinedWithin_mm?: number | undefined;
  readonly parts?: readonly PartSize[];
  readonly joints?: JointSizes | undefined;
}

/** One guided way of measuring: which measures are customary, and what they say together. */
export interface ShapeMeasure {
  readonly slots: (corners: number) => readonly MeasureSlot[];
  readonly check: (input: SurfaceInput) => SurfaceCheck;
}

function hasReading(readings: readonly Reading[], slot: Pick<MeasureSlot, 'kind' | 'from' | 'to'>): boolean {
  return readings.some(
    (reading) =>
      reading.kind === slot.kind &&
      ((reading.from === slot.from && reading.to === slot.to) ||
        (reading.from === slot.to && reading.to === slot.from && slot.kind !== 'quarter sag')),
  );
}

/** The first customary measure not taken yet. */
export function firstUntaken(
  slots: readonly MeasureSlot[],
  readings: readonly Reading[],
): MeasureSlot | undefined {
  return slots.find((slot) => slot.isExtra !== true && !hasReading(readings, slot));
}
