import { seededRandom } from '../../quantity';
import { bestBands } from '../exact/few-pieces';
import { selectionsOf } from '../exact/selections';
import { buildBand } from './band';
import { BandPool } from './band-pool';
import { learning } from './learning';
import { type BandExtra, type LaidBand, type Layout, type Space, costOf, lengthsOf } from './space';
import type { Lie } from './strip-problem';
import { takeApart } from './take-apart';

export interface SpaceSearch {
  readonly seed: number;
  readonly stages: 2 | 3;
  readonly mostRounds: number;
  /** No layout can cost less; reaching it ends the search. */
  readonly bound: number;
  /** What a piece of each kind is worth, and how many of each kind lie turned, in the bound's best mixture. */
  readonly prices: readonly number[] | undefined;
  readonly turned: readonly number[] | undefined;
  readonly extra: BandExtra;
  /** Whether the cost is that of the film alone: then few pieces are laid exactly. */
  readonly isFilmOnly: boolean;
  /** Cost of a layout's own beside its bands: pieces of one façade on several lots. */
  readonly penalty: (laid: readonly LaidBand[]) => number;
}

export interface SpaceResult extends Layout {
  /** False while some pieces lie nowhere. */
  readonly isComplete: boolean;
  /** Nothing cuttable in so many stages is cheaper. */
  readonly isProven: boolean;
  readonly rounds: number;
}

const REACHES = [1.5, 2.5, 3.5, 5] as const;
const SLACKS = [0, 0, 0.01, 0.03, 0.08, 0.2] as const;
/** Pieces that fill a length to the last step were perhaps cut from it: then bands without waste are looked for so often. */
const FOR_PERFECT = 0.7;
const PERFECT_SLACK = { value: 0, reward: (): void => undefined };
const PERFECT_SEEK = { value: 1, reward: (): void => undefined };
const WORSE_SHARE = 0.08;
const WORSE_BY = 0.25;
const SETTLED_SHARE = 0.6;
/** Selections of pieces that are gone through for a proof, and for laying a few bands anew. */
const MOST_SELECTIONS = 16_400;
const MOST_SELECTIONS_ANEW = 700;
/** The last few pieces of bands built anew are mostly laid in the shortest way there is. */
const EXACT_END_SHARE = 0.8;
const MOST_SELECTIONS_AT_END = 1100;
const BEFORE_EXACT = 60;
const EXACT_SHARE = 0.25;
/** All pieces are laid from bands seen before in this round, and again whenever so many times as many rounds are over; so much dearer is still taken. */
const [FIRST_DIVE, DIVE_LATER, DIVE_DEARER] = [8, 1.4, 0.002];
/** Bands taken apart are laid from bands seen before as often as this; and as often a piece counts what it is worth among them. */
const DIVE_SHARE = 0.5;
const POOLED_WORTH = 0.5;
const NEAR = 1e-9;
const SURE = 1 - 1e-9;

const NOT_LAID: SpaceResult = { laid: [], cost: Number.POSITIVE_INFINITY, isComplete: false, isProven: false, rounds: 0 };

/** Builds bands on the spaces there are, then takes a few apart again and again and builds them anew: kept when not dearer.
 *  Gives the best after each round, so that whoever asks may stop. Deterministic for a seed and a number of rounds.
 *  @source large neighbourhood search, Shaw 1998 (from memory) */
