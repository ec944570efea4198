import type { Column } from './band-shape';
import type { LaidBand, Space } from './space';
import type { Lie } from '../problem/strip-problem';

/** A band that pieces are still put into. */
interface OpenBand {
  readonly along: number;
  rest: number;
  readonly columns: OpenColumn[];
}
interface OpenColumn {
  readonly across: number;
  used: number;
  readonly pieces: Lie[];
}

/** So many bands are looked through for a place, the newest of them. */
const MOST_OPEN = 40;

/**
 * A layout at once, for orders so large that a thrifty one takes its time: longest pieces first, each into
 * the first of the last bands where it fits beside or behind another; the cheapest film first.
 * @returns undefined when some piece fits nowhere, or one wants a factory edge
 * @source first fit by falling length, on levels, as in Coffman, Garey, Johnson and Tarjan 1980 (from memory)
 */
export function quickBands(
  spaces: readonly Space[],
  pieces: Int32Array,
  stages: 2 | 3,
): readonly LaidBand[] | undefined {
  const left = Int32Array.from(pieces);
  const laid: LaidBand[] = [];
  const order = [...spaces.keys()].sort((a, b) => pricePerArea(spaces[a]) - pricePerArea(spaces[b]));
  for (const index of order) {
    const space = spaces[index];
    if (space === undefined) continue;
    if (space.problem.lies.some(({ wantsEdge }) => wantsEdge)) return undefined;
    for (const { along, columns } of filled(space, left, stages))
      laid.push({ space: index, band: { along, columns: columns.map(asColumn), filled: areaOf(columns) } });
  }
  return left.every((count) => count === 0) ? laid : undefined;
}

const pricePerArea = (space: Space | undefined): number =>
  space === undefined ? Number.POSITIVE_INFINITY : space.cost / space.problem.width;

const asColumn = ({ across, pieces }: OpenColumn): Column => ({ across, pieces });

function areaOf(columns: readonly OpenColumn[]): number {
  return columns.reduce(
    (sum, { pieces }) => sum + pieces.reduce((own, { across, along }) => own + across * along, 0),
    0,
  );
}

/** The bands of one space; what they hold is taken off what is left. */
function filled(space: Space, left: Int32Array, stages: 2 | 3): readonly OpenBand[] {
  const bands: OpenBand[] = [];
  let used = 0;
  for (const lie of shortestFirstWay(space, left)) {
    for (let count = left[lie.kind] ?? 0; count > 0; count -= 1) {
      if (!putInto(bands, lie, space.mostColumns, stages)) {
        if (used + lie.along > space.most) break;
        used += lie.along;
        bands.push(opened(lie, space.problem.width));
      }
      left[lie.kind] = (left[lie.kind] ?? 0) - 1;
    }
  }
  return bands;
}

/** Each kind that is left in the way that takes the least length, the longest first. */
function shortestFirstWay({ problem, most, mostBand }: Space, left: Int32Array): readonly Lie[] {
  const ways = new Map<number, Lie>();
  for (const lie of problem.lies) {
    if ((left[lie.kind] ?? 0) === 0 || lie.along > Math.min(most, mostBand)) continue;
    const other = ways.get(lie.kind);
    if (other === undefined || lie.along < other.along) ways.set(lie.kind, lie);
  }
  return [...ways.values()].sort((a, b) => b.along - a.along || b.across - a.across);
}

const opened = (lie: Lie, width: number): OpenBand => ({
  along: lie.along,
  rest: width - lie.across,
  columns: [{ across: lie.across, used: lie.along, pieces: [lie] }],
});

function putInto(bands: readonly OpenBand[], lie: Lie, mostColumns: number, stages: 2 | 3): boolean {
  for (let at = Math.max(0, bands.length - MOST_OPEN); at < bands.length; at += 1) {
    const band = bands[at];
    if (band === undefined) continue;
    const column =
      stages === 3
        ? band.columns.find(({ across, used }) => lie.across <= across && used + lie.along <= band.along)
        : undefined;
    if (column !== undefined) {
      column.used += lie.along;
      column.pieces.push(lie);
      return true;
    }
    if (band.rest >= lie.across && band.columns.length < mostColumns) {
      band.rest -= lie.across;
      band.columns.push({ across: lie.across, used: lie.along, pieces: [lie] });
      return true;
    }
  }
  return false;
}
