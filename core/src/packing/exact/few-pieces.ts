import type { Band, Column } from '../guillotine/band-shape';
import type { Lie } from '../problem/strip-problem';
import { ColumnFronts } from './column-fronts';
import type { PricedRoom } from './priced-room';
import { Selections } from './selections';

export interface FewPieces {
  readonly width: number;
  /** The ways pieces can lie; a kind may come twice. */
  readonly lies: readonly Lie[];
  /** How many of each kind there are. */
  readonly left: ArrayLike<number>;
  readonly stages: 2 | 3;
  /** Columns of a band that can lie at a factory edge, and columns it may have at all. */
  readonly edges: number;
  readonly mostColumns: number;
  /** Longest band. */
  readonly mostBand: number;
  /** Only layouts not longer than this are of use. */
  readonly most: number;
  /** What the bound knows: the nearer `most` is to it, the less there is to go through. */
  readonly priced?: PricedRoom | undefined;
}

const NEVER = Number.MAX_SAFE_INTEGER;
const NEAR = 1e-7;

/**
 * The shortest layout in bands of all pieces given, proven: a dynamic programme over every selection of them.
 * Columns and bands that lose more than a layout of use may are left out.
 * @returns its bands, shortest in all; undefined when none is as short as `most`. Work grows with the square
 * of `selectionsOf`, at worst
 * @source own; the recursion is the exact one for three-stage guillotine cutting with trimming (from memory:
 * Gilmore and Gomory 1965)
 */
export function bestBands(asked: FewPieces): readonly Band[] | undefined {
  const { width, lies, left, mostBand, most, priced } = asked;
  const kinds = [...new Set(lies.map(({ kind }) => kind))].filter((kind) => (left[kind] ?? 0) > 0);
  const quantities = kinds.map((kind) => left[kind] ?? 0);
  const ways = kinds.map((kind) =>
    lies.filter((lie) => lie.kind === kind && lie.across <= width && lie.along <= mostBand),
  );
  if (ways.some((own) => own.length === 0)) return undefined;
  const sizes = ways.map(([way]) => (way === undefined ? 0 : way.across * way.along));
  const prices = kinds.map((kind) => priced?.own[kind] ?? 0);
  const mayLose = most * width - sizes.reduce((sum, size, at) => sum + size * (quantities[at] ?? 0), 0);
  const mayCost =
    (priced === undefined
      ? NEVER
      : most - prices.reduce((sum, price, at) => sum + price * (quantities[at] ?? 0), 0)) +
    NEAR * most;
  if (mayLose < 0 || mayCost < 0) return undefined;
  const selections = new Selections(quantities);
  const programme = new BandProgramme(asked, ways, selections, {
    area: selections.sums(sizes),
    worth: selections.sums(prices),
    mayLose,
    mayCost,
  });
  for (let state = 1; state < selections.count; state += 1) programme.solve(state);
  return programme.shortestOfAll > most || programme.shortestOfAll >= NEVER ? undefined : programme.bands();
}

/** What a selection holds and is worth, and what a layout of use may lose beside it. */
interface Allowed {
  readonly area: Float64Array;
  readonly worth: Float64Array;
  readonly mayLose: number;
  readonly mayCost: number;
}

/** The dynamic programme: selections in order, each solved from those that are parts of it. */
class BandProgramme {
  readonly #columns: ColumnFronts;
  readonly #bands: ColumnFronts;
  readonly #bandLength: Float64Array;
  readonly #shortest: Float64Array;
  /** Widths a column may have, narrowest first. */
  readonly #widths: readonly number[];
  /**
   * All pieces of a selection in one column: for each width it may have, how long it then is; and whether one
   * of them wants an edge.
   */
  readonly #stacked: readonly Float64Array[];
  readonly #shortestWithin: readonly (readonly number[])[];
  readonly #wants: readonly number[];
  readonly #wanting: Uint8Array;
  readonly #taken: Float64Array | readonly number[];

