import { floatAt, intAt, valueAt } from '../../quantity';
import { Simplex, type SimplexColumn } from '../bounds/simplex';
import type { Strip } from './strip-shape';
import type { StripExtra, LaidStrip, StockSegment } from './stock-segment';

/** A strip seen before, or all strips that lay on an offcut together. */
interface PooledStrip {
  readonly segment: number;
  readonly strips: readonly Strip[];
  readonly counts: readonly (readonly [itemType: number, count: number])[];
  readonly along: number;
  /** Without what is paid for beginning the film. */
  readonly cost: number;
}

/**
 * A column of the linear programme: so much of a strip, or what is given too much of an item type, or what is
 * left of a film.
 */
interface MixedStrip extends SimplexColumn {
  readonly pooled: PooledStrip | undefined;
}

const MOST_POOLED = 1500;
const MOST_PIVOTS = 400;
/** Kinds of pieces and films in one programme: with more it takes longer than it is worth. */
const MOST_ROWS = 140;
const TINY = 1e-7;
const WHOLE = 1 - 1e-6;
/** The more of a strip is in the combination the likelier it is taken whole, as a power. */
const FAVOUR = 4;

/**
 * Every strip built on the way, and the cheapest LP combination covering all pieces, made whole by diving
 * (decision 0018). One row an item type and a finite film.
 * @source column generation and diving heuristics (from memory), own form: the search itself supplies the
 * columns
 */
export class StripPool {
  /** What a piece of each item type is worth in the combination last calculated; undefined before. */
  dualPrice: readonly number[] | undefined;
  readonly #segments: readonly StockSegment[];
  readonly #itemTypes: number;
  readonly #extra: StripExtra;
  readonly #highest: number;
  /** Spaces that end. */
  readonly #ending: readonly number[];
  #strips = new Map<string, PooledStrip>();

