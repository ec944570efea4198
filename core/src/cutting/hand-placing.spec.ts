import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { type HandPlaced, freePlace, placingFault, snapped } from './index';

const ROLL = { width_mm: 1524, length_mm: 5000, gap_mm: 3, endWaste_mm: 20 };
const box = (id: string, x_mm: number, y_mm: number, across_mm: number, along_mm: number): HandPlaced => ({
  id,
  x_mm,
  y_mm,
  across_mm,
  along_mm,
});

describe('is a hand-placed piece held to the film?', () => {
  const others = [box('b', 0, 20, 600, 1000)];
  const at = (x_mm: number, y_mm: number) => box('a', x_mm, y_mm, 500, 400);
  it.each([
    [603, 20, undefined],
    [602, 20, 'overlaps'],
    [-2, 1200, 'over the edge'],
    [1030, 1200, 'over the edge'],
    [700, 10, 'in the end waste'],
    [700, 4700, 'beyond the film'],
  ])('at %d, %d: %s', (x, y, kind) => {
    expect(placingFault(at(x, y), others, ROLL)?.kind).toBe(kind);
  });
  it('snaps to a neighbour with the gap, to the edge of the film, and not from afar', () => {
    expect(snapped(at(608, 24), others, ROLL, 10)).toMatchObject({ x_mm: 603, y_mm: 20 });
    expect(snapped(at(1020, 1030), others, ROLL, 10)).toMatchObject({ x_mm: 1024, y_mm: 1023 });
    expect(snapped(at(800, 2000), others, ROLL, 10)).toMatchObject({ x_mm: 800, y_mm: 2000 });
  });
});

describe('may slanting pieces lie in one another’s rectangles?', () => {
  /** A right triangle and the same half turned: together a rectangle of 600 × 800. */
  const wedge = (id: string, x_mm: number, y_mm: number): HandPlaced => ({
    ...box(id, x_mm, y_mm, 600, 800),
    outline: [
      { x: 0, y: 0 },
      { x: 600, y: 800 },
      { x: 0, y: 800 },
    ],
  });
  const turned = (id: string, x_mm: number, y_mm: number): HandPlaced => ({
    ...box(id, x_mm, y_mm, 600, 800),
    outline: [
      { x: 600, y: 800 },
      { x: 0, y: 0 },
      { x: 600, y: 0 },
    ],
  });
  it('with the gap between their slanting sides, not without it; what is nearer is named with how much', () => {
    expect(placingFault(turned('a', 0, 97), [wedge('b', 0, 100)], ROLL)).toBeUndefined();
    expect(placingFault(turned('a', 0, 99), [wedge('b', 0, 100)], ROLL)).toMatchObject({
      kind: 'overlaps',
      id: 'b',
      by_mm: expect.closeTo(2, 6),
    });
    expect(placingFault(turned('a', 50, 97), [wedge('b', 0, 100)], ROLL)).toBeUndefined();
  });
  it('a rectangle may lie where the outline leaves room, and not on it', () => {
    expect(
      placingFault(box('a', 400, 100, 200, 200), [wedge('b', 0, 100)], { ...ROLL, gap_mm: 0 }),
    ).toBeUndefined();
    expect(
      placingFault(box('a', 100, 100, 200, 200), [wedge('b', 0, 100)], { ...ROLL, gap_mm: 0 })?.kind,
    ).toBe('overlaps');
  });
  it('slides to where the slanting sides meet', () => {
    const near = snapped(turned('a', 41.5, 60), [wedge('b', 0, 100)], ROLL, 60);
    expect(placingFault(near, [wedge('b', 0, 100)], ROLL)).toBeUndefined();
    expect(placingFault({ ...near, y_mm: near.y_mm + 0.2 }, [wedge('b', 0, 100)], ROLL)?.kind).toBe(
      'overlaps',
    );
  });

  /**
   * Convex quadrilaterals, and whether they meet by the separating axes of their sides: an independent
   * answer.
   */
  const corner = fc.integer({ min: 0, max: 250 });
  const quad = fc
    .tuple(
      corner,
      corner,
      corner,
      corner,
      fc.integer({ min: 0, max: 1200 }),
      fc.integer({ min: 100, max: 1500 }),
    )
    .map(([a, b, c, d, x, y]): HandPlaced => ({
      ...box('', x, y, 600, 600),
      outline: [
        { x: a, y: 0 },
        { x: 600, y: b },
        { x: 600 - c, y: 600 },
        { x: 0, y: 600 - d },
      ],
    }));
  const cornersOf = ({ x_mm, y_mm, outline }: HandPlaced): readonly (readonly [number, number])[] =>
    (outline ?? []).map(({ x, y }) => [x + x_mm, y + y_mm] as const);
  function meet(one: HandPlaced, other: HandPlaced): boolean {
    const [p, q] = [cornersOf(one), cornersOf(other)];
    return [p, q].every((shape) =>
      shape.every(([x, y], index) => {
        const [nx, ny] = shape[(index + 1) % shape.length] ?? [x, y];
        const [ax, ay] = [ny - y, x - nx];
        const across = (points: typeof p) =>
          points.map(([px, py]) => (px * ax + py * ay) / Math.hypot(ax, ay));
        const [mine, theirs] = [across(p), across(q)];
        return Math.max(...mine) - Math.min(...theirs) > 0.1 && Math.max(...theirs) - Math.min(...mine) > 0.1;
      }),
    );
  }
  const open = { width_mm: 9000, length_mm: 9000, gap_mm: 0, endWaste_mm: 0 };
  it('any two convex quadrilaterals: refused when a separating axis is wanting, free when there is one', () => {
    fc.assert(
      fc.property(quad, quad, (one, other) => {
        const [a, b] = [
          { ...one, id: 'a' },
          { ...other, id: 'b' },
        ];
        const fault = placingFault(a, [b], open);
        if (meet(a, b)) expect(fault?.kind).toBe('overlaps');
        else expect(fault?.kind === 'overlaps' ? fault.by_mm : 0).toBeLessThan(0.5);
      }),
      { numRuns: 400 },
    );
  });
  it('moved by what it is told, one of the four ways, it is clear', () => {
    fc.assert(
      fc.property(quad, quad, (one, other) => {
        const [a, b] = [
          { ...one, id: 'a', x_mm: one.x_mm + 2000, y_mm: one.y_mm + 2000 },
          { ...other, id: 'b', x_mm: other.x_mm + 2000, y_mm: other.y_mm + 2000 },
        ];
        const fault = placingFault(a, [b], open);
        if (fault?.kind !== 'overlaps') return;
        const by = fault.by_mm + 0.01;
        expect(
          [
            [by, 0],
            [-by, 0],
            [0, by],
            [0, -by],
          ].some(
            ([x = 0, y = 0]) =>
              placingFault({ ...a, x_mm: a.x_mm + x, y_mm: a.y_mm + y }, [b], open) === undefined,
          ),
        ).toBe(true);
      }),
      { numRuns: 200 },
    );
  });
});

