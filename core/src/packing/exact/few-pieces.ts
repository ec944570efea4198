import { valueAt, floatAt, intAt } from '../../quantity';
import type { Strip, Stack } from '../guillotine/strip-shape';
import type { Orientation } from '../problem/packing-problem';
import { ParetoStacks } from './pareto-stacks';
import type { ReducedCosts } from './reduced-costs';
import { ItemSubsets } from './item-subsets';

interface FewPieces {
  readonly width: number;
  /** The ways pieces can lie; an item type may come twice. */
  readonly orientations: readonly Orientation[];
  /** How many of each item type there are. */
  readonly left: ArrayLike<number>;
  readonly stages: 2 | 3;
  /** Stacks of a strip that can lie at a factory edge, and stacks it may have at all. */
  readonly edges: number;
  readonly mostStacks: number;
  /** Longest strip. */
  readonly mostStrip: number;
  /** Only layouts not longer than this are of use. */
  readonly most: number;
  /** What the bound knows: the nearer `most` is to it, the less there is to go through. */
  readonly priced?: ReducedCosts | undefined;
}

const NEVER = Number.MAX_SAFE_INTEGER;
const NEAR = 1e-7;

/**
 * The shortest layout in strips of all pieces given, proven: a dynamic programme over every subset of them.
 * Stacks and strips that lose more than a layout of use may are left out.
 * @returns its strips, shortest in all; undefined when none is as short as `most`. Work grows with the square
 * of `selectionsOf`, at worst
 * @source own; the recursion is the exact one for three-stage guillotine cutting with trimming (from memory:
 * Gilmore and Gomory 1965)
 */
export function bestStrips(asked: FewPieces): readonly Strip[] | undefined {
  const { width, orientations, left, mostStrip, most, priced } = asked;
  const itemTypes = [...new Set(orientations.map(({ itemType }) => itemType))].filter(
    (itemType) => valueAt(left, itemType) > 0,
  );
  const quantities = itemTypes.map((itemType) => valueAt(left, itemType));
  const orientationsOf = itemTypes.map((itemType) =>
    orientations.filter(
      (orientation) =>
        orientation.itemType === itemType && orientation.across <= width && orientation.along <= mostStrip,
    ),
  );
  if (orientationsOf.some((itemOrientations) => itemOrientations.length === 0)) return undefined;
  const sizes = orientationsOf.map(([way]) => (way === undefined ? 0 : way.across * way.along));
  const prices = itemTypes.map((itemType) => priced?.perPiece[itemType] ?? 0);
  const mayLose = most * width - sizes.reduce((sum, size, at) => sum + size * valueAt(quantities, at), 0);
  const mayCost =
    (priced === undefined
      ? NEVER
      : most - prices.reduce((sum, price, at) => sum + price * valueAt(quantities, at), 0)) +
    NEAR * most;
  if (mayLose < 0 || mayCost < 0) return undefined;
  const subsets = new ItemSubsets(quantities);
  const programme = new StripProgramme(asked, orientationsOf, subsets, {
    area: subsets.sums(sizes),
    dualPrice: subsets.sums(prices),
    mayLose,
    mayCost,
  });
  for (let state = 1; state < subsets.count; state += 1) programme.solve(state);
  return programme.shortestOfAll > most || programme.shortestOfAll >= NEVER ? undefined : programme.strips();
}

/** What a subset holds and is worth, and what a layout of use may lose beside it. */
interface Allowed {
  readonly area: Float64Array;
  readonly dualPrice: Float64Array;
  readonly mayLose: number;
  readonly mayCost: number;
}

/** The dynamic programme: subsets in order, each solved from those that are parts of it. */
class StripProgramme {
  readonly #stacks: ParetoStacks;
  readonly #strips: ParetoStacks;
  readonly #stripLength: Float64Array;
  readonly #shortest: Float64Array;
  /** Widths a stack may have, narrowest first. */
  readonly #widths: readonly number[];
  /**
   * All pieces of a subset in one stack: for each width it may have, how long it then is; and whether one
   * of them wants an edge.
   */
  readonly #stacked: readonly Float64Array[];
  readonly #shortestWithin: readonly (readonly number[])[];
  readonly #wants: readonly number[];
  readonly #wanting: Uint8Array;
  readonly #taken: Float64Array | readonly number[];

