import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { seededRandom } from '../../quantity';
import { byWeight } from '../by-weight';
import type { Strip } from './strip-shape';
import { wholeRoll } from './lay-out-guillotine';
import { adaptWeights } from './adapt-weights';
import { shuffled } from './shuffled';
import { type LaidStrip, type StockSegment, costOf, lengthsOf } from './stock-segment';
import { packingProblem } from '../problem/packing-problem';
import { destroy } from './destroy';

const problem = packingProblem({
  rollWidth_mm: 1000,
  pieces: [{ id: 'a', across_mm: 500, along_mm: 400, mayTurn90: false }],
});
const width = problem.width;
const orientation = problem.orientations[0];
/** A strip so full, with stacks so wide. */
const strip = (share: number, ...widths: readonly number[]): Strip => ({
  along: 10,
  filled: share * 10 * width,
  stacks: widths.map((across) => ({ across, pieces: orientation === undefined ? [] : [orientation] })),
});
const roll = wholeRoll(problem);
const offcut: StockSegment = { ...roll, most: 100, cost: 0, fixed: 7 };
const shareOf = (times: number, happens: (random: () => number) => boolean): number => {
  const random = seededRandom(3);
  return Array.from({ length: times }, () => happens(random)).filter(Boolean).length / times;
};

describe('which strips are destroyed?', () => {
  const layouts = fc
    .array(
      fc.record({
        segment: fc.integer({ min: 0, max: 1 }),
        share: fc.double({ min: 0.3, max: 1, noNaN: true }),
        widths: fc.array(fc.integer({ min: 1, max: 5 }), { minLength: 1, maxLength: 4 }),
      }),
      { minLength: 1, maxLength: 40 },
    )
    .map((list) =>
      list.map(({ segment, share, widths }): LaidStrip => ({ segment, strip: strip(share, ...widths) })),
    );

  it('some that there are, two at least where there are two, none twice, no more than asked or than one film holds', () => {
    fc.assert(
      fc.property(layouts, fc.integer({ min: 2, max: 60 }), fc.integer(), (laid, most, seed) => {
        const taken = destroy([roll, offcut], laid, most, seededRandom(seed));
        for (const index of taken) expect(laid[index]).toBeDefined();
        expect(taken.size).toBeGreaterThanOrEqual(Math.min(laid.length, 1));
        expect(taken.size).toBeLessThanOrEqual(Math.max(most, 10));
        if (laid.every(({ segment }) => segment === 0) && laid.length > 1)
          expect(taken.size).toBeGreaterThanOrEqual(2);
      }),
      { numRuns: 200 },
    );
  });
  it('a wasteful one far oftener than a full one', () => {
    const laid = [0.5, ...Array.from({ length: 9 }, () => 0.99)].map((share, index): LaidStrip => ({
      segment: 0,
      strip: strip(share, index + 10),
    }));
    expect(shareOf(400, (random) => destroy([roll], laid, 2, random).has(0))).toBeGreaterThan(0.75);
  });
  it('with it rather those that have stacks as wide: they can change places', () => {
    const laid = [
      strip(0.5, 300, 400),
      ...Array.from({ length: 5 }, () => strip(0.995, 300, 700)),
      ...Array.from({ length: 5 }, () => strip(0.995, 200, 800)),
    ].map((own): LaidStrip => ({ segment: 0, strip: own }));
    const random = seededRandom(9);
    let [alike, other] = [0, 0];
    for (let turn = 0; turn < 400; turn += 1)
      for (const index of destroy([roll], laid, 3, random)) {
        if (index >= 1 && index <= 5) alike += 1;
        if (index > 5) other += 1;
      }
    expect(alike).toBeGreaterThan(1.5 * other);
  });
  it('now and then all that lies on one film, so that the film can be done without', () => {
    const laid = [
      ...Array.from({ length: 12 }, (): LaidStrip => ({ segment: 0, strip: strip(0.9, 500) })),
      ...Array.from({ length: 3 }, (): LaidStrip => ({ segment: 1, strip: strip(0.9, 500) })),
    ];
    const emptied = shareOf(600, (random) => {
      const taken = destroy([roll, offcut], laid, 4, random);
      return [12, 13, 14].every((index) => taken.has(index));
    });
    expect(emptied).toBeGreaterThan(0.02);
    expect(emptied).toBeLessThan(0.5);
  });
});

describe('what does a layout cost?', () => {
  it('film by the step, an offcut once however many strips lie on it, and what each strip costs beside', () => {
    const laid: readonly LaidStrip[] = [
      { segment: 0, strip: strip(1, 500) },
      { segment: 0, strip: strip(1, 500) },
      { segment: 1, strip: strip(1, 500) },
      { segment: 1, strip: strip(1, 500) },
    ];
    expect(lengthsOf([roll, offcut], laid)).toEqual([20, 20]);
    expect(costOf([roll, offcut], laid, () => 0.25)).toBeCloseTo(20 * roll.cost + 7 + 4 * 0.25, 9);
    expect(costOf([roll, offcut], [], () => 1)).toBe(0);
  });
});

describe('chance that learns', () => {
  it('a weight of nothing is never drawn, others as often as they weigh', () => {
    expect(shareOf(500, (random) => byWeight([0, 3, 0, 1], random) === 1)).toBeCloseTo(0.75, 1);
    expect(shareOf(500, (random) => [0, 2].includes(byWeight([0, 3, 0, 1], random)))).toBe(0);
  });
  it('what made things better is picked oftener after', () => {
    const random = seededRandom(5);
    const reaches = adaptWeights([1.5, 2.5, 3.5], random);
    for (let turn = 0; turn < 60; turn += 1) {
      const own = reaches.pick();
      if (own.value === 2.5) own.reward();
    }
    expect(
      Array.from({ length: 300 }, () => reaches.pick().value).filter((value) => value === 2.5).length,
    ).toBeGreaterThan(150);
  });
  it('shuffled: the same items, each as likely in each place, the list itself untouched', () => {
    const items = ['a', 'b', 'c', 'd'] as const;
    fc.assert(
      fc.property(fc.integer(), (seed) => {
        expect([...shuffled(items, seededRandom(seed))].sort()).toEqual([...items]);
      }),
    );
    for (const place of [0, 1, 2, 3])
      expect(shareOf(1200, (random) => shuffled(items, random)[place] === 'a')).toBeCloseTo(0.25, 1);
    expect(items).toEqual(['a', 'b', 'c', 'd']);
  });
});
