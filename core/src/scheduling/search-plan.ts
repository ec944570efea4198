import { seededRandom, floatAt, intAt, valueAt } from '../quantity';
import { type Built, SerialScheduleGenerator } from './serial-schedule-generator';
import { Interleaving, type TurnOrder } from './interleaving';
import { type Network, type Times, mirrored, tailsOf } from './network';
import { Annealing } from './annealing';

interface PlanSearch {
  readonly seed: number;
  readonly mostRounds: number;
  readonly earliest: Float64Array;
  /** Nothing can finish before: reaching it ends the search, once ties are broken for a while. */
  readonly makespanBound: number;
}

interface Member {
  readonly built: Built;
  readonly cost: number;
}

interface PlanFound {
  readonly built: Built;
  readonly rounds: number;
}

const POPULATION = 24;
const MUTATES = 0.04;
const MUTATION_SHARE = 0.5;
/** How often crossover begins with groups of one place in turn. */
const IN_TURN = 0.2;
/** Groups in turn in the first orders. */
const FIRST_IN_TURN = [2, 3] as const;
const RELEASE_SHARE = 0.3;
/** An offspring may be so much worse than the worst before it is justified. */
const SLACK = 1;
const CHANGES_CREW = 0.05;
const STALE_ROUNDS = 150;
/** Rounds that may still break ties once the finish is proven. */
const TIE_ROUNDS = 60;
/** Rounds of breeding before the first plan is cooled. */
const BRED = 20;
/** Changes in the first cooling; each later one is longer. */
const ANNEALING_ROUNDS = 2500;
const LONGER = 1.1;
/**
 * Changes between two rounds of breeding, over the number of steps squared: simulated annealing gets most of
 * the time.
 */
const [CHANGES, MOST_CHANGES] = [1_440_000, 1600];

/**
 * A genetic algorithm over step orders: two-point crossover, each child built by the serial scheme and doubly
 * justified, the best survive; interleaved with simulated annealing of one of them.
 * Yields the best so far after each round. Deterministic for a seed and a number of rounds.
 * @returns undefined when not one order found a place for everything
 * @source genetic search with double justification for project scheduling (from memory), own form with
 * most-lags and calendars
 */
export function* searchPlan(
  network: Network,
  search: PlanSearch,
): Generator<PlanFound | undefined, PlanFound | undefined> {
  const { mostRounds, makespanBound } = search;
  const breeding = new Breeding(network, search);
  let best: Member | undefined;
  let provenAt = Number.POSITIVE_INFINITY;
  let lastBetter = 0;
  for (let round = 0; round < mostRounds && round < provenAt; round += 1) {
    breeding.round(round, Number.isFinite(provenAt));
    const { leader } = breeding;
    if (leader !== undefined && (best === undefined || leader.cost < best.cost)) {
      best = leader;
      lastBetter = round;
    }
    if (round - lastBetter > STALE_ROUNDS && round % STALE_ROUNDS === 0) breeding.begin();
    if (best !== undefined && best.built.finish <= makespanBound && !Number.isFinite(provenAt))
      provenAt = round + TIE_ROUNDS;
    yield best && { built: best.built, rounds: round + 1 };
  }
  return best && { built: best.built, rounds: Math.min(mostRounds, provenAt) };
}

/** The population of plans, and how it grows. */
class Breeding {
  readonly #random: () => number;
  readonly #builder: SerialScheduleGenerator;
  readonly #back: SerialScheduleGenerator;
  readonly #ranks: readonly Float64Array[];
  readonly #interleaving: Interleaving;
  readonly #firstTurns: readonly TurnOrder[];
  readonly #annealing: Annealing;
  readonly #changes: number;
  #annealingRounds = ANNEALING_ROUNDS;
  #population: Member[] = [];

