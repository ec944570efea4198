import quantile from '@stdlib/stats-base-dists-normal-quantile';
import {
  CoreError,
  type Reasoned,
  type Step,
  applyFormula,
  seededNormal,
  seededRandom,
  floatAt,
} from '../quantity';
import { QUOTE_FORMULAS } from './quote-formulas';

/** Work of one kind: half of its times are shorter than the median. */
interface QuotedWork {
  readonly median_min: number;
  /** Deviation of the logarithm of the time. */
  readonly deviation: number;
}

/** Something that may be to do again, or to come back for, in so many pieces alike. */
export interface QuotedChance {
  readonly pieces: number;
  /** Chance of each, as so many that came of so many: a Beta law. */
  readonly came: number;
  readonly not: number;
  /** Cost of each, mean and deviation of its logarithm. */
  readonly mean: number;
  readonly deviation: number;
  /** Paid once for all of them together, such as the trip. */
  readonly once: number;
}

/** Money that is not certain: half of such jobs need less. */
interface QuotedMoney {
  readonly median: number;
  /** Deviation of its logarithm. */
  readonly deviation: number;
}

/** What a job costs, as far as it is known; money of the job. */
export interface QuoteCase {
  /** Film with its waste, travel, what is bought. */
  readonly fixed: number;
  /** Money a minute. */
  readonly rate: number;
  readonly work: readonly QuotedWork[];
  /** Deviation that all work of the job shares: person, access. */
  readonly shared: number;
  readonly chances: readonly QuotedChance[];
  /** Film of sizes that were only said, together; absent: all are measured. */
  readonly loose?: QuotedMoney;
}

interface Moments {
  readonly mean: number;
  readonly variance: number;
}

/**
 * Minutes of all work together: one law for the sum.
 * @source moments of log-normal laws with a shared factor (closed form)
 */
export function minutesOf(own: Pick<QuoteCase, 'work' | 'shared'>): Moments {
  const { work, shared } = own;
  const each = work.map(({ median_min, deviation }) => {
    const mean = median_min * Math.exp(deviation ** 2 / 2);
    return { mean, variance: mean ** 2 * (Math.exp(deviation ** 2) - 1) };
  });
  const sum = each.reduce((all, { mean }) => all + mean, 0);
  const spread = each.reduce((all, { variance }) => all + variance, 0);
  const mean = minutesStep(own).value;
  return { mean, variance: Math.exp(2 * shared ** 2) * (sum ** 2 + spread) - mean ** 2 };
}

/** All work on average, with how it was calculated. */
function minutesStep({ work, shared }: Pick<QuoteCase, 'work' | 'shared'>): Step {
  return applyFormula(QUOTE_FORMULAS.minutes, {
    sum_min: work.reduce(
      (sum, { median_min, deviation }) => sum + median_min * Math.exp(deviation ** 2 / 2),
      0,
    ),
    shared,
  });
}

/** The log-normal law with these moments. @source Fenton and Wilkinson 1960 (from memory) */
export function logNormalOf({ mean, variance }: Moments): {
  readonly mu: number;
  readonly deviation: number;
} {
  if (mean <= 0) return { mu: -Infinity, deviation: 0 };
  const square = Math.log(1 + variance / mean ** 2);
  return { mu: Math.log(mean) - square / 2, deviation: Math.sqrt(square) };
}

const meanChance = ({ came, not }: QuotedChance): number => came / (came + not);

/** What the job costs on average, with how it was calculated. */
export function meanCostOf(own: QuoteCase): Reasoned<number> {
  const minutes = minutesStep(own);
  const chances = own.chances.reduce(
    (sum, chance) =>
      sum +
      chance.pieces * meanChance(chance) * chance.mean +
      chance.once * (1 - noneOf(chance.pieces, chance.came, chance.not)),
    0,
  );
  const mean = applyFormula(QUOTE_FORMULAS.mean, {
    ...{ fixed: own.fixed + looseMean(own), rate: own.rate, minutes: minutes.value, chances },
  });
  return { value: mean.value, why: [minutes, mean] };
}

export const looseMean = ({ loose }: QuoteCase): number =>
  loose === undefined ? 0 : loose.median * Math.exp(loose.deviation ** 2 / 2);

/** What the job costs on average. */
export const meanCost = (own: QuoteCase): number => meanCostOf(own).value;

/** Chance that none of so many pieces is to do again. @source Beta-binomial (closed form) */
export function noneOf(pieces: number, came: number, not: number): number {
  let chance = 1;
  for (let piece = 0; piece < pieces; piece += 1) chance *= (not + piece) / (came + not + piece);
  return chance;
}

/** Minutes of all work that are not exceeded with a chance. */
export function minutesNotOver(own: Pick<QuoteCase, 'work' | 'shared'>, chance: number): number {
  const { mu, deviation } = logNormalOf(minutesOf(own));
  return Math.exp(mu + deviation * quantile(chance, 0, 1));
}

