import type { Band, Column } from './band-shape';
import type { Lie } from '../problem/strip-problem';
import type { Strip, WidthPieces } from './strips';

export interface Cooling {
  /** So many changes are tried. */
  readonly changes: number;
  /** How much longer, in steps, is still taken at first and at last. */
  readonly first: number;
  readonly last: number;
}

const SWAPS = 0.75;
/**
 * A piece that lies away from the factory edge it wants counts as so many steps of length: dear when cold,
 * borne when hot.
 */
const MISPLACED = 100;

/**
 * Shares the pieces of each width out over its columns so that the columns of each strip end together as
 * nearly as can be: two pieces change places, or one its column, again and again; at first for the worse too.
 * Pieces that want a factory edge come to lie in so many columns of a strip at most as it has edges.
 * @returns bands, and their length in all; undefined when a piece stays away from the edge it wants
 * @source simulated annealing, Kirkpatrick, Gelatt and Vecchi 1983 (from memory)
 */
export function sharedOut(
  widths: readonly WidthPieces[],
  made: readonly Strip[],
  edges: number,
  { changes, first, last }: Cooling,
  random: () => number,
): { readonly bands: readonly Band[]; readonly along: number } | undefined {
  const sharing = new Sharing(widths, made, edges);
  const cooling = (last / first) ** (1 / Math.max(1, changes));
  for (let change = 0, heat = first; change < changes && sharing.canMove; change += 1, heat *= cooling)
    sharing.change(heat, random);
  const bands = sharing.bands();
  return bands.every((band) => keepsEdges(band, edges)) ? { along: sharing.best, bands } : undefined;
}

