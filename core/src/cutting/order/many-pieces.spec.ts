import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../quantity';
import { type CutOrder, type OrderPiece, planOrderSteps } from '..';
import { checkCuttable } from '../../packing';

const RATES = {
  perCrossCut: 1,
  perSlit: 0.5,
  perPiece: 0.2,
  keepWidth_mm: 200,
  keepLength_mm: 500,
  keepShare: 0.3,
  perSplitGroup: 0,
};

/** Pieces of nearly as many sizes as there are pieces, on a roll in stock and on rolls to order. */
function large(count: number, more: Partial<CutOrder> = {}): CutOrder {
  const random = seededRandom(7);
  return {
    stocks: [
      {
        ...{ id: 'r', what: 'roll', width_mm: 1220, length_mm: 20_000, perMetre: 10, whole: 0 },
        ...{ lot: 'a', edges: 'both' },
      },
      {
        ...{ id: 'o', what: 'to order', width_mm: 1524, length_mm: 30_480, perMetre: 14, whole: 0 },
        ...{ lot: '', edges: 'both' },
      },
    ],
    pieces: Array.from({ length: count }, (_, index): OrderPiece => ({
      id: `p${index}`,
      across_mm: Math.round(2000 + random() * 9000) / 10,
      along_mm: Math.round(3000 + random() * 17_000) / 10,
      mayTurn90: index % 3 !== 0,
      group: '',
    })),
    pinned: [],
    mode: 'by hand',
    stages: 3,
    gap_mm: 0,
    endWaste_mm: 0,
    mostSheet_mm: Number.POSITIVE_INFINITY,
    objective: 'money',
    rates: RATES,
    ...more,
  };
}

describe('is an order of thousands of pieces answered as soon as it is asked?', () => {
  it.each(['money', 'length'] as const)(
    'for %s: the first plan holds every piece once, cut by hand, with what no plan could go below',
    (objective) => {
      const order = large(700, { objective });
      const { value: first, done } = planOrderSteps(order, { seed: 1, mostRounds: 1 }).next();
      expect(done).toBe(false);
      const placed = first.uses.flatMap((use) => use.placed);
      expect(new Set(placed.map(({ id }) => id)).size).toBe(700);
      expect(placed).toHaveLength(700);
      expect(first.notLaid).toEqual([]);
      for (const { stockId, placed: own, used_mm } of first.uses) {
        const stock = order.stocks.find(({ id }) => id === stockId);
        expect(used_mm).toBeLessThanOrEqual(stock?.length_mm ?? 0);
        expect(checkCuttable(own, 3)).toEqual([]);
      }
      expect(first.filmBound.value).toBeGreaterThan(0.7 * first.film.value);
      expect(first.filmBound.value).toBeLessThanOrEqual(first.film.value);
    },
  );
  it('while strips are chosen with care it rests after each, and what it gives is never dearer than before', () => {
    const steps = planOrderSteps(large(620), { seed: 1, mostRounds: 1 });
    const costs: number[] = [];
    for (let step = steps.next(); step.done !== true && costs.length < 400; step = steps.next())
      costs.push(step.value.cost.value);
    expect(costs.length).toBeGreaterThan(40);
    costs.slice(1).forEach((cost, index) => {
      expect(cost).toBeLessThanOrEqual((costs[index] ?? 0) + 1e-9);
    });
    expect(costs.at(-1)).toBeLessThan(costs[0] ?? 0);
  });
});
