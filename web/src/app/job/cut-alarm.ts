import { type DisplayUnits, formatLengthWithUnit, nmFromMm } from '@yellow-pane/core/quantity';
import type { ChangedAfterCut } from '@yellow-pane/core/reading';

export const CUT_ALARM = 'Cut already, and measured otherwise now';

/** What to do about film that is cut and no longer fits. */
export function cutAlarm(changed: readonly ChangedAfterCut[], units: DisplayUnits): string {
  const size = ({ width_mm, height_mm }: ChangedAfterCut['was']): string =>
    `${formatLengthWithUnit(nmFromMm(width_mm), units)} × ${formatLengthWithUnit(nmFromMm(height_mm), units)}`;
  return changed
    .map(
      ({ tag, cutAt, was, now }) =>
        `${tag} was cut ${size(was)} on ${cutAt.slice(0, 10)}; ${now === undefined ? 'today there is no blank for it' : `today it would be ${size(now)}`}. Measure again before it is wetted; if it no longer fits, mark it spoiled at Cut.`,
    )
    .join(' ');
}
