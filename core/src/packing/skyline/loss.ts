import { intAt, floatAt } from '../../quantity';
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
 * @param index of its orientation in the table
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
  const count = intAt(segmentCount, row);
  const least = intAt(narrowest, row);
  const pieceRate = floatAt(rate, index);
  const end = x + intAt(across, index);
  let y = intAt(heights, base + at);
  const top = y + intAt(along, index);
  let [left, right, begin, stop] = [at, at, from, to];
  let loss = 0;
  for (;;) {
    const leftWall = left === 0 ? top : intAt(heights, base + left - 1);
    const rightWall = right === count - 1 ? top : intAt(heights, base + right + 1);
    const until = Math.min(leftWall, rightWall, top);
    const [before, after] = [x - begin, stop - end];
    if (until > y)
      loss +=
        (until - y) *
        (floatAt(room, stop - begin) - pieceRate - roomIn(room, before, least) - roomIn(room, after, least));
    if (until === top) return loss;
    y = until;
    while (left > 0 && intAt(heights, base + left - 1) <= y) {
      left -= 1;
      begin = intAt(starts, base + left);
    }
    while (right < count - 1 && intAt(heights, base + right + 1) <= y) {
      right += 1;
      stop = right + 1 < count ? intAt(starts, base + right + 1) : width;
    }
  }
}

/** What a gap can be worth; one narrower than anything left is worth nothing. */
function roomIn(room: Float64Array, gap: number, least: number): number {
  return gap < least ? 0 : floatAt(room, gap);
}
