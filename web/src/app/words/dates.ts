import { mayWords } from '@yellow-pane/contracts/words';
import type { DaysFrom, NotOrdinary } from '@yellow-pane/core/reading';
import type { MayDo, MayKey } from '@yellow-pane/core/waiting';
import type { Figure, Messages } from './messages';

const RESTS_ON: Readonly<Record<DaysFrom, string>> = {
  forecast:
    'By the forecast; the days after it are taken to be like it. A climate typed in Survey is better.',
  climate: 'By the climate of the place, month by month.',
  'forecast, then climate': 'By the forecast, then by the climate of the place, month by month.',
  room: 'By the air of the room: no sun comes here.',
  nothing: 'By custom alone.',
};
const AGAINST: Readonly<Record<NotOrdinary, string>> = {
  large: 'it is large',
  'in a line along strokes': 'it lies in a line along strokes',
  'joined to an edge': 'it is joined to an edge',
  'brown or white rim': 'it has a rim',
  'past its date': 'it is past its date',
};

/** Drying, cure, and what may be done when. */
export const datesWords = {
  mayWhen: (film: string) => `${film}: what may be done when`,
  may: (key: MayKey) => mayWords(key).word,
  mayByHand: (key: MayKey) => mayWords(key).hand,
  noDayYet: (why: NonNullable<MayDo['noDay']>) => (why === 'not calculated' ? 'unknown' : why),
  fromDate: (date: string) => `from ${date}`,
  untilDate: (date: string) => `until ${date}`,
  atOnce: 'at once',
  datesRestOn: (from: DaysFrom, unknown: readonly string[]) =>
    from === 'nothing' && unknown.length > 0
      ? `By custom alone. To calculate it with this glass, say ${unknown.join(', ')}.`
      : RESTS_ON[from],
  whyThen: 'Why then: the curve and the sums',
  chartOfDrying: 'Water left under the film and bond reached, day by day',
  waterLeft: 'even water left',
  pocketLeft: 'pocket left',
  bondReached: 'bond reached',
  daysAfter: 'days after it was laid',
  percent: '%',
  monthsDry: 'Drop in vapour pressure on an average day, kPa:',
  monthDries: (month: string, drop_kPa: number) => `${month} ${drop_kPa.toFixed(2)}`,
  pocketAt: (days: Figure, tenths: Figure) =>
    `${days} days old: ${tenths} in 10 that it is ordinary drying, by its age alone.`,
  pocketAgainst: (reasons: readonly NotOrdinary[]) =>
    `No ordinary pocket: ${reasons.map((reason) => AGAINST[reason]).join(', ')}.`,
} satisfies Messages;