  constructor(
    private readonly network: Network,
    private readonly search: PlanSearch,
  ) {
    const { earliest, seed } = search;
    this.#random = seededRandom(seed);
    this.#builder = new SerialScheduleGenerator(network);
    this.#back = new SerialScheduleGenerator(mirrored(network));
    this.#ranks = firstRanks(network, earliest);
    this.#interleaving = new Interleaving(network, earliest);
    this.#firstTurns = this.#interleaving.isOfUse
      ? FIRST_IN_TURN.map((atATime) => this.#interleaving.orderOfAll(this.#ranks[0] ?? earliest, atATime))
      : [];
    this.#annealing = new Annealing(network, earliest, this.#random);
    this.#changes = Math.max(1, Math.min(MOST_CHANGES, Math.round(CHANGES / network.count ** 2)));
  }

  get leader(): Member | undefined {
    return this.#population[0];
  }

  /** All but the best two leave. */
  begin(): void {
    this.#population = this.#population.slice(0, 2);
  }

  /**
   * One of the population is annealed, and one more order is built: by a priority rule, at random, or by
   * crossover.
   */
  round(round: number, isProven: boolean): void {
    const random = this.#random;
    if (this.#population.length > 0 && round > BRED && !isProven) this.#anneal();
    const rule = this.#ranks[round >> 1];
    const firstTurn = this.#firstTurns[round - 2 * this.#ranks.length];
    if (rule !== undefined) this.#join(rule, undefined, round % 2 === 0);
    else if (firstTurn !== undefined) this.#joinInterleaved(firstTurn);
    else if (this.#population.length < POPULATION / 2 || random() < 0.05) {
      const rank = this.#ranks[Math.floor(random() * this.#ranks.length)];
      this.#join(randomisedRule(rank ?? new Float64Array(this.network.count), random));
    } else if (this.#interleaving.isOfUse && random() < IN_TURN)
      this.#joinInterleaved(this.#interleaving.order(pick(this.#population, random).built.starts, random));
    else this.#breed();
  }

  #breed(): void {
    const { network } = this;
    const { earliest } = this.search;
    const random = this.#random;
    const [mother, father] = [pick(this.#population, random), pick(this.#population, random)];
    this.#join(
      random() < MUTATION_SHARE ? mutation(network, mother, random) : crossover(mother, father, random),
      random() < 0.5 ? undefined : crewsOf(network, mother, father, random),
      random() < 0.2,
      random() < RELEASE_SHARE ? perturbedReleases(network, mother, earliest, random) : earliest,
    );
  }

  #join(
    rank: ArrayLike<number>,
    wished?: readonly (readonly number[])[],
    isGlued = true,
    floors: ArrayLike<number> = this.search.earliest,
  ): void {
    const worst = this.#population.length < POPULATION ? undefined : this.#population.at(-1);
    const { earliest, makespanBound } = this.search;
    const most =
      worst === undefined
        ? Number.POSITIVE_INFINITY
        : worst.built.finish + SLACK * (worst.built.finish - makespanBound);
    const first = this.#builder.build(rank, floors, {
      ...(wished === undefined ? {} : { wished }),
      isGlued,
      most,
    });
    const built = justified(this.network, this.#builder, this.#back, first, earliest, isGlued);
    if (built !== undefined) this.#adopt(built);
  }

  #joinInterleaved({ rank, floors }: TurnOrder): void {
    this.#join(rank, undefined, false, floors);
  }

  #adopt(built: Built): void {
    const member = { built, cost: costOf(this.network, built) };
    if (this.#population.some(({ cost }) => cost === member.cost)) return;
    this.#population.push(member);
    this.#population.sort((a, b) => a.cost - b.cost);
    this.#population.length = Math.min(this.#population.length, POPULATION);
  }

  #anneal(): void {
    if (this.#annealing.isDone) {
      this.#annealing.begin(pick(this.#population, this.#random).built, this.#annealingRounds);
      this.#annealingRounds *= LONGER;
    }
    this.#annealing.run(this.#changes);
    if (this.#annealing.isDone && this.#annealing.best !== undefined) this.#adopt(this.#annealing.best);
  }
}

/**
 * Pushed as late as the finish allows, then as early as can be: closes gaps that no order by itself would.
 */
function justified(
  network: Network,
  builder: SerialScheduleGenerator,
  back: SerialScheduleGenerator,
  built: Built | undefined,
  earliest: Float64Array,
  isGlued: boolean,
): Built | undefined {
  if (built === undefined) return undefined;
  const { count, minutes, horizon } = network;
  const late = back.build(
    Float64Array.from(built.starts, (start, step) => -(start + intAt(minutes, step))),
    new Float64Array(count).fill(horizon - built.finish),
    { wished: built.people, isGlued },
  );
  if (late === undefined) return built;
  const early = builder.build(
    Float64Array.from(late.starts, (start, step) => horizon - start - intAt(minutes, step)),
    earliest,
    { wished: late.people, isGlued, most: built.finish },
  );
  return early === undefined || early.finish > built.finish ? built : early;
}

/** Finish first, then changes of place, then people standing about. */
function costOf({ hours, place, minutes }: Network, { starts, people, finish }: Built): number {
  const personSteps = hours.map((): { start: number; end: number; place: number }[] => []);
  people.forEach((crew, step) => {
    for (const person of crew)
      personSteps[person]?.push({
        start: intAt(starts, step),
        end: intAt(starts, step) + intAt(minutes, step),
        place: intAt(place, step),
      });
  });
  let [travels, waits] = [0, 0];
  for (const visits of personSteps) {
    visits.sort((a, b) => a.start - b.start);
    for (let index = 1; index < visits.length; index += 1) {
      const [last, next] = [visits[index - 1], visits[index]];
      if (last === undefined || next === undefined) continue;
      if (last.place !== next.place) travels += 1;
      if (next.start - last.end < 720) waits += next.start - last.end;
    }
  }
  return finish * 1e9 + travels * 1e5 + Math.min(waits, 99_999);
}

/**
 * By how seldom a surface is fit, by how soon it stops being fit, by longest way to the end, by what it
 * takes.
 */
