import { describe, expect, it } from '@jest/globals';
import { checkSurface, patternLengths } from './index';

describe('does the outline of a pattern come into Survey?', () => {
  const OUTLINE = [
    { x: 0, y: 0 },
    { x: 300, y: 0 },
    { x: 300, y: 400 },
    { x: 0, y: 400 },
  ];
  it('as four sides and two diagonals, each as sure as its corners', () => {
    const lengths = patternLengths(OUTLINE, [3, 4, 3, 4]);
    expect(lengths.map(({ from, to, value_mm, sd_mm }) => [from.point, to.point, value_mm, sd_mm])).toEqual([
      ['tl', 'tr', 300, 5],
      ['tl', 'br', 500, expect.closeTo(Math.hypot(3, 3), 9)],
      ['tl', 'bl', 400, 5],
      ['tr', 'br', 400, 5],
      ['tr', 'bl', 500, expect.closeTo(Math.hypot(4, 4), 9)],
      ['br', 'bl', 300, 5],
    ]);
  });
  it('and give the shape they were taken from', () => {
    const check = checkSurface({
      shape: 'four sides',
      readings: patternLengths(OUTLINE, [1, 1, 1, 1]).map(({ from, to, value_mm, sd_mm }, index) => ({
        ...{ id: String(index), kind: 'distance' as const, from: from.point, to: to.point, value_mm },
        ...{ instrument: 'photo' as const, sd_mm },
      })),
    });
    expect(check.state).toBe('measured');
    expect('sizes' in check && check.sizes.area_mm2.value).toBeCloseTo(120_000, 3);
  });
});
