import { intAt, valueAt } from '../../quantity';
import { itemSubsetsOf } from '../exact/item-subsets';
import { buildStrip } from './build-strip';
import type { Strip } from './strip-shape';
import type { StripPool } from './strip-pool';
import type { Exactly } from './exactly';
import { type StripExtra, type LaidStrip, type StockSegment, lengthsOf } from './stock-segment';
import type { Orientation, ItemType } from '../problem/packing-problem';

/** What stays the same whatever is built. */
export interface Building {
  readonly stages: 2 | 3;
  /**
   * What a piece of each item type is worth, and how many of each item type lie turned, in the bound's best
   * combination.
   */
  readonly prices: readonly number[] | undefined;
  readonly turned: readonly number[] | undefined;
  readonly extra: StripExtra;
  /** Whether the cost is that of the film alone: then few pieces are laid exactly. */
  readonly isFilmOnly: boolean;
  readonly exactly: Exactly;
  /** Subsets of the last few pieces that are gone through. */
  readonly mostAtEnd: number;
}

/** The last few pieces of strips repaired are mostly laid in the shortest way there is. */
const EXACT_END_SHARE = 0.8;
/** As often a piece counts what it is worth among strips seen before. */
const POOLED_DUAL_PRICE = 0.5;
const SURE = 1 - 1e-9;

/** How strips are built this time. */
export interface Manner {
  readonly reach: number;
  readonly slack: number;
  /** How often the hardest piece left must be in the next strip. */
  readonly anchoredShare: number;
  /** Whether strips without waste are looked for first. */
  readonly seeksPerfect: boolean;
  /** Whether each item type lies the way the bound's combination has it. */
  readonly isSettled: boolean;
  /** Whether all segments are tried for each strip, or one by chance. */
  readonly isThrifty: boolean;
  /** Which segments are cut from; left out: all. */
  readonly isOpen?: (segment: number) => boolean;
}

/** How strips are built at first: each item type as the bound's combination has it, one segment by chance. */
export const AT_FIRST: Manner = {
  reach: 1.5,
  slack: 0.03,
  anchoredShare: 1,
  seeksPerfect: false,
  isSettled: true,
  isThrifty: true,
};

/** As `repairSteps`, in one go. */
export function repair(...given: Parameters<typeof repairSteps>): readonly LaidStrip[] | undefined {
  const steps = repairSteps(...given);
  for (let step = steps.next(); ; step = steps.next()) if (step.done === true) return step.value;
}

/**
 * Strips until nothing is left; gives up once they cost more than `most`, or when something fits nowhere any
 * more. Rests after each strip, so that whoever asks may stop.
 */
export function* repairSteps(
  segments: readonly StockSegment[],
  limits: Building,
  pieces: Int32Array,
  kept: readonly LaidStrip[],
  manner: Manner,
  most: number,
  random: () => number,
  pool: StripPool,
): Generator<undefined, readonly LaidStrip[] | undefined> {
  const { prices, turned, extra, stages, exactly, mostAtEnd } = limits;
  const left = Int32Array.from(pieces);
  const laid = [...kept];
  const lengths = [...lengthsOf(segments, kept)];
  const itemTypes = segments[0]?.problem.itemTypes ?? [];
  const cheapest = Math.min(...segments.map(({ cost, problem }) => cost / problem.width));
  const dualPrice = dualPricesOf(itemTypes, cheapest, prices, pool, random);
  const settled = manner.isSettled && turned !== undefined ? settledBy(itemTypes, turned, random) : undefined;
  let spent = 0;
  const toLay = new StillToLay(itemTypes, cheapest, prices, left);
  const mayEnd =
    limits.isFilmOnly && Number.isFinite(most) && isEndless(segments) && random() < EXACT_END_SHARE;
  for (;;) {
    if (mayEnd && itemSubsetsOf(left) <= mostAtEnd) {
      const end = exactly(0, left, most - spent);
      return end === undefined ? (left.every((count) => count === 0) ? laid : undefined) : [...laid, ...end];
    }
    const how = { ...manner, stages, extra };
    const chosen = nextStrip(segments, left, lengths, dualPrice, settled, how, random, pool);
    if (chosen === 'nothing left') return laid;
    if (chosen === undefined) return undefined;
    yield undefined;
    const { segment, strip, cost } = chosen;
    spent += cost;
    laid.push({ segment, strip });
    lengths[segment] = valueAt(lengths, segment) + strip.along;
    toLay.take(strip, left);
    if (spent + toLay.leastCost() * SURE > most) return undefined;
  }
}