export function* searchSpaces(spaces: readonly Space[], limits: SpaceSearch): Generator<SpaceResult, SpaceResult> {
  const random = seededRandom(limits.seed);
  const kinds = spaces[0]?.problem.kinds ?? [];
  const all = Int32Array.from(kinds, ({ quantity }) => quantity);
  const total = (laid: readonly LaidBand[]): number => costOf(spaces, laid, limits.extra) + limits.penalty(laid);
  const pool = new BandPool(spaces, kinds.length, limits.extra);
  const build = (left: Int32Array, kept: readonly LaidBand[], manner: Manner, most: number): readonly LaidBand[] | undefined => buildAll(spaces, limits, left, kept, manner, most, random, pool);
  let best = NOT_LAID;
  const take = (laid: readonly LaidBand[] | undefined): void => {
    if (laid === undefined) return;
    const cost = total(laid);
    if (cost < best.cost - NEAR) best = { ...best, laid, cost, isComplete: true };
  };
  take(build(all, [], { reach: 1.5, slack: 0.03, anchoredShare: 1, seeksPerfect: false, isSettled: true, isThrifty: true }, Number.POSITIVE_INFINITY));
  yield best;
  take(build(all, [], { reach: 2.5, slack: 0, anchoredShare: 0.8, seeksPerfect: true, isSettled: true, isThrifty: true }, Number.POSITIVE_INFINITY));
  for (let tries = 0; !best.isComplete && tries < 40; tries += 1) {
    yield best;
    take(build(all, [], { reach: 1 + random() * 2, slack: SLACKS[Math.floor(random() * SLACKS.length)] ?? 0, anchoredShare: 1, seeksPerfect: false, isSettled: tries % 2 === 0, isThrifty: tries % 3 !== 0 }, Number.POSITIVE_INFINITY));
  }
  if (!best.isComplete) return best;
  const [only] = spaces;
  const isFew = limits.isFilmOnly && spaces.length === 1 && only !== undefined && only.most === Number.POSITIVE_INFINITY && only.fixed === 0 && selectionsOf(all) <= MOST_SELECTIONS;
  let { laid, cost } = best;
  let nextDive = FIRST_DIVE;
  const mayBePerfect = limits.isFilmOnly && spaces.length === 1 && only !== undefined && only.problem.area === limits.bound * only.problem.width;
  /** Where hardly two pieces are alike, or all was perhaps cut without waste, a band seen before is seldom of use again. */
  const isMixed = !mayBePerfect && all.reduce((sum, count) => sum + count, 0) >= 1.5 * kinds.length;
  const reaches = learning(REACHES, random);
  const slacks = learning(SLACKS, random);
  const seeks = learning([1, 0], random);
  for (let rounds = 0; rounds < limits.mostRounds && best.cost > limits.bound + NEAR; ) {
    yield best;
    if (isFew && rounds === BEFORE_EXACT) {
      const exact = exactly(only, 0, all, best.cost, limits.stages);
      return { ...best, ...(exact === undefined ? {} : { laid: exact, cost: total(exact) }), isProven: true, rounds };
    }
    rounds += 1;
    if (rounds >= nextDive && isMixed && pool.takesAll) {
      nextDive = Math.ceil(rounds * DIVE_LATER);
      const rest = Int32Array.from(all);
      const dived = pool.dive(rest, spaces.map(() => 0), random);
      const ended = build(rest, dived, { reach: reaches.pick().value, slack: 0.03, anchoredShare: 1, seeksPerfect: false, isSettled: true, isThrifty: true }, best.cost * (1 + DIVE_DEARER) - total(dived));
      const own = ended === undefined ? Number.POSITIVE_INFINITY : total(ended);
      if (ended !== undefined && own <= cost * (1 + DIVE_DEARER)) { laid = ended; cost = own; }
      if (cost < best.cost - NEAR) best = { ...best, laid, cost };
    }
    const taken = takeApart(spaces, laid, random);
    const left = new Int32Array(kinds.length);
    for (const index of taken) for (const { pieces } of laid[index]?.band.columns ?? []) for (const { kind } of pieces) left[kind] = (left[kind] ?? 0) + 1;
    const kept = laid.filter((_, index) => !taken.has(index));
    const before = cost - total(kept);
    const isForPerfect = mayBePerfect && random() < FOR_PERFECT;
    const [reach, slack, seek] = [reaches.pick(), isForPerfect ? PERFECT_SLACK : slacks.pick(), isForPerfect ? PERFECT_SEEK : seeks.pick()];
    /** A little dearer is taken now and then, the less the nearer to the bound: it leads out of dead ends. The best is kept apart. */
    const leave = random() < WORSE_SHARE ? random() * WORSE_BY * Math.min(best.cost - limits.bound, before) : 0;
    const whole = limits.isFilmOnly ? oneSpace(laid, taken) : undefined;
    const isExact = whole !== undefined && (spaces[whole]?.cost ?? 0) > 0 && random() < EXACT_SHARE && selectionsOf(left) <= MOST_SELECTIONS_ANEW;
    const exact = isExact && spaces[whole] !== undefined ? exactly(spaces[whole], whole, left, before, limits.stages) : undefined;
    const dived = !isExact && isMixed && rounds > FIRST_DIVE && random() < DIVE_SHARE ? pool.dive(left, [...lengthsOf(spaces, kept)], random) : [];
    const paid = dived.length === 0 ? 0 : total([...kept, ...dived]) - (cost - before);
    const rebuilt = isExact ? exact && [...kept, ...exact] : build(left, [...kept, ...dived], { reach: reach.value, slack: slack.value, anchoredShare: 0.8, seeksPerfect: seek.value === 1, isSettled: random() < SETTLED_SHARE, isThrifty: random() < 0.7 }, before + leave - paid);
    best = { ...best, rounds };
    if (rebuilt === undefined) continue;
    const after = total(rebuilt);
    if (after > cost + leave + NEAR || after > best.cost + Math.max(leave, best.cost * 0.02)) continue;
    laid = rebuilt;
    cost = after;
    if (cost < best.cost - NEAR) {
      best = { ...best, laid, cost };
      reach.reward();
      slack.reward();
      seek.reward();
    }
  }
  return best;
}

