import { intAt, valueAt } from '../../quantity';
import type { Strip, Stack } from './strip-shape';
import type { Orientation } from '../problem/packing-problem';
import type { StripPattern, WidthPieces } from './strip-patterns';

interface AnnealingSchedule {
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
 * Number partitioning by annealed swaps: shares the pieces of each width out over its stacks so that the
 * stacks of each pattern end as level as possible. 10,000 swaps take about 3 ms.
 * Pieces that want a factory edge come to lie in so many stacks of a pattern at most as it has edges.
 * @returns strips, and their length in all; undefined when a piece stays away from the edge it wants
 * @source simulated annealing, Kirkpatrick, Gelatt and Vecchi 1983 (from memory)
 */
export function partitionBySwaps(
  widths: readonly WidthPieces[],
  made: readonly StripPattern[],
  edges: number,
  { changes, first, last }: AnnealingSchedule,
  random: () => number,
): { readonly strips: readonly Strip[]; readonly along: number } | undefined {
  const sharing = new Sharing(widths, made, edges);
  const cooling = (last / first) ** (1 / Math.max(1, changes));
  for (let change = 0, heat = first; change < changes && sharing.canMove; change += 1, heat *= cooling)
    sharing.change(heat, random);
  const strips = sharing.strips();
  return strips.every((strip) => keepsEdges(strip, edges)) ? { along: sharing.best, strips } : undefined;
}

/** Which piece lies in which stack, and how long the patterns then are. */
class Sharing {
  best: number;
  readonly #stacks: readonly {
    readonly pattern: number;
    readonly width: number;
    readonly isAtEdge: boolean;
  }[];
  readonly #pieces: readonly { readonly orientation: Orientation; readonly width: number }[];
  readonly #patternOf: Int32Array;
  readonly #inPattern: readonly (readonly number[])[];
  readonly #ofWidth: readonly (readonly number[])[];
  readonly #firstOf: readonly number[];
  readonly #along: Int32Array;
  readonly #wants: Uint8Array;
  readonly #isEdged: boolean;
  readonly #lengths: Float64Array;
  /** How many pieces of each stack want an edge. */
  readonly #wanting: Int32Array;
  readonly #at: Int32Array;
  readonly #ends: number[];
  /** Pieces of a width that has one stack stay where they are. */
  readonly #movable: readonly number[];
  #cost: number;
  #bestAt: Int32Array;

  constructor(
    private readonly widths: readonly WidthPieces[],
    private readonly made: readonly StripPattern[],
    private readonly edges: number,
  ) {
    const stacks = made.flatMap(({ widths: own }, pattern) =>
      own.map((width, place) => ({ pattern, width, isAtEdge: place < edges })),
    );
    const pieces = widths.flatMap(({ pieces: own }, width) =>
      own.map((orientation) => ({ orientation, width })),
    );
    this.#stacks = stacks;
    this.#pieces = pieces;
    this.#patternOf = Int32Array.from(stacks, ({ pattern }) => pattern);
    this.#inPattern = made.map((_, pattern) =>
      stacks.flatMap((stack, at) => (stack.pattern === pattern ? [at] : [])),
    );
    this.#ofWidth = widths.map((_, width) =>
      stacks.flatMap((stack, at) => (stack.width === width ? [at] : [])),
    );
    this.#along = Int32Array.from(pieces, ({ orientation }) => orientation.along);
    this.#wants = Uint8Array.from(pieces, ({ orientation }) => Number(orientation.wantsEdge));
    this.#isEdged = this.#wants.includes(1);
    this.#firstOf = widths.map((_, width) => pieces.findIndex((piece) => piece.width === width));
    this.#lengths = new Float64Array(stacks.length);
    this.#wanting = new Int32Array(stacks.length);
    this.#at = this.#placedAtFirst();
    this.#ends = made.map((_, pattern) => this.#costOf(pattern));
    this.#movable = pieces.flatMap(({ width }, piece) =>
      valueAt(this.#ofWidth, width).length > 1 ? [piece] : [],
    );
    this.#cost = this.#ends.reduce((sum, end) => sum + end, 0);
    this.best = this.#cost;
    this.#bestAt = this.#at.slice();
  }

  get canMove(): boolean {
    return this.#movable.length > 0;
  }

  /** Tries one change: two pieces of a width change places, or one its stack. */
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
    const [here, there] = [this.#patternOf[from] as number, this.#patternOf[to] as number];
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
  strips(): readonly Strip[] {
    return this.#inPattern.map((own) => this.#stripOf(own)).filter((strip) => strip.along > 0);
  }

  #shift(from: number, to: number, length: number, wish: number): void {
    this.#lengths[from] = (this.#lengths[from] as number) - length;
    this.#lengths[to] = (this.#lengths[to] as number) + length;
    this.#wanting[from] = (this.#wanting[from] as number) - wish;
    this.#wanting[to] = (this.#wanting[to] as number) + wish;
  }

  #costOf(pattern: number): number {
    let longest = 0;
    for (const stack of this.#inPattern[pattern] as number[])
      if ((this.#lengths[stack] as number) > longest) longest = this.#lengths[stack] as number;
    return longest + (this.#isEdged ? MISPLACED * this.#misplaced(pattern) : 0);
  }

  #misplaced(pattern: number): number {
    return inStacksWithoutEdge(
      (this.#inPattern[pattern] ?? []).map((stack) => intAt(this.#wanting, stack)),
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
      const open = this.#ofWidth[valueAt(this.#pieces, piece).width] ?? [];
      const atEdge = wants[piece] === 1 ? open.filter((stack) => this.#stacks[stack]?.isAtEdge === true) : [];
      const found = this.#emptiest(atEdge.length > 0 ? atEdge : open);
      placed[piece] = found;
      this.#lengths[found] = (this.#lengths[found] as number) + (along[piece] as number);
      this.#wanting[found] = (this.#wanting[found] as number) + (wants[piece] as number);
    }
    return placed;
  }

  #emptiest(stacks: readonly number[]): number {
    let [found, room] = [0, Number.NEGATIVE_INFINITY];
    for (const stack of stacks) {
      const own =
        valueAt(this.made, this.#patternOf[stack] as number).along - (this.#lengths[stack] as number);
      if (own > room) [found, room] = [stack, own];
    }
    return found;
  }

  #stripOf(own: readonly number[]): Strip {
    let [end, filled] = [0, 0];
    const held = own.flatMap((stack): readonly Stack[] => {
      const stacked = this.#pieces.flatMap(({ orientation }, piece) =>
        this.#bestAt[piece] === stack ? [orientation] : [],
      );
      const length = stacked.reduce((sum, orientation) => sum + orientation.along, 0);
      const across = valueAt(this.widths, this.#stacks[stack]?.width ?? 0).across;
      end = Math.max(end, length);
      filled += across * length;
      return length === 0 ? [] : [{ across, pieces: stacked }];
    });
    return { along: end, stacks: held, filled };
  }
}

function keepsEdges({ stacks }: Strip, edges: number): boolean {
  const wanting = stacks.map(({ pieces }) => pieces.filter(({ wantsEdge }) => wantsEdge).length);
  return inStacksWithoutEdge(wanting, edges) === 0;
}

/** How many pieces that want an edge have none, when the stacks with most of them are put there. */
function inStacksWithoutEdge(wanting: readonly number[], edges: number): number {
  return [...wanting]
    .sort((a, b) => b - a)
    .slice(edges)
    .reduce((sum, own) => sum + own, 0);
}
