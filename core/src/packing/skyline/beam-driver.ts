import { valueAt } from '../../quantity';
import type { PackingProblem } from '../problem/packing-problem';
import type { BeamWeights } from './beam';
import { EvolvedParameters, type BeamParameters } from './evolved-parameters';
import { WholeRuns } from './whole-runs';

/** One run over all pieces: how, how short it must be, and whom to tell how long it became. */
interface BeamRun {
  readonly weights: BeamWeights;
  readonly most: number;
  readonly ended: (along: number | undefined) => void;
}

/** How runs of a beam are led, and what is learned from them. */
interface BeamDriver {
  /** How often all pieces are laid anew, not those of some blocks. */
  readonly share: number;
  readonly whole: (best: number) => BeamRun;
  readonly part: () => BeamWeights;
}

/**
 * Shares of the runs that lay everything anew. Blocks destroyed bring most at first, when much is still
 * badly laid.
 */
const WHOLE = { first: 0.5, bred: 0.8, perfect: 0.75 } as const;
const FIRST_RUNS = 40;
const SKYLINES = [1, 2, 4, 8, 16, 32, 64] as const;
/** What a segment of a skyline counts against it, as a share of half of all length. */
const STRETCHES = [0.003, 0.01, 0.03] as const;
/** Where nothing is known to lead, what is worth more is laid a little sooner. */
const PRIORITY = 0.002;

const someSkylines = (random: () => number): number =>
  SKYLINES[Math.floor(random() ** 2 * SKYLINES.length)] ?? 1;

/**
 * By ways that are evolved.
 * @param prices steps of length that a piece of each item type is worth in the bound, if that is known
 */
export function drivenByEvolution(
  problem: PackingProblem,
  prices: readonly number[] | undefined,
  random: () => number,
): BeamDriver {
  const evolved = new EvolvedParameters(problem, prices !== undefined, random);
  const weights = (parameters: BeamParameters, skylines: number): BeamWeights =>
    weightsOf(problem, prices, parameters, skylines, random);
  let runs = 0;
  return {
    get share() {
      return runs < FIRST_RUNS ? WHOLE.first : WHOLE.bred;
    },
    whole: () => {
      runs += 1;
      const parameters = evolved.next();
      return {
        weights: weights(parameters, evolved.skylines),
        most: evolved.most,
        ended: (along) => {
          if (along === undefined) evolved.foundNothing();
          else evolved.found(parameters, along);
        },
      };
    },
    part: () => weights(evolved.one(), someSkylines(random)),
  };
}

function weightsOf(
  { width, itemTypes }: PackingProblem,
  prices: readonly number[] | undefined,
  { mix, logBias, chance, firstRow, tries }: BeamParameters,
  skylines: number,
  random: () => number,
): BeamWeights {
  const dualPrice = itemTypes.map(
    ({ across, along }, itemType) => ((1 - mix) * across * along) / width + mix * (prices?.[itemType] ?? 0),
  );
  return {
    skylines,
    tries,
    chance,
    firstRow,
    segmentCharge: 0,
    dualPrice,
    priority: dualPrice.map((price, itemType) => price * Math.exp(valueAt(logBias, itemType))),
    random,
  };
}

/**
 * By edges that meet, where there may be no waste at all: whole runs try more pieces on each skyline, and
 * with less chance.
 */
export function drivenByEdges(
  { width, area, itemTypes }: PackingProblem,
  bound: number,
  random: () => number,
): BeamDriver {
  const runs = new WholeRuns(bound, random);
  const dualPrice = itemTypes.map(({ across, along }) => (across * along) / width);
  const priority = dualPrice.map((price) => PRIORITY * price);
  const common = { firstRow: 1, dualPrice, priority, random };
  const segmentCharge = (): number =>
    (valueAt(STRETCHES, Math.floor(random() * STRETCHES.length)) * area) / width / 2;
  return {
    share: WHOLE.perfect,
    whole: (best) => {
      const run = runs.next(best);
      return {
        weights: {
          skylines: run.skylines,
          tries: 6 + Math.floor(random() * 7),
          chance: 0.05 + random() * 0.2,
          segmentCharge: segmentCharge(),
          ...common,
        },
        most: run.most,
        ended: (along) => {
          if (along === undefined) runs.foundNothing(run);
        },
      };
    },
    part: () => ({
      skylines: someSkylines(random),
      tries: 2 + Math.floor(random() * 7),
      chance: 0.05 + random(),
      segmentCharge: random() < 0.5 ? segmentCharge() : 0,
      ...common,
    }),
  };
}
