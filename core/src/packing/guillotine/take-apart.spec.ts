import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { seededRandom } from '../../quantity';
import { byWeight } from '../by-weight';
import type { Band } from './band-shape';
import { wholeRoll } from './lay-out-by-hand';
import { learning } from './learning';
import { shuffled } from './shuffled';
import { type LaidBand, type Space, costOf, lengthsOf } from './space';
import { stripProblem } from '../problem/strip-problem';
import { takeApart } from './take-apart';

const problem = stripProblem({
  rollWidth_mm: 1000,
  pieces: [{ id: 'a', across_mm: 500, along_mm: 400, mayTurn90: false }],
});
const width = problem.width;
const lie = problem.lies[0];
/** A band so full, with columns so wide. */
const band = (share: number, ...widths: readonly number[]): Band => ({
  along: 10,
  filled: share * 10 * width,
  columns: widths.map((across) => ({ across, pieces: lie === undefined ? [] : [lie] })),
});
const roll = wholeRoll(problem);
const offcut: Space = { ...roll, most: 100, cost: 0, fixed: 7 };
const shareOf = (times: number, happens: (random: () => number) => boolean): number => {
  const random = seededRandom(3);
  return Array.from({ length: times }, () => happens(random)).filter(Boolean).length / times;
};

describe('which bands are taken apart?', () => {
  const layouts = fc
    .array(
      fc.record({
        space: fc.integer({ min: 0, max: 1 }),
        share: fc.double({ min: 0.3, max: 1, noNaN: true }),
        widths: fc.array(fc.integer({ min: 1, max: 5 }), { minLength: 1, maxLength: 4 }),
      }),
      { minLength: 1, maxLength: 40 },
    )
    .map((list) =>
      list.map(({ space, share, widths }): LaidBand => ({ space, band: band(share, ...widths) })),
    );

  it('some that there are, two at least where there are two, none twice, no more than asked or than one film holds', () => {
    fc.assert(
      fc.property(layouts, fc.integer({ min: 2, max: 60 }), fc.integer(), (laid, most, seed) => {
        const taken = takeApart([roll, offcut], laid, most, seededRandom(seed));
        for (const index of taken) expect(laid[index]).toBeDefined();
        expect(taken.size).toBeGreaterThanOrEqual(Math.min(laid.length, 1));
        expect(taken.size).toBeLessThanOrEqual(Math.max(most, 10));
        if (laid.every(({ space }) => space === 0) && laid.length > 1)
          expect(taken.size).toBeGreaterThanOrEqual(2);
      }),
      { numRuns: 200 },
    );
  });
  it('a wasteful one far oftener than a full one', () => {
    const laid = [0.5, ...Array.from({ length: 9 }, () => 0.99)].map((share, index): LaidBand => ({
      space: 0,
      band: band(share, index + 10),
    }));
    expect(shareOf(400, (random) => takeApart([roll], laid, 2, random).has(0))).toBeGreaterThan(0.75);
  });
  it('with it rather those that have columns as wide: they can change places', () => {
    const laid = [
      band(0.5, 300, 400),
      ...Array.from({ length: 5 }, () => band(0.995, 300, 700)),
      ...Array.from({ length: 5 }, () => band(0.995, 200, 800)),
    ].map((own): LaidBand => ({ space: 0, band: own }));
    const random = seededRandom(9);
    let [alike, other] = [0, 0];
    for (let turn = 0; turn < 400; turn += 1)
      for (const index of takeApart([roll], laid, 3, random)) {
        if (index >= 1 && index <= 5) alike += 1;
        if (index > 5) other += 1;
      }
    expect(alike).toBeGreaterThan(1.5 * other);
  });
  it('now and then all that lies on one film, so that the film can be done without', () => {
    const laid = [
      ...Array.from({ length: 12 }, (): LaidBand => ({ space: 0, band: band(0.9, 500) })),
      ...Array.from({ length: 3 }, (): LaidBand => ({ space: 1, band: band(0.9, 500) })),
    ];
    const emptied = shareOf(600, (random) => {
      const taken = takeApart([roll, offcut], laid, 4, random);
      return [12, 13, 14].every((index) => taken.has(index));
    });
    expect(emptied).toBeGreaterThan(0.02);
    expect(emptied).toBeLessThan(0.5);
  });
});

describe('what does a layout cost?', () => {
  it('film by the step, an offcut once however many bands lie on it, and what each band costs beside', () => {
    const laid: readonly LaidBand[] = [
      { space: 0, band: band(1, 500) },
      { space: 0, band: band(1, 500) },
      { space: 1, band: band(1, 500) },
      { space: 1, band: band(1, 500) },
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
    const reaches = learning([1.5, 2.5, 3.5], random);
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
