import { floatAt, intAt, valueAt } from '../quantity';
import { Timetable } from './timetable';
import { NEVER, type Network, nextWithin, tailsOf } from './network';

/** When each step starts and who does it; undefined: this order found no place for a step. */
export interface Built {
  readonly starts: Int32Array;
  readonly people: readonly (readonly number[])[];
  readonly finish: number;
}

interface BuildOptions {
  /** Who does a step, if they are free. */
  readonly wished?: readonly (readonly number[])[];
  /** Whether a step whose forerunner may not lie long goes before all others. */
  readonly isGlued?: boolean;
  /** Given up as soon as it cannot finish by then. */
  readonly most?: number;
}

const RETRIES_EACH = 4;
const NONE: readonly number[] = [];

/** The first step that has fewer people than it needs, as one that is pinned may; -1: none. */
export function firstUnmanned({ crew }: Network, { people }: Built): number {
  return crew.findIndex((need, step) => valueAt(people, step).length < need);
}

/**
 * Places steps one after another, each as early as it can be with what is placed already: the order decides
 * everything. Steps tied by a most-lag follow their forerunner at once; when one comes too late, its
 * forerunner is put off and both are placed again.
 * @source serial schedule generation for projects with least and most lags (own form)
 */
export class SerialScheduleGenerator {
  /** Which step found no place at last. */
  stuck = -1;
  readonly #network: Network;
  readonly #people: readonly Timetable[];
  readonly #tools: readonly Timetable[];
  readonly #rooms: readonly (readonly [Timetable, Timetable])[];
  readonly #starts: Int32Array;
  readonly #raised: Float64Array;
  readonly #waits: Int32Array;
  /** Has a forerunner that may not lie long. */
  readonly #tied: Uint8Array;
  /** Asks for people only. */
  readonly #plain: Uint8Array;
  readonly #tails: Float64Array;
  readonly #hangs: Uint8Array;
  readonly #crews: (readonly number[])[];
  readonly #lastPlace: Int32Array;
  #isGlued = true;
  #latestStart = 0;
  #culprit = -1;
  #culpritMost = 0;
  /** Who was free when people were last looked for. */
  readonly #free: number[] = [];
  readonly #later: number[] = [];
  #wished: readonly (readonly number[])[] | undefined;

