import { Simplex, type SimplexColumn } from '../bounds/simplex';
import type { Band } from './band-shape';
import type { BandExtra, LaidBand, Space } from './space';

/** A band seen before, or all bands that lay on an offcut together. */
interface PooledBand {
  readonly space: number;
  readonly bands: readonly Band[];
  readonly counts: readonly (readonly [kind: number, count: number])[];
  readonly along: number;
  /** Without what is paid for beginning the film. */
  readonly cost: number;
}

/**
 * A column of the linear programme: so much of a band, or what is given too much of a kind, or what is left
 * of a film.
 */
interface MixedBand extends SimplexColumn {
  readonly pooled: PooledBand | undefined;
}

const MOST_POOLED = 1500;
const MOST_PIVOTS = 400;
/** Kinds of pieces and films in one programme: with more it takes longer than it is worth. */
const MOST_ROWS = 140;
const TINY = 1e-7;
const WHOLE = 1 - 1e-6;
/** The more of a band is in the mixture the likelier it is taken whole, as a power. */
const FAVOUR = 4;

/**
 * Bands that were built on the way, whatever became of them, and the cheapest mixture of them that gives all
 * pieces.
 * @source column generation and diving (from memory), own form: the search itself finds the columns
 */
export class BandPool {
  /** What a piece of each kind is worth in the mixture last reckoned; undefined before. */
  worth: readonly number[] | undefined;
  readonly #spaces: readonly Space[];
  readonly #kinds: number;
  readonly #extra: BandExtra;
  readonly #dearest: number;
  /** Spaces that end. */
  readonly #ending: readonly number[];
  #bands = new Map<string, PooledBand>();