/** Which piece lies in which column, and how long the strips then are. */
class Sharing {
  best: number;
  readonly #columns: readonly {
    readonly strip: number;
    readonly width: number;
    readonly isAtEdge: boolean;
  }[];
  readonly #pieces: readonly { readonly lie: Lie; readonly width: number }[];
  readonly #stripOf: Int32Array;
  readonly #inStrip: readonly (readonly number[])[];
  readonly #ofWidth: readonly (readonly number[])[];
  readonly #firstOf: readonly number[];
  readonly #along: Int32Array;
  readonly #wants: Uint8Array;
  readonly #isEdged: boolean;
  readonly #lengths: Float64Array;
  /** How many pieces of each column want an edge. */
  readonly #wanting: Int32Array;
  readonly #at: Int32Array;
  readonly #ends: number[];
  /** Pieces of a width that has one column stay where they are. */
  readonly #movable: readonly number[];
  #cost: number;
  #bestAt: Int32Array;

  constructor(
    private readonly widths: readonly WidthPieces[],
    private readonly made: readonly Strip[],
    private readonly edges: number,
  ) {
    const columns = made.flatMap(({ widths: own }, strip) =>
      own.map((width, place) => ({ strip, width, isAtEdge: place < edges })),
    );
    const pieces = widths.flatMap(({ pieces: own }, width) => own.map((lie) => ({ lie, width })));
    this.#columns = columns;
    this.#pieces = pieces;
    this.#stripOf = Int32Array.from(columns, ({ strip }) => strip);
    this.#inStrip = made.map((_, strip) =>
      columns.flatMap((column, at) => (column.strip === strip ? [at] : [])),
    );
    this.#ofWidth = widths.map((_, width) =>
      columns.flatMap((column, at) => (column.width === width ? [at] : [])),
    );
    this.#along = Int32Array.from(pieces, ({ lie }) => lie.along);
    this.#wants = Uint8Array.from(pieces, ({ lie }) => Number(lie.wantsEdge));
    this.#isEdged = this.#wants.includes(1);
    this.#firstOf = widths.map((_, width) => pieces.findIndex((piece) => piece.width === width));
    this.#lengths = new Float64Array(columns.length);
    this.#wanting = new Int32Array(columns.length);
    this.#at = this.#placedAtFirst();
    this.#ends = made.map((_, strip) => this.#costOf(strip));
    this.#movable = pieces.flatMap(({ width }, piece) =>
      (this.#ofWidth[width]?.length ?? 0) > 1 ? [piece] : [],
    );
    this.#cost = this.#ends.reduce((sum, end) => sum + end, 0);
    this.best = this.#cost;
    this.#bestAt = this.#at.slice();
  }

  get canMove(): boolean {
    return this.#movable.length > 0;
  }

  /** Tries one change: two pieces of a width change places, or one its column. */
  change(heat: number, random: () => number): void {
    const at = this.#at;
    const one = this.#movable[Math.floor(random() * this.#movable.length)] as number;
    const { width } = this.#pieces[one] as { readonly width: number };
    const from = at[one] as number;
    const isSwap = random() < SWAPS;
    const own = this.#ofWidth[width] as number[];
    const count = (this.widths[width] as WidthPieces).pieces.length;
    const other = isSwap ? (this.#firstOf[width] as number) + Math.floor(random() * count) : -1;
    const to = isSwap ? (at[other] as number) : (own[Math.floor(random() * own.length)] as number);
    const shift = (this.#along[one] as number) - (isSwap ? (this.#along[other] as number) : 0);
    const wish = (this.#wants[one] as number) - (isSwap ? (this.#wants[other] as number) : 0);
    if (to === from || (shift === 0 && wish === 0)) return;
    const [here, there] = [this.#stripOf[from] as number, this.#stripOf[to] as number];
    this.#shift(from, to, shift, wish);
    const [endHere, endThere] = [this.#costOf(here), this.#costOf(there)];
    const longer =
      endHere -
      (this.#ends[here] as number) +
      (there === here ? 0 : endThere - (this.#ends[there] as number));
    if (longer > 0 && random() >= Math.exp(-longer / heat)) {
      this.#shift(to, from, shift, wish);
      return;
    }
    at[one] = to;
    if (isSwap) at[other] = from;
    this.#ends[here] = endHere;
    this.#ends[there] = endThere;
    this.#cost += longer;
    if (this.#cost < this.best) {
      this.best = this.#cost;
      this.#bestAt = at.slice();
    }
  }

  /** The best shares found. */
  bands(): readonly Band[] {
    return this.#inStrip.map((own) => this.#bandOf(own)).filter((band) => band.along > 0);
  }

  #shift(from: number, to: number, length: number, wish: number): void {
    this.#lengths[from] = (this.#lengths[from] as number) - length;
    this.#lengths[to] = (this.#lengths[to] as number) + length;
    this.#wanting[from] = (this.#wanting[from] as number) - wish;
    this.#wanting[to] = (this.#wanting[to] as number) + wish;
  }

  #costOf(strip: number): number {
    let longest = 0;
    for (const column of this.#inStrip[strip] as number[])
      if ((this.#lengths[column] as number) > longest) longest = this.#lengths[column] as number;
    return longest + (this.#isEdged ? MISPLACED * this.#misplaced(strip) : 0);
  }

  #misplaced(strip: number): number {
    return inColumnsWithoutEdge(
      (this.#inStrip[strip] ?? []).map((column) => this.#wanting[column] ?? 0),
      this.edges,
    );
  }

  /** Those that want an edge first, longest first, each where most is missing. */
  #placedAtFirst(): Int32Array {
    const [wants, along] = [this.#wants, this.#along];
    const placed = new Int32Array(this.#pieces.length);
    const order = this.#pieces
      .map((_, index) => index)
      .sort(
        (a, b) => (wants[b] as number) - (wants[a] as number) || (along[b] as number) - (along[a] as number),
      );
    for (const piece of order) {
      const open = this.#ofWidth[this.#pieces[piece]?.width ?? 0] ?? [];
      const atEdge =
        wants[piece] === 1 ? open.filter((column) => this.#columns[column]?.isAtEdge === true) : [];
      const found = this.#emptiest(atEdge.length > 0 ? atEdge : open);
      placed[piece] = found;
      this.#lengths[found] = (this.#lengths[found] as number) + (along[piece] as number);
      this.#wanting[found] = (this.#wanting[found] as number) + (wants[piece] as number);
    }
    return placed;
  }

  #emptiest(columns: readonly number[]): number {
    let [found, room] = [0, Number.NEGATIVE_INFINITY];
    for (const column of columns) {
      const own =
        (this.made[this.#stripOf[column] as number]?.along ?? 0) - (this.#lengths[column] as number);
      if (own > room) [found, room] = [column, own];
    }
    return found;
  }

  #bandOf(own: readonly number[]): Band {
    let [end, filled] = [0, 0];
    const held = own.flatMap((column): readonly Column[] => {
      const stacked = this.#pieces.flatMap(({ lie }, piece) => (this.#bestAt[piece] === column ? [lie] : []));
      const length = stacked.reduce((sum, lie) => sum + lie.along, 0);
      const across = this.widths[this.#columns[column]?.width ?? 0]?.across ?? 0;
      end = Math.max(end, length);
      filled += across * length;
      return length === 0 ? [] : [{ across, pieces: stacked }];
    });
    return { along: end, columns: held, filled };
  }
}

function keepsEdges({ columns }: Band, edges: number): boolean {
  const wanting = columns.map(({ pieces }) => pieces.filter(({ wantsEdge }) => wantsEdge).length);
  return inColumnsWithoutEdge(wanting, edges) === 0;
}

/** How many pieces that want an edge have none, when the columns with most of them are put there. */
function inColumnsWithoutEdge(wanting: readonly number[], edges: number): number {
  return [...wanting]
    .sort((a, b) => b - a)
    .slice(edges)
    .reduce((sum, own) => sum + own, 0);
}
