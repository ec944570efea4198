import { floatAt } from '../quantity';
import type { Person, Span } from './problem';

/** All hours in which anybody works, as one row of spans. */
export function workingHours(people: readonly Pick<Person, 'hours'>[]): readonly Span[] {
  const all = people.flatMap(({ hours }) => hours).sort((a, b) => a.from - b.from);
  const joined: { from: number; to: number }[] = [];
  for (const { from, to } of all) {
    const last = joined.at(-1);
    if (last !== undefined && from <= last.to) last.to = Math.max(last.to, to);
    else joined.push({ from, to });
  }
  return joined;
}

/**
 * Minutes of working time before a minute: what a plan's length is measured in. Outside all hours the clock
 * of work stands still.
 */
export function workingMinutes(hours: readonly Span[], until: number): number {
  return hours.reduce((sum, { from, to }) => sum + Math.max(0, Math.min(to, until) - from), 0);
}

/** The same for every minute up to the horizon, as a row to look up in. */
export function workedBefore(hours: readonly Span[], horizon: number): Float64Array {
  const worked = new Float64Array(horizon + 1);
  for (const { from, to } of hours)
    for (let minute = from; minute < Math.min(to, horizon); minute += 1) worked[minute + 1] = 1;
  for (let minute = 1; minute <= horizon; minute += 1)
    worked[minute] = floatAt(worked, minute) + floatAt(worked, minute - 1);
  return worked;
}

/**
 * For every amount of work of all together: how much of the clock of work it takes at least.  @param
 * perPerson what each has worked before each minute @param worked what anybody has, from `workedBefore`
 */
export function leastWorked(perPerson: readonly Float64Array[], worked: Float64Array): Float64Array {
  const all = perPerson.reduce((sum, row) => sum + (row.at(-1) ?? 0), 0);
  const least = new Float64Array(all + 1);
  let done = 0;
  for (let minute = 1; minute < worked.length; minute += 1) {
    const until = perPerson.reduce((sum, row) => sum + floatAt(row, minute), 0);
    for (; done < until; done += 1) least[done + 1] = floatAt(worked, minute);
  }
  return least;
}
