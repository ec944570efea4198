import { describe, expect, it } from '@jest/globals';
import { isBetterPlan } from './better-plan';
import type { CutOrderPlan } from './cut-order';

/** A plan of an order, as far as it is compared: pieces left out, money, metres of each roll. */
const plan = (notLaid: readonly string[], cost: number, ...used_mm: readonly number[]): CutOrderPlan =>
  ({
    notLaid,
    cost: { value: cost, why: [] },
    uses: used_mm.map((used) => ({ used_mm: used })),
  }) as unknown as CutOrderPlan;
const money = { objective: 'money' } as const;
const length = { objective: 'length' } as const;

describe('which of two plans of an order is kept?', () => {
  it('one that leaves nothing out goes before a cheaper one that does', () => {
    expect(isBetterPlan(money, plan([], 90, 5000), plan(['SW1'], 40, 2000))).toBe(true);
    expect(isBetterPlan(money, plan(['SW1'], 40, 2000), plan([], 90, 5000))).toBe(false);
  });
  it('of two that leave as many out the cheaper, however long', () => {
    expect(isBetterPlan(money, plan(['SW1'], 39, 9000), plan(['SW2'], 40, 2000))).toBe(true);
  });
  it('where length is saved the shorter over all rolls, however dear', () => {
    expect(isBetterPlan(length, plan([], 99, 2000, 1500), plan([], 40, 3600))).toBe(true);
    expect(isBetterPlan(length, plan([], 40, 2000, 1700), plan([], 99, 3600))).toBe(false);
  });
  it('equal ones do not take each other’s place', () => {
    for (const objective of [money, length])
      expect(isBetterPlan(objective, plan([], 40, 2000), plan([], 40, 2000))).toBe(false);
  });
});
