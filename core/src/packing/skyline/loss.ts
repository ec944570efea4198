import type { Skylines } from './skylines';
import type { OrientationTable } from './orientation-table';

/**
 * Steps of length surely lost by a piece laid on segment `at` of a skyline: on each row of steps along it,
 * what the room there could have been worth less the piece and what the room it leaves at its sides can be
 * worth. Where a wall beside the segment ends, the room is wider. Lost over all pieces and worth of all
 * pieces together are the length of a layout, so that little lost is a short layout.
 * @param from where the segment begins
 * @param to where it ends
 * @param x where the piece begins, within them
 * @param index its lie in the table
 * @source own: reduced costs of the bar relaxation, row by row
 */
export function lossOf(
  { width, across, along, rate, room }: OrientationTable,
  { starts, heights, segmentCount, stride, narrowest }: Skylines,
  row: number,
  at: number,
  from: number,
  to: number,
  x: number,
  index: number,
): number {
  const base = row * stride;
  const count = segmentCount[row] as number;
  const least = narrowest[row] as number;
  const own = rate[index] as number;
  const end = x + (across[index] as number);
  let y = heights[base + at] as number;
  const top = y + (along[index] as number);
  let [left, right] = [at, at];
  let [begin, stop] = [from, to];
  let loss = 0;
  for (;;) {
    const leftWall = left === 0 ? top : (heights[base + left - 1] as number);
    const rightWall = right === count - 1 ? top : (heights[base + right + 1] as number);
    const until = Math.min(leftWall, rightWall, top);
    const before = x - begin;
    const after = stop - end;
    if (until > y)
      loss +=
        (until - y) *
        ((room[stop - begin] as number) -
          own -
          (before < least ? 0 : (room[before] as number)) -
          (after < least ? 0 : (room[after] as number)));
    if (until === top) return loss;
    y = until;
    while (left > 0 && (heights[base + left - 1] as number) <= y) {
      left -= 1;
      begin = starts[base + left] as number;
    }
    while (right < count - 1 && (heights[base + right + 1] as number) <= y) {
      right += 1;
      stop = right + 1 < count ? (starts[base + right + 1] as number) : width;
    }
  }
}