describe('where on another roll has a piece room?', () => {
  it('at the end, beside what lies there, else behind it', () => {
    expect(freePlace(box('a', 0, 0, 900, 400), [box('b', 0, 20, 600, 1000)], ROLL)).toMatchObject({
      x_mm: 603,
      y_mm: 20,
    });
    expect(freePlace(box('a', 0, 0, 1000, 400), [box('b', 0, 20, 600, 1000)], ROLL)).toMatchObject({
      x_mm: 0,
      y_mm: 1023,
    });
  });
  it('nowhere: not when it is too wide, nor when the film ends', () => {
    expect(freePlace(box('a', 0, 0, 1600, 400), [], ROLL)).toBeUndefined();
    expect(freePlace(box('a', 0, 0, 1000, 4000), [box('b', 0, 20, 600, 1000)], ROLL)).toBeUndefined();
  });
  it('whatever lies there, the place is free and none of the edges before it is', () => {
    const boxes = fc.array(
      fc.tuple(
        fc.integer({ min: 0, max: 1000 }),
        fc.integer({ min: 20, max: 2000 }),
        fc.integer({ min: 50, max: 500 }),
        fc.integer({ min: 50, max: 800 }),
      ),
      { maxLength: 8 },
    );
    fc.assert(
      fc.property(
        boxes,
        fc.integer({ min: 50, max: 1524 }),
        fc.integer({ min: 50, max: 1500 }),
        (list, across, along) => {
          const others = list.map(([x, y, w, h], index) => box(`o${index}`, x, y, w, h));
          const found = freePlace(box('a', 0, 0, across, along), others, ROLL);
          if (found === undefined) return;
          expect(placingFault(found, others, ROLL)).toBeUndefined();
          expect(placingFault({ ...found, y_mm: found.y_mm - 0.2 }, others, ROLL)).toBeDefined();
        },
      ),
    );
  });
});
