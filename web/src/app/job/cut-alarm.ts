import type { DayClock } from '@yellow-pane/contracts/day-clock';
import { type DisplayUnits, formatLengthWithUnit, nmFromMm } from '@yellow-pane/core/quantity';
import type { ChangedAfterCut } from '@yellow-pane/core/reading';
import { shellWords } from '../words/shell';

export const CUT_ALARM = shellWords.cutOtherwise;

/** What to do about film that is cut and no longer fits. */
export function cutAlarm(changed: readonly ChangedAfterCut[], units: DisplayUnits, clock: DayClock): string {
  const size = ({ width_mm, height_mm }: ChangedAfterCut['was']): string =>
    `${formatLengthWithUnit(nmFromMm(width_mm), units)} × ${formatLengthWithUnit(nmFromMm(height_mm), units)}`;
  return changed
    .map(({ tag, cutAt, was, now }) =>
      shellWords.cutBefore(
        tag,
        size(was),
        clock.dateOf(cutAt),
        now === undefined ? shellWords.noBlankToday : shellWords.blankToday(size(now)),
      ),
    )
    .join(' ');
}
