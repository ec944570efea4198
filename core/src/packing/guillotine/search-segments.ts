import { seededRandom, intAt, valueAt } from '../../quantity';
import { itemSubsetsOf } from '../exact/item-subsets';
import { StripPool } from './strip-pool';
import { AT_FIRST, type Building, type Manner, repair, repairSteps } from './repair';
import { exactlyOn } from './exactly';
import { eachLotAlone, stockSubset } from './stock-subset';
import { adaptWeights } from './adapt-weights';
import { quickStrips } from './quick-strips';
import {
  type LaidStrip,
  type Layout,
  type StockSegment,
  costOf,
  lengthsOf,
  oneSegment,
  onlyEndless,
} from './stock-segment';
import { destroy } from './destroy';
import { ExactFillBuilder } from './exact-fill-builder';

interface SegmentSearch extends Omit<Building, 'exactly' | 'mostAtEnd'> {
  readonly seed: number;
  readonly mostRounds: number;
  /** No layout can cost less; reaching it ends the search. */
  readonly bound: number;
  /** Cost of a layout's own beside its strips: pieces of one façade on several lots. Left out: none. */
  readonly penalty?: ((laid: readonly LaidStrip[]) => number) | undefined;
}

export interface SegmentResult extends Layout {
  /** False while some pieces lie nowhere. */
  readonly isComplete: boolean;
  /** Nothing cuttable in so many stages is cheaper. */
  readonly isProven: boolean;
  readonly rounds: number;
}

const REACHES = [1.5, 2.5, 3.5, 5] as const;
/** Strips destroyed at a time, at most. */
const MOST_TAKEN = [15, 30, 60] as const;
const SLACKS = [0, 0, 0.01, 0.03, 0.08, 0.2] as const;
/**
 * Pieces that fill a length to the last step were perhaps cut from it: where some are laid anew, strips
 * without waste are looked for so often.
 */
const FOR_PERFECT = 0.7;
const PERFECT_SLACK = { value: 0, reward: (): void => undefined };
const PERFECT_SEEK = { value: 1, reward: (): void => undefined };
const WORSE_SHARE = 0.08;
const WORSE_BY = 0.25;
const SETTLED_SHARE = 0.6;
/** Subsets of pieces that are gone through for a proof, and for laying a few strips anew. */
const MOST_SUBSETS = 16_400;
const MOST_SUBSETS_ANEW = { oneWay: 2000, turning: 700 } as const;
/** The same for the last few pieces of strips repaired. */
const MOST_SUBSETS_AT_END = { oneWay: 2500, turning: 1100 } as const;
/** In the first rounds so few: something good soon is worth more. */
const [EARLY, MOST_SUBSETS_EARLY] = [40, 500];
/**
 * Rounds after which few pieces are laid exactly: the better the layout by then, the less there is to go
 * through.
 */
export const BEFORE_EXACT = 60;
const EXACT_SHARE = 0.25;
/**
 * All pieces are laid from strips seen before in this round, and again whenever so many times as many rounds
 * are over, oftener where film is to be chosen too; so much dearer is still taken.
 */
const [FIRST_DIVE, DIVE_DEARER] = [8, 0.002];
const DIVE_LATER = { one: 1.4, several: 1.15 } as const;
/** Strips destroyed are laid from strips seen before as often as this. */
const DIVE_SHARE = { one: 0.25, several: 0.8 } as const;
/** From so many sizes or pieces on something is given at once, before strips are chosen with care. */
const MANY = { itemTypes: 600, pieces: 2000 } as const;
const NEAR = 1e-9;
const SAME_AREA = 1e-9;

const NOT_LAID: SegmentResult = {
  laid: [],
  cost: Number.POSITIVE_INFINITY,
  isComplete: false,
  isProven: false,
  rounds: 0,
};

/**
 * Large neighbourhood search: builds strips on the stock segments, then destroys and repairs a few of them
 * again and again, kept when not dearer. Yields the best after each round, so that whoever asks may stop.
 * Deterministic for a seed and a number of rounds.
 * @source large neighbourhood search, Shaw 1998 (from memory)
 */
