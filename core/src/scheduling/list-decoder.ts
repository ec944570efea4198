import { floatAt, intAt, valueAt } from '../quantity';
import { TOO_LATE } from './calendar';
import { type FlatRows, flatRows } from './flat-rows';
import { type Network, spansOf, tailsOf } from './network';
import { type EarliestStarts, earliestStartsOf } from './earliest-starts';
import { PartialSchedule } from './partial-schedule';
import { type LagRows, lagRows } from './lag-rows';
import { ToolUnits } from './tool-units';
import { leastWorked, workedBefore, workingHours } from './working-minutes';

/** How much the middle start of all steps counts beside the finish: slack won anywhere is worth something. */
const EARLY = 0.3;
/** Idle minutes accepted to keep a more versatile worker free. */
const VERSATILITY_PENALTY_MIN = 3;

/**
 * Starts of all steps when each follows, on every person, tool and room it needs, those that stand before it
 * in one order. Nothing is put into gaps; whoever can begin soonest does it. A most-lag that is overrun puts
 * the forerunner off, and what stands behind it is calculated again: where there is nobody to choose between,
 * each start is the earliest of all plans that keep the order. An order is calculated from where it parts
 * from the one kept to where all is as before again, and given up as soon as it must cost too much.
 * @source own: least fixed point of monotone earliest starts over calendars
 */
export class ListDecoder {
  finish = Number.POSITIVE_INFINITY;
  readonly #network: Network;
  readonly #least: LagRows;
  readonly #most: LagRows;
  readonly #able: FlatRows;
  /** Row by row like `#able`. */
  readonly #withEach: readonly EarliestStarts[];
  readonly #alone: readonly EarliestStarts[];
  readonly #crewFrom: Int32Array;
  readonly #tails: Int32Array;
  readonly #base: Int32Array;
  readonly #worked: Float64Array;
  readonly #ownWorked: readonly Float64Array[];
  /** Fewest working minutes in which all together work so much. */
  readonly #leastWorked: Float64Array;
  readonly #work: number;
  readonly #baseSum: number;
  readonly #units: ToolUnits;
  readonly #roomsFrom: number;
  readonly #width: number;
  #now: PartialSchedule;
  #kept: PartialSchedule;
  #lostHere = 0;
  /** From this place on, what is known is of the last decoding, before it of the one kept. */
  #own = 0;

  constructor(network: Network, earliest: ArrayLike<number>) {
    const { count, hours, toolCount, rooms, before, horizon, crew, minutes } = network;
    this.#network = network;
    this.#least = lagRows(before);
    this.#most = lagRows(before.map((lagArcs) => lagArcs.filter(({ most }) => Number.isFinite(most))));
    this.#able = flatRows(network.able);
    const { withEach, alone } = earliestStartsOf(network);
    this.#withEach = withEach.flat();
    this.#alone = alone;
    this.#crewFrom = flatRows(Array.from(crew, (need) => new Int32Array(need))).from;
    this.#base = Int32Array.from(earliest);
    this.#tails = Int32Array.from(tailsOf(network));
    this.#worked = workedBefore(
      workingHours(hours.map((personHours) => ({ hours: spansOf(personHours) }))),
      horizon,
    );
    this.#ownWorked = hours.map((personHours) => workedBefore(spansOf(personHours), horizon));
    this.#work = minutes.reduce((sum, length, step) => sum + length * intAt(crew, step), 0);
    this.#leastWorked = leastWorked(this.#ownWorked, this.#worked);
    this.#baseSum = this.#base.reduce((sum, start) => sum + floatAt(this.#worked, start), 0);
    this.#units = new ToolUnits(toolCount, hours.length);
    this.#roomsFrom = this.#units.until;
    this.#width = this.#roomsFrom + 2 * rooms;
    const crewSum = intAt(this.#crewFrom, count);
    this.#now = new PartialSchedule(count, this.#width, crewSum);
    this.#kept = new PartialSchedule(count, this.#width, crewSum);
  }

  /** Of the last decoding. */
  get starts(): Int32Array {
    return this.#now.starts;
  }

  /** Who does each, of the last decoding. */
  people(): readonly (readonly number[])[] {
    return Array.from({ length: this.#network.count }, (_, step) => [
      ...this.#now.people.subarray(this.#crewFrom[step], this.#crewFrom[step + 1]),
    ]);
  }

