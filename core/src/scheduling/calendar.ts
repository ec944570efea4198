import { intAt } from '../quantity';
import type { Times } from './network';

/** Spans to be asked often: beside them, for each minute, the first span that ends after it. */
export interface Calendar {
  readonly begins: Int32Array;
  readonly ends: Int32Array;
  readonly first: Int32Array;
}

export function calendarOf({ from, to }: Times, horizon: number): Calendar {
  const first = new Int32Array(horizon + 1);
  let span = 0;
  for (let minute = 0; minute <= horizon; minute += 1) {
    while (span < to.length && intAt(to, span) <= minute) span += 1;
    first[minute] = span;
  }
  return { begins: from, ends: to, first };
}

/** Later than every minute: a whole number, which is quicker to calculate with than infinity. */
export const TOO_LATE = 0x3fffffff;

/** The first minute from which so many lie within one span, or `TOO_LATE`. */
export function openFrom({ begins, ends, first }: Calendar, from: number, minutes: number): number {
  if (from >= first.length) return TOO_LATE;
  for (let span = intAt(first, from); span < ends.length; span += 1) {
    const begin = intAt(begins, span);
    const start = from > begin ? from : begin;
    if (start + minutes <= intAt(ends, span)) return start;
  }
  return TOO_LATE;
}
