import { DETERMINED_WITHIN_MM } from '../../job';
import {
  type Datum,
  type NetworkSolution,
  adjustNetwork,
  spanOf,
  standardDeviationOf,
  worstSpan_mm,
} from '../network/adjust-network';
import { type Agreement, type AskedMeasure, type Suspect, isHonest, judge } from '../network/judge';
import { type NetworkObservation, type NetworkPoint, observe } from '../network/observation';
import type { Point } from '../outline';
import { type Reading, sdOf } from '../reading';
import type { SpreadFinder } from '../sizes';

/** How a shape's readings become observations of one network. */
interface NetworkPlan {
  readonly start: readonly Point[];
  readonly pointOf: (name: string) => NetworkPoint | undefined;
  /** Neighbours of a corner, for right angles. */
  readonly armsOf: (name: string) => readonly [string, string] | undefined;
  /** The side a height stands on, named so that the height is positive. */
  readonly sideUnder?: (reading: Reading) => readonly [string, string] | undefined;
  /** What is known no better than this is not determined. */
  readonly within_mm?: number | undefined;
  /** Held true with a small spread, and never accused. */
  readonly assumptions?: readonly NetworkObservation[];
  /** Measures that may be asked for to tell two suspects apart. */
  readonly deciders: readonly AskedMeasure[];
}

export interface SolvedNetwork {
  readonly solution: NetworkSolution;
  readonly agreement: Agreement;
  readonly isDetermined: boolean;
  readonly spread: SpreadFinder | undefined;
  /** Rank if one more distance between these points were known. */
  readonly rankWith: (from: string, to: string) => number;
}

const SQUARE_SD_PER_M = 1;
const LEVEL_SD_MM = 1;

/**
 * Solves the readings of a straight-sided figure and judges them. Readings between points the figure does not
 * have are left out.
 */
export function solveReadings(
  all: readonly Reading[],
  plan: NetworkPlan,
): SolvedNetwork & { readonly used: readonly Reading[] } {
  const pairs = all.flatMap((reading) => {
    const observation = observationOf(reading, plan);
    return observation === undefined ? [] : [{ reading, observation }];
  });
  const used = pairs.map(({ reading }) => reading);
  const observations = [...pairs.map(({ observation }) => observation), ...(plan.assumptions ?? [])];
  const datum: Datum = used.some(({ kind }) => kind === 'level') ? 'first corner' : 'top side level';
  const within_mm = plan.within_mm ?? DETERMINED_WITHIN_MM;
  const solution = adjustNetwork(plan.start, observations, datum, within_mm);
  const decider = (first: number, second: number): AskedMeasure | undefined =>
    bestDecider(plan, observations, datum, used, first, second);
  const isDetermined = solution.rank === solution.unknowns && worstSpan_mm(solution) <= within_mm;
  const found = judge(
    used,
    observations.map(({ sd_mm }) => sd_mm),
    solution,
    decider,
  );
  return {
    used,
    solution,
    isDetermined,
    agreement: isDetermined
      ? found.kind === 'disagree'
        ? suspectsLeftOut(found, plan, observations, datum, used, decider)
        : found
      : { kind: 'not checked', reliability: found.reliability },
    spread: isDetermined ? (sizeOf) => standardDeviationOf(sizeOf, solution) : undefined,
    rankWith: (from, to) => {
      const [a, b] = [plan.pointOf(from), plan.pointOf(to)];
      if (a === undefined || b === undefined) return 0;
      return adjustNetwork(
        plan.start,
        [...observations, { kind: 'distance', at: [a, b], value_mm: spanOf(plan.start, a, b), sd_mm: 1 }],
        datum,
        within_mm,
      ).rank;
    },
  };
}

/** How many of the most doubtful readings are tried left out. */
const MOST_DOUBTED = 6;
/**
 * A reading is cleared when leaving it out explains the rest worse than leaving out the best by this much in
 * the sum of squares: chance alone does that in 1 of 100.
 * @source chi-squared, one degree of freedom, 0.99 (from memory)
 */
const TOLD_APART = 6.63;

/**
 * Each of the doubtful readings is left out and the rest adjusted again: the one without which the rest
 * agrees best is the suspect, with the reading that would fit, and those without which it agrees hardly worse
 * are too: they cannot be told apart. Where nothing agrees whichever is left out, the linear answer stands.
 */
