import { intAt, valueAt } from '../quantity';
import { TOO_LATE } from './calendar';

/** So many of a tool for one step. */
export interface ToolNeed {
  readonly tool: number;
  readonly count: number;
}

/** When each unit of each tool is free again, as a part of a longer row. */
export class ToolUnits {
  /** Where the units of each tool begin. */
  readonly #from: Int32Array;
  readonly #counts: readonly number[];
  /** Where the part ends. */
  readonly until: number;

  /** @param from where the part begins */
  constructor(counts: readonly number[], from: number) {
    let at = from;
    this.#from = Int32Array.from(counts, (units) => {
      const begin = at;
      at += units;
      return begin;
    });
    this.#counts = counts;
    this.until = at;
  }

  /**
   * @param row where the row begins in `free`
   * @returns when so many are free; `TOO_LATE` when there are not as many
   */
  whenFree(free: Int32Array, row: number, { tool, count }: ToolNeed): number {
    const from = row + intAt(this.#from, tool);
    const many = valueAt(this.#counts, tool);
    if (count > many) return TOO_LATE;
    if (count > 1) return intAt(free.slice(from, from + many).sort(), count - 1);
    let soonest = intAt(free, from);
    for (let unit = from + 1; unit < from + many; unit += 1) {
      const unitFree = intAt(free, unit);
      if (unitFree < soonest) soonest = unitFree;
    }
    return soonest;
  }

  take(free: Int32Array, row: number, { tool, count }: ToolNeed, until: number): void {
    const from = row + intAt(this.#from, tool);
    const to = from + valueAt(this.#counts, tool);
    for (let taken = 0; taken < count; taken += 1) {
      let soonest = from;
      for (let unit = from; unit < to; unit += 1)
        if (intAt(free, unit) < intAt(free, soonest)) soonest = unit;
      free[soonest] = until;
    }
  }
}
