import type { Lie } from '../by-hand/strip-problem';

/** A front of placed pieces across the roll: where each stretch begins, how far it reaches, and the wall on the right. */
export interface Skyline {
  readonly starts: Int32Array;
  readonly heights: Int32Array;
}

/** Where a piece lies, in steps. */
export interface PieceMove {
  readonly lie: Lie;
  readonly x: number;
  readonly y: number;
}

/** The lowest stretch, leftmost among equals. */
export function lowest({ heights }: Skyline): number {
  let at = 0;
  for (let index = 1; index < heights.length; index += 1) if ((heights[index] ?? 0) < (heights[at] ?? 0)) at = index;
  return at;
}

/** The front after stretch `at` was covered from `from` to `to` up to `height`; equal neighbours become one. */
export function raised({ starts, heights }: Skyline, width: number, at: number, from: number, to: number, height: number): Skyline {
  const x: number[] = [];
  const y: number[] = [];
  const add = (start: number, own: number): void => {
    if (y.length > 0 && y.at(-1) === own) return;
    x.push(start);
    y.push(own);
  };
  for (let index = 0; index < starts.length; index += 1) {
    const start = starts[index] ?? 0;
    const own = heights[index] ?? 0;
    if (index !== at) { add(start, own); continue; }
    const end = starts[index + 1] ?? width;
    if (from > start) add(start, own);
    add(from, height);
    if (to < end) add(to, own);
  }
  return { starts: Int32Array.from(x), heights: Int32Array.from(y) };
}
