import type { StripProblem } from '../problem/strip-problem';
import type { BeamWays } from './beam';
import { BredWays, type Way } from './bred-ways';
import { WholeRuns } from './whole-runs';

/** One run over all pieces: how, how short it must be, and whom to tell how long it became. */
export interface LedRun {
  readonly ways: BeamWays;
  readonly most: number;
  readonly ended: (along: number | undefined) => void;
}

/** How runs of a beam are led, and what is learned from them. */
export interface Leading {
  /** How often all pieces are laid anew, not those of some blocks. */
  readonly share: number;
  readonly whole: (best: number) => LedRun;
  readonly part: () => BeamWays;
}

/**
 * Shares of the runs that lay everything anew. Blocks taken apart bring most at first, when much is still
 * badly laid.
 */
const WHOLE = { first: 0.5, bred: 0.8, perfect: 0.75 } as const;
const FIRST_RUNS = 40;
const FRONTS = [1, 2, 4, 8, 16, 32, 64] as const;
/** What a stretch of a front counts against it, as a share of half of all length. */
const STRETCHES = [0.003, 0.01, 0.03] as const;
/** Where nothing is known to lead, what is worth more is laid a little sooner. */
const SOON = 0.002;

const someFronts = (random: () => number): number => FRONTS[Math.floor(random() ** 2 * FRONTS.length)] ?? 1;

/**
 * By ways that are bred.
 * @param prices steps of length that a piece of each kind is worth in the bound, if that is known
 */
export function ledByWays(
  problem: StripProblem,
  prices: readonly number[] | undefined,
  random: () => number,
): Leading {
  const { width, kinds } = problem;
  const bred = new BredWays(problem, prices !== undefined, random);
  const waysOf = ({ mix, lean, chance, firstRow, tries }: Way, fronts: number): BeamWays => {
    const worth = kinds.map(
      ({ across, along }, kind) => ((1 - mix) * across * along) / width + mix * (prices?.[kind] ?? 0),
    );
    return {
      fronts,
      tries,
      chance,
      firstRow,
      stretch: 0,
      worth,
      soon: worth.map((own, kind) => own * Math.exp(lean[kind] ?? 0)),
      random,
    };
  };
  let runs = 0;
  return {
    get share() {
      return runs < FIRST_RUNS ? WHOLE.first : WHOLE.bred;
    },
    whole: () => {
      runs += 1;
      const way = bred.next();
      return {
        ways: waysOf(way, bred.fronts),
        most: bred.most,
        ended: (along) => {
          if (along === undefined) bred.foundNothing();
          else bred.found(way, along);
        },
      };
    },
    part: () => waysOf(bred.one(), someFronts(random)),
  };
}

/**
 * By edges that meet, where there may be no waste at all: whole runs try more pieces on each front, and with
 * less chance.
 */
export function ledByEdges(
  { width, area, kinds }: StripProblem,
  bound: number,
  random: () => number,
): Leading {
  const runs = new WholeRuns(bound, random);
  const worth = kinds.map(({ across, along }) => (across * along) / width);
  const soon = worth.map((own) => SOON * own);
  const stretch = (): number =>
    ((STRETCHES[Math.floor(random() * STRETCHES.length)] ?? 0) * area) / width / 2;
  return {
    share: WHOLE.perfect,
    whole: (best) => {
      const run = runs.next(best);
      return {
        ways: {
          fronts: run.fronts,
          tries: 6 + Math.floor(random() * 7),
          chance: 0.05 + random() * 0.2,
          firstRow: 1,
          stretch: stretch(),
          worth,
          soon,
          random,
        },
        most: run.most,
        ended: (along) => {
          if (along === undefined) runs.foundNothing(run);
        },
      };
    },
    part: () => ({
      fronts: someFronts(random),
      tries: 2 + Math.floor(random() * 7),
      chance: 0.05 + random(),
      firstRow: 1,
      stretch: random() < 0.5 ? stretch() : 0,
      worth,
      soon,
      random,
    }),
  };
}