function suspectsLeftOut(
  found: Extract<Agreement, { readonly kind: 'disagree' }>,
  plan: NetworkPlan,
  observations: readonly NetworkObservation[],
  datum: Datum,
  used: readonly Reading[],
  decider: (first: number, second: number) => AskedMeasure | undefined,
): Agreement {
  const doubted = used
    .map((_, index) => index)
    .sort(
      (a, b) =>
        Math.abs(found.reliability[b]?.standardised ?? 0) - Math.abs(found.reliability[a]?.standardised ?? 0),
    )
    .slice(0, MOST_DOUBTED);
  const tried = doubted.map((index): LeftOut => {
    const rest = observations.filter((_, other) => other !== index);
    const solution = adjustNetwork(plan.start, rest, datum, plan.within_mm);
    return {
      index,
      solution,
      isHonest: isHonest(solution, rest.length),
      isDetermined: solution.rank === solution.unknowns,
    };
  });
  const fitted = (index: number, solution: NetworkSolution): Suspect | undefined =>
    suspectOf(used[index], observations[index], solution);
  const determined = tried
    .filter((own) => own.isDetermined)
    .sort((a, b) => a.solution.weightedSquares - b.solution.weightedSquares);
  const honest = notToldApart(determined);
  const [first, ...others] = honest.flatMap(({ index, solution }) => {
    const own = fitted(index, solution);
    return own === undefined ? [] : [own];
  });
  if (first === undefined) {
    const [suspect, ...more] = found.suspects.map((own) => {
      const again = tried.find(({ index, isDetermined }) => isDetermined && used[index]?.id === own.id);
      return (again === undefined ? undefined : fitted(again.index, again.solution)) ?? own;
    });
    return suspect === undefined ? found : { ...found, suspects: [suspect, ...more] };
  }
  const [one, other] = honest;
  const decide = one === undefined || other === undefined ? undefined : decider(one.index, other.index);
  return {
    kind: 'disagree',
    suspects: [first, ...others],
    reliability: found.reliability,
    ...(decide === undefined ? {} : { decide }),
  };
}

/** The rest, adjusted without one reading. */
interface LeftOut {
  readonly index: number;
  readonly solution: NetworkSolution;
  readonly isHonest: boolean;
  readonly isDetermined: boolean;
}

/** @param determined the best first */
function notToldApart(determined: readonly LeftOut[]): readonly LeftOut[] {
  const best = determined[0];
  return best?.isHonest === true
    ? determined.filter(
        ({ solution }) => solution.weightedSquares <= best.solution.weightedSquares + TOLD_APART,
      )
    : [];
}

/** A reading against what the rest says it should be. */
function suspectOf(
  reading: Reading | undefined,
  observation: NetworkObservation | undefined,
  { corners }: NetworkSolution,
): Suspect | undefined {
  if (reading === undefined || observation === undefined) return undefined;
  const { id, kind, from, to, value_mm } = reading;
  const wouldFit_mm = observe(corners, observation).value;
  return { id, kind, from, to, tooLong_mm: value_mm - wouldFit_mm, wouldFit_mm };
}

function observationOf(
  reading: Reading,
  { pointOf, armsOf, sideUnder, start }: NetworkPlan,
): NetworkObservation | undefined {
  const [from, to] = [pointOf(reading.from), pointOf(reading.to)];
  if (from === undefined || to === undefined) return undefined;
  if (reading.kind === 'distance')
    return { kind: 'distance', at: [from, to], value_mm: reading.value_mm, sd_mm: sdOf(reading) };
  if (reading.kind === 'level')
    return { kind: 'level', at: [from, to], value_mm: reading.value_mm, sd_mm: reading.sd_mm ?? LEVEL_SD_MM };
  if (reading.kind === 'right angle') {
    const [one, other] = (armsOf(reading.from) ?? []).map(pointOf);
    if (one === undefined || other === undefined) return undefined;
    const arm_m = Math.min(spanOf(start, from, one), spanOf(start, from, other)) / 1000;
    return {
      kind: 'right angle',
      at: [from, one, other],
      value_mm: 0,
      sd_mm: reading.sd_mm ?? Math.max(0.5, SQUARE_SD_PER_M * arm_m),
    };
  }
  if (reading.kind === 'height over') {
    const [lineFrom, lineTo] = (sideUnder?.(reading) ?? []).map(pointOf);
    return lineFrom === undefined || lineTo === undefined
      ? undefined
      : { kind: 'offset', at: [from, lineFrom, lineTo], value_mm: reading.value_mm, sd_mm: sdOf(reading) };
  }
  return undefined;
}

/**
 * The measure, not taken yet, whose reading would differ most depending on which of two suspects is wrong.
 */
function bestDecider(
  { start, pointOf, deciders, within_mm }: NetworkPlan,
  observations: readonly NetworkObservation[],
  datum: Datum,
  used: readonly Reading[],
  first: number,
  second: number,
): AskedMeasure | undefined {
  const without = (left: number): readonly Point[] =>
    adjustNetwork(
      start,
      observations.filter((_, index) => index !== left),
      datum,
      within_mm,
    ).corners;
  const [ifFirst, ifSecond] = [without(first), without(second)];
  const apart = ({ from, to }: AskedMeasure): number => {
    const [a, b] = [pointOf(from), pointOf(to)];
    return a === undefined || b === undefined ? 0 : Math.abs(spanOf(ifFirst, a, b) - spanOf(ifSecond, a, b));
  };
  const untaken = deciders.filter(
    ({ from, to }) =>
      !used.some(
        (reading) =>
          reading.kind === 'distance' &&
          ((reading.from === from && reading.to === to) || (reading.from === to && reading.to === from)),
      ),
  );
  return untaken.map((asked) => ({ asked, apart: apart(asked) })).sort((a, b) => b.apart - a.apart)[0]?.asked;
}