export const DRAWS = 20_000;

/** Jobs like this one, drawn with all that is not certain of it, the cheapest first. Same seed, same jobs. */
export class QuoteDraws {
  readonly #costs: Float64Array;

  constructor(own: QuoteCase, seed: number, draws = DRAWS) {
    refuseCase(own);
    const normal = seededNormal(seed);
    const random = seededRandom(seed ^ 0x5f3759df);
    const { loose } = own;
    const { mu, deviation } = logNormalOf(minutesOf(own));
    this.#costs = Float64Array.from({ length: draws }, () => {
      let cost = own.fixed + own.rate * Math.exp(mu + deviation * normal());
      if (loose !== undefined) cost += loose.median * Math.exp(loose.deviation * normal());
      for (const chance of own.chances) cost += drawnChance(chance, random, normal);
      return cost;
    }).sort();
  }

  get mean(): number {
    return this.#costs.reduce((sum, cost) => sum + cost, 0) / this.#costs.length;
  }

  /** The cost exceeded with a chance. */
  over(chance: number): number {
    const at = Math.min(this.#costs.length - 1, Math.max(0, (1 - chance) * this.#costs.length - 0.5));
    const [low, high] = [floatAt(this.#costs, Math.floor(at)), floatAt(this.#costs, Math.ceil(at))];
    return low + (at - Math.floor(at)) * (high - low);
  }

  /** Chance that the cost is larger than a price. */
  lossAt(price: number): number {
    let [least, most] = [0, this.#costs.length];
    while (least < most) {
      const middle = (least + most) >> 1;
      if (floatAt(this.#costs, middle) > price) most = middle;
      else least = middle + 1;
    }
    return 1 - least / this.#costs.length;
  }
}

/** The uncertain chance is drawn once a job, then each piece by it. */
function drawnChance(chance: QuotedChance, random: () => number, normal: () => number): number {
  const { pieces, came, not, mean, deviation, once } = chance;
  const share = came === 0 ? 0 : not === 0 ? 1 : betaOf(came, not, random, normal);
  const median = mean * Math.exp(-(deviation ** 2) / 2);
  if (share <= 0) return 0;
  // Where each costs nothing beside what is paid once, one draw tells whether any came.
  if (mean === 0) return random() < 1 - (1 - share) ** pieces ? once : 0;
  let [cost, count] = [0, 0];
  // From one that came to the next: geometric, so that those that did not come cost no draw.
  const gap = Math.log1p(-share);
  for (let piece = Math.log(1 - random()) / gap; piece < pieces; piece += 1 + Math.log(1 - random()) / gap) {
    count += 1;
    cost += median * Math.exp(deviation * normal());
    piece = Math.floor(piece);
  }
  return count === 0 ? 0 : cost + once;
}

/** A draw of a Beta law, as a share of two gammas. */
function betaOf(a: number, b: number, random: () => number, normal: () => number): number {
  const first = gammaOf(a, random, normal);
  return first / (first + gammaOf(b, random, normal));
}

/** A draw of a gamma law. @source Marsaglia and Tsang 2000 (from memory) */
function gammaOf(shape: number, random: () => number, normal: () => number): number {
  if (shape < 1) return gammaOf(shape + 1, random, normal) * (1 - random()) ** (1 / shape);
  const d = shape - 1 / 3;
  const c = 1 / Math.sqrt(9 * d);
  for (;;) {
    const x = normal();
    const v = (1 + c * x) ** 3;
    if (v > 0 && Math.log(1 - random()) < 0.5 * x * x + d - d * v + d * Math.log(v)) return d * v;
  }
}

function refuseCase({ fixed, rate, work, chances, loose }: QuoteCase): void {
  const refuse = (path: string, expected: string, got: number): never => {
    throw new CoreError('QUOTE_CASE', { path, expected, got: String(got) });
  };
  const money = 'money of 0 or more';
  if (!(fixed >= 0 && Number.isFinite(fixed))) refuse('fixed', money, fixed);
  if (!(rate >= 0 && Number.isFinite(rate))) refuse('rate', money, rate);
  if (loose !== undefined && !(loose.median >= 0 && Number.isFinite(loose.median)))
    refuse('loose.median', money, loose.median);
  work.forEach(({ median_min }, index) => {
    if (!(median_min >= 0 && median_min <= MOST_STEP_MIN))
      refuse(`work.${index}.median_min`, `0 to ${MOST_STEP_MIN} min`, median_min);
  });
  chances.forEach(({ mean }, index) => {
    if (!(mean >= 0 && Number.isFinite(mean))) refuse(`chances.${index}.mean`, money, mean);
  });
}

/** A step that takes longer is asked about, not used (model 6). */
export const MOST_STEP_MIN = 12 * 60;