/** By the pool's combination or the bound's, by chance; never less than the film under the piece. */
function dualPricesOf(
  itemTypes: readonly ItemType[],
  cheapest: number,
  prices: readonly number[] | undefined,
  pool: StripPool,
  random: () => number,
): readonly number[] {
  return itemTypes.map(({ across, along }, itemType) => {
    const known =
      (random() < POOLED_DUAL_PRICE ? pool.dualPrice : undefined)?.[itemType] ?? prices?.[itemType];
    return Math.max(known ?? 0, across * along * cheapest);
  });
}

/** What is still to be laid costs at least its area, and at least its dual prices. */
class StillToLay {
  #byArea = 0;
  #byPrice = 0;

  constructor(
    private readonly itemTypes: readonly ItemType[],
    private readonly cheapest: number,
    private readonly prices: readonly number[] | undefined,
    left: Int32Array,
  ) {
    left.forEach((pieces, itemType) => {
      this.add(itemType, pieces);
    });
  }

  add(itemType: number, pieces: number): void {
    const { across, along } = this.itemTypes[itemType] ?? { across: 0, along: 0 };
    this.#byArea += pieces * across * along * this.cheapest;
    this.#byPrice += pieces * (this.prices?.[itemType] ?? 0);
  }

  take({ stacks }: Strip, left: Int32Array): void {
    for (const { pieces } of stacks)
      for (const { itemType } of pieces) {
        left[itemType] = intAt(left, itemType) - 1;
        this.add(itemType, -1);
      }
  }

