import type { Help } from '@yellow-pane/core/curved';
import { HOLDS, SHRINK_VERDICTS, shrinkWords } from '../words/shrink';

/** What would help, in the units of the person. */
export function helpSays(
  help: Help,
  length: (mm: number) => string,
  percent: (share: number) => string,
): string {
  switch (help.case) {
    case 'other hold':
      return shrinkWords.helpHold(
        HOLDS[help.hold],
        help.worst < 0 ? SHRINK_VERDICTS['must stretch'] : percent(help.worst),
      );
    case 'wider bases':
      return shrinkWords.helpFree(percent(help.free));
    case 'relief cut':
      return shrinkWords.helpCut(help.edge, length(help.width_mm));
    case 'pieces':
      return shrinkWords.helpPieces(help.count);
    case 'other film':
      return shrinkWords.helpFilm(percent(help.limit));
    case 'roll turned':
      return shrinkWords.helpTurned(percent(help.worst));
    case 'other person':
      return shrinkWords.helpPerson;
  }
}
