import { selectionsOf } from '../exact/selections';
import { buildBand } from './band';
import type { BandPool } from './band-pool';
import type { Exactly } from './exactly';
import { type BandExtra, type LaidBand, type Space, lengthsOf } from './space';
import type { Lie, SizeKind } from '../problem/strip-problem';

/** What stays the same whatever is built. */
export interface Building {
  readonly stages: 2 | 3;
  /**
   * What a piece of each kind is worth, and how many of each kind lie turned, in the bound's best mixture.
   */
  readonly prices: readonly number[] | undefined;
  readonly turned: readonly number[] | undefined;
  readonly extra: BandExtra;
  /** Whether the cost is that of the film alone: then few pieces are laid exactly. */
  readonly isFilmOnly: boolean;
  readonly exactly: Exactly;
  /** Selections of the last few pieces that are gone through. */
  readonly mostAtEnd: number;
}

/** The last few pieces of bands built anew are mostly laid in the shortest way there is. */
const EXACT_END_SHARE = 0.8;
/** As often a piece counts what it is worth among bands seen before. */
const POOLED_WORTH = 0.5;
const SURE = 1 - 1e-9;

/** How bands are built this time. */
export interface Manner {
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
  /** Which spaces are cut from; left out: all. */
  readonly isOpen?: (space: number) => boolean;
}

/** As `buildAllSteps`, in one go. */
export function buildAll(...given: Parameters<typeof buildAllSteps>): readonly LaidBand[] | undefined {
  const steps = buildAllSteps(...given);
  for (let step = steps.next(); ; step = steps.next()) if (step.done === true) return step.value;
}

/**
 * Bands until nothing is left; gives up once they cost more than `most`, or when something fits nowhere any
 * more. Rests after each band, so that whoever asks may stop.
 */
export function* buildAllSteps(
  spaces: readonly Space[],
  limits: Building,
  pieces: Int32Array,
  kept: readonly LaidBand[],
  manner: Manner,
  most: number,
  random: () => number,
  pool: BandPool,
): Generator<undefined, readonly LaidBand[] | undefined> {
  const { prices, turned, extra, stages, exactly, mostAtEnd } = limits;
  const left = Int32Array.from(pieces);
  const laid = [...kept];
  const lengths = [...lengthsOf(spaces, kept)];
  const kinds = spaces[0]?.problem.kinds ?? [];
  const cheapest = Math.min(...spaces.map(({ cost, problem }) => cost / problem.width));
  const worth = kinds.map(({ across, along }, kind) =>
    Math.max(
      (random() < POOLED_WORTH ? pool.worth : undefined)?.[kind] ?? prices?.[kind] ?? 0,
      across * along * cheapest,
    ),
  );
  const settled = manner.isSettled && turned !== undefined ? settledBy(kinds, turned, random) : undefined;
  let spent = 0;
  /** What is still to be laid costs at least its area, and at least its prices. */
  let [byArea, byPrice] = [0, 0];
  const count = (kind: number, pieces: number): void => {
    const { across, along } = kinds[kind] ?? { across: 0, along: 0 };
    byArea += pieces * across * along * cheapest;
    byPrice += pieces * (prices?.[kind] ?? 0);
  };
  left.forEach((own, kind) => {
    count(kind, own);
  });
  const mayEnd =
    limits.isFilmOnly && Number.isFinite(most) && isEndless(spaces) && random() < EXACT_END_SHARE;
  for (;;) {
    if (mayEnd && selectionsOf(left) <= mostAtEnd) {
      const end = exactly(0, left, most - spent);
      return end === undefined ? (left.every((own) => own === 0) ? laid : undefined) : [...laid, ...end];
    }
    const found = nextBand(spaces, left, lengths, worth, settled, { ...manner, stages, extra }, random, pool);
    if (found === 'nothing left') return laid;
    if (found === undefined) return undefined;
    yield undefined;
    const { space, band, cost } = found;
    spent += cost;
    laid.push({ space, band });
    lengths[space] = (lengths[space] ?? 0) + band.along;
    for (const { pieces: stacked } of band.columns)
      for (const { kind } of stacked) {
        left[kind] = (left[kind] ?? 0) - 1;
        count(kind, -1);
      }
    if (spent + Math.max(byArea, byPrice) * SURE > most) return undefined;
  }
}