  leastCost(): number {
    return Math.max(this.#byArea, this.#byPrice);
  }
}

/** Which way each item type lies: as the bound's combination has it, now and then as it comes. */
function settledBy(
  itemTypes: readonly ItemType[],
  turned: readonly number[],
  random: () => number,
): readonly (boolean | undefined)[] {
  return itemTypes.map(({ mayTurn, quantity }, itemType) => {
    if (!mayTurn) return undefined;
    const share = valueAt(turned, itemType) / quantity;
    return share < 0.1 || share > 0.9 || random() < 0.5 ? random() < share : undefined;
  });
}

/** One segment without end. */
const isEndless = (segments: readonly StockSegment[]): boolean =>
  segments.length === 1 && segments[0]?.most === Number.POSITIVE_INFINITY;

interface Found extends LaidStrip {
  readonly cost: number;
}

type StripManner = Manner & { readonly stages: 2 | 3; readonly extra: StripExtra };

/** The strip that costs least for what its pieces are worth, in all segments or the first with one. */
function nextStrip(
  segments: readonly StockSegment[],
  left: Int32Array,
  lengths: readonly number[],
  dualPrice: readonly number[],
  settled: readonly (boolean | undefined)[] | undefined,
  manner: StripManner,
  random: () => number,
  pool: StripPool,
): Found | 'nothing left' | undefined {
  if (left.every((count) => count === 0)) return 'nothing left';
  let [best, bestRatio]: [Found | undefined, number] = [undefined, Number.POSITIVE_INFINITY];
  for (const { index, segment, used, room } of segmentsToTry(segments, lengths, manner, random)) {
    const fits = fittingOrientations(segment, left, settled, room);
    if (fits.length === 0) continue;
    const strip = stripIn(segment, left, fits, room, manner, random, (built) => {
      pool.note(index, built);
    });
    if (strip === undefined) continue;
    pool.note(index, strip);
    const chance = segments.length > 1 ? 0.06 * random() : 0;
    const [cost, shared] = costsOf(segment, strip, used > 0, manner.extra);
    const ratio = ((cost + shared) / valueOf(strip, dualPrice)) * (1 + chance);
    if (ratio < bestRatio) {
      best = { segment: index, strip, cost };
      bestRatio = ratio;
    }
    if (!manner.isThrifty && best !== undefined) break;
  }
  return best;
}

/** Segments with room, of those alike the first alone: all in turn, or from one by chance. */
function* segmentsToTry(
  segments: readonly StockSegment[],
  lengths: readonly number[],
  { isThrifty, isOpen }: StripManner,
  random: () => number,
): Generator<{
  readonly index: number;
  readonly segment: StockSegment;
  readonly used: number;
  readonly room: number;
}> {
  const seen = new Set<string>();
  const tried = isThrifty || segments.length === 1 ? segments.keys() : byChance(segments.length, random);
  for (const index of tried) {
    const segment = valueAt(segments, index);
    const used = valueAt(lengths, index);
    const room = Math.min(segment.most - used, segment.mostStrip);
    if (isOpen?.(index) === false || room <= 0) continue;
    if (room === segment.mostStrip) {
      const likeness = likenessOf(segment, used > 0);
      if (seen.has(likeness)) continue;
      seen.add(likeness);
    }
    yield { index, segment, used, room };
  }
}

/** Segments alike in this, with all of their strips still possible, are one. */
function likenessOf({ problem, cost, fixed, mostStacks }: StockSegment, isBegun: boolean): string {
  return `${problem.width} ${cost} ${isBegun} ${fixed} ${mostStacks}`;
}

function stripIn(
  { problem, mostStacks, edges }: StockSegment,
  left: Int32Array,
  orientations: readonly Orientation[],
  room: number,
  { stages, reach, slack, anchoredShare, seeksPerfect }: StripManner,
  random: () => number,
  onBuilt: (strip: Strip) => void,
): Strip | undefined {
  const anchored = random() < anchoredShare;
  return buildStrip(problem, left, {
    random,
    stages,
    reach,
    slack,
    anchored,
    seeksPerfect,
    orientations,
    room,
    mostStacks,
    edges,
    onBuilt,
  });
}

/**
 * What a strip costs now, and how much more or less with what is paid once for an offcut shared out over its
 * length: or its first strip would look too dear.
 */
function costsOf(
  segment: StockSegment,
  strip: Strip,
  isBegun: boolean,
  extra: StripExtra,
): readonly [cost: number, shared: number] {
  const { cost, fixed, most } = segment;
  const begun = isBegun ? 0 : fixed;
  return [
    cost * strip.along + begun + extra(segment, strip),
    fixed > 0 ? (fixed * strip.along) / most - begun : 0,
  ];
}

function valueOf({ stacks }: Strip, dualPrice: readonly number[]): number {
  let value = 0;
  for (const { pieces } of stacks) for (const { itemType } of pieces) value += valueAt(dualPrice, itemType);
  return value;
}

function fittingOrientations(
  { problem, edges }: StockSegment,
  left: Int32Array,
  settled: readonly (boolean | undefined)[] | undefined,
  room: number,
): readonly Orientation[] {
  const fits = problem.orientations.filter(
    ({ itemType, along, wantsEdge }) =>
      intAt(left, itemType) > 0 && along <= room && (edges > 0 || !wantsEdge),
  );
  if (settled === undefined) return fits;
  const turnsOf = new Map<number, number>();
  for (const { itemType, turned } of fits)
    turnsOf.set(itemType, (turnsOf.get(itemType) ?? 0) | (turned ? 2 : 1));
  return fits.filter(
    ({ itemType, turned }) =>
      settled[itemType] === undefined || settled[itemType] === turned || turnsOf.get(itemType) !== 3,
  );
}

function* byChance(count: number, random: () => number): Generator<number> {
  const turn = Math.floor(random() * count);
  for (let index = 0; index < count; index += 1) yield (index + turn) % count;
}
