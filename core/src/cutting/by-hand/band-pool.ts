import { Simplex, type SimplexColumn } from '../bounds/simplex';
import type { Band } from './band';
import type { BandExtra, LaidBand, Space } from './space';

/** A band seen before, as a column of the linear programme over all of them. */
interface PooledBand extends SimplexColumn {
  readonly laid: LaidBand;
  readonly counts: readonly (readonly [kind: number, count: number])[];
  readonly along: number;
}

const MOST_POOLED = 1500;
const MOST_PIVOTS = 400;
const TINY = 1e-7;
const WHOLE = 1 - 1e-6;

/** Bands that were built on the way, whatever became of them, and the cheapest mixture of them that gives all pieces.
 *  @source column generation and diving (from memory), own form: the search itself finds the columns */
export class BandPool {
  /** What a piece of each kind is worth in the mixture last reckoned; undefined before. */
  worth: readonly number[] | undefined;
  readonly #spaces: readonly Space[];
  readonly #kinds: number;
  readonly #extra: BandExtra;
  readonly #dearest: number;
  /** Of each space that ends, its row. */
  readonly #rowOf: ReadonlyMap<number, number>;
  #bands = new Map<string, PooledBand>();

  constructor(spaces: readonly Space[], kinds: number, extra: BandExtra) {
    this.#spaces = spaces;
    this.#kinds = kinds;
    this.#extra = extra;
    this.#dearest = Math.max(...spaces.map(({ cost, mostBand, most, fixed, problem }) => fixed + cost * Math.min(mostBand, most, 10 * problem.longest)));
    this.#rowOf = new Map(spaces.flatMap(({ most }, space) => (Number.isFinite(most) ? [space] : [])).map((space, at) => [space, kinds + at]));
  }

  note(space: number, band: Band): void {
    const counts = new Map<number, number>();
    for (const { pieces } of band.columns) for (const { kind } of pieces) counts.set(kind, (counts.get(kind) ?? 0) + 1);
    let key = String(space);
    for (let kind = 0; kind < this.#kinds; kind += 1) { const count = counts.get(kind); if (count !== undefined) key += `,${kind}x${count}`; }
    const known = this.#bands.get(key);
    const own = this.#spaces[space];
    if (own === undefined || (known !== undefined && known.along <= band.along) || (known === undefined && this.#bands.size >= MOST_POOLED)) return;
    const row = this.#rowOf.get(space);
    const share = own.fixed > 0 ? (own.fixed * band.along) / own.most : 0;
    this.#bands.set(key, { laid: { space, band }, counts: [...counts], along: band.along, cost: own.cost * band.along + share + this.#extra(own, band), entries: [...counts, ...(row === undefined ? [] : [[row, band.along] as const])] });
  }

  /** Bands for most of these pieces: the mixture is reckoned, its whole bands are taken, one of the others by chance, and what is left is reckoned again.
   *  @param left so many of each kind, lessened by what is taken @param lengths already taken of each space, added to */
  dive(left: Int32Array, lengths: number[], random: () => number): readonly LaidBand[] {
    const found: LaidBand[] = [];
    const bands = [...this.#bands.values()];
    for (let isFirst = true; left.some((count) => count > 0); isFirst = false) {
      const simplex = new Simplex<PooledBand>([...left], [...this.#rowOf.keys()].map((space) => (this.#spaces[space]?.most ?? 0) - (lengths[space] ?? 0)), this.#dearest);
      const spare = Array.from({ length: this.#kinds }, (_, kind): PooledBand => ({ laid: NOTHING, counts: [], along: 0, cost: 0, entries: [[kind, -1]] }));
      const slack = [...this.#rowOf.values()].map((row): PooledBand => ({ laid: NOTHING, counts: [], along: 0, cost: 0, entries: [[row, 1]] }));
      const open = bands.filter((own) => this.#fits(own, left, lengths));
      const columns = [...open, ...spare, ...slack];
      simplex.run((dual) => cheapest(columns, dual), MOST_PIVOTS);
      if (isFirst) this.worth = Array.from({ length: this.#kinds }, (_, kind) => Math.max(0, simplex.dual[kind] ?? 0));
      const mixture = [...simplex.taken()].filter(([{ counts }, amount]) => counts.length > 0 && amount > TINY);
      let taken = 0;
      for (const [band, amount] of mixture) for (let copy = 0; copy < Math.floor(amount + 1 - WHOLE); copy += 1) if (this.#take(band, left, lengths, found)) taken += 1;
      if (taken > 0) continue;
      const sum = mixture.reduce((all, [, amount]) => all + amount * amount, 0);
      let at = random() * sum;
      const chosen = mixture.find(([, amount]) => { at -= amount * amount; return at <= 0; }) ?? mixture[0];
      if (chosen === undefined || !this.#take(chosen[0], left, lengths, found)) return found;
    }
    return found;
  }

  #fits({ laid: { space }, along, counts }: PooledBand, left: Int32Array, lengths: readonly number[]): boolean {
    return along <= (this.#spaces[space]?.most ?? 0) - (lengths[space] ?? 0) && counts.every(([kind, count]) => count <= (left[kind] ?? 0));
  }

  #take(own: PooledBand, left: Int32Array, lengths: number[], found: LaidBand[]): boolean {
    if (!this.#fits(own, left, lengths)) return false;
    const { laid, along, counts } = own;
    for (const [kind, count] of counts) left[kind] = (left[kind] ?? 0) - count;
    lengths[laid.space] = (lengths[laid.space] ?? 0) + along;
    found.push(laid);
    return true;
  }
}

const NOTHING: LaidBand = { space: -1, band: { along: 0, columns: [], filled: 0 } };

function cheapest(columns: readonly PooledBand[], dual: Float64Array): PooledBand | undefined {
  let best: PooledBand | undefined;
  let gain = 1e-9;
  for (const column of columns) {
    let own = -column.cost;
    for (const [row, amount] of column.entries) own += (dual[row] as number) * amount;
    if (own > gain * Math.max(1, column.cost)) { gain = own / Math.max(1, column.cost); best = column; }
  }
  return best;
}
