import { seededRandom } from '../../quantity';
import { selectionsOf } from '../exact/selections';
import { BandPool } from './band-pool';
import { type Building, type Manner, buildAll } from './build-all';
import { exactlyOn } from './exactly';
import { eachLotAlone, filmsOpen } from './films-open';
import { learning } from './learning';
import { type LaidBand, type Layout, type Space, costOf, lengthsOf } from './space';
import { takeApart } from './take-apart';
import { ZeroWaste } from './zero-waste';

export interface SpaceSearch extends Omit<Building, 'exactly' | 'mostAtEnd'> {
  readonly seed: number;
  readonly mostRounds: number;
  /** No layout can cost less; reaching it ends the search. */
  readonly bound: number;
  /** Cost of a layout's own beside its bands: pieces of one façade on several lots. Left out: none. */
  readonly penalty?: ((laid: readonly LaidBand[]) => number) | undefined;
}

export interface SpaceResult extends Layout {
  /** False while some pieces lie nowhere. */
  readonly isComplete: boolean;
  /** Nothing cuttable in so many stages is cheaper. */
  readonly isProven: boolean;
  readonly rounds: number;
}

const REACHES = [1.5, 2.5, 3.5, 5] as const;
/** Bands taken apart at a time, at most. */
const MOST_TAKEN = [15, 30, 60] as const;
const SLACKS = [0, 0, 0.01, 0.03, 0.08, 0.2] as const;
/**
 * Pieces that fill a length to the last step were perhaps cut from it: where some are laid anew, bands
 * without waste are looked for so often.
 */
const FOR_PERFECT = 0.7;
const PERFECT_SLACK = { value: 0, reward: (): void => undefined };
const PERFECT_SEEK = { value: 1, reward: (): void => undefined };
const WORSE_SHARE = 0.08;
const WORSE_BY = 0.25;
const SETTLED_SHARE = 0.6;
/** Selections of pieces that are gone through for a proof, and for laying a few bands anew. */
const MOST_SELECTIONS = 16_400;
const MOST_SELECTIONS_ANEW = { oneWay: 2000, turning: 700 } as const;
/** The same for the last few pieces of bands built anew. */
const MOST_SELECTIONS_AT_END = { oneWay: 2500, turning: 1100 } as const;
/** In the first rounds so few: something good soon is worth more. */
const [EARLY, MOST_SELECTIONS_EARLY] = [40, 500];
/**
 * Rounds after which few pieces are laid exactly: the better the layout by then, the less there is to go
 * through.
 */
export const BEFORE_EXACT = 60;
const EXACT_SHARE = 0.25;
/**
 * All pieces are laid from bands seen before in this round, and again whenever so many times as many rounds
 * are over, oftener where film is to be chosen too; so much dearer is still taken.
 */
const [FIRST_DIVE, DIVE_DEARER] = [8, 0.002];
const DIVE_LATER = { one: 1.4, several: 1.15 } as const;
/** Bands taken apart are laid from bands seen before as often as this. */
const DIVE_SHARE = { one: 0.25, several: 0.8 } as const;
const NEAR = 1e-9;
const SAME_AREA = 1e-9;

const NOT_LAID: SpaceResult = {
  laid: [],
  cost: Number.POSITIVE_INFINITY,
  isComplete: false,
  isProven: false,
  rounds: 0,
};

/**
 * Builds bands on the spaces there are, then takes a few apart again and again and builds them anew: kept
 * when not dearer. Gives the best after each round, so that whoever asks may stop. Deterministic for a seed
 * and a number of rounds.
 * @source large neighbourhood search, Shaw 1998 (from memory)
 */
