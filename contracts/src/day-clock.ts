import { type CrewMember, type DaySettings, NEW_DAY } from '@yellow-pane/core/job';
import type { Span } from '@yellow-pane/core/scheduling';
import { DateTime } from 'luxon';

const MINUTE_MS = 60_000;
const STEP_MIN = 5;

/** Minutes of a plan and the clock of the place: days may be 23 or 25 hours long. */
export class DayClock {
  readonly from_ms: number;
  readonly to_ms: number;
  /** Minute at which each day begins, one more than there are days. */
  readonly dayStarts: readonly number[];
  readonly #first: DateTime;
  readonly #firstEnds: number;
  /** Words of minutes asked for before: a board of stretches asks for the same ones at every plan. */
  readonly #words = new Map<string, string>();

  constructor(private readonly settings: Pick<DaySettings, 'firstDay' | 'days' | 'zone' | 'restDays'>) {
    const first = DateTime.fromISO(settings.firstDay, { zone: settings.zone }).startOf('day');
    this.#first = first.isValid ? first : DateTime.now().startOf('day');
    this.from_ms = this.#first.toMillis();
    this.to_ms = this.#first.plus({ days: settings.days }).toMillis();
    this.dayStarts = Array.from({ length: settings.days + 1 }, (_, day) =>
      this.minuteOf(this.#first.plus({ days: day }).toMillis()),
    );
    this.#firstEnds = this.minuteOf(this.#first.plus({ days: 1 }).toMillis());
  }

  /** Days of rest as one word, to compare. */
  get restWord(): string {
    return [...this.settings.restDays].sort().join();
  }

  get horizon(): number {
    return this.minuteOf(this.to_ms);
  }

  minuteOf(instant_ms: number): number {
    return Math.round((instant_ms - this.from_ms) / MINUTE_MS);
  }

  /**
   * The minute from which something may be planned at such a moment, in steps of five; 0 before the first
   * day.
   */
  nextStart(instant_ms: number): number {
    return Math.max(0, Math.ceil(this.minuteOf(instant_ms) / STEP_MIN) * STEP_MIN);
  }

  instantOf(minute: number): string {
    return new Date(this.from_ms + minute * MINUTE_MS).toISOString();
  }

  /** '11:40'. */
  hour(minute: number): string {
    return this.#word(minute, 'HH:mm');
  }

  /** '11:40', or 'Thu 11:40' on another day than the first. */
  clock(minute: number): string {
    return this.#word(minute, minute >= 0 && minute < this.#firstEnds ? 'HH:mm' : 'ccc HH:mm');
  }

  /** 'Thu 3 Dec, 11:40': read long after, on whatever day. */
  moment(minute: number): string {
    return this.#word(minute, 'ccc d MMM, HH:mm');
  }

  /** '11:40', whatever the day. */
  hourOf(instant_ms: number): string {
    return this.hour((instant_ms - this.from_ms) / MINUTE_MS);
  }

  /** When the day of the place began that holds such a moment. */
  midnightOf(instant_ms: number): number {
    return this.#at(instant_ms).startOf('day').toMillis();
  }

  /** What the clock of the place says then, in hours: 13.5 is half past one. */
  dayHourOf(instant_ms: number): number {
    const { hour, minute, second } = this.#at(instant_ms);
    return hour + minute / 60 + second / 3600;
  }

  /** An hour of today at the place. */
  todayAt(hour: number, minute: number): number {
    return DateTime.now()
      .setZone(this.settings.zone)
      .set({ hour, minute, second: 0, millisecond: 0 })
      .toMillis();
  }

  /** '11:40', or 'Thu 11:40' on another day than such a moment. */
  hourFrom(now_ms: number, instant_ms: number): string {
    const isSameDay = this.#at(now_ms).hasSame(this.#at(instant_ms), 'day');
    return this.#at(instant_ms).toFormat(isSameDay ? 'HH:mm' : 'ccc HH:mm');
  }

  clockOf(instant_ms: number): string {
    return this.clock((instant_ms - this.from_ms) / MINUTE_MS);
  }

  /** Of any moment, by the calendar of the place: '30 November 2026'. */
  dateOf(instant: string | number): string {
    return this.#at(new Date(instant).getTime()).toFormat('d MMMM yyyy');
  }

  /** The same with the hour: '30 Nov 2026, 17:52'. */
  momentOf(instant: string | number): string {
    return this.#at(new Date(instant).getTime()).toFormat('d MMM yyyy, HH:mm');
  }

  /** Of any moment, as a calendar field takes it: '2026-11-30'. */
  isoDayOf(instant: string | number): string {
    return this.#at(new Date(instant).getTime()).toFormat('yyyy-MM-dd');
  }

  /** An hour of a day of the place; undefined: there is no such day. */
  instantAt(isoDay: string, hour: number): string | undefined {
    const day = DateTime.fromISO(isoDay, { zone: this.settings.zone });
    return day.isValid ? new Date(day.set({ hour }).toMillis()).toISOString() : undefined;
  }

  dayWord(day: number): string {
    return this.#first.plus({ days: day }).toFormat('ccc d MMM');
  }

  /** '29 Dec'. */
  date(minute: number): string {
    return this.#word(minute, 'd MMM');
  }

  shortDay(day: number): string {
    return this.#first.plus({ days: day }).toFormat('ccc d');
  }

  /** Nobody works on it. */
  isRestDay(day: number): boolean {
    return this.settings.restDays.includes(this.#first.plus({ days: day }).weekday);
  }

  /** When somebody works, as minutes of the plan. */
  hoursOf({ begins, ends, breakBegins, breakEnds }: CrewMember): readonly Span[] {
    const hasBreak = breakEnds > breakBegins && breakBegins > begins && breakEnds < ends;
    const parts =
      ends <= begins
        ? []
        : hasBreak
          ? [
              [begins, breakBegins],
              [breakEnds, ends],
            ]
          : [[begins, ends]];
    return Array.from({ length: this.settings.days }, (_, day) => this.#first.plus({ days: day }))
      .filter(({ weekday }) => !this.settings.restDays.includes(weekday))
      .flatMap((date) =>
        parts.map(([from = 0, to = 0]): Span => ({
          from: this.#onDay(date, from),
          to: this.#onDay(date, to),
        })),
      )
      .filter(({ from, to }) => to > from);
  }

  #at(instant_ms: number): DateTime {
    return DateTime.fromMillis(instant_ms, { zone: this.settings.zone });
  }

  #onDay(date: DateTime, minuteOfDay: number): number {
    return this.minuteOf(
      date
        .set({ hour: Math.floor(minuteOfDay / 60) % 24, minute: minuteOfDay % 60 })
        .plus({ days: minuteOfDay >= 1440 ? 1 : 0 })
        .toMillis(),
    );
  }

  #word(minute: number, format: string): string {
    const key = `${minute} ${format}`;
    const known = this.#words.get(key);
    if (known !== undefined) return known;
    const word = DateTime.fromMillis(this.from_ms + minute * MINUTE_MS, {
      zone: this.settings.zone,
    }).toFormat(format);
    this.#words.set(key, word);
    return word;
  }
}

/** How the days of a job are planned: as kept, else from today on, by the clock of such a zone. */
export function daySettingsOr(kept: DaySettings | undefined, zone: string, now_ms: number): DaySettings {
  return kept ?? { ...NEW_DAY, zone, firstDay: DateTime.fromMillis(now_ms, { zone }).toISODate() ?? '' };
}