  constructor(network: Network) {
    this.#network = network;
    this.#people = network.hours.map(() => new Timetable(network.count));
    this.#tools = network.toolCount.map(() => new Timetable(network.count));
    this.#rooms = Array.from(
      { length: network.rooms },
      () => [new Timetable(network.count), new Timetable(network.count)] as const,
    );
    this.#starts = new Int32Array(network.count);
    this.#raised = new Float64Array(network.count);
    this.#waits = new Int32Array(network.count);
    this.#tied = Uint8Array.from(network.before, (lagArcs) =>
      lagArcs.some(({ most }) => Number.isFinite(most)) ? 1 : 0,
    );
    this.#hangs = new Uint8Array(network.count);
    this.#plain = Uint8Array.from(network.open, (times, step) =>
      times === undefined && valueAt(network.air, step) === 0 && valueAt(network.tools, step).length === 0
        ? 1
        : 0,
    );
    this.#tails = tailsOf(network);
    this.#crews = Array.from({ length: network.count }, () => NONE);
    this.#lastPlace = new Int32Array(network.hours.length);
  }

  /**
   * @param rank smaller goes first, among steps whose forerunners are placed
   * @param earliest no step starts before
   */
  build(
    rank: ArrayLike<number>,
    earliest: ArrayLike<number>,
    { wished, isGlued = true, most = Number.POSITIVE_INFINITY }: BuildOptions = {},
  ): Built | undefined {
    const { count, minutes } = this.#network;
    this.#begin(earliest);
    this.#wished = wished;
    this.#isGlued = isGlued;
    const placed: number[] = [];
    const pins = this.#putPins();
    const ready = this.#ready();
    let retries = RETRIES_EACH * count;
    while (placed.length + pins < count) {
      const step = this.#next(ready, rank);
      if (step < 0) return undefined;
      const at = this.#earliestFit(step);
      this.#findLatest(step);
      if (at > this.#latestStart) {
        retries -= 1;
        if (retries >= 0 && this.#putOffCulprit(at, placed, ready)) continue;
        this.stuck = step;
        return undefined;
      }
      if (!Number.isFinite(at) || at + floatAt(this.#tails, step) > most) {
        this.stuck = step;
        return undefined;
      }
      this.#put(step, at, this.#crewAt(step, at) ?? NONE);
      placed.push(step);
      ready.splice(ready.indexOf(step), 1);
      this.#release(step, ready);
    }
    const finish = minutes.reduce(
      (most, length, step) => Math.max(most, intAt(this.#starts, step) + length),
      0,
    );
    return { starts: this.#starts.slice(), people: this.#crews.slice(), finish };
  }

  /** The step that may not lie so long before is taken back and put later. @returns false: it cannot be */
  #putOffCulprit(at: number, placed: number[], ready: number[]): boolean {
    const { pinned, minutes } = this.#network;
    const culprit = this.#culprit;
    if (culprit < 0 || !Number.isFinite(at)) return false;
    if (intAt(pinned, culprit) >= 0 || intAt(this.#starts, culprit) < 0) return false;
    this.#raised[culprit] = at - this.#culpritMost - intAt(minutes, culprit);
    this.#takeBack(culprit, placed, ready);
    return true;
  }

  /** Those behind a step wait for one less. */
  #release(step: number, ready: number[]): void {
    const { after, pinned } = this.#network;
    for (const { other } of valueAt(after, step)) {
      const waits = valueAt(this.#waits, other) - 1;
      this.#waits[other] = waits;
      if (waits === 0 && intAt(pinned, other) < 0) ready.push(other);
    }
  }

  /** Pinned steps stand where they are pinned. @returns how many */
  #putPins(): number {
    const { count, pinned } = this.#network;
    for (let step = 0; step < count; step += 1)
      if ((pinned[step] ?? -1) >= 0)
        this.#put(step, intAt(pinned, step), this.#crewAt(step, intAt(pinned, step)) ?? NONE);
    return placedCount(this.#starts);
  }

  /** Steps that wait for no other; counts what the others wait for. */
  #ready(): number[] {
    const { count, pinned, before } = this.#network;
    const ready: number[] = [];
    for (let step = 0; step < count; step += 1) {
      let waits = 0;
      for (const { other } of before[step] ?? []) if ((pinned[other] ?? -1) < 0) waits += 1;
      this.#waits[step] = waits;
      if (waits === 0 && (pinned[step] ?? -1) < 0) ready.push(step);
    }
    return ready;
  }

  /** Takes a step that came too early off the plan, and all that hangs on it. */
  #takeBack(culprit: number, placed: number[], ready: number[]): void {
    const from = placed.lastIndexOf(culprit);
    const hangs = this.#hangingOn(culprit);
    let kept = from;
    for (let index = placed.length - 1; index >= from; index -= 1)
      if (hangs[valueAt(placed, index)] === 1) this.#take(valueAt(placed, index), ready);
    for (let index = from; index < placed.length; index += 1) {
      const placedStep = valueAt(placed, index);
      if (hangs[placedStep] === 0) {
        placed[kept] = placedStep;
        kept += 1;
      }
    }
    placed.length = kept;
  }

  #begin(earliest: ArrayLike<number>): void {
    this.stuck = -1;
    this.#starts.fill(-1);
    for (let step = 0; step < this.#raised.length; step += 1) {
      this.#raised[step] = valueAt(earliest, step);
      this.#crews[step] = NONE;
    }
    this.#people.forEach((timetable) => {
      timetable.clear();
    });
    this.#tools.forEach((timetable) => {
      timetable.clear();
    });
    this.#rooms.forEach(([dust, clean]) => {
      dust.clear();
      clean.clear();
    });
    this.#lastPlace.fill(-1);
  }

  /** A step whose forerunner may not lie long goes before all others. */
  #next(ready: readonly number[], rank: ArrayLike<number>): number {
    let best = -1;
    let isBestTied = false;
    for (const step of ready) {
      const isTied = this.#isGlued && this.#tied[step] === 1;
      if (
        best < 0 ||
        (isTied && !isBestTied) ||
        (isTied === isBestTied && valueAt(rank, step) < valueAt(rank, best))
      ) {
        best = step;
        isBestTied = isTied;
      }
    }
    return best;
  }

  /** The latest start that steps already placed allow, and the one that would have to move. */
  #findLatest(step: number): void {
    const { before, after, minutes } = this.#network;
    this.#latestStart = Number.POSITIVE_INFINITY;
    this.#culprit = -1;
    if (this.#tied[step] === 1) {
      for (const { other, most } of before[step] ?? []) {
        const otherStart = this.#starts[other] ?? -1;
        const latest = otherStart + intAt(minutes, other) + most;
        if (otherStart >= 0 && latest < this.#latestStart) {
          this.#latestStart = latest;
          this.#culprit = other;
          this.#culpritMost = most;
        }
      }
    }
    for (const { other, least } of after[step] ?? []) {
      const latest = (this.#starts[other] ?? -1) - least - intAt(minutes, step);
      if ((this.#starts[other] ?? -1) >= 0 && latest < this.#latestStart) {
        this.#latestStart = latest;
        this.#culprit = -1;
      }
    }
  }

  #earliestFit(step: number): number {
    const { before, after, minutes, open, tools, toolCount, room, air, horizon } = this.#network;
    const length = intAt(minutes, step);
    let at = floatAt(this.#raised, step);
    for (const { other, least } of before[step] ?? [])
      at = Math.max(at, intAt(this.#starts, other) + intAt(minutes, other) + least);
    for (const { other, most } of after[step] ?? [])
      if (Number.isFinite(most) && (this.#starts[other] ?? -1) >= 0)
        at = Math.max(at, intAt(this.#starts, other) - most - length);
    if (this.#plain[step] === 1) {
      at = this.#peopleFit(step, at, length);
      return at + length <= horizon ? at : Number.POSITIVE_INFINITY;
    }
    const spans = open[step];
    const ownRoom = this.#rooms[room[step] ?? -1];
    const ownAir = valueAt(air, step);
    for (;;) {
      const from = at;
      if (spans !== undefined) at = nextWithin(spans, at, length);
      if (ownRoom !== undefined && ownAir > 0) at = ownRoom[ownAir === 1 ? 1 : 0].nextLeft(at, length, 1, 1);
      for (const { tool, count } of tools[step] ?? [])
        at = this.#tools[tool]?.nextLeft(at, length, count, valueAt(toolCount, tool)) ?? at;
      at = this.#peopleFit(step, at, length);
      if (!(at + length <= horizon)) return Number.POSITIVE_INFINITY;
      if (at === from) return at;
    }
  }

  #peopleFit(step: number, from: number, length: number): number {
    const need = intAt(this.#network.crew, step);
    if (need === 0) return from;
    const able = this.#network.able[step] ?? [];
    if (able.length < need) return Number.POSITIVE_INFINITY;
    let at = from;
    const [free, later] = [this.#free, this.#later];
    for (;;) {
      free.length = 0;
      later.length = 0;
      for (const person of able) {
        const personFree = this.#personFree(person, at, length);
        if (personFree === at) free.push(person);
        else later.push(personFree);
      }
      const short = need - free.length;
      if (short <= 0) return at;
      if (short > 1) later.sort((a, b) => a - b);
      at = short > 1 ? (later[short - 1] ?? Number.POSITIVE_INFINITY) : Math.min(...later);
      if (!Number.isFinite(at)) return at;
    }
  }

  #personFree(person: number, from: number, length: number): number {
    const hours = this.#network.hours[person] ?? NEVER;
    const booked = this.#people[person];
    let at = from;
    for (;;) {
      at = nextWithin(hours, at, length);
      if (booked === undefined || !Number.isFinite(at)) return at;
      const free = booked.nextFree(at, length);
      if (free === at) return at;
      at = free;
    }
  }

  /**
   * Who does it: those wished for, then those with the fewest other skills, then who is at that place
   * already.
   */
  #crewAt(step: number, at: number): readonly number[] | undefined {
    const { crew, able, minutes, skillCount, place } = this.#network;
    const need = intAt(crew, step);
    if (need === 0) return NONE;
    const wished = this.#wished?.[step];
    const free = (able[step] ?? []).filter(
      (person) => this.#personFree(person, at, intAt(minutes, step)) === at,
    );
    if (free.length < need) return undefined;
    const cost = (person: number): number =>
      (wished?.includes(person) === true ? 0 : 1000) +
      2 * intAt(skillCount, person) +
      (this.#lastPlace[person] === place[step] ? 0 : 1);
    if (need > 1) return [...free].sort((a, b) => cost(a) - cost(b) || a - b).slice(0, need);
    let best = valueAt(free, 0);
    for (const person of free) if (cost(person) < cost(best)) best = person;
    return [best];
  }

  #put(step: number, at: number, people: readonly number[]): void {
    const { minutes, tools, room, air, place } = this.#network;
    const end = at + intAt(minutes, step);
    this.#starts[step] = at;
    this.#crews[step] = people;
    for (const person of people) {
      this.#people[person]?.book(step, at, end);
      this.#lastPlace[person] = intAt(place, step);
    }
    for (const { tool, count } of tools[step] ?? []) this.#tools[tool]?.book(step, at, end, count);
    const stepAir = valueAt(air, step);
    if (stepAir > 0) this.#rooms[room[step] ?? -1]?.[stepAir === 1 ? 0 : 1].book(step, at, end);
  }

  /**
   * The step and everything placed that comes after it: only these are taken out, the rest stays where it is.
   */
  #hangingOn(step: number): Uint8Array {
    const hangs = this.#hangs.fill(0);
    const queue = [step];
    hangs[step] = 1;
    for (let at = queue.pop(); at !== undefined; at = queue.pop()) {
      for (const { other } of this.#network.after[at] ?? [])
        if (
          hangs[other] === 0 &&
          (this.#starts[other] ?? -1) >= 0 &&
          (this.#network.pinned[other] ?? -1) < 0
        ) {
          hangs[other] = 1;
          queue.push(other);
        }
    }
    return hangs;
  }

  /** Takes a placed step out again; what came after it waits again. */
  #take(step: number, ready: number[]): void {
    const { tools, room, air, after, pinned } = this.#network;
    for (const person of this.#crews[step] ?? NONE) this.#people[person]?.free(step);
    for (const { tool } of tools[step] ?? []) this.#tools[tool]?.free(step);
    const stepAir = valueAt(air, step);
    if (stepAir > 0) this.#rooms[room[step] ?? -1]?.[stepAir === 1 ? 0 : 1].free(step);
    this.#starts[step] = -1;
    this.#crews[step] = NONE;
    for (const { other } of after[step] ?? []) {
      if (this.#waits[other] === 0 && (pinned[other] ?? -1) < 0 && (this.#starts[other] ?? -1) < 0) {
        const at = ready.indexOf(other);
        if (at >= 0) ready.splice(at, 1);
      }
      this.#waits[other] = intAt(this.#waits, other) + 1;
    }
    ready.push(step);
  }
}

function placedCount(starts: Int32Array): number {
  let count = 0;
  for (const start of starts) if (start >= 0) count += 1;
  return count;
}
