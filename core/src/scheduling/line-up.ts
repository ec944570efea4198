import { type Network, type Tie, type Times, waysToEnd } from './network';

const NONE: readonly number[] = [];
/** Minutes of standing about that are borne to keep somebody with one more skill free. */
const SKILL_SPARED = 3;

/** Starts of all steps when each follows, on every person, tool and room it needs, those that stand before it in one order. Nothing is put into gaps.
 *  With everybody named it is, step by step, the earliest of all plans that keep this order: a most-lag that is overrun puts the forerunner off and what stands behind it is reckoned again.
 *  @source own: least fixed point of monotone earliest starts over calendars */
export class LineUp {
  readonly starts: Int32Array;
  finish = Number.POSITIVE_INFINITY;
  /** Who does each, of this reckoning. */
  readonly people: readonly number[][];
  readonly #network: Network;
  readonly #least: TieRows;
  readonly #most: TieRows;
  readonly #floors: Int32Array;
  readonly #tails: Int32Array;
  readonly #places: Int32Array;
  readonly #base: Int32Array;
  readonly #open: readonly (Calendar | undefined)[];
  readonly #hours: readonly Calendar[];
  /** Where each tool's units begin in a row of `#free`. */
  readonly #toolsFrom: Int32Array;
  readonly #roomsFrom: number;
  readonly #width: number;
  /** When each person, unit of a tool and room is free again, before the step at each place of the order. */
  readonly #free: Int32Array;

  constructor(network: Network, earliest: ArrayLike<number>) {
    const { count, hours, toolCount, rooms, before, open, horizon } = network;
    this.#network = network;
    this.starts = new Int32Array(count);
    this.people = Array.from(network.crew, (need) => new Array<number>(need).fill(0));
    this.#least = tieRows(before);
    this.#most = tieRows(before.map((ties) => ties.filter(({ most }) => Number.isFinite(most))));
    this.#floors = new Int32Array(count);
    this.#base = Int32Array.from(earliest);
    this.#places = new Int32Array(count);
    this.#tails = Int32Array.from(waysToEnd(network));
    const known = new Map<Times, Calendar>();
    const calendar = (times: Times): Calendar => {
      const own = known.get(times) ?? calendarOf(times, horizon);
      known.set(times, own);
      return own;
    };
    this.#open = open.map((times) => times && calendar(times));
    this.#hours = hours.map(calendar);
    let at = hours.length;
    this.#toolsFrom = Int32Array.from(toolCount, (own) => { const from = at; at += own; return from; });
    this.#roomsFrom = at;
    this.#width = at + 2 * rooms;
    this.#free = new Int32Array(this.#width * (count + 1));
  }

