import type { Band, Column } from './band-shape';
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
  const columns = made.flatMap(({ widths: own }, strip) =>
    own.map((width, place) => ({ strip, width, isAtEdge: place < edges })),
  );
  const stripOf = Int32Array.from(columns, ({ strip }) => strip);
  const inStrip = made.map((_, strip) =>
    columns.flatMap((column, at) => (column.strip === strip ? [at] : [])),
  );
  const ofWidth = widths.map((_, width) =>
    columns.flatMap((column, at) => (column.width === width ? [at] : [])),
  );
  const pieces = widths.flatMap(({ pieces: own }, width) => own.map((lie) => ({ lie, width })));
  const along = Int32Array.from(pieces, ({ lie }) => lie.along);
  const wants = Uint8Array.from(pieces, ({ lie }) => Number(lie.wantsEdge));
  const isEdged = wants.includes(1);
  const firstOf = widths.map((_, width) => pieces.findIndex((piece) => piece.width === width));
  const lengths = new Float64Array(columns.length);
  /** How many pieces of each column want an edge. */
  const wanting = new Int32Array(columns.length);
  const at = placedAtFirst();
  const longest = (strip: number): number => {
    let most = 0;
    for (const column of inStrip[strip] as number[])
      if ((lengths[column] as number) > most) most = lengths[column] as number;
    return most;
  };
  const misplaced = (strip: number): number =>
    inColumnsWithoutEdge(
      (inStrip[strip] ?? []).map((column) => wanting[column] ?? 0),
      edges,
    );
  const costOf = (strip: number): number => longest(strip) + (isEdged ? MISPLACED * misplaced(strip) : 0);
  const ends = made.map((_, strip) => costOf(strip));
  /** Pieces of a width that has one column stay where they are. */
  const movable = pieces.flatMap(({ width }, piece) => ((ofWidth[width]?.length ?? 0) > 1 ? [piece] : []));
  let cost = ends.reduce((sum, end) => sum + end, 0);
  let [best, bestAt] = [cost, at.slice()];
  const cooling = (last / first) ** (1 / Math.max(1, changes));
  for (let change = 0, heat = first; change < changes && movable.length > 0; change += 1, heat *= cooling) {
    const one = movable[Math.floor(random() * movable.length)] as number;
    const { width } = pieces[one] as { readonly width: number };
    const from = at[one] as number;
    const isSwap = random() < SWAPS;
    const own = ofWidth[width] as number[];
    const other = isSwap
      ? (firstOf[width] as number) + Math.floor(random() * (widths[width] as WidthPieces).pieces.length)
      : -1;
    const to = isSwap ? (at[other] as number) : (own[Math.floor(random() * own.length)] as number);
    const shift = (along[one] as number) - (isSwap ? (along[other] as number) : 0);
    const wish = (wants[one] as number) - (isSwap ? (wants[other] as number) : 0);
    if (to === from || (shift === 0 && wish === 0)) continue;
    const [here, there] = [stripOf[from] as number, stripOf[to] as number];
    lengths[from] = (lengths[from] as number) - shift;
    lengths[to] = (lengths[to] as number) + shift;
    wanting[from] = (wanting[from] as number) - wish;
    wanting[to] = (wanting[to] as number) + wish;
    const [endHere, endThere] = [costOf(here), costOf(there)];
    const longer =
      endHere - (ends[here] as number) + (there === here ? 0 : endThere - (ends[there] as number));
    if (longer > 0 && random() >= Math.exp(-longer / heat)) {
      lengths[from] = lengths[from] + shift;
      lengths[to] = lengths[to] - shift;
      wanting[from] = wanting[from] + wish;
      wanting[to] = wanting[to] - wish;
      continue;
    }
    at[one] = to;
    if (isSwap) at[other] = from;
    ends[here] = endHere;
    ends[there] = endThere;
    cost += longer;
    if (cost < best) {
      best = cost;
      bestAt = at.slice();
    }
  }
  const bands = inStrip.map(bandOf).filter((band) => band.along > 0);
  return bands.every(keepsEdges) ? { along: best, bands } : undefined;

  function keepsEdges({ columns: held }: Band): boolean {
    return (
      inColumnsWithoutEdge(
        held.map(({ pieces: own }) => own.filter(({ wantsEdge }) => wantsEdge).length),
        edges,
      ) === 0
    );
  }

  /** Those that want an edge first, longest first, each where most is missing. */
  function placedAtFirst(): Int32Array {
    const placed = new Int32Array(pieces.length);
    for (const piece of pieces
      .map((_, index) => index)
      .sort(
        (a, b) => (wants[b] as number) - (wants[a] as number) || (along[b] as number) - (along[a] as number),
      )) {
      let [found, room] = [0, Number.NEGATIVE_INFINITY];
      const open = ofWidth[pieces[piece]?.width ?? 0] ?? [];
      const atEdge = wants[piece] === 1 ? open.filter((column) => columns[column]?.isAtEdge === true) : [];
      for (const column of atEdge.length > 0 ? atEdge : open) {
        const own = (made[stripOf[column] as number]?.along ?? 0) - (lengths[column] as number);
        if (own > room) [found, room] = [column, own];
      }
      placed[piece] = found;
      lengths[found] = (lengths[found] as number) + (along[piece] as number);
      wanting[found] = (wanting[found] as number) + (wants[piece] as number);
    }
    return placed;
  }

  function bandOf(own: readonly number[]): Band {
    let [end, filled] = [0, 0];
    const held = own.flatMap((column): readonly Column[] => {
      const stacked = pieces.flatMap(({ lie }, piece) => (bestAt[piece] === column ? [lie] : []));
      const length = stacked.reduce((sum, lie) => sum + lie.along, 0);
      const across = widths[columns[column]?.width ?? 0]?.across ?? 0;
      end = Math.max(end, length);
      filled += across * length;
      return length === 0 ? [] : [{ across, pieces: stacked }];
    });
    return { along: end, columns: held, filled };
  }
}

/** How many pieces that want an edge have none, when the columns with most of them are put there. */
function inColumnsWithoutEdge(wanting: readonly number[], edges: number): number {
  return [...wanting]
    .sort((a, b) => b - a)
    .slice(edges)
    .reduce((sum, own) => sum + own, 0);
}