/** Which way each kind lies: as the bound's mixture has it, now and then as it comes. */
function settledBy(
  kinds: readonly SizeKind[],
  turned: readonly number[],
  random: () => number,
): readonly (boolean | undefined)[] {
  return kinds.map(({ mayTurn, quantity }, kind) => {
    if (!mayTurn) return undefined;
    const share = (turned[kind] ?? 0) / quantity;
    return share < 0.1 || share > 0.9 || random() < 0.5 ? random() < share : undefined;
  });
}

/** One space without end. */
const isEndless = (spaces: readonly Space[]): boolean =>
  spaces.length === 1 && spaces[0]?.most === Number.POSITIVE_INFINITY;

interface Found extends LaidBand {
  readonly cost: number;
}

function nextBand(
  spaces: readonly Space[],
  left: Int32Array,
  lengths: readonly number[],
  worth: readonly number[],
  settled: readonly (boolean | undefined)[] | undefined,
  manner: Manner & { readonly stages: 2 | 3; readonly extra: BandExtra },
  random: () => number,
  pool: BandPool,
): Found | 'nothing left' | undefined {
  if (left.every((count) => count === 0)) return 'nothing left';
  const tried = manner.isThrifty || spaces.length === 1 ? spaces.keys() : byChance(spaces.length, random);
  const seen = new Set<string>();
  let [best, bestRatio]: [Found | undefined, number] = [undefined, Number.POSITIVE_INFINITY];
  for (const index of tried) {
    const space = spaces[index];
    if (space === undefined || manner.isOpen?.(index) === false) continue;
    const used = lengths[index] ?? 0;
    const room = Math.min(space.most - used, space.mostBand);
    if (room <= 0) continue;
    /** Spaces alike in every way are one. */
    const mark = `${space.problem.width} ${space.cost} ${room === space.mostBand} ${used > 0} ${space.fixed} ${space.mostColumns}`;
    if (room === space.mostBand && seen.has(mark)) continue;
    seen.add(mark);
    const fits = fittingLies(space, left, settled, room);
    if (fits.length === 0) continue;
    const band = buildBand(space.problem, left, {
      random,
      stages: manner.stages,
      reach: manner.reach,
      slack: manner.slack,
      anchored: random() < manner.anchoredShare,
      seeksPerfect: manner.seeksPerfect,
      lies: fits,
      room,
      mostColumns: space.mostColumns,
      edges: space.edges,
      onBuilt: (built) => {
        pool.note(index, built);
      },
    });
    if (band === undefined) continue;
    pool.note(index, band);
    const cost = space.cost * band.along + (used === 0 ? space.fixed : 0) + manner.extra(space, band);
    let value = 0;
    for (const { pieces } of band.columns) for (const { kind } of pieces) value += worth[kind] ?? 0;
    /**
     * What is paid once for an offcut is shared out over its length, or its first band would look too dear.
     */
    const shared =
      space.fixed > 0 ? (space.fixed * band.along) / space.most - (used === 0 ? space.fixed : 0) : 0;
    const ratio = ((cost + shared) / value) * (1 + (spaces.length > 1 ? 0.06 * random() : 0));
    if (ratio < bestRatio) {
      best = { space: index, band, cost };
      bestRatio = ratio;
    }
    if (!manner.isThrifty && best !== undefined) break;
  }
  return best;
}

function fittingLies(
  { problem, edges }: Space,
  left: Int32Array,
  settled: readonly (boolean | undefined)[] | undefined,
  room: number,
): readonly Lie[] {
  const fits = problem.lies.filter(
    ({ kind, along, wantsEdge }) => (left[kind] ?? 0) > 0 && along <= room && (edges > 0 || !wantsEdge),
  );
  if (settled === undefined) return fits;
  const ways = new Map<number, number>();
  for (const { kind, turned } of fits) ways.set(kind, (ways.get(kind) ?? 0) | (turned ? 2 : 1));
  return fits.filter(
    ({ kind, turned }) => settled[kind] === undefined || settled[kind] === turned || ways.get(kind) !== 3,
  );
}

function* byChance(count: number, random: () => number): Generator<number> {
  const turn = Math.floor(random() * count);
  for (let index = 0; index < count; index += 1) yield (index + turn) % count;
}
