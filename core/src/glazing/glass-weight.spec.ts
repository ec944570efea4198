import { describe, expect, it } from '@jest/globals';
import { glassWeight } from './glass-weight';

describe('what does the glass weigh?', () => {
  // Trade tables: 4 mm 10 kg/m², 6 mm 15 kg/m², 10 mm 25 kg/m².
  it.each([
    [1, [4], 10],
    [1, [6], 15],
    [1, [10], 25],
    [2.533, [6, 6], 75.99],
  ])('%d m² of %j mm: %d kg', (area_m2, panes, kilograms) => {
    expect(glassWeight(area_m2, panes)?.value).toBeCloseTo(kilograms, 9);
  });
  it('while a thickness is not known nobody knows', () => {
    expect([glassWeight(1, []), glassWeight(1, [6, null])]).toEqual([undefined, undefined]);
  });
});