  constructor(segments: readonly StockSegment[], itemTypes: number, extra: StripExtra) {
    this.#segments = segments;
    this.#itemTypes = itemTypes;
    this.#extra = extra;
    this.#highest = Math.max(
      ...segments.map(
        ({ cost, mostStrip, most, fixed, problem }) =>
          fixed + cost * Math.min(mostStrip, most, 10 * problem.longest),
      ),
    );
    this.#ending = segments.flatMap(({ most }, segment) => (Number.isFinite(most) ? [segment] : []));
  }

  /** Whether all item types fit into one programme. */
  get takesAll(): boolean {
    return this.#itemTypes + this.#ending.length <= MOST_ROWS;
  }

  note(segment: number, ...strips: readonly Strip[]): void {
    const counts = new Map<number, number>();
    for (const { stacks } of strips)
      for (const { pieces } of stacks)
        for (const { itemType } of pieces) counts.set(itemType, (counts.get(itemType) ?? 0) + 1);
    const key = `${segment} ${[...counts].sort(([a], [b]) => a - b).join(' ')}`;
    const known = this.#strips.get(key);
    const stockSegment = this.#segments[segment];
    const along = strips.reduce((sum, strip) => sum + strip.along, 0);
    if (
      stockSegment === undefined ||
      (known !== undefined && known.along <= along) ||
      (known === undefined && this.#strips.size >= MOST_POOLED)
    )
      return;
    this.#strips.set(key, {
      segment,
      strips,
      counts: [...counts],
      along,
      cost: strips.reduce(
        (sum, strip) => sum + stockSegment.cost * strip.along + this.#extra(stockSegment, strip),
        0,
      ),
    });
  }

  /** What lies together on films that are paid for whole. */
  noteTogether(laid: readonly LaidStrip[]): void {
    this.#segments.forEach(({ fixed }, segment) => {
      if (fixed === 0) return;
      const strips = laid.flatMap((laidStrip) => (laidStrip.segment === segment ? [laidStrip.strip] : []));
      if (strips.length > 1) this.note(segment, ...strips);
    });
  }

  /**
   * Strips for most of these pieces: the combination is calculated, its whole strips are taken, one of the
   * others by chance, and what is left is calculated again.
   * @param left so many of each item type, lessened by what is taken
   * @param lengths already taken of each segment, added to
   */
  dive(left: Int32Array, lengths: number[], random: () => number): readonly LaidStrip[] {
    const laid: LaidStrip[] = [];
    const strips = [...this.#strips.values()];
    const flat = flatStrips(strips);
    let open: Int32Array = Int32Array.from(strips.keys());
    for (let isFirst = true; left.some((count) => count > 0); isFirst = false) {
      const itemTypes = Array.from(left.keys()).filter((itemType) => intAt(left, itemType) > 0);
      if (itemTypes.length + this.#ending.length > MOST_ROWS) return laid;
      open = fittingStrips(
        flat,
        open,
        left,
        Float64Array.from(this.#segments, ({ most }, segment) => most - valueAt(lengths, segment)),
      );
      this.#price(strips, flat, lengths);
      const mixture = this.#combination(strips, flat, open, itemTypes, left, lengths, isFirst);
      let taken = 0;
      for (const [strip, amount] of mixture)
        for (let copy = 0; copy < Math.floor(amount + 1 - WHOLE); copy += 1)
          if (this.#take(strip, left, lengths, laid)) taken += 1;
      if (taken > 0) continue;
      const sum = mixture.reduce((all, [, amount]) => all + amount ** FAVOUR, 0);
      let at = random() * sum;
      const chosen =
        mixture.find(([, amount]) => {
          at -= amount ** FAVOUR;
          return at <= 0;
        }) ?? mixture[0];
      if (chosen === undefined || !this.#take(chosen[0], left, lengths, laid)) return laid;
    }
    return laid;
  }

  /** The cheapest combination for so many of these item types: strips and how much of each. */
  #combination(
    strips: readonly PooledStrip[],
    flat: FlatStrips,
    open: Int32Array,
    itemTypes: readonly number[],
    left: Int32Array,
    lengths: readonly number[],
    isFirst: boolean,
  ): readonly (readonly [strip: PooledStrip, amount: number])[] {
    const simplex = new Simplex<MixedStrip>(
      itemTypes.map((itemType) => intAt(left, itemType)),
      this.#ending.map((segment) => valueAt(this.#segments, segment).most - valueAt(lengths, segment)),
      this.#highest,
    );
    const rowOf = new Int32Array(this.#itemTypes);
    for (const [row, itemType] of itemTypes.entries()) rowOf[itemType] = row;
    const limitOf = new Map(this.#ending.map((segment, at) => [segment, itemTypes.length + at]));
    const dualPrice = new Float64Array(this.#itemTypes);
    const capacityPrice = new Float64Array(this.#segments.length);
    simplex.run((dual) => {
      const slack = slackColumn(dual, itemTypes.length);
      if (slack !== undefined) return slack;
      itemTypes.forEach((itemType, row) => {
        dualPrice[itemType] = floatAt(dual, row);
      });
      for (const [segment, row] of limitOf) capacityPrice[segment] = floatAt(dual, row);
      const at = highestOf(flat, open, dualPrice, capacityPrice);
      const pooled = strips[at];
      if (pooled === undefined) return undefined;
      const limit = limitOf.get(pooled.segment);
      const counts = pooled.counts.map(([itemType, count]) => [intAt(rowOf, itemType), count] as const);
      const taken = limit === undefined ? [] : [[limit, floatAt(flat.taken, at)] as const];
      return { pooled, cost: floatAt(flat.cost, at), entries: [...counts, ...taken] };
    }, MOST_PIVOTS);
    if (isFirst && itemTypes.length === this.#itemTypes)
      this.dualPrice = Array.from(itemTypes, (_, row) => Math.max(0, floatAt(simplex.dual, row)));
    return [...simplex.taken()].flatMap(([{ pooled }, amount]) =>
      pooled === undefined || amount <= TINY ? [] : [[pooled, amount] as const],
    );
  }

  /** What each would cost now, and take of its film: all of it where it is paid for whole and not begun. */
  #price(strips: readonly PooledStrip[], flat: FlatStrips, lengths: readonly number[]): void {
    strips.forEach(({ segment, along, cost }, at) => {
      const { fixed = 0, most = 0 } = this.#segments[segment] ?? {};
      const isWhole = fixed > 0 && valueAt(lengths, segment) === 0;
      flat.cost[at] = cost + (isWhole ? fixed : 0);
      flat.taken[at] = isWhole ? most : along;
    });
  }

  #fits({ segment, along, counts }: PooledStrip, left: Int32Array, lengths: readonly number[]): boolean {
    return (
      along <= valueAt(this.#segments, segment).most - valueAt(lengths, segment) &&
      counts.every(([itemType, count]) => count <= intAt(left, itemType))
    );
  }

  #take(pooled: PooledStrip, left: Int32Array, lengths: number[], found: LaidStrip[]): boolean {
    if (!this.#fits(pooled, left, lengths)) return false;
    const { segment, strips, along, counts } = pooled;
    for (const [itemType, count] of counts) left[itemType] = intAt(left, itemType) - count;
    lengths[segment] = valueAt(lengths, segment) + along;
    for (const strip of strips) found.push({ segment, strip });
    return true;
  }
}

/** The row where giving too much, or leaving film, lowers the cost most; undefined: none does. */
function slackColumn(dual: Float64Array, itemTypes: number): MixedStrip | undefined {
  let [gain, slack] = [TINY, -1];
  for (let row = 0; row < dual.length; row += 1) {
    const rowGain = row < itemTypes ? -floatAt(dual, row) : floatAt(dual, row);
    if (rowGain > gain) [gain, slack] = [rowGain, row];
  }
  return slack < 0
    ? undefined
    : { pooled: undefined, cost: 0, entries: [[slack, slack < itemTypes ? -1 : 1]] };
}

/** Strips in flat rows, for looking through them again and again. */
interface FlatStrips {
  /** Where the pieces of a strip begin among all; they end where those of the next begin. */
  readonly start: Int32Array;
  readonly itemType: Int32Array;
  readonly count: Float64Array;
  readonly along: Float64Array;
  readonly cost: Float64Array;
  /** Of the length of its film. */
  readonly taken: Float64Array;
  readonly segment: Int32Array;
}

function flatStrips(strips: readonly PooledStrip[]): FlatStrips {
  const start = new Int32Array(strips.length + 1);
  strips.forEach(({ counts }, at) => {
    start[at + 1] = intAt(start, at) + counts.length;
  });
  const many = intAt(start, strips.length);
  const flat = {
    start,
    itemType: new Int32Array(many),
    count: new Float64Array(many),
    along: new Float64Array(strips.length),
    cost: new Float64Array(strips.length),
    taken: new Float64Array(strips.length),
    segment: new Int32Array(strips.length),
  };
  strips.forEach(({ counts, along, segment }, strip) => {
    let at = intAt(start, strip);
    for (const [itemType, count] of counts) {
      flat.itemType[at] = itemType;
      flat.count[at] = count;
      at += 1;
    }
    flat.along[strip] = along;
    flat.segment[strip] = segment;
  });
  return flat;
}

/** Those of some strips that can be made of what is left, in what is left of their films. */
function fittingStrips(
  { start, itemType, count, along, segment }: FlatStrips,
  among: Int32Array,
  left: Int32Array,
  room: Float64Array,
): Int32Array {
  return among.filter((strip) => {
    if (floatAt(along, strip) > floatAt(room, intAt(segment, strip))) return false;
    for (let at = intAt(start, strip); at < intAt(start, strip + 1); at += 1)
      if (floatAt(count, at) > intAt(left, intAt(itemType, at))) return false;
    return true;
  });
}

/** The strip whose pieces are worth most over what it costs, for its cost; -1: none. */
function highestOf(
  { start, itemType, count, taken, cost, segment }: FlatStrips,
  among: Int32Array,
  dualPrice: Float64Array,
  capacityPrice: Float64Array,
): number {
  let [best, gain] = [-1, 1e-9];
  for (let place = 0; place < among.length; place += 1) {
    const strip = intAt(among, place);
    const paid = floatAt(cost, strip);
    let reducedCost = floatAt(capacityPrice, intAt(segment, strip)) * floatAt(taken, strip) - paid;
    for (let at = intAt(start, strip); at < intAt(start, strip + 1); at += 1)
      reducedCost += floatAt(dualPrice, intAt(itemType, at)) * floatAt(count, at);
    const scale = paid > 1 ? paid : 1;
    if (reducedCost > gain * scale) {
      gain = reducedCost / scale;
      best = strip;
    }
  }
  return best;
}
