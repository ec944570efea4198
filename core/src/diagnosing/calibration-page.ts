import { valueAt } from '../quantity';
import betaQuantile from '@stdlib/stats-base-dists-beta-quantile';
import { type Forecast, brierScore, spiegelhalterZ } from './calibration';
import { capOf } from './explain';
import { ANOTHER_CAUSE, BELIEF, capped, priorOf } from './posterior';
import type { LookTable } from './look-table';

/** A case whose cause was seen in the end, with the shares as they were calculated before. */
export interface CaseInTheEnd {
  readonly table: LookTable;
  /** Another cause last, before any cap. */
  readonly posterior: readonly number[];
  readonly confirmed: string;
  /** Cases of the look that were confirmed before this one. */
  readonly before: number;
}

/** What was claimed about so often, and how often it came. */
interface CalibrationBin {
  readonly from: number;
  readonly to: number;
  readonly cases: number;
  readonly came: number;
  /** Share that came, four times in five and more: 90 %. */
  readonly least: number;
  readonly most: number;
}

export interface Calibration {
  readonly cases: number;
  /** Null: no case yet. */
  readonly brier: number | null;
  /** Null: too few, or every claim was a coin's. */
  readonly z: number | null;
  readonly says: 'too few to say' | 'deserved' | 'too sure' | 'not sure enough';
  readonly bins: readonly CalibrationBin[];
  /** How far answers are believed from now on. */
  readonly lambda: number;
}

/** Fewer cases say nothing; our judgement (model 5.5). */
export const LEAST_CASES = 40;
/** Claims that are deserved are further off once in twenty. */
const FAR_OFF = 1.96;
const BINS = 10;
const TAIL = 0.05;
const LAMBDAS = [0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1] as const;
const LEAST = 1e-9;

const causesOf = ({ causes }: LookTable): readonly string[] => [...causes.map(({ id }) => id), ANOTHER_CAUSE];

/** The first name as it was shown, and whether it was right. */
function claimOf({ posterior, before, table, confirmed }: CaseInTheEnd): Forecast {
  const shown = capped(posterior, capOf(before));
  const chance = Math.max(...shown);
  return { chance, came: causesOf(table)[shown.indexOf(chance)] === confirmed };
}

/** How far answers are believed from now on: as in the model, until enough cases say otherwise. */
export function beliefOf(cases: readonly CaseInTheEnd[]): number {
  if (cases.length < LEAST_CASES) return BELIEF.lambda;
  const z = spiegelhalterZ(cases.map(claimOf));
  return Number.isFinite(z) && Math.abs(z) > FAR_OFF ? bestLambda(cases) : BELIEF.lambda;
}

/**
 * Whether certainty was deserved, over cases that were forecast before they taught anything.
 * @source Brier 1950; Spiegelhalter 1986; intervals of a share: Beta law over an even prior (closed form)
 */
export function calibrationOf(cases: readonly CaseInTheEnd[]): Calibration {
  const claims = cases.map(claimOf);
  const z = claims.length === 0 ? NaN : spiegelhalterZ(claims);
  const isEnough = claims.length >= LEAST_CASES && Number.isFinite(z);
  const isOff = isEnough && Math.abs(z) > FAR_OFF;
  const meanChance = claims.reduce((sum, { chance }) => sum + chance, 0) / claims.length;
  const share = claims.filter(({ came }) => came).length / claims.length;
  return {
    cases: claims.length,
    brier: claims.length === 0 ? null : brierScore(claims),
    z: isEnough ? z : null,
    says: !isEnough
      ? 'too few to say'
      : !isOff
        ? 'deserved'
        : meanChance > share
          ? 'too sure'
          : 'not sure enough',
    bins: binsOf(claims),
    lambda: beliefOf(cases),
  };
}

function binsOf(claims: readonly Forecast[]): readonly CalibrationBin[] {
  return Array.from({ length: BINS }, (_, index) => {
    const own = claims.filter(({ chance }) => Math.min(BINS - 1, Math.floor(chance * BINS)) === index);
    const came = own.filter((claim) => claim.came).length;
    const [a, b] = [1 + came, 1 + own.length - came];
    return {
      ...{ from: index / BINS, to: (index + 1) / BINS, cases: own.length, came },
      ...{ least: betaQuantile(TAIL, a, b), most: betaQuantile(1 - TAIL, a, b) },
    };
  }).filter((bin) => bin.cases > 0);
}

/** Of a grid, what would have given the causes seen in the end the largest chance, by log score. */
function bestLambda(cases: readonly CaseInTheEnd[]): number {
  const scoreAt = (lambda: number): number =>
    cases.reduce((sum, own) => sum + Math.log(Math.max(LEAST, shareAt(own, lambda))), 0);
  return LAMBDAS.reduce<number>((best, own) => (scoreAt(own) > scoreAt(best) ? own : best), LAMBDAS[0]);
}

/** The share of the cause seen, had answers been believed so far: the table's prior moved by them. */
function shareAt({ table, posterior, confirmed }: CaseInTheEnd, lambda: number): number {
  const prior = priorOf({ table, seen: {}, present: {} });
  const turn = lambda / BELIEF.lambda;
  const raised = posterior.map(
    (share, index) => Math.max(LEAST, valueAt(prior, index)) ** (1 - turn) * Math.max(LEAST, share) ** turn,
  );
  const all = raised.reduce((sum, one) => sum + one, 0);
  const at = causesOf(table).indexOf(confirmed);
  return at < 0 ? 0 : valueAt(raised, at) / all;
}