export function* searchSegments(
  segments: readonly StockSegment[],
  limits: SegmentSearch,
): Generator<SegmentResult, SegmentResult> {
  const search = new Neighbourhoods(segments, limits);
  yield* search.wholeWithoutWaste();
  if (search.isAtBound()) return search.best;
  yield* search.firstLayouts();
  if (!search.best.isComplete) return search.best;
  yield* search.eachLotAlone();
  search.begin();
  for (let rounds = 0; rounds < limits.mostRounds && !search.isAtBound();) {
    yield search.best;
    if (search.isFew && rounds === BEFORE_EXACT) return search.proven(rounds);
    rounds += 1;
    search.round(rounds);
  }
  return search.best;
}

/** What a round destroys, and what it may cost to lay it anew. */
interface Opened {
  readonly left: Int32Array;
  readonly kept: readonly LaidStrip[];
  readonly taken: ReadonlySet<number>;
  /** What the strips destroyed cost. */
  readonly before: number;
}

/** The layout that is changed again and again, and the best so far. */
class Neighbourhoods {
  best = NOT_LAID;
  /** Whether all subsets of the pieces can be gone through. */
  readonly isFew: boolean;
  readonly #random: () => number;
  readonly #all: Int32Array;
  readonly #pool: StripPool;
  readonly #exactly: ReturnType<typeof exactlyOn>;
  readonly #films: 'one' | 'several';
  readonly #ways: 'turning' | 'oneWay';
  readonly #mayBePerfect: boolean;
  readonly #zero: ExactFillBuilder | undefined;
  /**
   * Where hardly two pieces are alike, or all was perhaps cut without waste, a strip seen before is seldom of
   * use again.
   */
  readonly #isMixed: boolean;
  readonly #isLarge: boolean;
  readonly #reaches: ReturnType<typeof adaptWeights>;
  readonly #slacks: ReturnType<typeof adaptWeights>;
  readonly #seeks: ReturnType<typeof adaptWeights>;
  readonly #manies: ReturnType<typeof adaptWeights>;
  #laid: readonly LaidStrip[] = [];
  #cost = Number.POSITIVE_INFINITY;
  #nextDive = FIRST_DIVE;

