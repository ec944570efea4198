import { valueAt, intAt, floatAt } from '../quantity';
import { type Network, spansOf } from './network';
import type { Span } from './problem';
import { maxLagComponents } from './max-lag-components';
import { workingHours } from './working-minutes';

const AT_A_TIME = [1, 2, 2, 3] as const;
const TEAMS_A_WINDOW = [1, 1, 1, 2] as const;

/** Steps that may not lie long after one another and are fit only for a time. */
interface Group {
  readonly steps: readonly number[];
  /** With all that must be done before it, forerunners first. */
  readonly withForerunners: readonly number[];
  /**
   * Where spans begin in which all of it can be done, each as often as it can be done in one after another.
   */
  readonly windows: readonly number[];
}

/** An order to build, and minutes before which no step starts. */
export interface TurnOrder {
  readonly rank: Float64Array;
  readonly floors: Float64Array;
}

/**
 * Orders in which what may not lie long is worked on first where it is fit only for a time: some groups of
 * one place in turn, in one window after another. While one pane is squeezed out the next is cleaned. The
 * rest fills the gaps. No order bred from others gets there, because every step between makes the plan
 * longer.
 * @source own
 */
export class Interleaving {
  /** By place of work. */
  readonly #places: readonly (readonly Group[])[];

  constructor(
    private readonly network: Network,
    private readonly earliest: Float64Array,
  ) {
    const { open, place, hours } = network;
    const work = workingHours(hours.map((personHours) => ({ hours: spansOf(personHours) })));
    const byPlace = new Map<number, Group[]>();
    for (const steps of maxLagComponents(network)) {
      if (steps.every((step) => open[step] === undefined)) continue;
      const at = intAt(place, valueAt(steps, 0));
      byPlace.set(at, [
        ...(byPlace.get(at) ?? []),
        { steps, withForerunners: withForerunners(network, steps), windows: windowsOf(network, steps, work) },
      ]);
    }
    this.#places = [...byPlace.values()].filter(({ length }) => length > 1);
  }

  get isOfUse(): boolean {
    return this.#places.length > 0;
  }

  /** All such places. @param rest rank of all other steps @param atATime groups of one place in turn */
  orderOfAll(rest: ArrayLike<number>, atATime: number): TurnOrder {
    return this.#order(
      rest,
      this.#places.map((groups) => teamsOf(groups, atATime)),
      1,
    );
  }

  /** One such place by chance, its groups shuffled. */
  order(rest: ArrayLike<number>, random: () => number): TurnOrder {
    const one = <Value>(all: readonly Value[]): Value | undefined => all[Math.floor(random() * all.length)];
    const shuffled = (one(this.#places) ?? [])
      .map((group) => [random(), group] as const)
      .sort(([a], [b]) => a - b)
      .map(([, group]) => group);
    return this.#order(rest, [teamsOf(shuffled, one(AT_A_TIME) ?? 1)], one(TEAMS_A_WINDOW) ?? 1);
  }

  #order(
    rest: ArrayLike<number>,
    places: readonly (readonly (readonly Group[])[])[],
    teamsAWindow: number,
  ): TurnOrder {
    const rank = Float64Array.from({ length: this.network.count }, (_, step) => valueAt(rest, step));
    const floors = this.earliest.slice();
    const least = rank.reduce((low, stepRank) => Math.min(low, stepRank), 0);
    const first = new Set(places.flat().flatMap(interleaving));
    [...first].forEach((step, index) => {
      rank[step] = least - first.size + index;
    });
    for (const teams of places)
      teams.forEach((team, index) => {
        for (const { steps, windows } of team)
          for (const step of steps)
            floors[step] = Math.max(
              floatAt(floors, step),
              valueAt(windows, Math.floor(index / teamsAWindow)),
            );
      });
    return { rank, floors };
  }
}

function teamsOf(groups: readonly Group[], atATime: number): readonly (readonly Group[])[] {
  return Array.from({ length: Math.ceil(groups.length / atATime) }, (_, team) =>
    groups.slice(team * atATime, (team + 1) * atATime),
  );
}

/** The first of each, the second of each, and so on; whoever has more before it begins sooner. */
function interleaving(team: readonly Group[]): readonly number[] {
  const longest = Math.max(...team.map((group) => group.withForerunners.length));
  return Array.from({ length: longest }, (_, turn) =>
    team.flatMap((group) => group.withForerunners[turn - longest + group.withForerunners.length] ?? []),
  ).flat();
}

/** Where the spans of a group's surface begin, within working hours, each as often as all of it fits in. */
function windowsOf(
  { open, minutes }: Network,
  group: readonly number[],
  work: readonly Span[],
): readonly number[] {
  const fit = group.map((step) => open[step]).find((times) => times !== undefined);
  const length = group.reduce((sum, step) => sum + (open[step] === undefined ? 0 : intAt(minutes, step)), 0);
  if (fit === undefined) return [];
  return spansOf(fit)
    .flatMap((span) =>
      work.map(({ from, to }) => ({ from: Math.max(from, span.from), to: Math.min(to, span.to) })),
    )
    .sort((a, b) => a.from - b.from)
    .flatMap(({ from, to }) => new Array<number>(Math.max(0, Math.floor((to - from) / length))).fill(from));
}

function withForerunners({ before }: Network, group: readonly number[]): readonly number[] {
  const order: number[] = [];
  const seen = new Set<number>();
  const visit = (step: number): void => {
    if (seen.has(step)) return;
    seen.add(step);
    for (const { other } of before[step] ?? []) visit(other);
    order.push(step);
  };
  group.forEach(visit);
  return order;
}
