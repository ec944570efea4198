import { neverWords } from '@yellow-pane/contracts/words';
import { type Wait, waitStateOf } from '@yellow-pane/core/waiting';
import { dayWords } from '../../words/day';

/** A length of time, rougher the longer it is. */
export function hoursWord(minutes: number): string {
  return minutes < 90
    ? dayWords.minutesOnly(Math.round(minutes))
    : `${(minutes / 60).toFixed(minutes < 600 ? 1 : 0)} h`;
}

/** How long a wait is, in its own state. */
export function spanWord(wait: Wait): string {
  switch (waitStateOf(wait)) {
    case 'not needed':
      return dayWords.noneWarm;
    case 'never ends':
      return wait.never === null ? '' : neverWords(wait.never);
    case 'unknown':
      return dayWords.unknownWait;
    case 'ends':
      return dayWords.fromTo(hoursWord(wait.least ?? 0), hoursWord(wait.most ?? 0));
  }
}