  constructor(
    private readonly segments: readonly StockSegment[],
    private readonly limits: SegmentSearch,
  ) {
    const itemTypes = segments[0]?.problem.itemTypes ?? [];
    this.#random = seededRandom(limits.seed);
    this.#all = Int32Array.from(itemTypes, ({ quantity }) => quantity);
    this.#pool = new StripPool(segments, itemTypes.length, limits.extra);
    this.#exactly = exactlyOn(segments, limits.stages, limits.prices);
    this.#films = segments.length > 1 ? 'several' : 'one';
    this.#ways = itemTypes.some(({ mayTurn }) => mayTurn) ? 'turning' : 'oneWay';
    const only = limits.isFilmOnly ? onlyEndless(segments) : undefined;
    this.#mayBePerfect =
      only !== undefined &&
      limits.stages === 3 &&
      Math.abs(only.problem.area * only.cost - limits.bound * only.problem.width) <=
        SAME_AREA * only.problem.area;
    this.#zero =
      only !== undefined && this.#mayBePerfect && itemTypes.every(({ mayTurn }) => !mayTurn)
        ? new ExactFillBuilder(
            only,
            (left, most) => this.#exactly(0, left, most * only.cost)?.map(({ strip }) => strip),
            this.#random,
          )
        : undefined;
    this.isFew = only !== undefined && itemSubsetsOf(this.#all) <= MOST_SUBSETS;
    const pieces = this.#all.reduce((sum, count) => sum + count, 0);
    this.#isLarge = itemTypes.length >= MANY.itemTypes || pieces >= MANY.pieces;
    this.#isMixed = !this.#mayBePerfect && pieces >= 1.5 * itemTypes.length;
    this.#reaches = adaptWeights(REACHES, this.#random);
    this.#slacks = adaptWeights(SLACKS, this.#random);
    this.#seeks = adaptWeights([1, 0], this.#random);
    this.#manies = adaptWeights(MOST_TAKEN, this.#random);
  }

  isAtBound(): boolean {
    return this.best.cost <= this.limits.bound + NEAR;
  }

  /** Where nothing was perhaps wasted: all of it put together again. */
  *wholeWithoutWaste(): Generator<SegmentResult, void> {
    const zero = this.#zero;
    for (let tries = 0; zero !== undefined && tries < zero.wholeAtFirst && !this.isAtBound(); tries += 1) {
      this.#take(this.#layWhole());
      yield this.best;
    }
  }

  /** A thrifty layout soon, then others until all pieces lie somewhere. */
  *firstLayouts(): Generator<SegmentResult, void> {
    const random = this.#random;
    if (this.#isLarge) {
      this.#take(quickStrips(this.segments, this.#all, this.limits.stages));
      yield this.best;
    }
    yield* this.#takeNewSteps(AT_FIRST);
    yield this.best;
    if (this.#zero === undefined)
      yield* this.#takeNewSteps({
        ...AT_FIRST,
        reach: 2.5,
        slack: 0,
        anchoredShare: 0.8,
        seeksPerfect: true,
      });
    for (let tries = 0; !this.best.isComplete && tries < 40; tries += 1) {
      yield this.best;
      this.#takeNew({
        ...AT_FIRST,
        reach: 1 + random() * 2,
        slack: valueAt(SLACKS, Math.floor(random() * SLACKS.length)),
        isSettled: tries % 2 === 0,
        isThrifty: tries % 3 !== 0,
      });
    }
  }

  /** Where lots should not be mixed: each by itself. */
  *eachLotAlone(): Generator<SegmentResult, void> {
    if (this.limits.penalty === undefined) return;
    for (const isOpen of eachLotAlone(this.segments)) {
      yield* this.#takeNewSteps({ ...AT_FIRST, reach: 2.5, isOpen });
      yield this.best;
    }
  }

  /** The best so far is what is changed from now on. */
  begin(): void {
    ({ laid: this.#laid, cost: this.#cost } = this.best);
  }

  /** All subsets gone through: nothing is cheaper. */
  proven(rounds: number): SegmentResult {
    const exact = this.#exactly(0, this.#all, this.best.cost);
    return {
      ...this.best,
      ...(exact === undefined ? {} : { laid: exact, cost: this.#total(exact) }),
      isProven: true,
      rounds,
    };
  }

  round(rounds: number): void {
    if (rounds >= this.#nextDive && this.#isMixed && this.#pool.takesAll) this.#dive(rounds);
    if (this.#zero !== undefined && this.#random() < this.#zero.wholeShare) {
      const before = this.best.cost;
      this.#take(this.#layWhole());
      this.best = { ...this.best, rounds };
      if (this.best.cost < before) this.begin();
      return;
    }
    this.#anew(rounds);
  }

  /** All pieces from strips seen before; a little dearer is still taken. */
  #dive(rounds: number): void {
    this.#nextDive = Math.ceil(rounds * DIVE_LATER[this.#films]);
    const rest = Int32Array.from(this.#all);
    const none = this.segments.map(() => 0);
    const dived = this.#pool.dive(rest, none, this.#random);
    const most = (cost: number): number => cost * (1 + DIVE_DEARER);
    const manner = { ...AT_FIRST, reach: this.#reaches.pick().value };
    const ended = this.#build(rest, dived, manner, most(this.best.cost) - this.#total(dived));
    if (ended !== undefined) this.#pool.noteTogether(ended);
    const total = ended === undefined ? Number.POSITIVE_INFINITY : this.#total(ended);
    if (ended !== undefined && total <= most(this.#cost)) {
      this.#laid = ended;
      this.#cost = total;
    }
    if (this.#cost < this.best.cost - NEAR) this.best = { ...this.best, laid: this.#laid, cost: this.#cost };
  }

  /** A few strips destroyed and repaired: kept when not dearer, or a little dearer now and then. */
  #anew(rounds: number): void {
    const random = this.#random;
    const many = this.#manies.pick();
    const opened = this.#open(many.value);
    const isForPerfect = this.#mayBePerfect && random() < FOR_PERFECT;
    const [reach, slack, seek] = [
      this.#reaches.pick(),
      isForPerfect ? PERFECT_SLACK : this.#slacks.pick(),
      isForPerfect ? PERFECT_SEEK : this.#seeks.pick(),
    ];
    /**
     * A little dearer is taken now and then, the less the nearer to the bound: it leads out of dead ends. The
     * best is kept apart.
     */
    const leave =
      random() < WORSE_SHARE
        ? random() * WORSE_BY * Math.min(this.best.cost - this.limits.bound, opened.before)
        : 0;
    const manner = { reach: reach.value, slack: slack.value, seeksPerfect: seek.value === 1 };
    const rebuilt = this.#rebuilt(opened, rounds, isForPerfect, manner, leave);
    this.best = { ...this.best, rounds };
    if (rebuilt === undefined) return;
    this.#pool.noteTogether(rebuilt);
    const after = this.#total(rebuilt);
    const { best } = this;
    if (after > this.#cost + leave + NEAR || after > best.cost + Math.max(leave, best.cost * 0.02)) return;
    this.#laid = rebuilt;
    this.#cost = after;
    if (this.#cost < best.cost - NEAR) {
      this.best = { ...best, laid: this.#laid, cost: this.#cost };
      for (const choice of [reach, slack, seek, many]) choice.reward();
    }
  }

  #open(most: number): Opened {
    const laid = this.#laid;
    const taken = destroy(this.segments, laid, most, this.#random);
    const left = new Int32Array(this.#all.length);
    for (const index of taken)
      for (const { pieces } of laid[index]?.strip.stacks ?? [])
        for (const { itemType } of pieces) left[itemType] = intAt(left, itemType) + 1;
    const kept = laid.filter((_, index) => !taken.has(index));
    return { left, kept, taken, before: this.#cost - this.#total(kept) };
  }

  /** In the shortest way there is, from strips seen before, or by chance. */
  #rebuilt(
    { left, kept, taken, before }: Opened,
    rounds: number,
    isForPerfect: boolean,
    manner: Pick<Manner, 'reach' | 'slack' | 'seeksPerfect'>,
    leave: number,
  ): readonly LaidStrip[] | undefined {
    const { segments, limits } = this;
    const random = this.#random;
    const whole = limits.isFilmOnly ? oneSegment(this.#laid, taken) : undefined;
    const isExact =
      whole !== undefined &&
      valueAt(segments, whole).cost > 0 &&
      random() < EXACT_SHARE &&
      itemSubsetsOf(left) <= MOST_SUBSETS_ANEW[this.#ways];
    const exact = isExact ? this.#exactly(whole, left, before) : undefined;
    const dives = !isExact && this.#isMixed && rounds > FIRST_DIVE && random() < DIVE_SHARE[this.#films];
    const dived = dives ? this.#pool.dive(left, [...lengthsOf(segments, kept)], random) : [];
    const paid = dived.length === 0 ? 0 : this.#total([...kept, ...dived]) - (this.#cost - before);
    if (isForPerfect && this.#zero !== undefined)
      return this.#zero
        .anew(left, before + leave)
        ?.map((strip): LaidStrip => ({ segment: 0, strip }))
        .concat(kept);
    if (isExact) return exact && [...kept, ...exact];
    return this.#build(
      left,
      [...kept, ...dived],
      {
        ...manner,
        anchoredShare: 0.8,
        isSettled: random() < SETTLED_SHARE,
        isThrifty: random() < 0.7,
        isOpen: stockSubset(segments, limits.penalty !== undefined, random),
      },
      before + leave - paid,
    );
  }

  #build(
    left: Int32Array,
    kept: readonly LaidStrip[],
    manner: Manner,
    most: number,
  ): readonly LaidStrip[] | undefined {
    return repair(this.segments, this.#building(), left, kept, manner, most, this.#random, this.#pool);
  }

  /** Where there are many pieces the best so far is given after every strip. */
  *#takeNewSteps(manner: Manner): Generator<SegmentResult, void> {
    const steps = repairSteps(
      this.segments,
      this.#building(),
      this.#all,
      [],
      manner,
      Number.POSITIVE_INFINITY,
      this.#random,
      this.#pool,
    );
    for (let step = steps.next(); ; step = steps.next()) {
      if (step.done === true) {
        this.#take(step.value);
        return;
      }
      if (this.best.isComplete && this.#isLarge) yield this.best;
    }
  }

  #building(): Building {
    const mostAtEnd = this.best.rounds < EARLY ? MOST_SUBSETS_EARLY : MOST_SUBSETS_AT_END[this.#ways];
    return { ...this.limits, exactly: this.#exactly, mostAtEnd };
  }

  #takeNew(manner: Manner): void {
    this.#take(this.#build(this.#all, [], manner, Number.POSITIVE_INFINITY));
  }

  #take(laid: readonly LaidStrip[] | undefined): void {
    if (laid === undefined) return;
    const cost = this.#total(laid);
    if (cost < this.best.cost - NEAR) this.best = { ...this.best, laid, cost, isComplete: true };
  }

  #layWhole(): readonly LaidStrip[] | undefined {
    return this.#zero?.whole()?.map((strip): LaidStrip => ({ segment: 0, strip }));
  }

  #total(laid: readonly LaidStrip[]): number {
    return costOf(this.segments, laid, this.limits.extra) + (this.limits.penalty?.(laid) ?? 0);
  }
}
