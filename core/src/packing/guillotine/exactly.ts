import { bestBands } from '../exact/few-pieces';
import { type PricedRoom, pricedRoom } from '../exact/priced-room';
import type { LaidBand, Space } from './space';
import type { StripProblem } from '../problem/strip-problem';

const NEAR = 1e-9;

/** Few pieces laid in the shortest way there is on one space; undefined when that costs more than `most`. */
export type Exactly = (space: number, left: Int32Array, most: number) => readonly LaidBand[] | undefined;

/** @param prices of the bound, if it has any: they are carried over to each roll once */
export function exactlyOn(
  spaces: readonly Space[],
  stages: 2 | 3,
  prices: readonly number[] | undefined,
): Exactly {
  const rooms = new Map<StripProblem, PricedRoom>();
  return (index, left, most) => {
    const space = spaces[index];
    if (space === undefined || space.cost <= 0) return undefined;
    const { problem, cost, mostBand, mostColumns, edges } = space;
    const priced = prices && (rooms.get(problem) ?? pricedRoom(problem, prices));
    if (priced !== undefined) rooms.set(problem, priced);
    return bestBands({
      width: problem.width,
      lies: problem.lies,
      left,
      stages,
      edges,
      mostColumns,
      mostBand,
      most: most / cost + NEAR,
      priced,
    })?.map((band) => ({ space: index, band }));
  };
}
