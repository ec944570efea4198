import { CoreError, floatAt, intAt, valueAt } from '../quantity';
import type { PlanProblem, Span } from './problem';

/** A lag seen from one of its two steps. */
interface LagArc {
  readonly other: number;
  readonly least: number;
  /** Infinity: as long as one likes. */
  readonly most: number;
}

/** Spans in two rows: where each begins, where it ends. */
export interface Times {
  readonly from: Int32Array;
  readonly to: Int32Array;
}

/** A problem by number instead of by name, forwards or seen from its end. */
export interface Network {
  readonly count: number;
  readonly horizon: number;
  readonly minutes: Int32Array;
  readonly crew: Int32Array;
  /** Numbers of the people who may do it. */
  readonly able: readonly Int32Array[];
  readonly tools: readonly (readonly { readonly tool: number; readonly count: number }[])[];
  readonly toolCount: readonly number[];
  /** Spans when the step may be done; undefined: whenever people work. */
  readonly open: readonly (Times | undefined)[];
  readonly hours: readonly Times[];
  readonly skillCount: Int32Array;
  readonly place: Int32Array;
  readonly room: Int32Array;
  /** 0: minds nothing, 1: makes dust, 2: wants clean air. */
  readonly air: Uint8Array;
  readonly rooms: number;
  /** -1: free. */
  readonly pinned: Int32Array;
  /** No earlier than this. */
  readonly notBefore: Int32Array;
  readonly before: readonly (readonly LagArc[])[];
  readonly after: readonly (readonly LagArc[])[];
}

const AIR = { 'makes dust': 1, 'wants clean air': 2 } as const;

export function networkOf({ people, tools, fitness, steps, lags, horizon }: PlanProblem): Network {
  const toolAt = new Map(tools.map(({ id }, index) => [id, index]));
  const spansOf = new Map(fitness.map(({ id, spans }) => [id, timesOf(spans)]));
  const placeAt = numbered(steps.map(({ place }) => place));
  const roomAt = numbered(steps.flatMap(({ room }) => (room === null ? [] : [room])));
  return {
    count: steps.length,
    horizon,
    minutes: Int32Array.from(steps, ({ minutes }) => minutes),
    crew: Int32Array.from(steps, ({ crew }) => crew),
    able: steps.map(({ skill }) =>
      Int32Array.from(
        people.flatMap(({ skills }, index) => (skill === null || skills.includes(skill) ? [index] : [])),
      ),
    ),
    tools: steps.map((step) =>
      step.tools
        .filter(({ count }) => count > 0)
        .map(({ tool, count }) => ({ tool: numberOf(toolAt, tool), count })),
    ),
    toolCount: tools.map(({ count }) => count),
    open: steps.map(({ fitness: id }) => (id === null ? undefined : spansOf.get(id))),
    hours: people.map(({ hours }) => timesOf(hours)),
    skillCount: Int32Array.from(people, ({ skills }) => skills.length),
    place: Int32Array.from(steps, ({ place }) => numberOf(placeAt, place)),
    room: Int32Array.from(steps, ({ room }) => (room === null ? -1 : numberOf(roomAt, room))),
    air: Uint8Array.from(steps, ({ air }) => (air === null ? 0 : AIR[air])),
    rooms: roomAt.size,
    pinned: Int32Array.from(steps, ({ pinned }) => pinned ?? -1),
    notBefore: Int32Array.from(steps, ({ notBefore }) => notBefore?.minute ?? 0),
    ...lagArcs(steps, lags),
  };
}

function lagArcs(steps: PlanProblem['steps'], lags: PlanProblem['lags']): Pick<Network, 'before' | 'after'> {
  const stepAt = new Map(steps.map(({ id }, index) => [id, index]));
  const before: LagArc[][] = steps.map(() => []);
  const after: LagArc[][] = steps.map(() => []);
  for (const { from, to, least, most } of lags) {
    const [a, b] = [numberOf(stepAt, from), numberOf(stepAt, to)];
    valueAt(before, b).push({ other: a, least, most: most ?? Number.POSITIVE_INFINITY });
    valueAt(after, a).push({ other: b, least, most: most ?? Number.POSITIVE_INFINITY });
  }
  return { before, after };
}

/** @throws RangeError where nothing is numbered so: `refuseProblem` has let nothing such through */
function numberOf(numbers: ReadonlyMap<string, number>, id: string): number {
  const number = numbers.get(id);
  if (number === undefined) throw new RangeError(`nothing is numbered ${id}`);
  return number;
}

function numbered(words: readonly string[]): ReadonlyMap<string, number> {
  const numbers = new Map<string, number>();
  for (const word of words) if (!numbers.has(word)) numbers.set(word, numbers.size);
  return numbers;
}

/** The same seen from its end: minute t becomes horizon − t, what came before comes after. */
export function mirrored(network: Network): Network {
  const { horizon, minutes, pinned, open, hours, before, after } = network;
  const turned = ({ from, to }: Times): Times => ({
    from: to.map((end) => horizon - end).reverse(),
    to: from.map((begin) => horizon - begin).reverse(),
  });
  const seen = new Map<Times, Times>();
  const once = (times: Times | undefined): Times | undefined => {
    if (times === undefined) return undefined;
    const known = seen.get(times) ?? turned(times);
    seen.set(times, known);
    return known;
  };
  return {
    ...network,
    open: open.map(once),
    hours: hours.map(turned),
    pinned: pinned.map((start, step) => (start < 0 ? start : horizon - start - intAt(minutes, step))),
    notBefore: new Int32Array(minutes.length),
    before: after,
    after: before,
  };
}

/**
 * Earliest start of each step by lags, pins, its own hours and those of the people able to do it; nobody else
 * is in the way. Infinity where a step finds no room before the horizon.
 * @throws CoreError SCHEDULE_LAGS when lags chase one another round
 */
