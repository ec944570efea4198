import { seededRandom } from '../../quantity';
import { type Band, buildBand } from './band';
import type { StripProblem } from './strip-problem';

export interface Search {
  readonly bands: readonly Band[];
  readonly length: number;
  readonly rounds: number;
}

export interface SearchLimits {
  readonly seed: number;
  readonly stages: 2 | 3;
  readonly mostRounds: number;
  /** No layout can be shorter; reaching it ends the search. */
  readonly bound: number;
}

const REACHES = [1, 1.2, 1.5, 2, 2.5, 3.5] as const;
const SLACKS = [0, 0, 0.01, 0.03, 0.08, 0.2] as const;
const WORSE_SHARE = 0.08;
const WORSE_BY = 0.25;
const WASTEFUL_FIRST = 0.8;
const RELATED = 0.6;
const FEWEST_TAKEN = 2;
const MOST_TAKEN = 8;

const lengthOf = (bands: readonly Band[]): number => bands.reduce((sum, { along }) => sum + along, 0);

/** Builds bands one after the other, then takes a few apart again and again and builds them anew: kept when not longer.
 *  Gives the best after each round, so that whoever asks may stop, or let others have the processor. Deterministic for a seed and a number of rounds.
 *  @source large neighbourhood search, Shaw 1998 (from memory) */
export function* searchBands(problem: StripProblem, limits: SearchLimits): Generator<Search, Search> {
  const random = seededRandom(limits.seed);
  const all = Int32Array.from(problem.kinds.map(({ quantity }) => quantity));
  let bands = build(problem, all, random, limits.stages, { reach: 1.5, slack: 0.03, anchoredShare: 1, seeksPerfect: false });
  let length = lengthOf(bands);
  let rounds = 0;
  const reaches = learning(REACHES, random);
  const slacks = learning(SLACKS, random);
  const seeks = learning([1, 0], random);
  yield { bands, length, rounds };
  const other = build(problem, all, random, limits.stages, { reach: 2.5, slack: 0, anchoredShare: 0.8, seeksPerfect: true });
  if (lengthOf(other) < length) { bands = other; length = lengthOf(other); }
  let best: { readonly bands: readonly Band[]; readonly length: number } = { bands, length };
  while (rounds < limits.mostRounds && best.length > limits.bound) {
    yield { ...best, rounds };
    rounds += 1;
    const taken = takeApart(bands, problem.width, random);
    const left = new Int32Array(problem.kinds.length);
    for (const index of taken) for (const { pieces } of bands[index]?.columns ?? []) for (const { kind } of pieces) left[kind] = (left[kind] ?? 0) + 1;
    const before = [...taken].reduce((sum, index) => sum + (bands[index]?.along ?? 0), 0);
    const [reach, slack, seek] = [reaches.pick(), slacks.pick(), seeks.pick()];
    /** A little longer is taken now and then, the less the nearer to the bound: it leads out of dead ends. The best is kept apart. */
    const leave = random() < WORSE_SHARE ? Math.ceil(random() * Math.min(best.length - limits.bound, problem.longest) * WORSE_BY) : 0;
    const rebuilt = build(problem, left, random, limits.stages, { reach: reach.value, slack: slack.value, anchoredShare: 0.8, seeksPerfect: seek.value === 1 }, before + leave);
    if (rebuilt.length === 0) continue;
    const after = lengthOf(rebuilt);
    if (after > before && length + after - before > best.length + leave) continue;
    bands = [...bands.filter((_, index) => !taken.has(index)), ...rebuilt];
    length += after - before;
    if (length < best.length) {
      best = { bands, length };
      reach.reward();
      slack.reward();
      seek.reward();
    }
  }
  return { ...best, rounds };
}

interface Manner {
  readonly reach: number;
  readonly slack: number;
  /** How often the hardest piece left must be in the next band. */
  readonly anchoredShare: number;
  /** Whether bands without waste are looked for first. */
  readonly seeksPerfect: boolean;
}

/** Bands until nothing is left; gives up, empty, once they are longer than `most`. */
function build(problem: StripProblem, pieces: Int32Array, random: () => number, stages: 2 | 3, { reach, slack, anchoredShare, seeksPerfect }: Manner, most = Number.POSITIVE_INFINITY): readonly Band[] {
  const left = Int32Array.from(pieces);
  const bands: Band[] = [];
  let length = 0;
  for (;;) {
    const band = buildBand(problem, left, { random, stages, reach, slack, anchored: random() < anchoredShare, seeksPerfect });
    if (band === undefined) return bands;
    for (const { pieces: stacked } of band.columns) for (const { kind } of stacked) left[kind] = (left[kind] ?? 0) - 1;
    bands.push(band);
    length += band.along;
    if (length > most) return [];
  }
}

/** Picks among values, oftener those that made things better. */
function learning(values: readonly number[], random: () => number): { readonly pick: () => { readonly value: number; readonly reward: () => void } } {
  const weights = values.map(() => 2);
  return {
    pick: () => {
      let at = random() * weights.reduce((sum, weight) => sum + weight, 0);
      const index = Math.max(0, weights.findIndex((weight) => (at -= weight) <= 0));
      return { value: values[index] ?? 1, reward: () => { weights[index] = (weights[index] ?? 0) + 1; } };
    },
  };
}

/** Some bands to build anew: a wasteful one, and others that share widths with it, or by chance. */
function takeApart(bands: readonly Band[], width: number, random: () => number): ReadonlySet<number> {
  const count = Math.min(bands.length, FEWEST_TAKEN + Math.floor(random() * random() * (MOST_TAKEN - FEWEST_TAKEN + 1)));
  const waste = bands.map(({ along, filled }) => width * along - filled);
  const first = random() < WASTEFUL_FIRST ? byWeight(waste, random) : Math.floor(random() * bands.length);
  const taken = new Set([first]);
  const widths = new Set(bands[first]?.columns.map(({ across }) => across));
  const mostWaste = Math.max(1, ...waste);
  const isRelated = random() < RELATED;
  const weights = bands.map(({ columns }, index) => (isRelated ? 0.15 + columns.filter(({ across }) => widths.has(across)).length : 1) * (0.3 + (waste[index] ?? 0) / mostWaste));
  while (taken.size < count) {
    for (const index of taken) weights[index] = 0;
    taken.add(byWeight(weights, random));
  }
  return taken;
}

function byWeight(weights: readonly number[], random: () => number): number {
  let at = random() * weights.reduce((sum, weight) => sum + weight, 0);
  const found = weights.findIndex((weight) => weight > 0 && (at -= weight) <= 0);
  return found < 0 ? Math.max(0, weights.findIndex((weight) => weight > 0)) : found;
}
