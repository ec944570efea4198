import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { grown, middleOf, nestPair, sectorBlank } from '../blanks';
import { type Polygon, halfTurned } from './nest';

/** Whether a point is well inside, by the winding of its corners: an independent look at overlap. */
function isInside(outline: Polygon, x: number, y: number): boolean {
  let inside = false;
  outline.forEach((a, index) => {
    const b = outline[(index + 1) % outline.length] ?? a;
    if (a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
  });
  return inside;
}
function overlapShare(one: Polygon, other: Polygon, width: number, height: number): number {
  let hits = 0;
  for (let row = 0.5; row < 60; row += 1)
    for (let column = 0.5; column < 60; column += 1) {
      const [x, y] = [(column * width) / 60, (row * height) / 60];
      if (isInside(one, x, y) && isInside(other, x, y)) hits += 1;
    }
  return hits / 3600;
}
const placedSecond = (outline: Polygon, nested: NonNullable<ReturnType<typeof nestPair>>): Polygon => {
  const [w, h] = [Math.max(...outline.map(({ x }) => x)), Math.max(...outline.map(({ y }) => y))];
  return (nested.second.flipped ? halfTurned(outline, w, h) : outline).map(({ x, y }) => ({
    x: x + nested.second.dx,
    y: y + nested.second.dy,
  }));
};

describe('do two slanting pieces lie closer than their rectangles?', () => {
  it('two trapezoids of 400 and 600 over 500: half turned they take 1000 across instead of 1200', () => {
    const nested = nestPair(
      [
        { x: 100, y: 0 },
        { x: 500, y: 0 },
        { x: 600, y: 500 },
        { x: 0, y: 500 },
      ],
      0,
      true,
      1524,
    );
    expect(nested).toMatchObject({ width: 1100, height: 500, second: { flipped: true } });
  });
  it('two right triangles make a rectangle when one may be turned, and save nothing when it may not', () => {
    const triangle = [
      { x: 0, y: 0 },
      { x: 600, y: 800 },
      { x: 0, y: 800 },
    ];
    expect(nestPair(triangle, 0, true, 1524)?.saves).toBeCloseTo(0.5, 6);
    expect(nestPair(triangle, 0, false, 1524)?.saves ?? 0).toBeLessThan(0.5);
  });
  it('two ring sectors of a strongly tapered column lie into each other', () => {
    const outline =
      sectorBlank({ foot_mm: 1400, top_mm: 900, height_mm: 250, lap_mm: 25, over_mm: 12.5 })?.outline ?? [];
    const nested = nestPair(outline, 3, true, 3000);
    expect(nested?.saves).toBeGreaterThan(0.1);
    if (nested !== undefined)
      expect(overlapShare(outline, placedSecond(outline, nested), nested.width, nested.height)).toBe(0);
  });
  it('a rectangle saves nothing; what does not fit across the roll is not proposed', () => {
    expect(
      nestPair(
        [
          { x: 0, y: 0 },
          { x: 500, y: 0 },
          { x: 500, y: 700 },
          { x: 0, y: 700 },
        ],
        0,
        true,
        1524,
      ),
    ).toBeUndefined();
    expect(
      nestPair(
        [
          { x: 0, y: 0 },
          { x: 900, y: 0 },
          { x: 700, y: 300 },
          { x: 0, y: 300 },
        ],
        0,
        true,
        950,
      )?.second.dx ?? 0,
    ).toBe(0);
  });
  it('whatever the quadrilateral, the two never overlap and stay in the rectangle given', () => {
    const corner = fc.integer({ min: 0, max: 300 });
    fc.assert(
      fc.property(corner, corner, corner, corner, (a, b, c, d) => {
        const outline = [
          { x: a, y: 0 },
          { x: 600 - b, y: c / 3 },
          { x: 600, y: 700 },
          { x: 0, y: 700 - d / 3 },
        ];
        const nested = nestPair(outline, 0, true, 1524);
        if (nested === undefined) return;
        expect(overlapShare(outline, placedSecond(outline, nested), nested.width, nested.height)).toBe(0);
        for (const { x, y } of placedSecond(outline, nested))
          expect(x <= nested.width + 1e-6 && y <= nested.height + 1e-6 && x >= -1e-6 && y >= -1e-6).toBe(
            true,
          );
      }),
      { numRuns: 60 },
    );
  });
  it('the middle of a triangle is the mean of its corners, that of a trapezoid by the handbook, turned by half a turn it turns too', () => {
    expect(
      middleOf([
        { x: 0, y: 0 },
        { x: 600, y: 0 },
        { x: 0, y: 900 },
      ]),
    ).toEqual({ x: 200, y: 300 });
    /** Height of the centroid over the longer of two parallel sides: h (a + 2b) / 3 (a + b). */
    expect(
      middleOf([
        { x: 0, y: 0 },
        { x: 900, y: 0 },
        { x: 600, y: 400 },
        { x: 300, y: 400 },
      ]).y,
    ).toBeCloseTo((400 * (900 + 2 * 300)) / (3 * (900 + 300)), 9);
    const skew = [
      { x: 10, y: 0 },
      { x: 700, y: 90 },
      { x: 500, y: 800 },
      { x: 0, y: 640 },
    ];
    const [once, turned] = [middleOf(skew), middleOf(halfTurned(skew, 700, 800))];
    expect(turned.x).toBeCloseTo(700 - once.x, 9);
    expect(turned.y).toBeCloseTo(800 - once.y, 9);
  });
  it('an outline grown by 25 mm is 25 mm from the old on every side', () => {
    expect(
      grown(
        [
          { x: 0, y: 0 },
          { x: 100, y: 0 },
          { x: 100, y: 200 },
          { x: 0, y: 200 },
        ],
        25,
      ),
    ).toEqual([
      { x: -25, y: -25 },
      { x: 125, y: -25 },
      { x: 125, y: 225 },
      { x: -25, y: 225 },
    ]);
    expect(
      grown(
        [
          { x: 0, y: 200 },
          { x: 100, y: 200 },
          { x: 100, y: 0 },
          { x: 0, y: 0 },
        ],
        25,
      ),
    ).toContainEqual({ x: 125, y: 225 });
  });
});
