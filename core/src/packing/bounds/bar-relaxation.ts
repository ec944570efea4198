import type { PackingProblem } from '../problem/packing-problem';
import type { ItemDemand } from './item-demand';
import { type LeastCost, leastCost } from './least-cost';

const LENGTHY = 1e9;

/** The ways each item type can lie on any roll not wider than this, as the bound wants them. */
export function itemDemands({ itemTypes }: PackingProblem, widest: number): readonly ItemDemand[] {
  return itemTypes.map(({ across, along, quantity, mayTurn }): ItemDemand => ({
    quantity,
    orientations: ([[across, along], ...(mayTurn ? [[along, across]] : [])] as [number, number][]).filter(
      ([pieceAcross], index) => pieceAcross <= widest || index === 0,
    ),
  }));
}

/** The bar relaxation of one roll, in steps of length. @returns undefined with too many item types */
export function barRelaxation(problem: PackingProblem): LeastCost | undefined {
  return leastCost([{ width: problem.width, cost: 1, most: LENGTHY }], itemDemands(problem, problem.width));
}