  /** Working minutes to the finish, and a share of those to the middle start. */
  get cost(): number {
    return (
      (this.#worked[this.finish] ?? Number.POSITIVE_INFINITY) +
      (EARLY * (this.#baseSum + floatAt(this.#now.late, this.#network.count))) / this.#network.count
    );
  }

  /** What comes next is calculated from where it parts from the last decoding. */
  keep(): void {
    this.#now.copyUntil(this.#kept, this.#own);
    [this.#now, this.#kept] = [this.#kept, this.#now];
  }

  /**
   * @param order all steps, forerunners first
   * @param most given up once it must cost more
   * @returns the cost; Infinity: it cannot be done in this order at that cost
   */
  decode(order: Int32Array, most: number): number {
    const { count } = this.#network;
    this.finish = Number.POSITIVE_INFINITY;
    const first = this.#now.copyPrefixOf(this.#kept, order, this.#base);
    const commonSuffixFrom = this.#kept.commonSuffixFrom(order);
    const { starts, reach } = this.#now;
    this.#own = first;
    let isAsKept = true;
    let retries = 4 * count;
    for (let index = first; index < count; index += 1) {
      if (isAsKept && index === commonSuffixFrom && this.#now.copySuffixOf(this.#kept, index)) break;
      const step = intAt(order, index);
      const at = this.#place(step, index);
      if (at >= TOO_LATE) return Number.POSITIVE_INFINITY;
      if (starts[step] !== at) {
        starts[step] = at;
        isAsKept = false;
      }
      if (this.#costUpTo(step, index, at) > most) return Number.POSITIVE_INFINITY;
      const back = this.#putOff(step, at, count, step);
      if (back === count) continue;
      isAsKept = false;
      retries -= 1;
      if (retries < 0) return Number.POSITIVE_INFINITY;
      if (back < this.#own) {
        this.#now.takeOver(this.#kept, back);
        this.#own = back;
      }
      index = back - 1;
    }
    this.finish = intAt(reach, count);
    return this.cost;
  }

  /** Notes what is lost, late and reached with a step at its place. @returns no less can the whole cost */
  #costUpTo(step: number, index: number, at: number): number {
    const { lost, late, reach } = this.#now;
    const lostNow = intAt(lost, index) + this.#lostHere;
    const lateNow =
      floatAt(late, index) + floatAt(this.#worked, at) - floatAt(this.#worked, intAt(this.#base, step));
    const reachNow = Math.max(at + intAt(this.#tails, step), intAt(reach, index));
    lost[index + 1] = lostNow;
    late[index + 1] = lateNow;
    reach[index + 1] = reachNow;
    const finish = Math.max(
      this.#worked[reachNow] ?? Number.POSITIVE_INFINITY,
      this.#leastWorked[this.#work + lostNow] ?? Number.POSITIVE_INFINITY,
    );
    return finish + (EARLY * (this.#baseSum + lateNow)) / this.#network.count;
  }

  /**
   * Raises what may not lie so long before a step, and what may not lie so long before that.
   * @returns the first place of the order to be calculated again; `back`: none
   */
  #putOff(step: number, at: number, back: number, by: number): number {
    const { minutes } = this.#network;
    const lagArcs = this.#most;
    const { starts, floors, places, putOff } = this.#now;
    let first = back;
    for (let lag = intAt(lagArcs.from, step); lag < intAt(lagArcs.from, step + 1); lag += 1) {
      const lagStep = intAt(lagArcs.other, lag);
      const wanted = at - intAt(lagArcs.most, lag) - intAt(minutes, lagStep);
      if (intAt(starts, lagStep) >= wanted) continue;
      floors[lagStep] = wanted;
      putOff.push(lagStep, by, wanted);
      first = this.#putOff(lagStep, wanted, Math.min(first, intAt(places, lagStep)), by);
    }
    return first;
  }

  /** The first minute at which the step can be done behind those before it; books it in the next row. */
  #place(step: number, index: number): number {
    const { minutes, tools, room, air, pinned, horizon } = this.#network;
    const { free, people } = this.#now;
    const row = index * this.#width;
    let at = this.#afterForerunners(step);
    const needs = valueAt(tools, step);
    for (let need = 0; need < needs.length; need += 1) {
      const toolsFree = this.#units.whenFree(free, row, valueAt(needs, need));
      if (toolsFree > at) at = toolsFree;
    }
    const ownAir = valueAt(air, step);
    const ownRoom = row + this.#roomsFrom + 2 * intAt(room, step);
    if (ownAir > 0) {
      const airFree = intAt(free, ownRoom + (ownAir === 1 ? 1 : 0));
      if (airFree > at) at = airFree;
    }
    at = this.#crewFor(step, row, at);
    const crewFrom = intAt(this.#crewFrom, step);
    const crewTo = intAt(this.#crewFrom, step + 1);
    const pin = intAt(pinned, step);
    if (pin >= 0) {
      for (let each = crewFrom; each < crewTo; each += 1)
        if (intAt(free, row + intAt(people, each)) > pin) return TOO_LATE;
      at = pin;
    }
    const end = at + intAt(minutes, step);
    if (end > horizon) return TOO_LATE;
    this.#book(step, row, at, end);
    return at;
  }

  #afterForerunners(step: number): number {
    const { minutes } = this.#network;
    const { starts, floors } = this.#now;
    const lagArcs = this.#least;
    let at = intAt(floors, step);
    for (let lag = intAt(lagArcs.from, step); lag < intAt(lagArcs.from, step + 1); lag += 1) {
      const lagStep = intAt(lagArcs.other, lag);
      const lagEnds = intAt(starts, lagStep) + intAt(minutes, lagStep) + intAt(lagArcs.least, lag);
      if (lagEnds > at) at = lagEnds;
    }
    return at;
  }

  /** Takes people, tools and the air of a room until the end of a step, in the row after. */
  #book(step: number, row: number, at: number, end: number): void {
    const { tools, room, air } = this.#network;
    const { free, people } = this.#now;
    const width = this.#width;
    const next = row + width;
    for (let holder = 0; holder < width; holder += 1) free[next + holder] = intAt(free, row + holder);
    this.#lostHere = 0;
    for (let each = intAt(this.#crewFrom, step); each < intAt(this.#crewFrom, step + 1); each += 1) {
      const person = intAt(people, each);
      const worked = valueAt(this.#ownWorked, person);
      this.#lostHere += floatAt(worked, at) - floatAt(worked, intAt(free, row + person));
      free[next + person] = end;
    }
    const needs = valueAt(tools, step);
    for (let need = 0; need < needs.length; need += 1)
      this.#units.take(free, next, valueAt(needs, need), end);
    const ownAir = valueAt(air, step);
    if (ownAir === 0) return;
    const airPlace = next + this.#roomsFrom + 2 * intAt(room, step) + (ownAir === 1 ? 0 : 1);
    if (end > intAt(free, airPlace)) free[airPlace] = end;
  }

  /**
   * Earliest available; ties go to the least idle, least versatile worker.
   * @returns when they can begin together
   */
  #crewFor(step: number, row: number, from: number): number {
    const { free, people } = this.#now;
    const crewFrom = intAt(this.#crewFrom, step);
    const crewTo = intAt(this.#crewFrom, step + 1);
    if (crewFrom === crewTo) return valueAt(this.#alone, step).from(from);
    const { skillCount } = this.#network;
    const { from: ableFrom, values: able } = this.#able;
    let together = from;
    for (let taken = crewFrom; taken < crewTo; taken += 1) {
      let best = -1;
      let bestAt = TOO_LATE;
      let bestFree = -TOO_LATE;
      for (let index = intAt(ableFrom, step); index < intAt(ableFrom, step + 1); index += 1) {
        const person = intAt(able, index);
        if (taken > crewFrom && isAmong(people, crewFrom, taken, person)) continue;
        const personFree = intAt(free, row + person);
        const at = valueAt(this.#withEach, index).from(personFree > from ? personFree : from);
        const least = personFree - VERSATILITY_PENALTY_MIN * intAt(skillCount, person);
        if (best < 0 || at < bestAt || (at === bestAt && least > bestFree)) {
          best = person;
          bestAt = at;
          bestFree = least;
        }
      }
      people[taken] = best;
      if (bestAt > together) together = bestAt;
    }
    return crewTo - crewFrom === 1 ? together : this.#whenAllOpen(step, together);
  }

  /** The first minute from which everybody chosen is at work so long, and the surface fit. */
  #whenAllOpen(step: number, from: number): number {
    const { people } = this.#now;
    const { from: ableFrom, values: able } = this.#able;
    let at = from;
    for (;;) {
      const asked = at;
      for (let index = intAt(ableFrom, step); index < intAt(ableFrom, step + 1); index += 1) {
        if (isAmong(people, intAt(this.#crewFrom, step), intAt(this.#crewFrom, step + 1), intAt(able, index)))
          at = valueAt(this.#withEach, index).from(at);
        if (at === TOO_LATE) return at;
      }
      if (at === asked) return at;
    }
  }
}

function isAmong(people: Int32Array, first: number, until: number, person: number): boolean {
  for (let index = first; index < until; index += 1) if (people[index] === person) return true;
  return false;
}
