import { intAt, valueAt, floatAt } from '../../quantity';
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
    const stacks = made.flatMap(({ widths: patternWidths }, pattern) =>
      patternWidths.map((width, place) => ({ pattern, width, isAtEdge: place < edges })),
    );
    const pieces = widths.flatMap(({ pieces: widthPieces }, width) =>
      widthPieces.map((orientation) => ({ orientation, width })),
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
    const one = valueAt(this.#movable, Math.floor(random() * this.#movable.length));
    const { width } = valueAt(this.#pieces, one);
    const from = intAt(at, one);
    const isSwap = random() < SWAPS;
    const sameWidth = valueAt(this.#ofWidth, width);
    const count = valueAt(this.widths, width).pieces.length;
    const partner = isSwap ? valueAt(this.#firstOf, width) + Math.floor(random() * count) : -1;
    const to = isSwap ? intAt(at, partner) : valueAt(sameWidth, Math.floor(random() * sameWidth.length));
    const shift = intAt(this.#along, one) - (isSwap ? intAt(this.#along, partner) : 0);
    const wish = valueAt(this.#wants, one) - (isSwap ? valueAt(this.#wants, partner) : 0);
    if (to === from || (shift === 0 && wish === 0)) return;
    const [here, there] = [intAt(this.#patternOf, from), intAt(this.#patternOf, to)];
    this.#shift(from, to, shift, wish);
    const [endHere, endThere] = [this.#costOf(here), this.#costOf(there)];
    const longer =
      endHere - valueAt(this.#ends, here) + (there === here ? 0 : endThere - valueAt(this.#ends, there));
    if (longer > 0 && random() >= Math.exp(-longer / heat)) {
      this.#shift(to, from, shift, wish);
      return;
    }
    at[one] = to;
    if (isSwap) at[partner] = from;
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
    return this.#inPattern.map((stacks) => this.#stripOf(stacks)).filter((strip) => strip.along > 0);
  }

  #shift(from: number, to: number, length: number, wish: number): void {
    this.#lengths[from] = floatAt(this.#lengths, from) - length;
    this.#lengths[to] = floatAt(this.#lengths, to) + length;
    this.#wanting[from] = intAt(this.#wanting, from) - wish;
    this.#wanting[to] = intAt(this.#wanting, to) + wish;
  }

  #costOf(pattern: number): number {
    let longest = 0;
    for (const stack of valueAt(this.#inPattern, pattern))
      if (floatAt(this.#lengths, stack) > longest) longest = floatAt(this.#lengths, stack);
    return longest + (this.#isEdged ? MISPLACED * this.#misplaced(pattern) : 0);
  }

  #misplaced(pattern: number): number {
    return inStacksWithoutEdge(
      valueAt(this.#inPattern, pattern).map((stack) => intAt(this.#wanting, stack)),
      this.edges,
    );
  }

  /** Those that want an edge first, longest first, each where most is missing. */
  #placedAtFirst(): Int32Array {
    const [wants, along] = [this.#wants, this.#along];
    const placed = new Int32Array(this.#pieces.length);
    const order = this.#pieces
      .map((_, index) => index)
      .sort((a, b) => valueAt(wants, b) - valueAt(wants, a) || intAt(along, b) - intAt(along, a));
    for (const piece of order) {
      const open = valueAt(this.#ofWidth, valueAt(this.#pieces, piece).width);
      const atEdge = wants[piece] === 1 ? open.filter((stack) => this.#stacks[stack]?.isAtEdge === true) : [];
      const emptiest = this.#emptiest(atEdge.length > 0 ? atEdge : open);
      placed[piece] = emptiest;
      this.#lengths[emptiest] = floatAt(this.#lengths, emptiest) + intAt(along, piece);
      this.#wanting[emptiest] = intAt(this.#wanting, emptiest) + valueAt(wants, piece);
    }
    return placed;
  }

  #emptiest(stacks: readonly number[]): number {
    let [found, room] = [0, Number.NEGATIVE_INFINITY];
    for (const stack of stacks) {
      const rest = valueAt(this.made, intAt(this.#patternOf, stack)).along - floatAt(this.#lengths, stack);
      if (rest > room) [found, room] = [stack, rest];
    }
    return found;
  }

  #stripOf(stacks: readonly number[]): Strip {
    let [end, filled] = [0, 0];
    const held = stacks.flatMap((stack): readonly Stack[] => {
      const stacked = this.#pieces.flatMap(({ orientation }, piece) =>
        this.#bestAt[piece] === stack ? [orientation] : [],
      );
      const length = stacked.reduce((sum, orientation) => sum + orientation.along, 0);
      const across = valueAt(this.widths, valueAt(this.#stacks, stack).width).across;
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
    .reduce((sum, count) => sum + count, 0);
}
