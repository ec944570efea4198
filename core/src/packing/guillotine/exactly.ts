import { bestStrips } from '../exact/few-pieces';
import { type ReducedCosts, reducedCosts } from '../exact/reduced-costs';
import type { LaidStrip, StockSegment } from './stock-segment';
import type { PackingProblem } from '../problem/packing-problem';

const NEAR = 1e-9;

/**
 * Few pieces laid in the shortest way there is on one segment; undefined when that costs more than `most`.
 */
export type Exactly = (segment: number, left: Int32Array, most: number) => readonly LaidStrip[] | undefined;

/** @param prices of the bound, if it has any: they are carried over to each roll once */
export function exactlyOn(
  segments: readonly StockSegment[],
  stages: 2 | 3,
  prices: readonly number[] | undefined,
): Exactly {
  const rooms = new Map<PackingProblem, ReducedCosts>();
  return (index, left, most) => {
    const segment = segments[index];
    if (segment === undefined || segment.cost <= 0) return undefined;
    const { problem, cost, mostStrip, mostStacks, edges } = segment;
    const priced = prices && (rooms.get(problem) ?? reducedCosts(problem, prices));
    if (priced !== undefined) rooms.set(problem, priced);
    return bestStrips({
      width: problem.width,
      orientations: problem.orientations,
      left,
      stages,
      edges,
      mostStacks,
      mostStrip,
      most: most / cost + NEAR,
      priced,
    })?.map((strip) => ({ segment: index, strip }));
  };
}