  /** @param order all steps, forerunners first @param crews who does each; nobody named: whoever can soonest @param most given up beyond @returns the finish; Infinity: it cannot be done in this order by then */
  reckon(order: Int32Array, crews: readonly (readonly number[])[], most: number): number {
    const { minutes } = this.#network;
    const [floors, starts, tails, places] = [this.#floors, this.starts, this.#tails, this.#places];
    this.finish = Number.POSITIVE_INFINITY;
    floors.set(this.#base);
    this.#free.fill(0, 0, this.#width);
    const count = order.length;
    for (let index = 0; index < count; index += 1) places[order[index] as number] = index;
    let retries = 4 * count;
    for (let index = 0; index < count; index += 1) {
      const step = order[index] as number;
      const at = this.#place(step, index, crews[step] ?? NONE);
      if (at === Number.POSITIVE_INFINITY || at + (tails[step] as number) > most) return Number.POSITIVE_INFINITY;
      starts[step] = at;
      const back = this.#putOff(step, at, count);
      if (back < count) {
        retries -= 1;
        if (retries < 0) return Number.POSITIVE_INFINITY;
        index = back - 1;
      }
    }
    let finish = 0;
    for (let step = 0; step < count; step += 1) finish = Math.max(finish, (starts[step] as number) + (minutes[step] as number));
    this.finish = finish;
    return finish;
  }

  /** Raises what may not lie so long before a step, and what may not lie so long before that. @returns the first place of the order to be reckoned again; `back`: none */
  #putOff(step: number, at: number, back: number): number {
    const { minutes } = this.#network;
    const ties = this.#most;
    let first = back;
    for (let tie = ties.from[step] as number; tie < (ties.from[step + 1] as number); tie += 1) {
      const other = ties.other[tie] as number;
      const wanted = at - (ties.most[tie] as number) - (minutes[other] as number);
      if ((this.starts[other] as number) >= wanted) continue;
      this.#floors[other] = wanted;
      first = this.#putOff(other, wanted, Math.min(first, this.#places[other] as number));
    }
    return first;
  }

  /** The first minute at which the step can be done behind those before it; books it in the next row. */
  #place(step: number, index: number, named: readonly number[]): number {
    const { minutes, tools, room, air, pinned, horizon } = this.#network;
    const [free, width, ties, starts] = [this.#free, this.#width, this.#least, this.starts];
    const row = index * width;
    const next = row + width;
    const length = minutes[step] as number;
    let at = this.#floors[step] as number;
    for (let tie = ties.from[step] as number; tie < (ties.from[step + 1] as number); tie += 1) {
      const other = ties.other[tie] as number;
      const own = (starts[other] as number) + (minutes[other] as number) + (ties.least[tie] as number);
      if (own > at) at = own;
    }
    const needs = tools[step] ?? [];
    for (let need = 0; need < needs.length; need += 1) at = Math.max(at, this.#unitsFree(row, needs[need]?.tool ?? 0, needs[need]?.count ?? 0));
    const ownAir = air[step] as number;
    const ownRoom = row + this.#roomsFrom + 2 * (room[step] as number);
    if (ownAir > 0) at = Math.max(at, free[ownRoom + (ownAir === 1 ? 1 : 0)] as number);
    const crew = this.#crewFor(step, row, at, length, named);
    for (let each = 0; each < crew.length; each += 1) { const own = free[row + (crew[each] as number)] as number; if (own > at) at = own; }
    const pin = pinned[step] as number;
    if (pin >= 0) {
      if (at > pin) return Number.POSITIVE_INFINITY;
      at = pin;
    } else at = this.#whenOpen(step, at, length, crew);
    const end = at + length;
    if (!(end <= horizon)) return Number.POSITIVE_INFINITY;
    for (let holder = 0; holder < width; holder += 1) free[next + holder] = free[row + holder] as number;
    for (let each = 0; each < crew.length; each += 1) free[next + (crew[each] as number)] = end;
    for (let need = 0; need < needs.length; need += 1) this.#takeUnits(next, needs[need]?.tool ?? 0, needs[need]?.count ?? 0, end);
    if (ownAir > 0) {
      const own = ownRoom + width + (ownAir === 1 ? 0 : 1);
      if (end > (free[own] as number)) free[own] = end;
    }
    return at;
  }

  /** Those named; otherwise who can begin soonest, and of those who had least time to stand about and has fewest other skills. */
  #crewFor(step: number, row: number, from: number, length: number, named: readonly number[]): readonly number[] {
    const own = this.people[step] ?? [];
    if (named.length > 0) { for (let index = 0; index < named.length; index += 1) own[index] = named[index] as number; return own; }
    const { crew, able, skillCount } = this.#network;
    const who = able[step] as Int32Array;
    for (let taken = 0; taken < (crew[step] as number); taken += 1) {
      let [best, bestAt, bestFree] = [-1, Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
      for (let index = 0; index < who.length; index += 1) {
        const person = who[index] as number;
        if (isAmong(own, taken, person)) continue;
        const free = this.#free[row + person] as number;
        const at = this.#whenOpenTo(step, free > from ? free : from, length, person);
        const least = free - SKILL_SPARED * (skillCount[person] as number);
        if (best < 0 || at < bestAt || (at === bestAt && least > bestFree)) { best = person; bestAt = at; bestFree = least; }
      }
      own[taken] = best;
    }
    return own;
  }

  #whenOpenTo(step: number, from: number, length: number, person: number): number {
    const spans = this.#open[step];
    const hours = this.#hours[person] as Calendar;
    let at = from;
    for (let asked = -1; asked !== at && at !== Number.POSITIVE_INFINITY; ) {
      asked = at;
      if (spans !== undefined) at = openFrom(spans, at, length);
      if (at !== Number.POSITIVE_INFINITY) at = openFrom(hours, at, length);
    }
    return at;
  }

  /** The first minute from which the surface is fit and everybody at work so long. */
  #whenOpen(step: number, from: number, length: number, crew: readonly number[]): number {
    const spans = this.#open[step];
    let at = from;
    for (;;) {
      const asked = at;
      if (spans !== undefined) at = openFrom(spans, at, length);
      for (let index = 0; at !== Number.POSITIVE_INFINITY && index < crew.length; index += 1) { const own = this.#hours[crew[index] as number]; if (own !== undefined) at = openFrom(own, at, length); }
      if (at === asked || at === Number.POSITIVE_INFINITY) return at;
    }
  }

  /** When so many of a tool are free again. */
  #unitsFree(row: number, tool: number, count: number): number {
    const from = row + (this.#toolsFrom[tool] ?? 0);
    const many = this.#network.toolCount[tool] ?? 0;
    if (count > many) return Number.POSITIVE_INFINITY;
    const free = this.#free;
    if (count > 1) return free.slice(from, from + many).sort()[count - 1] as number;
    let soonest = free[from] as number;
    for (let unit = from + 1; unit < from + many; unit += 1) { const own = free[unit] as number; if (own < soonest) soonest = own; }
    return soonest;
  }

  #takeUnits(row: number, tool: number, count: number, until: number): void {
    const free = this.#free;
    const from = row + (this.#toolsFrom[tool] ?? 0);
    const many = this.#network.toolCount[tool] ?? 0;
    for (let taken = 0; taken < count; taken += 1) {
      let soonest = from;
      for (let unit = from; unit < from + many; unit += 1) if ((free[unit] as number) < (free[soonest] as number)) soonest = unit;
      free[soonest] = until;
    }
  }
}

function isAmong(row: readonly number[], first: number, own: number): boolean {
  for (let index = 0; index < first; index += 1) if (row[index] === own) return true;
  return false;
}

/** Ties of all steps in flat rows: those of step s are from[s] to from[s + 1]. */
interface TieRows {
  readonly from: Int32Array;
  readonly other: Int32Array;
  readonly least: Int32Array;
  readonly most: Float64Array;
}

function tieRows(before: readonly (readonly Tie[])[]): TieRows {
  const all = before.flat();
  const from = new Int32Array(before.length + 1);
  before.forEach((ties, step) => { from[step + 1] = (from[step] ?? 0) + ties.length; });
  return { from, other: Int32Array.from(all, ({ other }) => other), least: Int32Array.from(all, ({ least }) => least), most: Float64Array.from(all, ({ most }) => most) };
}

interface Calendar {
  readonly times: Times;
  /** For each minute the first span that ends after it. */
  readonly first: Int32Array;
}

function calendarOf(times: Times, horizon: number): Calendar {
  const first = new Int32Array(horizon + 1);
  let span = 0;
  for (let minute = 0; minute <= horizon; minute += 1) {
    while (span < times.to.length && (times.to[span] ?? 0) <= minute) span += 1;
    first[minute] = span;
  }
  return { times, first };
}

function openFrom({ times: { from: begins, to: ends }, first }: Calendar, from: number, length: number): number {
  for (let index = first[from] ?? ends.length; index < ends.length; index += 1) {
    const begin = begins[index] as number;
    const start = from > begin ? from : begin;
    if (start + length <= (ends[index] as number)) return start;
  }
  return Number.POSITIVE_INFINITY;
}
