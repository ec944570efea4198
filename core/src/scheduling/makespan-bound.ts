import { floatAt, intAt, valueAt } from '../quantity';
import { NEVER, type Network, spansOf, tailsOf } from './network';
import type { Span } from './problem';
import { workingHours } from './working-minutes';

/** More heads than this are thinned out: the bound stays true, only a little lower. */
const MOST_HEADS = 150;

/**
 * No plan can finish before this minute: the longest chain with its waits, spans and hours, or the work of
 * some people or tool that only fits into so much time.
 * @param earliest from `earliestStarts`
 * @source own: heads and tails with energy over people's calendars
 */
export function makespanBound(network: Network, earliest: Float64Array): number {
  const { count, minutes } = network;
  let least = 0;
  for (let step = 0; step < count; step += 1)
    least = Math.max(least, floatAt(earliest, step) + intAt(minutes, step));
  if (!Number.isFinite(least)) return least;
  const tails = tailsOf(network).map((way, step) => way - intAt(minutes, step));
  for (const { steps, need, capacity } of [...workOfPeople(network), ...workOfTools(network)])
    least = Math.max(least, energyFinish(steps, need, capacity, earliest, tails));
  return least;
}

/** Steps that only some people or a tool can do, the minutes each takes of them, and their hours. */
interface SharedWork {
  readonly steps: readonly number[];
  readonly need: (step: number) => number;
  readonly capacity: readonly (readonly Span[])[];
}

/** Those able to do a step do also all that only some of them can. */
function workOfPeople({ count, minutes, crew, able, hours }: Network): readonly SharedWork[] {
  const groups = new Map<string, { readonly who: Int32Array; readonly steps: number[] }>();
  for (let step = 0; step < count; step += 1) {
    if (intAt(crew, step) === 0) continue;
    const who = valueAt(able, step);
    const key = who.join();
    const group = groups.get(key) ?? { who, steps: [] };
    group.steps.push(step);
    groups.set(key, group);
  }
  return [...groups.values()].map(({ who }) => {
    const members = new Set(who);
    return {
      steps: [...groups.values()]
        .filter((other) => other.who.every((person) => members.has(person)))
        .flatMap((other) => other.steps),
      need: (step) => intAt(minutes, step) * intAt(crew, step),
      capacity: [...who].map((person) => spansOf(hours[person] ?? NEVER)),
    };
  });
}

/** A tool works while anybody does; where a step needs nobody it is left out. */
function workOfTools({ count, minutes, crew, tools, toolCount, hours }: Network): readonly SharedWork[] {
  const anyone = workingHours(hours.map((personHours) => ({ hours: spansOf(personHours) })));
  return toolCount.flatMap((units, tool) => {
    const unitsFor = (step: number): number =>
      valueAt(tools, step).find((entry) => entry.tool === tool)?.count ?? 0;
    const steps = Array.from({ length: count }, (_, step) => step).filter((step) => unitsFor(step) > 0);
    return steps.every((step) => intAt(crew, step) > 0)
      ? [
          {
            steps,
            need: (step: number) => intAt(minutes, step) * unitsFor(step),
            capacity: Array.from({ length: units }, () => anyone),
          },
        ]
      : [];
  });
}

/**
 * Work that cannot begin before some minute must fit into what is left after it; the shortest of the tails
 * then follows.
 */
function energyFinish(
  steps: readonly number[],
  need: (step: number) => number,
  capacity: readonly (readonly Span[])[],
  earliest: Float64Array,
  tails: Float64Array,
): number {
  const byHead = [...steps].sort((a, b) => floatAt(earliest, b) - floatAt(earliest, a));
  const heads = [...new Set(byHead.map((step) => floatAt(earliest, step)))];
  const every = Math.max(1, Math.ceil(heads.length / MOST_HEADS));
  const byTail = [...steps].sort((a, b) => floatAt(tails, b) - floatAt(tails, a));
  const filled = new Filling(capacity);
  let best = 0;
  heads.forEach((from, index) => {
    if (index % every !== 0 && index !== heads.length - 1) return;
    let work = 0;
    for (const step of byTail) {
      if (floatAt(earliest, step) < from) continue;
      work += need(step);
      best = Math.max(best, filled.until(from, work) + floatAt(tails, step));
    }
  });
  return best;
}

/**
 * How much all of them together have worked by each edge of their hours, to be asked when so much more is
 * done.
 */
class Filling {
  readonly #at: number[] = [0];
  readonly #done: number[] = [0];
  readonly #pace: number[] = [0];

  constructor(capacity: readonly (readonly Span[])[]) {
    const changes = capacity
      .flat()
      .flatMap(({ from, to }): (readonly [minute: number, change: number])[] => [
        [from, 1],
        [to, -1],
      ])
      .sort((a, b) => a[0] - b[0]);
    for (const [minute, change] of changes) {
      const last = this.#at.length - 1;
      if (minute > valueAt(this.#at, last)) {
        this.#at.push(minute);
        this.#done.push(this.#doneBy(minute, last));
        this.#pace.push(valueAt(this.#pace, last));
      }
      this.#pace.push((this.#pace.pop() ?? 0) + change);
    }
  }

  until(from: number, work: number): number {
    const target =
      this.#doneBy(
        from,
        lastOf(this.#at, (minute) => minute <= from),
      ) + work;
    const ends = lastOf(this.#done, (done) => done < target);
    const speed = valueAt(this.#pace, ends);
    return speed > 0
      ? Math.ceil(valueAt(this.#at, ends) + (target - valueAt(this.#done, ends)) / speed - 1e-9)
      : Number.POSITIVE_INFINITY;
  }

  #doneBy(minute: number, edge: number): number {
    return valueAt(this.#done, edge) + valueAt(this.#pace, edge) * (minute - valueAt(this.#at, edge));
  }
}

/** The last of a rising row that holds, by halving; the first when none does. */
function lastOf(row: readonly number[], holds: (value: number) => boolean): number {
  let [low, high] = [0, row.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (holds(valueAt(row, middle))) low = middle;
    else high = middle - 1;
  }
  return low;
}
