import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { SeenFrom } from '../job';
import { checkSurface, slotsFor } from './check-surface';
import { laidOut } from './network/lay-out-corners';
import { nominalFigure } from './nominal';
import { type Outline, areaOf, isSimple, mirrorOf, outlineBounds, perimeterOf, viewOutline } from './outline';
import { calculateNetwork } from './network/calculate-network';
import { largestInside } from './rectangles';

const SIDES: readonly (readonly [SeenFrom, SeenFrom])[] = [
  ['room', 'outside'],
  ['side A', 'side B'],
];
/** A star-shaped outline of 3 to 9 corners, clockwise. */
const anyOutline: fc.Arbitrary<Outline> = fc
  .array(fc.integer({ min: 300, max: 1500 }), { minLength: 3, maxLength: 9 })
  .map((radii) =>
    radii.map((radius, index) => {
      const angle = -2.4 + (2 * Math.PI * index) / radii.length;
      return { x: 2000 + radius * Math.cos(angle), y: 2000 + radius * Math.sin(angle) };
    }),
  );

describe('does the other side show the same surface, mirrored?', () => {
  it.each(SIDES)('from %s to %s: same area and edge, still clockwise, same bounds', (own, other) => {
    fc.assert(
      fc.property(anyOutline, (outline) => {
        const seen = viewOutline(outline, own, other);
        expect(areaOf(seen)).toBeCloseTo(areaOf(outline), 3);
        expect(perimeterOf(seen)).toBeCloseTo(perimeterOf(outline), 6);
        expect(outlineBounds(seen).left).toBeCloseTo(outlineBounds(outline).left, 6);
        expect(isSimple(seen)).toBe(isSimple(outline));
      }),
    );
  });
  it.each(SIDES)('from %s to %s and back it is what it was', (own, other) => {
    fc.assert(
      fc.property(anyOutline, (outline) => {
        viewOutline(viewOutline(outline, own, other), other, own).forEach(({ x, y }, index) => {
          expect(x).toBeCloseTo(outline[index]?.x ?? NaN, 6);
          expect(y).toBeCloseTo(outline[index]?.y ?? NaN, 6);
        });
      }),
    );
  });
  it('what lies a hand from the left lies a hand from the right', () => {
    fc.assert(
      fc.property(anyOutline, fc.integer({ min: 0, max: 200 }), (outline, off) => {
        const { left, width } = outlineBounds(outline);
        expect(mirrorOf(outline)({ x: left + off, y: 5 })).toEqual({
          x: expect.closeTo(left + width - off, 6),
          y: 5,
        });
      }),
    );
  });
});

describe('are corners laid out from lengths alone?', () => {
  it('sides and fan give back any convex figure, up to where it stands', () => {
    fc.assert(
      fc.property(fc.integer({ min: 4, max: 9 }), fc.integer({ min: 500, max: 1500 }), (count, radius) => {
        const corners = Array.from({ length: count }, (_, n) => ({
          x: radius * Math.cos((2 * Math.PI * n) / count),
          y: 0.7 * radius * Math.sin((2 * Math.PI * n) / count),
        }));
        const between = (a: number, b: number): number =>
          Math.hypot(
            (corners[a]?.x ?? 0) - (corners[b]?.x ?? 0),
            (corners[a]?.y ?? 0) - (corners[b]?.y ?? 0),
          );
        const lengths = [
          ...corners.map((_, n) => ({ a: n, b: (n + 1) % count, length_mm: between(n, (n + 1) % count) })),
          ...corners.slice(2, -1).map((_, n) => ({ a: 0, b: n + 2, length_mm: between(0, n + 2) })),
        ];
        const laid = laidOut(lengths, count);
        if ('open' in laid) throw new Error(`open: ${laid.open.join()}`);
        expect(areaOf(laid.outline)).toBeCloseTo(areaOf(corners), 2);
      }),
    );
  });
  it('a corner that only one length reaches stays open and is named', () => {
    expect(
      laidOut(
        [
          { a: 0, b: 1, length_mm: 900 },
          { a: 1, b: 2, length_mm: 900 },
          { a: 0, b: 2, length_mm: 900 },
          { a: 2, b: 3, length_mm: 900 },
        ],
        4,
      ),
    ).toEqual({ open: [3] });
  });
  it('nothing measured leaves all open', () => {
    expect(laidOut([], 3)).toEqual({ open: [0, 1, 2] });
  });
});

