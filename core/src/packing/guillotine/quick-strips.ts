import { intAt } from '../../quantity';
import type { Stack } from './strip-shape';
import type { LaidStrip, StockSegment } from './stock-segment';
import type { Orientation } from '../problem/packing-problem';

/** A strip that pieces are still put into. */
interface OpenStrip {
  readonly along: number;
  rest: number;
  readonly stacks: OpenStack[];
}
interface OpenStack {
  readonly across: number;
  used: number;
  readonly pieces: Orientation[];
}

/** So many strips are looked through for a place, the newest of them. */
const MOST_OPEN = 40;

/**
 * A layout at once, for orders so large that a thrifty one takes its time: longest pieces first, each into
 * the first of the last strips where it fits beside or behind another; the cheapest film first.
 * @returns undefined when some piece fits nowhere, or one wants a factory edge
 * @source first fit by falling length, on levels, as in Coffman, Garey, Johnson and Tarjan 1980 (from memory)
 */
export function quickStrips(
  segments: readonly StockSegment[],
  pieces: Int32Array,
  stages: 2 | 3,
): readonly LaidStrip[] | undefined {
  const left = Int32Array.from(pieces);
  const laid: LaidStrip[] = [];
  const order = [...segments.keys()].sort((a, b) => pricePerArea(segments[a]) - pricePerArea(segments[b]));
  for (const index of order) {
    const segment = segments[index];
    if (segment === undefined) continue;
    if (segment.problem.orientations.some(({ wantsEdge }) => wantsEdge)) return undefined;
    for (const { along, stacks } of filled(segment, left, stages))
      laid.push({ segment: index, strip: { along, stacks: stacks.map(asStack), filled: areaOf(stacks) } });
  }
  return left.every((count) => count === 0) ? laid : undefined;
}

const pricePerArea = (segment: StockSegment | undefined): number =>
  segment === undefined ? Number.POSITIVE_INFINITY : segment.cost / segment.problem.width;

const asStack = ({ across, pieces }: OpenStack): Stack => ({ across, pieces });

function areaOf(stacks: readonly OpenStack[]): number {
  return stacks.reduce(
    (sum, { pieces }) => sum + pieces.reduce((area, { across, along }) => area + across * along, 0),
    0,
  );
}

/** The strips of one segment; what they hold is taken off what is left. */
function filled(segment: StockSegment, left: Int32Array, stages: 2 | 3): readonly OpenStrip[] {
  const strips: OpenStrip[] = [];
  let used = 0;
  for (const orientation of shortestFirstWay(segment, left)) {
    for (let count = intAt(left, orientation.itemType); count > 0; count -= 1) {
      if (!putInto(strips, orientation, segment.mostStacks, stages)) {
        if (used + orientation.along > segment.most) break;
        used += orientation.along;
        strips.push(opened(orientation, segment.problem.width));
      }
      left[orientation.itemType] = intAt(left, orientation.itemType) - 1;
    }
  }
  return strips;
}

/** Each item type that is left in the way that takes the least length, the longest first. */
function shortestFirstWay(
  { problem, most, mostStrip }: StockSegment,
  left: Int32Array,
): readonly Orientation[] {
  const shortest = new Map<number, Orientation>();
  for (const orientation of problem.orientations) {
    if (intAt(left, orientation.itemType) === 0 || orientation.along > Math.min(most, mostStrip)) continue;
    const known = shortest.get(orientation.itemType);
    if (known === undefined || orientation.along < known.along)
      shortest.set(orientation.itemType, orientation);
  }
  return [...shortest.values()].sort((a, b) => b.along - a.along || b.across - a.across);
}

const opened = (orientation: Orientation, width: number): OpenStrip => ({
  along: orientation.along,
  rest: width - orientation.across,
  stacks: [{ across: orientation.across, used: orientation.along, pieces: [orientation] }],
});

function putInto(
  strips: readonly OpenStrip[],
  orientation: Orientation,
  mostStacks: number,
  stages: 2 | 3,
): boolean {
  for (let at = Math.max(0, strips.length - MOST_OPEN); at < strips.length; at += 1) {
    const strip = strips[at];
    if (strip === undefined) continue;
    const stack =
      stages === 3
        ? strip.stacks.find(
            ({ across, used }) => orientation.across <= across && used + orientation.along <= strip.along,
          )
        : undefined;
    if (stack !== undefined) {
      stack.used += orientation.along;
      stack.pieces.push(orientation);
      return true;
    }
    if (strip.rest >= orientation.across && strip.stacks.length < mostStacks) {
      strip.rest -= orientation.across;
      strip.stacks.push({ across: orientation.across, used: orientation.along, pieces: [orientation] });
      return true;
    }
  }
  return false;
}