  constructor(spaces: readonly Space[], kinds: number, extra: BandExtra) {
    this.#spaces = spaces;
    this.#kinds = kinds;
    this.#extra = extra;
    this.#dearest = Math.max(
      ...spaces.map(
        ({ cost, mostBand, most, fixed, problem }) =>
          fixed + cost * Math.min(mostBand, most, 10 * problem.longest),
      ),
    );
    this.#ending = spaces.flatMap(({ most }, space) => (Number.isFinite(most) ? [space] : []));
  }

  /** Whether all kinds fit into one programme. */
  get takesAll(): boolean {
    return this.#kinds + this.#ending.length <= MOST_ROWS;
  }

  note(space: number, ...bands: readonly Band[]): void {
    const counts = new Map<number, number>();
    for (const { columns } of bands)
      for (const { pieces } of columns)
        for (const { kind } of pieces) counts.set(kind, (counts.get(kind) ?? 0) + 1);
    const key = `${space} ${[...counts].sort(([a], [b]) => a - b).join(' ')}`;
    const known = this.#bands.get(key);
    const own = this.#spaces[space];
    const along = bands.reduce((sum, band) => sum + band.along, 0);
    if (
      own === undefined ||
      (known !== undefined && known.along <= along) ||
      (known === undefined && this.#bands.size >= MOST_POOLED)
    )
      return;
    this.#bands.set(key, {
      space,
      bands,
      counts: [...counts],
      along,
      cost: bands.reduce((sum, band) => sum + own.cost * band.along + this.#extra(own, band), 0),
    });
  }

  /** What lies together on films that are paid for whole. */
  noteTogether(laid: readonly LaidBand[]): void {
    this.#spaces.forEach(({ fixed }, space) => {
      if (fixed === 0) return;
      const bands = laid.flatMap((own) => (own.space === space ? [own.band] : []));
      if (bands.length > 1) this.note(space, ...bands);
    });
  }

  /**
   * Bands for most of these pieces: the mixture is reckoned, its whole bands are taken, one of the others by
   * chance, and what is left is reckoned again.
   * @param left so many of each kind, lessened by what is taken
   * @param lengths already taken of each space, added to
   */
  dive(left: Int32Array, lengths: number[], random: () => number): readonly LaidBand[] {
    const found: LaidBand[] = [];
    const bands = [...this.#bands.values()];
    const flat = flatBands(bands);
    let open: Int32Array = Int32Array.from(bands.keys());
    for (let isFirst = true; left.some((count) => count > 0); isFirst = false) {
      const kinds = Array.from(left.keys()).filter((kind) => (left[kind] ?? 0) > 0);
      if (kinds.length + this.#ending.length > MOST_ROWS) return found;
      open = thatFit(
        flat,
        open,
        left,
        Float64Array.from(this.#spaces, ({ most }, space) => most - (lengths[space] ?? 0)),
      );
      this.#price(bands, flat, lengths);
      const mixture = this.#mixture(bands, flat, open, kinds, left, lengths, isFirst);
      let taken = 0;
      for (const [band, amount] of mixture)
        for (let copy = 0; copy < Math.floor(amount + 1 - WHOLE); copy += 1)
          if (this.#take(band, left, lengths, found)) taken += 1;
      if (taken > 0) continue;
      const sum = mixture.reduce((all, [, amount]) => all + amount ** FAVOUR, 0);
      let at = random() * sum;
      const chosen =
        mixture.find(([, amount]) => {
          at -= amount ** FAVOUR;
          return at <= 0;
        }) ?? mixture[0];
      if (chosen === undefined || !this.#take(chosen[0], left, lengths, found)) return found;
    }
    return found;
  }

  /** The cheapest mixture for so many of these kinds: bands and how much of each. */
  #mixture(
    bands: readonly PooledBand[],
    flat: FlatBands,
    open: Int32Array,
    kinds: readonly number[],
    left: Int32Array,
    lengths: readonly number[],
    isFirst: boolean,
  ): readonly (readonly [band: PooledBand, amount: number])[] {
    const simplex = new Simplex<MixedBand>(
      kinds.map((kind) => left[kind] ?? 0),
      this.#ending.map((space) => (this.#spaces[space]?.most ?? 0) - (lengths[space] ?? 0)),
      this.#dearest,
    );
    const rowOf = new Map(kinds.map((kind, row) => [kind, row]));
    const limitOf = new Map(this.#ending.map((space, at) => [space, kinds.length + at]));
    const worth = new Float64Array(this.#kinds);
    const rent = new Float64Array(this.#spaces.length);
    simplex.run((dual) => {
      let [gain, slack] = [TINY, -1];
      for (let row = 0; row < dual.length; row += 1) {
        const own = row < kinds.length ? -(dual[row] as number) : (dual[row] as number);
        if (own > gain) [gain, slack] = [own, row];
      }
      if (slack >= 0)
        return { pooled: undefined, cost: 0, entries: [[slack, slack < kinds.length ? -1 : 1]] };
      kinds.forEach((kind, row) => {
        worth[kind] = dual[row] as number;
      });
      for (const [space, row] of limitOf) rent[space] = dual[row] as number;
      const at = dearestOf(flat, open, worth, rent);
      const pooled = bands[at];
      if (pooled === undefined) return undefined;
      const limit = limitOf.get(pooled.space);
      return {
        pooled,
        cost: flat.cost[at] as number,
        entries: [
          ...pooled.counts.map(([kind, count]) => [rowOf.get(kind) ?? 0, count] as const),
          ...(limit === undefined ? [] : [[limit, flat.taken[at] as number] as const]),
        ],
      };
    }, MOST_PIVOTS);
    if (isFirst && kinds.length === this.#kinds)
      this.worth = Array.from(kinds, (_, row) => Math.max(0, simplex.dual[row] ?? 0));
    return [...simplex.taken()].flatMap(([{ pooled }, amount]) =>
      pooled === undefined || amount <= TINY ? [] : [[pooled, amount] as const],
    );
  }

  /** What each would cost now, and take of its film: all of it where it is paid for whole and not begun. */
  #price(bands: readonly PooledBand[], flat: FlatBands, lengths: readonly number[]): void {
    bands.forEach(({ space, along, cost }, at) => {
      const { fixed = 0, most = 0 } = this.#spaces[space] ?? {};
      const isWhole = fixed > 0 && (lengths[space] ?? 0) === 0;
      flat.cost[at] = cost + (isWhole ? fixed : 0);
      flat.taken[at] = isWhole ? most : along;
    });
  }

  #fits({ space, along, counts }: PooledBand, left: Int32Array, lengths: readonly number[]): boolean {
    return (
      along <= (this.#spaces[space]?.most ?? 0) - (lengths[space] ?? 0) &&
      counts.every(([kind, count]) => count <= (left[kind] ?? 0))
    );
  }

  #take(own: PooledBand, left: Int32Array, lengths: number[], found: LaidBand[]): boolean {
    if (!this.#fits(own, left, lengths)) return false;
    const { space, bands, along, counts } = own;
    for (const [kind, count] of counts) left[kind] = (left[kind] ?? 0) - count;
    lengths[space] = (lengths[space] ?? 0) + along;
    for (const band of bands) found.push({ space, band });
    return true;
  }
}

/** Bands in flat rows, for looking through them again and again. */
interface FlatBands {
  /** Where the pieces of a band begin among all; they end where those of the next begin. */
  readonly start: Int32Array;
  readonly kind: Int32Array;
  readonly count: Float64Array;
  readonly along: Float64Array;
  readonly cost: Float64Array;
  /** Of the length of its film. */
  readonly taken: Float64Array;
  readonly space: Int32Array;
}

function flatBands(bands: readonly PooledBand[]): FlatBands {
  const start = new Int32Array(bands.length + 1);
  bands.forEach(({ counts }, at) => {
    start[at + 1] = (start[at] as number) + counts.length;
  });
  const many = start[bands.length] as number;
  const flat = {
    start,
    kind: new Int32Array(many),
    count: new Float64Array(many),
    along: new Float64Array(bands.length),
    cost: new Float64Array(bands.length),
    taken: new Float64Array(bands.length),
    space: new Int32Array(bands.length),
  };
  bands.forEach(({ counts, along, space }, band) => {
    let at = start[band] as number;
    for (const [kind, count] of counts) {
      flat.kind[at] = kind;
      flat.count[at] = count;
      at += 1;
    }
    flat.along[band] = along;
    flat.space[band] = space;
  });
  return flat;
}

/** Those of some bands that can be made of what is left, in what is left of their films. */
function thatFit(
  { start, kind, count, along, space }: FlatBands,
  among: Int32Array,
  left: Int32Array,
  room: Float64Array,
): Int32Array {
  return among.filter((band) => {
    if ((along[band] as number) > (room[space[band] as number] as number)) return false;
    for (let at = start[band] as number; at < (start[band + 1] as number); at += 1)
      if ((count[at] as number) > (left[kind[at] as number] as number)) return false;
    return true;
  });
}

/** The band whose pieces are worth most over what it costs, for its cost; -1: none. */
function dearestOf(
  { start, kind, count, taken, cost, space }: FlatBands,
  among: Int32Array,
  worth: Float64Array,
  rent: Float64Array,
): number {
  let [best, gain] = [-1, 1e-9];
  for (let place = 0; place < among.length; place += 1) {
    const band = among[place] as number;
    const paid = cost[band] as number;
    let own = (rent[space[band] as number] as number) * (taken[band] as number) - paid;
    for (let at = start[band] as number; at < (start[band + 1] as number); at += 1)
      own += (worth[kind[at] as number] as number) * (count[at] as number);
    const scale = paid > 1 ? paid : 1;
    if (own > gain * scale) {
      gain = own / scale;
      best = band;
    }
  }
  return best;
}
