import { type Instrument, MEASURE_KINDS, type MeasureKind, type MeasurePoint } from '../job';
import { CoreError } from '../quantity';
import { standardDeviation_mm } from './instruments';

/** A kept measure as this room calculates with it. */
export interface Reading {
  readonly id: string;
  readonly kind: MeasureKind;
  readonly from: MeasurePoint;
  readonly to: MeasurePoint;
  readonly value_mm: number;
  readonly instrument: Instrument;
  /** Stated by the person; otherwise the instrument's own. */
  readonly sd_mm?: number | undefined;
}

/** The same two points, whichever way round, and the same kind. Quarter sags know their end. */
export function isSameMeasure(
  a: Pick<Reading, 'kind' | 'from' | 'to'>,
  b: Pick<Reading, 'kind' | 'from' | 'to'>,
): boolean {
  if (a.kind !== b.kind) return false;
  const isForward = a.from === b.from && a.to === b.to;
  return isForward || (a.kind !== 'quarter sag' && a.kind !== 'level' && a.from === b.to && a.to === b.from);
}

export function sdOf(reading: Reading): number {
  return reading.sd_mm ?? standardDeviation_mm(reading.instrument, Math.abs(reading.value_mm));
}

/** @throws CoreError MEASURE_DISTANCE_RANGE, MEASURE_POINTS_SAME */
export function refuseAbsurd({ id, kind, from, to, value_mm }: Reading): void {
  const { least_mm, most_mm, atOnePoint } = MEASURE_KINDS[kind];
  if (!atOnePoint && from === to)
    throw new CoreError('MEASURE_POINTS_SAME', { path: id, expected: 'two different points', got: from });
  if (!(value_mm >= least_mm && value_mm <= most_mm))
    throw new CoreError('MEASURE_DISTANCE_RANGE', {
      path: id,
      expected: `${least_mm} to ${most_mm} mm`,
      got: String(value_mm),
    });
}