  constructor(
    private readonly asked: FewPieces,
    private readonly ways: readonly (readonly Lie[])[],
    private readonly selections: Selections,
    private readonly allowed: Allowed,
  ) {
    const states = selections.count;
    this.#columns = new ColumnFronts(states);
    this.#bands = new ColumnFronts(states);
    this.#bands.put(0, 0, 0, 0);
    this.#columns.close();
    this.#bands.close();
    this.#bandLength = new Float64Array(states).fill(NEVER);
    this.#shortest = new Float64Array(states).fill(NEVER);
    this.#shortest[0] = 0;
    this.#widths = [...new Set(ways.flatMap((own) => own.map(({ across }) => across)))].sort((a, b) => a - b);
    this.#stacked = this.#widths.map(() => new Float64Array(states));
    this.#shortestWithin = this.#widths.map((across) =>
      ways.map((own) =>
        own.reduce(
          (least, lie) => (lie.across <= across ? Math.min(least, lie.along) : least),
          Number.POSITIVE_INFINITY,
        ),
      ),
    );
    this.#wants = ways.map((own) => (own.some(({ wantsEdge }) => wantsEdge) ? 1 : 0));
    this.#wanting = new Uint8Array(states);
    this.#taken = asked.priced?.taken ?? new Float64Array(asked.width + 1);
  }

  get shortestOfAll(): number {
    return this.#shortest[this.selections.count - 1] as number;
  }

  solve(state: number): void {
    const { area, worth, mayLose, mayCost } = this.allowed;
    const mostArea = (area[state] as number) + mayLose;
    const mostLength = (worth[state] as number) + mayCost;
    this.#columnsOf(state, mostArea, mostLength);
    const inParts = this.#bandsOf(state, mostArea, mostLength);
    const shortestBand = this.#bands.shortestOf(state);
    if (shortestBand * this.asked.width <= mostArea && shortestBand <= mostLength)
      this.#bandLength[state] = shortestBand;
    const best = Math.min(inParts, this.#bandLength[state] as number);
    this.#shortest[state] = best * this.asked.width <= mostArea && best <= mostLength ? best : NEVER;
  }

  /** All pieces of a selection in one column, at every width that makes it shorter. */
  #columnsOf(state: number, mostArea: number, mostLength: number): void {
    const { stages, mostBand, edges } = this.asked;
    const taken = this.#taken;
    const before = this.selections.withoutFirst(state);
    const first = this.selections.firstOf(state);
    const edge = Math.max(this.#wanting[before] as number, this.#wants[first] ?? 0);
    this.#wanting[state] = edge;
    let least = Number.POSITIVE_INFINITY;
    for (let place = 0; place < this.#widths.length; place += 1) {
      const lengths = this.#stacked[place] as Float64Array;
      const along =
        (lengths[before] as number) + (this.#shortestWithin[place]?.[first] ?? Number.POSITIVE_INFINITY);
      lengths[state] = along;
      if (along >= least) continue;
      least = along;
      const across = this.#widths[place] as number;
      if (
        (stages === 3 || before === 0) &&
        along <= mostBand &&
        edge <= edges &&
        across * along <= mostArea &&
        (taken[across] as number) * along <= mostLength
      )
        this.#columns.put(across, along, edge, 1);
    }
    this.#columns.close();
  }

  /** A column beside a band of the rest. @returns the shortest of two bands one behind the other */
  #bandsOf(state: number, mostArea: number, mostLength: number): number {
    const { width, edges, mostColumns } = this.asked;
    const [columns, bands, taken] = [this.#columns, this.#bands, this.#taken];
    const [bandLength, shortest] = [this.#bandLength, this.#shortest];
    const many = this.selections.partsOf(state);
    const subs = this.selections.parts;
    let best = NEVER;
    for (let index = 0; index < many; index += 1) {
      const part = subs[index] as number;
      const rest = state - part;
      if (part !== state) {
        const sum = (bandLength[part] as number) + (shortest[rest] as number);
        if (sum < best) best = sum;
      }
      const [to, otherTo] = [columns.start[part + 1] as number, bands.start[rest + 1] as number];
      for (let one = columns.start[part] as number; one < to; one += 1) {
        for (let other = bands.start[rest] as number; other < otherTo; other += 1) {
          const across = (columns.across[one] as number) + (bands.across[other] as number);
          if (across > width) continue;
          const along = Math.max(columns.along[one] as number, bands.along[other] as number);
          const edge = (columns.edge[one] as number) + (bands.edge[other] as number);
          const count = 1 + (bands.count[other] as number);
          if (
            edge <= edges &&
            count <= mostColumns &&
            across * along <= mostArea &&
            (taken[across] as number) * along <= mostLength
          )
            bands.put(across, along, edge, count);
        }
      }
    }
    bands.close();
    return best;
  }

  /** The way back: what gave each best value is looked for again. */
  bands(): readonly Band[] {
    const found: Band[] = [];
    for (let state = this.selections.count - 1; state > 0;) {
      const part = this.#lastBand(state);
      found.push(this.#bandOf(part));
      state -= part;
    }
    return found;
  }

  #lastBand(state: number): number {
    const many = this.selections.partsOf(state);
    for (let index = 0; index < many; index += 1) {
      const own = this.selections.parts[index] as number;
      const sum = (this.#bandLength[own] as number) + (this.#shortest[state - own] as number);
      if (Math.abs(sum - (this.#shortest[state] as number)) < 1e-9) return own;
    }
    return state;
  }

  #bandOf(whole: number): Band {
    const { width, edges, mostColumns } = this.asked;
    const along = this.#bandLength[whole] as number;
    const made: Column[] = [];
    let [state, room, atEdge, count] = [whole, width, edges, mostColumns];
    while (state > 0) {
      const next = this.#nextColumn(state, along, room, atEdge, count);
      if (next === undefined) throw new RangeError('a band that was found cannot be made');
      made.push(this.#columnOf(this.selections.digits(next.part), next.across));
      state -= next.part;
      room -= next.across;
      atEdge -= next.edge;
      count -= 1;
    }
    return { along, columns: made, filled: this.allowed.area[whole] as number };
  }

  #nextColumn(
    state: number,
    along: number,
    room: number,
    atEdge: number,
    count: number,
  ): { readonly part: number; readonly across: number; readonly edge: number } | undefined {
    const columns = this.#columns;
    const many = this.selections.partsOf(state);
    for (let index = 0; index < many; index += 1) {
      const part = this.selections.parts[index] as number;
      const to = columns.start[part + 1] as number;
      for (let at = columns.start[part] as number; at < to; at += 1) {
        const [across, edge] = [columns.across[at] as number, columns.edge[at] as number];
        if (
          (columns.along[at] as number) <= along &&
          this.#bands.fits(state - part, room - across, along, atEdge - edge, count - 1)
        )
          return { part, across, edge };
      }
    }
    return undefined;
  }

  #columnOf(counts: readonly number[], across: number): Column {
    const pieces = counts.flatMap((count, at): Lie[] => {
      const way = (this.ways[at] ?? [])
        .filter((lie) => lie.across <= across)
        .reduce<Lie | undefined>(
          (least, lie) => (least === undefined || lie.along < least.along ? lie : least),
          undefined,
        );
      return way === undefined ? [] : Array.from({ length: count }, () => way);
    });
    return { across: pieces.reduce((most, lie) => Math.max(most, lie.across), 0), pieces };
  }
}