/** Few pieces laid in the shortest way there is. @returns undefined when that costs more than `most` */
function exactly({ problem, cost, mostBand, mostColumns, edges }: Space, space: number, left: Int32Array, most: number, stages: 2 | 3): readonly LaidBand[] | undefined {
  if (cost <= 0) return undefined;
  return bestBands({ width: problem.width, lies: problem.lies, left, stages, edges, mostColumns, mostBand, most: most / cost + NEAR })?.map((band) => ({ space, band }));
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

interface Manner {
  readonly reach: number;
  readonly slack: number;
  /** How often the hardest piece left must be in the next band. */
  readonly anchoredShare: number;
  /** Whether bands without waste are looked for first. */
  readonly seeksPerfect: boolean;
  /** Whether each kind lies the way the bound's mixture has it. */
  readonly isSettled: boolean;
  /** Whether all spaces are tried for each band, or one by chance. */
  readonly isThrifty: boolean;
}

/** Bands until nothing is left; gives up once they cost more than `most`, or when something fits nowhere any more. */
function buildAll(spaces: readonly Space[], limits: SpaceSearch, pieces: Int32Array, kept: readonly LaidBand[], manner: Manner, most: number, random: () => number, pool: BandPool): readonly LaidBand[] | undefined {
  const { prices, turned, extra, stages } = limits;
  const left = Int32Array.from(pieces);
  const laid = [...kept];
  const lengths = [...lengthsOf(spaces, kept)];
  const kinds = spaces[0]?.problem.kinds ?? [];
  const cheapest = Math.min(...spaces.map(({ cost, problem }) => cost / problem.width));
  const worth = kinds.map(({ across, along }, kind) => Math.max((random() < POOLED_WORTH ? pool.worth : undefined)?.[kind] ?? prices?.[kind] ?? 0, across * along * cheapest));
  const settled = manner.isSettled && turned !== undefined ? kinds.map(({ mayTurn, quantity }, kind) => { if (!mayTurn) return undefined; const share = (turned[kind] ?? 0) / quantity; return share < 0.1 || share > 0.9 || random() < 0.5 ? random() < share : undefined; }) : undefined;
  let spent = 0;
  /** What is still to be laid costs at least its area, and at least its prices. */
  let [byArea, byPrice] = [0, 0];
  const count = (kind: number, pieces: number): void => { const { across, along } = kinds[kind] ?? { across: 0, along: 0 }; byArea += pieces * across * along * cheapest; byPrice += pieces * (prices?.[kind] ?? 0); };
  left.forEach((own, kind) => { count(kind, own); });
  const [lone] = spaces;
  const mayEnd = limits.isFilmOnly && Number.isFinite(most) && spaces.length === 1 && lone !== undefined && lone.most === Number.POSITIVE_INFINITY && random() < EXACT_END_SHARE;
  for (;;) {
    if (mayEnd && selectionsOf(left) <= MOST_SELECTIONS_AT_END) {
      const end = exactly(lone, 0, left, most - spent, stages);
      return end === undefined ? (left.every((own) => own === 0) ? laid : undefined) : [...laid, ...end];
    }
    const found = nextBand(spaces, left, lengths, worth, settled, { ...manner, stages, extra }, random, pool);
    if (found === 'nothing left') return laid;
    if (found === undefined) return undefined;
    const { space, band, cost } = found;
    spent += cost;
    laid.push({ space, band });
    lengths[space] = (lengths[space] ?? 0) + band.along;
    for (const { pieces: stacked } of band.columns) for (const { kind } of stacked) { left[kind] = (left[kind] ?? 0) - 1; count(kind, -1); }
    if (spent + Math.max(byArea, byPrice) * SURE > most) return undefined;
  }
}

interface Found extends LaidBand {
  readonly cost: number;
}

function nextBand(spaces: readonly Space[], left: Int32Array, lengths: readonly number[], worth: readonly number[], settled: readonly (boolean | undefined)[] | undefined, manner: Manner & { readonly stages: 2 | 3; readonly extra: BandExtra }, random: () => number, pool: BandPool): Found | 'nothing left' | undefined {
  if (left.every((count) => count === 0)) return 'nothing left';
  const tried = manner.isThrifty || spaces.length === 1 ? spaces.keys() : byChance(spaces.length, random);
  const seen = new Set<string>();
  let [best, bestRatio]: [Found | undefined, number] = [undefined, Number.POSITIVE_INFINITY];
  for (const index of tried) {
    const space = spaces[index];
    if (space === undefined) continue;
    const used = lengths[index] ?? 0;
    const room = Math.min(space.most - used, space.mostBand);
    if (room <= 0) continue;
    /** Spaces alike in every way are one. */
    const mark = `${space.problem.width} ${space.cost} ${room === space.mostBand} ${used > 0} ${space.fixed} ${space.mostColumns}`;
    if (room === space.mostBand && seen.has(mark)) continue;
    seen.add(mark);
    const fits = fittingLies(space, left, settled, room);
    if (fits.length === 0) continue;
    const band = buildBand(space.problem, left, { random, stages: manner.stages, reach: manner.reach, slack: manner.slack, anchored: random() < manner.anchoredShare, seeksPerfect: manner.seeksPerfect, lies: fits, room, mostColumns: space.mostColumns, edges: space.edges, onBuilt: (built) => { pool.note(index, built); } });
    if (band === undefined) continue;
    pool.note(index, band);
    const cost = space.cost * band.along + (used === 0 ? space.fixed : 0) + manner.extra(space, band);
    let value = 0;
    for (const { pieces } of band.columns) for (const { kind } of pieces) value += worth[kind] ?? 0;
    /** What is paid once for an offcut is shared out over its length, or its first band would look too dear. */
    const shared = space.fixed > 0 ? (space.fixed * band.along) / space.most - (used === 0 ? space.fixed : 0) : 0;
    const ratio = ((cost + shared) / value) * (1 + (spaces.length > 1 ? 0.06 * random() : 0));
    if (ratio < bestRatio) { best = { space: index, band, cost }; bestRatio = ratio; }
    if (!manner.isThrifty && best !== undefined) break;
  }
  return best;
}

function fittingLies({ problem, edges }: Space, left: Int32Array, settled: readonly (boolean | undefined)[] | undefined, room: number): readonly Lie[] {
  const fits = problem.lies.filter(({ kind, along, wantsEdge }) => (left[kind] ?? 0) > 0 && along <= room && (edges > 0 || !wantsEdge));
  if (settled === undefined) return fits;
  return fits.filter((lie) => settled[lie.kind] === undefined || settled[lie.kind] === lie.turned || !fits.some((other) => other.kind === lie.kind && other.turned !== lie.turned));
}

function* byChance(count: number, random: () => number): Generator<number> {
  const turn = Math.floor(random() * count);
  for (let index = 0; index < count; index += 1) yield (index + turn) % count;
}
