import type { CutOrder, CutOrderPlan } from './cut-order';

/**
 * Whether one plan of an order goes before another: what leaves fewer pieces out, then what costs less, or
 * uses less where length is saved.
 */
export function isBetterPlan(
  { objective }: Pick<CutOrder, 'objective'>,
  plan: CutOrderPlan,
  than: CutOrderPlan,
): boolean {
  const dualPrice = ({ uses, cost }: CutOrderPlan): number =>
    objective === 'length' ? uses.reduce((sum, { used_mm }) => sum + used_mm, 0) : cost.value;
  return plan.notLaid.length === than.notLaid.length
    ? dualPrice(plan) < dualPrice(than)
    : plan.notLaid.length < than.notLaid.length;
}
