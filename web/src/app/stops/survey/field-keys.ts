import type { RowOf } from '@yellow-pane/core/job';
import type { AskedMeasure } from '@yellow-pane/core/measure';

/** Where what is typed in a field is kept. */
export function draftKey(surfaceId: string, slot: string): string {
  return `${surfaceId}:${slot}`;
}

/** Which measure a row is. */
export function asked({ kind, fromPoint, toPoint }: RowOf<'measure'>): AskedMeasure {
  return { kind, from: fromPoint, to: toPoint };
}

/** The key of a field that is no customary slot. */
export function keyOf({ kind, from, to }: AskedMeasure): string {
  return kind === 'distance' ? `${from}-${to}` : `${kind.replaceAll(' ', '-')}-${from}-${to}`;
}