function firstRanks(network: Network, earliest: Float64Array): readonly Float64Array[] {
  const { count, minutes, crew, after, open, horizon } = network;
  const tails = tailsOf(network);
  const follow = new Float64Array(count);
  const order = Array.from({ length: count }, (_, step) => step).sort(
    (a, b) => floatAt(tails, a) - floatAt(tails, b),
  );
  for (const step of order) {
    follow[step] = intAt(minutes, step) * Math.max(1, intAt(crew, step));
    for (const { other } of after[step] ?? []) follow[step] = floatAt(follow, step) + floatAt(follow, other);
  }
  const closes = Float64Array.from(open, (times) => times?.to.at(-1) ?? horizon);
  const scarce = Float64Array.from(open, (times, step) =>
    times === undefined ? horizon : openMinutes(times, intAt(minutes, step)),
  );
  const soon = Float64Array.from(open, (times, step) => {
    const at = times?.to.find((to) => to >= floatAt(earliest, step) + intAt(minutes, step));
    return at ?? horizon;
  });
  return [
    scarce.map((stepRank, step) => stepRank - floatAt(tails, step) / horizon),
    soon.map((stepRank, step) => stepRank - floatAt(tails, step) / horizon),
    tails.map((tail) => -tail),
    closes.map((close, step) => close - floatAt(tails, step)),
    follow.map((work) => -work),
    Float64Array.from(earliest),
    Float64Array.from(earliest, (start, step) => start - floatAt(tails, step)),
  ];
}

/** Minutes at which a step so long may start. */
function openMinutes({ from, to }: Times, length: number): number {
  let sum = 0;
  for (let index = 0; index < from.length; index += 1)
    sum += Math.max(0, intAt(to, index) - intAt(from, index) - length);
  return sum;
}

function randomisedRule(rank: Float64Array, random: () => number): Float64Array {
  let [low, high] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const stepRank of rank) {
    low = Math.min(low, stepRank);
    high = Math.max(high, stepRank);
  }
  const spread = (high - low || 1) * (0.1 + 0.6 * random());
  return rank.map((stepRank) => stepRank + spread * random());
}

/** The better of two taken by chance. */
function pick(population: readonly Member[], random: () => number): Member {
  const [a, b] = [Math.floor(random() * population.length), Math.floor(random() * population.length)];
  return valueAt(population, Math.min(a, b));
}

/** Release times of a few steps with maximum lags are perturbed: it may pay to begin a chain late. */
function perturbedReleases(
  { after, count }: Network,
  { built }: Member,
  earliest: Float64Array,
  random: () => number,
): Float64Array {
  const floors = Float64Array.from(earliest);
  const reach = 10 * 8 ** random();
  for (let tries = 0, left = 1 + Math.floor(random() * 3); tries < 30 && left > 0; tries += 1) {
    const step = Math.floor(random() * count);
    if ((after[step] ?? []).every(({ most }) => !Number.isFinite(most))) continue;
    floors[step] = Math.max(
      floatAt(floors, step),
      intAt(built.starts, step) + Math.floor((random() - 0.2) * reach),
    );
    left -= 1;
  }
  return floors;
}

/** A few steps of a parent's order moved earlier or later. */
function mutation({ count }: Network, { built }: Member, random: () => number): Float64Array {
  const rank = Float64Array.from(built.starts);
  const reach = 20 * 10 ** random();
  for (let moved = 1 + Math.floor(random() * 5); moved > 0; moved -= 1) {
    const step = Math.floor(random() * count);
    rank[step] = floatAt(rank, step) + (2 * random() - 1) * reach;
  }
  return rank;
}

function crossover(mother: Member, father: Member, random: () => number): Float64Array {
  const byStart = ({ built }: Member): number[] =>
    Array.from(built.starts.keys()).sort((a, b) => intAt(built.starts, a) - intAt(built.starts, b));
  const [from, to] = [byStart(mother), byStart(father)];
  const count = from.length;
  const [a, b] = [Math.floor(random() * count), Math.floor(random() * count)];
  const [low, high] = [Math.min(a, b), Math.max(a, b)];
  const taken = new Uint8Array(count);
  const order: number[] = [];
  const take = (step: number): void => {
    if (taken[step] === 0) {
      taken[step] = 1;
      order.push(step);
    }
  };
  for (let index = 0; index < low; index += 1) take(valueAt(from, index));
  for (let index = 0, left = high - low; index < count && left > 0; index += 1)
    if (taken[valueAt(to, index)] === 0) {
      take(valueAt(to, index));
      left -= 1;
    }
  for (const step of from) take(step);
  for (let index = 1; index < count; index += 1) {
    if (random() >= MUTATES) continue;
    const earlier = Math.max(0, index - 1 - Math.floor(random() * 6));
    [order[index], order[earlier]] = [valueAt(order, earlier), valueAt(order, index)];
  }
  const rank = new Float64Array(count);
  order.forEach((step, index) => {
    rank[step] = index;
  });
  return rank;
}

/** Who did it in one parent or the other; now and then somebody else. */
function crewsOf(
  { able }: Network,
  mother: Member,
  father: Member,
  random: () => number,
): readonly (readonly number[])[] {
  return mother.built.people.map((crew, step) => {
    const people = valueAt(able, step);
    if (random() < CHANGES_CREW) return [valueAt(people, Math.floor(random() * people.length))];
    return random() < 0.5 ? crew : (father.built.people[step] ?? crew);
  });
}
