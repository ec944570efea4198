import { intAt } from '../quantity';

/** What holds a person, a tool or a room: begin and end of each booking in order of begin. */
export class Timetable {
  size = 0;
  readonly from: Int32Array;
  readonly to: Int32Array;
  readonly count: Int32Array;
  readonly step: Int32Array;

  /** @param most bookings at a time */
  constructor(most: number) {
    this.from = new Int32Array(most);
    this.to = new Int32Array(most);
    this.count = new Int32Array(most);
    this.step = new Int32Array(most);
  }

  book(step: number, from: number, to: number, count = 1): void {
    let at = this.size;
    for (; at > 0 && intAt(this.from, at - 1) > from; at -= 1) this.#copy(at - 1, at);
    this.from[at] = from;
    this.to[at] = to;
    this.count[at] = count;
    this.step[at] = step;
    this.size += 1;
  }

  free(step: number): void {
    let at = this.size - 1;
    while (at >= 0 && this.step[at] !== step) at -= 1;
    if (at < 0) return;
    this.size -= 1;
    for (; at < this.size; at += 1) this.#copy(at + 1, at);
  }

  clear(): void {
    this.size = 0;
  }

  /** First minute from `from` with so many minutes free, when bookings do not overlap one another. */
  nextFree(from: number, minutes: number): number {
    let first = this.size;
    while (first > 0 && intAt(this.to, first - 1) > from) first -= 1;
    let at = from;
    for (let index = first; index < this.size; index += 1) {
      if (intAt(this.from, index) >= at + minutes) return at;
      at = Math.max(at, intAt(this.to, index));
    }
    return at;
  }

  /**
   * First minute from `from` when so many are left of `all` for so many minutes, bookings overlapping as they
   * like.
   */
  nextLeft(from: number, minutes: number, need: number, all: number): number {
    if (need > all) return Number.POSITIVE_INFINITY;
    let at = from;
    for (;;) {
      const clash = this.#clash(at, minutes, all - need);
      if (clash < 0) return at;
      at = clash;
    }
  }

  /** @returns when the first booking ends that makes it too many; -1: never too many */
  #clash(from: number, minutes: number, most: number): number {
    const until = from + minutes;
    for (let index = 0; index < this.size && intAt(this.from, index) < until; index += 1) {
      if (intAt(this.to, index) <= from) continue;
      const at = Math.max(from, intAt(this.from, index));
      let used = 0;
      let ends = Number.POSITIVE_INFINITY;
      for (let row = 0; row < this.size && intAt(this.from, row) <= at; row += 1) {
        const end = intAt(this.to, row);
        if (end <= at) continue;
        used += intAt(this.count, row);
        ends = Math.min(ends, end);
      }
      if (used > most) return ends;
    }
    return -1;
  }

  #copy(source: number, target: number): void {
    this.from[target] = intAt(this.from, source);
    this.to[target] = intAt(this.to, source);
    this.count[target] = intAt(this.count, source);
    this.step[target] = intAt(this.step, source);
  }
}
