import type { StripProblem } from '../problem/strip-problem';
import type { BarDemand } from './bar-demand';
import { type LeastCost, leastCost } from './least-cost';

const LENGTHY = 1e9;

/** The ways each kind of piece can lie on any roll not wider than this, as the bound wants them. */
export function barDemands({ kinds }: StripProblem, widest: number): readonly BarDemand[] {
  return kinds.map(({ across, along, quantity, mayTurn }): BarDemand => ({
    quantity,
    lies: ([[across, along], ...(mayTurn ? [[along, across]] : [])] as [number, number][]).filter(
      ([own], index) => own <= widest || index === 0,
    ),
  }));
}

/** The bar relaxation of one roll, in steps of length. @returns undefined with too many kinds */
export function barsOfStrip(problem: StripProblem): LeastCost | undefined {
  return leastCost([{ width: problem.width, cost: 1, most: LENGTHY }], barDemands(problem, problem.width));
}
