import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { valueAt } from '../../quantity';
import { holds } from './subset-sum-bits';
import { fillableFrom } from './width-sets';

/** By the definition: a rest is filled by nothing when it is none, else by one width and what is left. */
function isFilled(rest: number, widths: readonly number[]): boolean {
  return rest === 0 || widths.some((width) => width <= rest && isFilled(rest - width, widths));
}

describe('which rests of a roll can widths fill, any number of each?', () => {
  it('those of 600 and 250 on a roll of 1200: 0, 250, 500, 600, 750, 850, 1000, 1100 and 1200', () => {
    const both = valueAt(fillableFrom(1200, [600, 250]), 0);
    const filled = Array.from({ length: 1201 }, (_, rest) => rest).filter((rest) => holds(both, rest));
    expect(filled).toEqual([0, 250, 500, 600, 750, 850, 1000, 1100, 1200]);
  });
  it('for each width it and the narrower ones alone, as the definition says', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 30, max: 140 }),
        fc.uniqueArray(fc.integer({ min: 7, max: 90 }), { minLength: 1, maxLength: 5 }),
        (roll, some) => {
          const widths = [...some].sort((a, b) => b - a);
          const rests = Array.from({ length: roll + 1 }, (_, rest) => rest);
          fillableFrom(roll, widths).forEach((row, from) => {
            const narrower = widths.slice(from);
            expect(rests.filter((rest) => holds(row, rest))).toEqual(
              rests.filter((rest) => isFilled(rest, narrower)),
            );
          });
        },
      ),
    );
  });
});
