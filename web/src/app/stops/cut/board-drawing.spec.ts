import { describe, expect, it } from '@jest/globals';
import { scaleMarks, underPiece, wedge } from './board-drawing';

describe('how is a roll drawn?', () => {
  it('marks in metres, or in feet for who reads inches, never nearer than there is room for', () => {
    expect(scaleMarks(2600, 600, false).map(({ text }) => text)).toEqual(['0 m', '1 m', '2 m']);
    const feet = scaleMarks(2600, 600, true);
    expect(feet.map(({ text }) => text)).toEqual(['0 ft', '2 ft', '4 ft', '6 ft', '8 ft']);
    expect(feet[1]?.at).toBeCloseTo(609.6, 6);
    expect(scaleMarks(30_000, 2600, false).map(({ at }) => at)).toEqual([
      0, 5000, 10_000, 15_000, 20_000, 25_000, 30_000,
    ]);
  });
  it('what is refused stands under its piece: from its left, in the right half to its right', () => {
    const board = '-100 0 1000 500';
    expect(underPiece({ x: 100, y: 50, w: 200, h: 150 }, board)).toEqual({ left: 20, top: 40 });
    expect(underPiece({ x: 600, y: 50, w: 300, h: 150 }, board)).toEqual({ right: 0, top: 40 });
  });
  it('the wedge points to the side where the top lies', () => {
    const box = { x: 0, y: 0, w: 100, h: 100 };
    const lie = { turned: false, topAlong: false, flipped: false };
    expect(wedge(lie, box, 10)).toBe('M3 50l10 -7v14Z');
    expect(wedge({ ...lie, turned: true }, box, 10)).toBe('M50 3l7 10h-14Z');
    expect(wedge({ ...lie, flipped: true }, box, 10)).toBe('M97 50l-10 -7v14Z');
  });
});
