import { LOOK_VIEWS } from '../job';
import { describe, expect, it } from '@jest/globals';
import * as fc from 'fast-check';
import { faceOf } from '../strokes';
import { leastAngle, lookedAt, pieceKey, roundOf, sizeAt } from './index';

const PANE = faceOf([
  [
    { x: 0, y: 0 },
    { x: 1200, y: 0 },
    { x: 1200, y: 900 },
    { x: 0, y: 900 },
  ],
]);
const ASKED = { face: PANE, distance_mm: 1830, isDark: false };

describe('what can be seen from where the rule set judges?', () => {
  it.each([
    [1, 0.32],
    [0.5, 0.46],
    [0.2, 0.79],
    [0.1, 1.2],
    [0.05, 2.0],
  ])('at 1.83 m before 1,000 cd/m², contrast %d: from %d mm on (model 4.1)', (contrast, size_mm) => {
    expect(sizeAt(leastAngle(1000, contrast) ?? Infinity, 1830)).toBeCloseTo(size_mm, size_mm < 1 ? 2 : 1);
  });
  it('more contrast never needs more size, and never less than nothing', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 20_000, noNaN: true }),
        fc.double({ min: 0.001, max: 10, noNaN: true }),
        fc.double({ min: 1, max: 5, noNaN: true }),
        (luminance, contrast, more) => {
          const [less, own] = [leastAngle(luminance, contrast), leastAngle(luminance, contrast * more)];
          expect(own ?? Infinity).toBeLessThanOrEqual(less ?? Infinity);
          expect(own ?? 1).toBeGreaterThan(0);
        },
      ),
      { seed: 26, numRuns: 200, endOnFailure: true },
    );
  });
});

describe('was all of it looked at?', () => {
  const all = new Set(roundOf(ASKED).map(pieceKey));
  it('a pane: nine pieces of edges, four strips in each of three views, to and fro; from behind too on dark film', () => {
    const pieces = roundOf(ASKED);
    expect(pieces.filter(({ view }) => view === 'edges')).toHaveLength(10);
    expect(pieces.filter(({ view }) => view === 'square')).toHaveLength(4);
    const [first, second] = pieces.filter(({ view }) => view === 'square');
    expect([first?.from.x, second?.from.x]).toEqual([0, 1200]);
    expect(pieces).toHaveLength(10 + 3 * 4);
    expect(roundOf({ ...ASKED, isDark: true })).toHaveLength(10 + 4 * 4);
  });
  it('with warm air first over all of it, in lanes of 300 mm, whole only once they are gone over', () => {
    const warmed = { ...ASKED, isWarmed: true };
    const lanes = roundOf(warmed).filter(({ view }) => view === 'warm air');
    expect(lanes.map(({ number, width_mm }) => [number, width_mm])).toEqual(
      [1, 2, 3, 4].map((n) => [n, 300]),
    );
    expect(roundOf(warmed)[0]?.view).toBe('warm air');
    expect(lookedAt(warmed, all).isWhole).toBe(false);
    expect(lookedAt(warmed, new Set([...all, ...lanes.map(pieceKey)])).isWhole).toBe(true);
  });
  it('whole only when every strip of every view and every piece of the edges is ticked', () => {
    expect(lookedAt(ASKED, all)).toMatchObject({ isWhole: true });
    for (const view of LOOK_VIEWS.slice(0, 4)) {
      const { isWhole, views } = lookedAt(ASKED, new Set([...all].filter((key) => key !== `${view} 2`)));
      expect({ view, isWhole }).toEqual({ view, isWhole: false });
      expect(views.find((own) => own.view === view)?.share).toBeLessThan(1);
    }
  });
  it('what was not looked at is told, as a part of the face: the strip less what its neighbours lap (by hand)', () => {
    const { views } = lookedAt(ASKED, new Set([...all].filter((key) => key !== 'square 2')));
    const strip = 2 * 1830 * Math.tan((5 * Math.PI) / 180);
    const pitch = (900 - strip) / 3;
    const square = views.find(({ view }) => view === 'square');
    expect(square?.share).toBeCloseTo(1 - (2 * pitch - strip) / 900, 9);
    expect(square?.left.length).toBeGreaterThan(0);
  });
  it('nothing ticked: nothing looked at', () => {
    expect(lookedAt(ASKED, new Set()).views.map(({ share }) => share)).toEqual([0, 0, 0, 0]);
  });
});
