import { intAt } from '../../quantity';

/**
 * Many skylines of placed pieces side by side, each a row in flat arrays: a search step copies rows and never
 * makes objects. A skyline is cut into segments across the roll: where each begins and how far it reaches
 * along it.
 */
export interface Skylines {
  readonly stride: number;
  readonly itemTypes: number;
  /** Rows of segments. */
  readonly starts: Int32Array;
  readonly heights: Int32Array;
  /** How many segments a row has. */
  readonly segmentCount: Int32Array;
  /** Rows of pieces left by item type. */
  readonly left: Uint16Array;
  /** Least side across of what is left. */
  readonly narrowest: Int32Array;
  readonly tallest: Int32Array;
  /** Steps of length of certain waste. */
  readonly waste: Float64Array;
  /** Steps of length its pieces are worth, and what speaks for having laid them. */
  readonly dualPrice: Float64Array;
  readonly priority: Float64Array;
  /** The placement that made the skyline, in the placement log. */
  readonly placing: Int32Array;
}

/** Room for so many skylines of so many segments and item types. */
export function roomForSkylines(rows: number, stride: number, itemTypes: number): Skylines {
  return {
    stride,
    itemTypes,
    starts: new Int32Array(rows * stride),
    heights: new Int32Array(rows * stride),
    segmentCount: new Int32Array(rows),
    left: new Uint16Array(rows * itemTypes),
    narrowest: new Int32Array(rows),
    tallest: new Int32Array(rows),
    waste: new Float64Array(rows),
    dualPrice: new Float64Array(rows),
    priority: new Float64Array(rows),
    placing: new Int32Array(rows),
  };
}

/** The lowest segment of a row, leftmost among equals, counted within the row. */
export function lowestSkylineSegment({ heights, segmentCount, stride }: Skylines, row: number): number {
  const base = row * stride;
  const end = base + intAt(segmentCount, row);
  let at = base;
  let least = intAt(heights, base);
  for (let index = base + 1; index < end; index += 1) {
    const height = intAt(heights, index);
    if (height < least) {
      least = height;
      at = index;
    }
  }
  return at - base;
}

/** Raises a whole segment to a neighbour's height, in place; it becomes one with equal neighbours. */
export function raiseSkylineSegment(
  { starts, heights, segmentCount, stride }: Skylines,
  row: number,
  at: number,
  height: number,
): void {
  const base = row * stride;
  const count = intAt(segmentCount, row);
  heights[base + at] = height;
  let filled = base + Math.max(0, at - 1);
  for (let index = filled + 1; index < base + count; index += 1) {
    const segmentHeight = intAt(heights, index);
    if (segmentHeight === heights[filled]) continue;
    filled += 1;
    heights[filled] = segmentHeight;
    starts[filled] = intAt(starts, index);
  }
  segmentCount[row] = filled + 1 - base;
}

/**
 * Copies a row's segments to another row of other skylines, with segment `at` covered from `from` to `to` up
 * to `height`; equal neighbours become one.
 */
export function coverSkylineSegment(
  source: Skylines,
  row: number,
  target: Skylines,
  into: number,
  at: number,
  from: number,
  to: number,
  end: number,
  height: number,
): void {
  const base = row * source.stride;
  const rowStart = into * target.stride;
  const count = intAt(source.segmentCount, row);
  const { starts, heights } = target;
  copySegments(source, base, target, rowStart, at);
  let filled = rowStart + at;
  const start = intAt(source.starts, base + at);
  const low = intAt(source.heights, base + at);
  if (from > start) {
    starts[filled] = start;
    heights[filled] = low;
    filled += 1;
  }
  if (filled === rowStart || heights[filled - 1] !== height) {
    starts[filled] = from;
    heights[filled] = height;
    filled += 1;
  }
  if (to < end) {
    starts[filled] = to;
    heights[filled] = low;
    filled += 1;
  }
  let index = at + 1;
  if (index < count && source.heights[base + index] === heights[filled - 1]) index += 1;
  copySegments(source, base + index, target, filled, count - index);
  target.segmentCount[into] = filled + count - index - rowStart;
}

function copySegments(source: Skylines, from: number, target: Skylines, to: number, count: number): void {
  for (let index = 0; index < count; index += 1) {
    target.starts[to + index] = intAt(source.starts, from + index);
    target.heights[to + index] = intAt(source.heights, from + index);
  }
}