export function earliestStarts(network: Network): Float64Array {
  const { count, minutes, pinned, before, after, horizon } = network;
  const starts = Float64Array.from(network.notBefore);
  const fits = Array.from({ length: count }, (_, step) => ownFit(network, step));
  const queue = Array.from({ length: count }, (_, step) => step);
  const raised = new Int32Array(count);
  const isQueued = new Uint8Array(count).fill(1);
  for (let step = 0; step < count; step += 1)
    if ((pinned[step] ?? -1) >= 0) starts[step] = intAt(pinned, step);
  for (let at = 0; at < queue.length; at += 1) {
    const step = valueAt(queue, at);
    isQueued[step] = 0;
    const start =
      (pinned[step] ?? -1) >= 0 ? floatAt(starts, step) : (fits[step]?.(floatAt(starts, step)) ?? 0);
    starts[step] = start;
    const end = start + intAt(minutes, step);
    const raise = (other: number, least: number): void => {
      if (!(least > floatAt(starts, other)) || (pinned[other] ?? -1) >= 0) return;
      raised[other] = intAt(raised, other) + 1;
      starts[other] = least > horizon ? Number.POSITIVE_INFINITY : least;
      if (isQueued[other] === 0) {
        isQueued[other] = 1;
        queue.push(other);
      }
    };
    for (const { other, least } of after[step] ?? []) raise(other, end + least);
    for (const { other, most } of before[step] ?? [])
      if (Number.isFinite(most)) raise(other, start - most - intAt(minutes, other));
  }
  return starts;
}

/** From the beginning of each step to the end of the longest chain that follows it, by lags alone. */
export function tailsOf({ count, minutes, before, after }: Network): Float64Array {
  const tails = new Float64Array(count);
  const waits = Int32Array.from(after, (lagArcs) => lagArcs.length);
  const ready = Array.from({ length: count }, (_, step) => step).filter((step) => waits[step] === 0);
  for (let at = 0; at < ready.length; at += 1) {
    const step = valueAt(ready, at);
    for (const { other, least } of after[step] ?? [])
      tails[step] = Math.max(floatAt(tails, step), least + floatAt(tails, other));
    tails[step] = floatAt(tails, step) + intAt(minutes, step);
    for (const { other } of before[step] ?? []) {
      waits[other] = (waits[other] ?? 1) - 1;
      if (waits[other] === 0) ready.push(other);
    }
  }
  return tails;
}

/** The first minute from which a step alone could be done: its own spans and the hours of those able. */
function ownFit(
  { minutes, open, hours, able, crew, horizon }: Network,
  step: number,
): (from: number) => number {
  const length = intAt(minutes, step);
  const spans = open[step];
  const ableHours = [...(able[step] ?? [])].map((person) => hours[person] ?? NEVER);
  const need = intAt(crew, step);
  return (from) => {
    let at = from;
    for (;;) {
      if (!(at + length <= horizon)) return Number.POSITIVE_INFINITY;
      const start = at;
      if (spans !== undefined) at = nextWithin(spans, at, length);
      if (need > 0) {
        const when = ableHours.map((times) => nextWithin(times, at, length)).sort((a, b) => a - b);
        at = when[need - 1] ?? Number.POSITIVE_INFINITY;
      }
      if (at === start) return at;
    }
  };
}

export const NEVER: Times = { from: new Int32Array(), to: new Int32Array() };

export function timesOf(spans: readonly Span[]): Times {
  return { from: Int32Array.from(spans, ({ from }) => from), to: Int32Array.from(spans, ({ to }) => to) };
}

export function spansOf({ from, to }: Times): readonly Span[] {
  return Array.from(from, (begin, index) => ({ from: begin, to: to[index] ?? begin }));
}

/** The first minute from which so many minutes lie within one span. */
export function nextWithin({ from: begins, to: ends }: Times, from: number, minutes: number): number {
  let low = 0;
  let high = ends.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (intAt(ends, middle) < from + minutes) low = middle + 1;
    else high = middle;
  }
  for (let index = low; index < ends.length; index += 1) {
    const start = Math.max(from, intAt(begins, index));
    if (start + minutes <= intAt(ends, index)) return start;
  }
  return Number.POSITIVE_INFINITY;
}

/** @throws CoreError SCHEDULE_LAGS naming steps that wait for one another */
export function refuseCycles({ count, minutes, after }: Network, idOf: (step: number) => string): void {
  const longest = new Float64Array(count);
  const from = new Int32Array(count).fill(-1);
  for (let round = 0; round <= count; round += 1) {
    let moved = -1;
    const pull = (a: number, b: number, by: number): void => {
      if (floatAt(longest, a) + by > floatAt(longest, b)) {
        longest[b] = floatAt(longest, a) + by;
        from[b] = a;
        moved = b;
      }
    };
    for (let step = 0; step < count; step += 1) {
      for (const { other, least, most } of after[step] ?? []) {
        pull(step, other, intAt(minutes, step) + least);
        if (Number.isFinite(most)) pull(other, step, -(intAt(minutes, step) + most));
      }
    }
    if (moved < 0) return;
    if (round < count) continue;
    let at = moved;
    for (let back = 0; back < count; back += 1) at = from[at] ?? at;
    const round_: string[] = [];
    for (let step = at; round_.length <= count;) {
      round_.push(idOf(step));
      step = from[step] ?? -1;
      if (step === at || step < 0) break;
    }
    throw new CoreError('SCHEDULE_LAGS', {
      path: 'lags',
      expected: 'steps that do not wait for each other in a cycle',
      got: round_.reverse().slice(0, 8).join(' → '),
    });
  }
}
