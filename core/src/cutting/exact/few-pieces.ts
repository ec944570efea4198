import type { Band, Column } from '../by-hand/band-shape';
import type { Lie } from '../by-hand/strip-problem';
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
export function bestBands({
  width,
  lies,
  left,
  stages,
  edges,
  mostColumns,
  mostBand,
  most,
  priced,
}: FewPieces): readonly Band[] | undefined {
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
  const { count: states, parts: subs } = selections;
  const area = selections.sums(sizes);
  const worth = selections.sums(prices);
  const taken = priced?.taken ?? new Float64Array(width + 1);

  const columns = new ColumnFronts(states);
  const bands = new ColumnFronts(states);
  bands.put(0, 0, 0, 0);
  columns.close();
  bands.close();
  const bandLength = new Float64Array(states).fill(NEVER);
  const shortest = new Float64Array(states).fill(NEVER);
  shortest[0] = 0;
  /**
   * All pieces of a selection in one column: for each width it may have, how long it then is; and whether one
   * of them wants an edge.
   */
  const widths = [...new Set(ways.flatMap((own) => own.map(({ across }) => across)))].sort(
    (one, other) => one - other,
  );
  const stacked = widths.map(() => new Float64Array(states));
  const shortestWithin = widths.map((across) =>
    ways.map((own) =>
      own.reduce(
        (least, lie) => (lie.across <= across ? Math.min(least, lie.along) : least),
        Number.POSITIVE_INFINITY,
      ),
    ),
  );
  const wants = ways.map((own) => (own.some(({ wantsEdge }) => wantsEdge) ? 1 : 0));
  const wanting = new Uint8Array(states);

  for (let state = 1; state < states; state += 1) {
    const mostArea = (area[state] as number) + mayLose;
    const mostLength = (worth[state] as number) + mayCost;
    const isOfUse = (across: number, along: number): boolean =>
      across * along <= mostArea && (taken[across] as number) * along <= mostLength;
    const before = selections.withoutFirst(state);
    const first = selections.firstOf(state);
    const edge = Math.max(wanting[before] as number, wants[first] ?? 0);
    wanting[state] = edge;
    let least = Number.POSITIVE_INFINITY;
    for (let place = 0; place < widths.length; place += 1) {
      const lengths = stacked[place] as Float64Array;
      const along =
        (lengths[before] as number) + (shortestWithin[place]?.[first] ?? Number.POSITIVE_INFINITY);
      lengths[state] = along;
      if (along >= least) continue;
      least = along;
      const across = widths[place] as number;
      if ((stages === 3 || before === 0) && along <= mostBand && edge <= edges && isOfUse(across, along))
        columns.put(across, along, edge, 1);
    }
    columns.close();

    const many = selections.partsOf(state);
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
          if (edge <= edges && count <= mostColumns && isOfUse(across, along))
            bands.put(across, along, edge, count);
        }
      }
    }
    bands.close();
    const shortestBand = bands.shortestOf(state);
    if (shortestBand * width <= mostArea && shortestBand <= mostLength) bandLength[state] = shortestBand;
    best = Math.min(best, bandLength[state] as number);
    shortest[state] = best * width <= mostArea && best <= mostLength ? best : NEVER;
  }
  if ((shortest[states - 1] as number) > most || (shortest[states - 1] as number) >= NEVER) return undefined;

  /** The way back: what gave each best value is looked for again. */
  const found: Band[] = [];
  for (let state = states - 1; state > 0;) {
    const many = selections.partsOf(state);
    let part = state;
    for (let index = 0; index < many; index += 1) {
      const own = subs[index] as number;
      if (
        Math.abs(
          (bandLength[own] as number) + (shortest[state - own] as number) - (shortest[state] as number),
        ) < 1e-9
      ) {
        part = own;
        break;
      }
    }
    found.push(bandOf(part));
    state -= part;
  }
  return found;

  function bandOf(whole: number): Band {
    const along = bandLength[whole] as number;
    const made: Column[] = [];
    let [state, room, atEdge, count] = [whole, width, edges, mostColumns];
    while (state > 0) {
      const many = selections.partsOf(state);
      let next: { readonly part: number; readonly across: number; readonly edge: number } | undefined;
      for (let index = 0; index < many && next === undefined; index += 1) {
        const part = subs[index] as number;
        for (
          let at = columns.start[part] as number;
          at < (columns.start[part + 1] as number) && next === undefined;
          at += 1
        ) {
          const [across, edge] = [columns.across[at] as number, columns.edge[at] as number];
          if (
            (columns.along[at] as number) <= along &&
            bands.fits(state - part, room - across, along, atEdge - edge, count - 1)
          )
            next = { part, across, edge };
        }
      }
      if (next === undefined) throw new RangeError('a band that was found cannot be made');
      made.push(columnOf(selections.digits(next.part), next.across));
      state -= next.part;
      room -= next.across;
      atEdge -= next.edge;
      count -= 1;
    }
    return { along, columns: made, filled: area[whole] as number };
  }

  function columnOf(counts: readonly number[], across: number): Column {
    const pieces = counts.flatMap((count, at): Lie[] => {
      const way = (ways[at] ?? [])
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