describe('can any network be asked about?', () => {
  const triangle = {
    points: [{ id: 'a' }, { id: 'b' }, { id: 'c' }],
    distances: [
      { id: 'ab', from: 'a', to: 'b', value_mm: 400, sd_mm: 1 },
      { id: 'bc', from: 'b', to: 'c', value_mm: 300, sd_mm: 1 },
      { id: 'ac', from: 'a', to: 'c', value_mm: 500, sd_mm: 1 },
    ],
  };
  it('a triangle of 3, 4, 5: its area with a spread, its unknowns by name, nothing to check it', () => {
    const answer = calculateNetwork(triangle);
    expect(answer).toMatchObject({
      rank: 3,
      unknowns: ['b.x', 'c.x', 'c.y'],
      agreement: { kind: 'not checked' },
      area_mm2: { value: expect.closeTo(60_000, 3) },
    });
    expect(answer.covariance_mm2).toHaveLength(3);
  });
  it('a right angle checks it, and a level line turns it', () => {
    const answer = calculateNetwork({
      ...triangle,
      rightAngles: [{ id: 'b', at: 'b', one: 'a', other: 'c', sd_mm: 0.5 }],
      levels: [{ id: 'l', from: 'a', to: 'b', value_mm: 20, sd_mm: 1 }],
    });
    expect(answer.agreement.kind).toBe('agree');
    expect((answer.points[1]?.y_mm ?? 0) - (answer.points[0]?.y_mm ?? 0)).toBeCloseTo(20, 3);
  });
  it('a triangle that is not right where it is said to be disagrees', () => {
    expect(
      calculateNetwork({ ...triangle, rightAngles: [{ id: 'a', at: 'a', one: 'b', other: 'c', sd_mm: 0.5 }] })
        .agreement.kind,
    ).toBe('disagree');
  });
  it('the middle of a side may be measured to', () => {
    const more = {
      ...triangle,
      distances: [...triangle.distances, { id: 'm', from: 'b', to: 'a~c', value_mm: 250, sd_mm: 1 }],
    };
    expect(calculateNetwork(more).agreement).toMatchObject({ kind: 'agree', worst_mm: expect.closeTo(0, 5) });
  });
  it('what it cannot know it refuses by name', () => {
    expect(() =>
      calculateNetwork({ ...triangle, distances: [{ id: 'x', from: 'a', to: 'z', value_mm: 5, sd_mm: 1 }] }),
    ).toThrow('MEASURE_NETWORK_POINT');
    expect(() => calculateNetwork({ ...triangle, distances: triangle.distances.slice(0, 1) })).toThrow(
      'MEASURE_NETWORK_OPEN',
    );
    expect(() =>
      calculateNetwork({ ...triangle, distances: [{ id: 'x', from: 'a', to: 'a', value_mm: 5, sd_mm: 1 }] }),
    ).toThrow('MEASURE_POINTS_SAME');
  });
});

describe('is there something to draw before anything is measured?', () => {
  it.each([
    'four sides',
    'three sides',
    'many sides',
    'arched top',
    'round',
    'oval',
    'rounded corners',
    'curved glass',
    'wall',
    'round column',
    'square column',
    'panel',
    'moulding',
  ] as const)('%s: every field that lies on the drawing has both its ends', (shape) => {
    const figure = nominalFigure(shape, 7);
    for (const slot of slotsFor(shape, 7))
      if (slot.lies !== 'beside')
        expect([figure.points[slot.from], figure.points[slot.to]]).not.toContain(undefined);
  });
});

describe('does each reading say how large a slip in it would show?', () => {
  it('readings that nothing checks say never; those that are checked, from a few millimetres', () => {
    const lengths = [
      ['tl', 'tr', 900],
      ['bl', 'br', 900],
      ['tl', 'bl', 1200],
      ['tr', 'br', 1200],
      ['tl', 'br', 1500],
    ] as const;
    const five = checkSurface({
      shape: 'four sides',
      readings: lengths.map(([from, to, value_mm]) => ({
        id: from + to,
        kind: 'distance',
        from,
        to,
        value_mm,
        instrument: 'tape',
      })),
    });
    expect(
      'agreement' in five &&
        five.agreement.reliability.map(({ smallestSlipFound_mm }) => smallestSlipFound_mm),
    ).toEqual([null, null, null, null, null]);
    const six = checkSurface({
      shape: 'four sides',
      readings: [...lengths, ['bl', 'tr', 1500] as const].map(([from, to, value_mm]) => ({
        id: from + to,
        kind: 'distance',
        from,
        to,
        value_mm,
        instrument: 'tape',
      })),
    });
    const reach =
      'agreement' in six
        ? six.agreement.reliability.map(({ smallestSlipFound_mm }) => smallestSlipFound_mm ?? 0)
        : [];
    expect(Math.min(...reach)).toBeGreaterThan(5);
    expect(Math.max(...reach)).toBeLessThan(60);
  });
  it('a laser reading counts by its own accuracy, a guess hardly', () => {
    const by = (instrument: 'tape' | 'guess') =>
      checkSurface({
        shape: 'round',
        readings: [
          { id: 'a', kind: 'distance', from: 'ml', to: 'mr', value_mm: 800, instrument: 'laser' },
          { id: 'b', kind: 'distance', from: 'mt', to: 'mb', value_mm: 806, instrument },
        ],
      });
    const diameter = (instrument: 'tape' | 'guess'): number => {
      const check = by(instrument);
      return 'sizes' in check ? (check.sizes.diameter_mm?.value ?? NaN) : NaN;
    };
    expect(diameter('guess')).toBeLessThan(801);
    expect(diameter('tape')).toBeGreaterThan(803);
  });
});

describe('does the largest rectangle fit inside, whatever the convex figure?', () => {
  it('its four corners lie within', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 600, max: 2000 }),
        fc.integer({ min: 600, max: 2000 }),
        fc.array(fc.integer({ min: 0, max: 120 }), { minLength: 4, maxLength: 4 }),
        (width, height, [a = 0, b = 0, c = 0, d = 0]) => {
          const outline = [
            { x: 0, y: 0 },
            { x: width + a, y: b },
            { x: width - c, y: height },
            { x: d, y: height - b },
          ];
          const inside = largestInside(outline);
          if (inside === undefined) return;
          const corners = [
            [inside.left, inside.top],
            [inside.left + inside.width, inside.top],
            [inside.left + inside.width, inside.top + inside.height],
            [inside.left, inside.top + inside.height],
          ] as const;
          for (const [x, y] of corners)
            outline.forEach((corner, index) => {
              const next = outline[(index + 1) % 4] ?? corner;
              expect(
                (next.x - corner.x) * (y - corner.y) - (next.y - corner.y) * (x - corner.x),
              ).toBeGreaterThan(-1);
            });
        },
      ),
      { numRuns: 60 },
    );
  });
});