export function* searchSpaces(
  spaces: readonly Space[],
  limits: SpaceSearch,
): Generator<SpaceResult, SpaceResult> {
  const random = seededRandom(limits.seed);
  const kinds = spaces[0]?.problem.kinds ?? [];
  const all = Int32Array.from(kinds, ({ quantity }) => quantity);
  const total = (laid: readonly LaidBand[]): number =>
    costOf(spaces, laid, limits.extra) + (limits.penalty?.(laid) ?? 0);
  let best = NOT_LAID;
  const pool = new BandPool(spaces, kinds.length, limits.extra);
  const exactly = exactlyOn(spaces, limits.stages, limits.prices);
  const films = spaces.length > 1 ? 'several' : 'one';
  const ways = kinds.some(({ mayTurn }) => mayTurn) ? 'turning' : 'oneWay';
  const build = (
    left: Int32Array,
    kept: readonly LaidBand[],
    manner: Manner,
    most: number,
  ): readonly LaidBand[] | undefined =>
    buildAll(
      spaces,
      {
        ...limits,
        exactly,
        mostAtEnd: best.rounds < EARLY ? MOST_SELECTIONS_EARLY : MOST_SELECTIONS_AT_END[ways],
      },
      left,
      kept,
      manner,
      most,
      random,
      pool,
    );
  const take = (laid: readonly LaidBand[] | undefined): void => {
    if (laid === undefined) return;
    const cost = total(laid);
    if (cost < best.cost - NEAR) best = { ...best, laid, cost, isComplete: true };
  };
  const [only] = spaces;
  const mayBePerfect =
    limits.isFilmOnly &&
    limits.stages === 3 &&
    spaces.length === 1 &&
    only !== undefined &&
    only.most === Number.POSITIVE_INFINITY &&
    only.fixed === 0 &&
    Math.abs(only.problem.area * only.cost - limits.bound * only.problem.width) <=
      SAME_AREA * only.problem.area;
  const zero =
    mayBePerfect && kinds.every(({ mayTurn }) => !mayTurn)
      ? new ZeroWaste(
          only,
          (left, most) => exactly(0, left, most * only.cost)?.map(({ band }) => band),
          random,
        )
      : undefined;
  const layWhole = (): readonly LaidBand[] | undefined =>
    zero?.whole()?.map((band): LaidBand => ({ space: 0, band }));
  for (
    let tries = 0;
    zero !== undefined && tries < zero.wholeAtFirst && best.cost > limits.bound + NEAR;
    tries += 1
  ) {
    take(layWhole());
    yield best;
  }
  if (best.cost <= limits.bound + NEAR) return best;
  take(
    build(
      all,
      [],
      { reach: 1.5, slack: 0.03, anchoredShare: 1, seeksPerfect: false, isSettled: true, isThrifty: true },
      Number.POSITIVE_INFINITY,
    ),
  );
  yield best;
  if (zero === undefined)
    take(
      build(
        all,
        [],
        { reach: 2.5, slack: 0, anchoredShare: 0.8, seeksPerfect: true, isSettled: true, isThrifty: true },
        Number.POSITIVE_INFINITY,
      ),
    );
  for (let tries = 0; !best.isComplete && tries < 40; tries += 1) {
    yield best;
    take(
      build(
        all,
        [],
        {
          reach: 1 + random() * 2,
          slack: SLACKS[Math.floor(random() * SLACKS.length)] ?? 0,
          anchoredShare: 1,
          seeksPerfect: false,
          isSettled: tries % 2 === 0,
          isThrifty: tries % 3 !== 0,
        },
        Number.POSITIVE_INFINITY,
      ),
    );
  }
  if (!best.isComplete) return best;
  if (limits.penalty !== undefined)
    for (const isOpen of eachLotAlone(spaces)) {
      take(
        build(
          all,
          [],
          {
            reach: 2.5,
            slack: 0.03,
            anchoredShare: 1,
            seeksPerfect: false,
            isSettled: true,
            isThrifty: true,
            isOpen,
          },
          Number.POSITIVE_INFINITY,
        ),
      );
      yield best;
    }
  const isFew =
    limits.isFilmOnly &&
    spaces.length === 1 &&
    only !== undefined &&
    only.most === Number.POSITIVE_INFINITY &&
    only.fixed === 0 &&
    selectionsOf(all) <= MOST_SELECTIONS;
  let { laid, cost } = best;
  let nextDive = FIRST_DIVE;
  /**
   * Where hardly two pieces are alike, or all was perhaps cut without waste, a band seen before is seldom of
   * use again.
   */
  const isMixed = !mayBePerfect && all.reduce((sum, count) => sum + count, 0) >= 1.5 * kinds.length;
  const reaches = learning(REACHES, random);
  const slacks = learning(SLACKS, random);
  const seeks = learning([1, 0], random);
  const manies = learning(MOST_TAKEN, random);
  for (let rounds = 0; rounds < limits.mostRounds && best.cost > limits.bound + NEAR;) {
    yield best;
    if (isFew && rounds === BEFORE_EXACT) {
      const exact = exactly(0, all, best.cost);
      return {
        ...best,
        ...(exact === undefined ? {} : { laid: exact, cost: total(exact) }),
        isProven: true,
        rounds,
      };
    }
    rounds += 1;
    if (rounds >= nextDive && isMixed && pool.takesAll) {
      nextDive = Math.ceil(rounds * DIVE_LATER[films]);
      const rest = Int32Array.from(all);
      const dived = pool.dive(
        rest,
        spaces.map(() => 0),
        random,
      );
      const ended = build(
        rest,
        dived,
        {
          reach: reaches.pick().value,
          slack: 0.03,
          anchoredShare: 1,
          seeksPerfect: false,
          isSettled: true,
          isThrifty: true,
        },
        best.cost * (1 + DIVE_DEARER) - total(dived),
      );
      if (ended !== undefined) pool.noteTogether(ended);
      const own = ended === undefined ? Number.POSITIVE_INFINITY : total(ended);
      if (ended !== undefined && own <= cost * (1 + DIVE_DEARER)) {
        laid = ended;
        cost = own;
      }
      if (cost < best.cost - NEAR) best = { ...best, laid, cost };
    }
    if (zero !== undefined && random() < zero.wholeShare) {
      const before = best.cost;
      take(layWhole());
      best = { ...best, rounds };
      if (best.cost < before) ({ laid, cost } = best);
      continue;
    }
    const many = manies.pick();
    const taken = takeApart(spaces, laid, many.value, random);
    const left = new Int32Array(kinds.length);
    for (const index of taken)
      for (const { pieces } of laid[index]?.band.columns ?? [])
        for (const { kind } of pieces) left[kind] = (left[kind] ?? 0) + 1;
    const kept = laid.filter((_, index) => !taken.has(index));
    const before = cost - total(kept);
    const isForPerfect = mayBePerfect && random() < FOR_PERFECT;
    const [reach, slack, seek] = [
      reaches.pick(),
      isForPerfect ? PERFECT_SLACK : slacks.pick(),
      isForPerfect ? PERFECT_SEEK : seeks.pick(),
    ];
    /**
     * A little dearer is taken now and then, the less the nearer to the bound: it leads out of dead ends. The
     * best is kept apart.
     */
    const leave =
      random() < WORSE_SHARE ? random() * WORSE_BY * Math.min(best.cost - limits.bound, before) : 0;
    const whole = limits.isFilmOnly ? oneSpace(laid, taken) : undefined;
    const isExact =
      whole !== undefined &&
      (spaces[whole]?.cost ?? 0) > 0 &&
      random() < EXACT_SHARE &&
      selectionsOf(left) <= MOST_SELECTIONS_ANEW[ways];
    const exact = isExact ? exactly(whole, left, before) : undefined;
    const dived =
      !isExact && isMixed && rounds > FIRST_DIVE && random() < DIVE_SHARE[films]
        ? pool.dive(left, [...lengthsOf(spaces, kept)], random)
        : [];
    const paid = dived.length === 0 ? 0 : total([...kept, ...dived]) - (cost - before);
    const rebuilt =
      isForPerfect && zero !== undefined
        ? zero
            .anew(left, before + leave)
            ?.map((band): LaidBand => ({ space: 0, band }))
            .concat(kept)
        : isExact
          ? exact && [...kept, ...exact]
          : build(
              left,
              [...kept, ...dived],
              {
                reach: reach.value,
                slack: slack.value,
                anchoredShare: 0.8,
                seeksPerfect: seek.value === 1,
                isSettled: random() < SETTLED_SHARE,
                isThrifty: random() < 0.7,
                isOpen: filmsOpen(spaces, limits.penalty !== undefined, random),
              },
              before + leave - paid,
            );
    best = { ...best, rounds };
    if (rebuilt === undefined) continue;
    pool.noteTogether(rebuilt);
    const after = total(rebuilt);
    if (after > cost + leave + NEAR || after > best.cost + Math.max(leave, best.cost * 0.02)) continue;
    laid = rebuilt;
    cost = after;
    if (cost < best.cost - NEAR) {
      best = { ...best, laid, cost };
      reach.reward();
      slack.reward();
      seek.reward();
      many.reward();
    }
  }
  return best;
}

/** The space that all these bands lie on, if it is one. */
function oneSpace(laid: readonly LaidBand[], taken: ReadonlySet<number>): number | undefined {
  let found: number | undefined;
  for (const index of taken) {
    const own = laid[index]?.space;
    if (found !== undefined && own !== found) return undefined;
    found = own;
  }
  return found;
}
