import { intAt } from '../quantity';
import { type Calendar, TOO_LATE, calendarOf, openFrom } from './calendar';
import type { Network, Times } from './network';

const PAGE = 10;
const LAST = (1 << PAGE) - 1;

/**
 * When something so long can begin while several calendars are open at once; what has been asked is
 * remembered, in pages of minutes.
 */
export class EarliestStarts {
  readonly #calendars: readonly Calendar[];
  readonly #minutes: number;
  readonly #horizon: number;
  /** For each minute, the answer and one more; 0: not asked yet. */
  readonly #pages: (Int32Array | undefined)[];

  constructor(calendars: readonly Calendar[], minutes: number, horizon: number) {
    this.#calendars = calendars;
    this.#minutes = minutes;
    this.#horizon = horizon;
    this.#pages = new Array<Int32Array | undefined>((horizon >> PAGE) + 1).fill(undefined);
  }

  /** The first minute from which all are open so long, or `TOO_LATE`. */
  from(minute: number): number {
    if (minute > this.#horizon) return TOO_LATE;
    const page = (this.#pages[minute >> PAGE] ??= new Int32Array(LAST + 1));
    const known = intAt(page, minute & LAST);
    if (known > 0) return known - 1;
    const earliest = this.#search(minute);
    page[minute & LAST] = earliest + 1;
    return earliest;
  }

  #search(minute: number): number {
    let at = minute;
    for (;;) {
      const asked = at;
      for (const calendar of this.#calendars) {
        at = openFrom(calendar, at, this.#minutes);
        if (at === TOO_LATE) return at;
      }
      if (at === asked) return at;
    }
  }
}

/**
 * The openings of every step with each who is able, in the order of `able`, and of the step's surface alone;
 * alike ones are shared.
 */
export function earliestStartsOf({ able, open, hours, minutes, horizon }: Network): {
  readonly withEach: readonly (readonly EarliestStarts[])[];
  readonly alone: readonly EarliestStarts[];
} {
  const numbers = new Map<string, number>();
  const calendars: Calendar[] = [];
  const numberOf = (times: Times | undefined): number => {
    if (times === undefined) return -1;
    const key = `${times.from.join()}/${times.to.join()}`;
    const number = numbers.get(key) ?? calendars.push(calendarOf(times, horizon)) - 1;
    numbers.set(key, number);
    return number;
  };
  const known = new Map<string, EarliestStarts>();
  const share = (length: number, ...wanted: readonly number[]): EarliestStarts => {
    const key = `${length}/${wanted.join()}`;
    const ableHours =
      known.get(key) ??
      new EarliestStarts(
        wanted.flatMap((number) => calendars[number] ?? []),
        length,
        horizon,
      );
    known.set(key, ableHours);
    return ableHours;
  };
  const people = hours.map(numberOf);
  const surfaces = open.map(numberOf);
  return {
    withEach: able.map((who, step) =>
      Array.from(who, (person) => share(intAt(minutes, step), surfaces[step] ?? -1, people[person] ?? -1)),
    ),
    alone: surfaces.map((surface, step) => share(intAt(minutes, step), surface)),
  };
}
