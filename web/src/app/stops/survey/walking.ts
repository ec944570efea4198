import type { Instrument, MeasureKind } from '@yellow-pane/core/job';
import { canTake } from '@yellow-pane/core/measure';

interface Walked {
  readonly key: string;
  readonly kind: MeasureKind;
}

/** The field that follows in the order of walking, of those this instrument can take. */
export function fieldAfter(
  order: readonly Walked[],
  key: string,
  instrument: Instrument = 'tape',
): string | undefined {
  return order
    .slice(order.findIndex((field) => field.key === key) + 1)
    .find(({ kind }) => canTake(instrument, kind))?.key;
}

/**
 * Where a reading of an instrument lands: the field in use, else the next one open, else the first; of
 * those it can take.
 */
export function fieldFor(
  order: readonly Walked[],
  wanted: readonly (string | undefined)[],
  instrument: Instrument,
): string | undefined {
  const own = order.filter(({ kind }) => canTake(instrument, kind));
  return wanted.find((key) => own.some((field) => field.key === key)) ?? own[0]?.key;
}
