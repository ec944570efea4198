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
  const { count, minutes, crew, able, tools, toolCount, hours } = network;
  let least = 0;
  for (let step = 0; step < count; step += 1)
    least = Math.max(least, floatAt(earliest, step) + intAt(minutes, step));
  if (!Number.isFinite(least)) return least;
  const tails = tailsOf(network).map((way, step) => way - intAt(minutes, step));
  const groups = new Map<string, { readonly who: Int32Array; readonly steps: number[] }>();
  for (let step = 0; step < count; step += 1) {
    const who = able[step] ?? new Int32Array();
    if (intAt(crew, step) === 0) continue;
    const key = who.join();
    const group = groups.get(key) ?? { who, steps: [] };
    group.steps.push(step);
    groups.set(key, group);
  }
  for (const { who } of [...groups.values()]) {
    const members = new Set(who);
    const steps = [...groups.values()]
      .filter((other) => other.who.every((person) => members.has(person)))
      .flatMap((other) => other.steps);
    least = Math.max(
      least,
      energyFinish(
        steps,
        (step) => intAt(minutes, step) * intAt(crew, step),
        [...who].map((person) => spansOf(hours[person] ?? NEVER)),
        earliest,
        tails,
      ),
    );
  }
  const anyone = workingHours(hours.map((own) => ({ hours: spansOf(own) })));
  toolCount.forEach((own, tool) => {
    const steps = Array.from({ length: count }, (_, step) => step).filter((step) =>
      (tools[step] ?? []).some((need) => need.tool === tool),
    );
    const need = (step: number): number =>
      intAt(minutes, step) * ((tools[step] ?? []).find((entry) => entry.tool === tool)?.count ?? 0);
    if (steps.every((step) => intAt(crew, step) > 0))
      least = Math.max(
        least,
        energyFinish(
          steps,
          need,
          Array.from({ length: own }, () => anyone),
          earliest,
          tails,
        ),
      );
  });
  return least;
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
  const filled = filling(capacity);
  let best = 0;
  heads.forEach((from, index) => {
    if (index % every !== 0 && index !== heads.length - 1) return;
    let work = 0;
    for (const step of byTail) {
      if (floatAt(earliest, step) < from) continue;
      work += need(step);
      if (filled.until(from, work) + floatAt(tails, step) > best)
        best = filled.until(from, work) + floatAt(tails, step);
    }
  });
  return best;
}

/**
 * How much all of them together have worked by each edge of their hours, to be asked when so much more is
 * done.
 */
function filling(capacity: readonly (readonly Span[])[]): {
  readonly until: (from: number, work: number) => number;
} {
  const changes = capacity
    .flatMap((spans) =>
      spans.flatMap(({ from, to }): (readonly [number, number])[] => [
        [from, 1],
        [to, -1],
      ]),
    )
    .sort((a, b) => a[0] - b[0]);
  const at: number[] = [0];
  const done: number[] = [0];
  const pace: number[] = [0];
  for (const [minute, change] of changes) {
    const last = at.length - 1;
    if (minute > valueAt(at, last)) {
      at.push(minute);
      done.push(valueAt(done, last) + valueAt(pace, last) * (minute - valueAt(at, last)));
      pace.push(valueAt(pace, last));
    }
    pace[pace.length - 1] = (pace.at(-1) ?? 0) + change;
  }
  const search = (row: readonly number[], value: number): number => {
    let [low, high] = [0, row.length - 1];
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (valueAt(row, middle) <= value) low = middle;
      else high = middle - 1;
    }
    return low;
  };
  const lastBelow = (row: readonly number[], value: number): number => {
    let [low, high] = [0, row.length - 1];
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (valueAt(row, middle) < value) low = middle;
      else high = middle - 1;
    }
    return low;
  };
  return {
    until: (from, work) => {
      const index = search(at, from);
      const target = valueAt(done, index) + valueAt(pace, index) * (from - valueAt(at, index)) + work;
      const ends = lastBelow(done, target);
      const speed = valueAt(pace, ends);
      return speed > 0
        ? Math.ceil(valueAt(at, ends) + (target - valueAt(done, ends)) / speed - 1e-9)
        : Number.POSITIVE_INFINITY;
    },
  };
}