  constructor(
    private readonly asked: FewPieces,
    private readonly orientationsOf: readonly (readonly Orientation[])[],
    private readonly subsets: ItemSubsets,
    private readonly allowed: Allowed,
  ) {
    const states = subsets.count;
    this.#stacks = new ParetoStacks(states);
    this.#strips = new ParetoStacks(states);
    this.#strips.put(0, 0, 0, 0);
    this.#stacks.close();
    this.#strips.close();
    this.#stripLength = new Float64Array(states).fill(NEVER);
    this.#shortest = new Float64Array(states).fill(NEVER);
    this.#shortest[0] = 0;
    this.#widths = [
      ...new Set(orientationsOf.flatMap((orientations) => orientations.map(({ across }) => across))),
    ].sort((a, b) => a - b);
    this.#stacked = this.#widths.map(() => new Float64Array(states));
    this.#shortestWithin = this.#widths.map((across) =>
      orientationsOf.map((orientations) =>
        orientations.reduce(
          (least, orientation) => (orientation.across <= across ? Math.min(least, orientation.along) : least),
          Number.POSITIVE_INFINITY,
        ),
      ),
    );
    this.#wants = orientationsOf.map((orientations) =>
      orientations.some(({ wantsEdge }) => wantsEdge) ? 1 : 0,
    );
    this.#wanting = new Uint8Array(states);
    this.#taken = asked.priced?.taken ?? new Float64Array(asked.width + 1);
  }

  get shortestOfAll(): number {
    return floatAt(this.#shortest, this.subsets.count - 1);
  }

  solve(state: number): void {
    const { area, dualPrice, mayLose, mayCost } = this.allowed;
    const mostArea = floatAt(area, state) + mayLose;
    const mostLength = floatAt(dualPrice, state) + mayCost;
    this.#stacksOf(state, mostArea, mostLength);
    const inParts = this.#stripsOf(state, mostArea, mostLength);
    const shortestStrip = this.#strips.shortestOf(state);
    if (shortestStrip * this.asked.width <= mostArea && shortestStrip <= mostLength)
      this.#stripLength[state] = shortestStrip;
    const best = Math.min(inParts, floatAt(this.#stripLength, state));
    this.#shortest[state] = best * this.asked.width <= mostArea && best <= mostLength ? best : NEVER;
  }

  /** All pieces of a subset in one stack, at every width that makes it shorter. */
  #stacksOf(state: number, mostArea: number, mostLength: number): void {
    const { stages, mostStrip, edges } = this.asked;
    const taken = this.#taken;
    const before = this.subsets.withoutFirst(state);
    const first = this.subsets.firstOf(state);
    const edge = Math.max(valueAt(this.#wanting, before), valueAt(this.#wants, first));
    this.#wanting[state] = edge;
    let least = Number.POSITIVE_INFINITY;
    for (let place = 0; place < this.#widths.length; place += 1) {
      const lengths = valueAt(this.#stacked, place);
      const along =
        floatAt(lengths, before) + (this.#shortestWithin[place]?.[first] ?? Number.POSITIVE_INFINITY);
      lengths[state] = along;
      if (along >= least) continue;
      least = along;
      const across = valueAt(this.#widths, place);
      if (
        (stages === 3 || before === 0) &&
        along <= mostStrip &&
        edge <= edges &&
        across * along <= mostArea &&
        (taken[across] as number) * along <= mostLength
      )
        this.#stacks.put(across, along, edge, 1);
    }
    this.#stacks.close();
  }

  /** A stack beside a strip of the rest. @returns the shortest of two strips one behind the other */
  #stripsOf(state: number, mostArea: number, mostLength: number): number {
    const { width, edges, mostStacks } = this.asked;
    const [stacks, strips, taken] = [this.#stacks, this.#strips, this.#taken];
    const [stripLength, shortest] = [this.#stripLength, this.#shortest];
    const many = this.subsets.partsOf(state);
    const subs = this.subsets.parts;
    let best = NEVER;
    for (let index = 0; index < many; index += 1) {
      const part = intAt(subs, index);
      const rest = state - part;
      if (part !== state) {
        const sum = floatAt(stripLength, part) + floatAt(shortest, rest);
        if (sum < best) best = sum;
      }
      const [to, otherTo] = [intAt(stacks.start, part + 1), intAt(strips.start, rest + 1)];
      for (let one = intAt(stacks.start, part); one < to; one += 1) {
        for (let other = intAt(strips.start, rest); other < otherTo; other += 1) {
          const across = intAt(stacks.across, one) + intAt(strips.across, other);
          if (across > width) continue;
          const along = Math.max(floatAt(stacks.along, one), floatAt(strips.along, other));
          const edge = intAt(stacks.edge, one) + intAt(strips.edge, other);
          const count = 1 + intAt(strips.count, other);
          if (
            edge <= edges &&
            count <= mostStacks &&
            across * along <= mostArea &&
            (taken[across] as number) * along <= mostLength
          )
            strips.put(across, along, edge, count);
        }
      }
    }
    strips.close();
    return best;
  }

  /** The way back: what gave each best value is looked for again. */
  strips(): readonly Strip[] {
    const strips: Strip[] = [];
    for (let state = this.subsets.count - 1; state > 0;) {
      const part = this.#lastStrip(state);
      strips.push(this.#stripOf(part));
      state -= part;
    }
    return strips;
  }

  #lastStrip(state: number): number {
    const many = this.subsets.partsOf(state);
    for (let index = 0; index < many; index += 1) {
      const part = intAt(this.subsets.parts, index);
      const sum = floatAt(this.#stripLength, part) + floatAt(this.#shortest, state - part);
      if (Math.abs(sum - floatAt(this.#shortest, state)) < 1e-9) return part;
    }
    return state;
  }

  #stripOf(whole: number): Strip {
    const { width, edges, mostStacks } = this.asked;
    const along = floatAt(this.#stripLength, whole);
    const stacks: Stack[] = [];
    let [state, room, atEdge, count] = [whole, width, edges, mostStacks];
    while (state > 0) {
      const next = this.#nextStack(state, along, room, atEdge, count);
      if (next === undefined) throw new RangeError('a band that was found cannot be made');
      stacks.push(this.#stackOf(this.subsets.digits(next.part), next.across));
      state -= next.part;
      room -= next.across;
      atEdge -= next.edge;
      count -= 1;
    }
    return { along, stacks: stacks, filled: floatAt(this.allowed.area, whole) };
  }

  #nextStack(
    state: number,
    along: number,
    room: number,
    atEdge: number,
    count: number,
  ): { readonly part: number; readonly across: number; readonly edge: number } | undefined {
    const stacks = this.#stacks;
    const many = this.subsets.partsOf(state);
    for (let index = 0; index < many; index += 1) {
      const part = intAt(this.subsets.parts, index);
      const to = intAt(stacks.start, part + 1);
      for (let at = intAt(stacks.start, part); at < to; at += 1) {
        const [across, edge] = [intAt(stacks.across, at), intAt(stacks.edge, at)];
        if (
          floatAt(stacks.along, at) <= along &&
          this.#strips.fits(state - part, room - across, along, atEdge - edge, count - 1)
        )
          return { part, across, edge };
      }
    }
    return undefined;
  }

  #stackOf(counts: readonly number[], across: number): Stack {
    const pieces = counts.flatMap((count, at): Orientation[] => {
      const shortest = (this.orientationsOf[at] ?? [])
        .filter((orientation) => orientation.across <= across)
        .reduce<Orientation | undefined>(
          (least, orientation) =>
            least === undefined || orientation.along < least.along ? orientation : least,
          undefined,
        );
      return shortest === undefined ? [] : Array.from({ length: count }, () => shortest);
    });
    return { across: pieces.reduce((most, orientation) => Math.max(most, orientation.across), 0), pieces };
  }
}
