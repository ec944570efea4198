import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { seededRandom } from '../quantity';
import { adjustNetwork, standardDeviationOf } from './network/adjust-network';
import { NETWORK_REFERENCE, POLYGON_REFERENCE } from './fixtures/reference';
import type { NetworkObservation } from './network/observation';
import { areaOf, outlineBounds, perimeterOf } from './outline';
import { largestInside, leastAround } from './rectangles';

const distance = (from: number, to: number, value_mm: number, sd_mm: number): NetworkObservation => ({
  kind: 'distance',
  at: [[{ corner: from, share: 1 }], [{ corner: to, share: 1 }]],
  value_mm,
  sd_mm,
});

describe('does an independent program adjust the same network to the same figure? (scipy)', () => {
  const {
    pairs,
    values,
    sds,
    start,
    corners,
    covariance,
    residuals,
    redundancy,
    standardised,
    weightedSquares,
  } = NETWORK_REFERENCE;
  const solution = adjustNetwork(
    start.map(([x, y]) => ({ x, y })),
    pairs.map(([from, to], index) => distance(from, to, values[index] ?? 0, sds[index] ?? 1)),
  );

  it('corners to a micrometre', () => {
    solution.corners.forEach(({ x, y }, index) => {
      expect(x).toBeCloseTo(corners[index]?.[0] ?? NaN, 3);
      expect(y).toBeCloseTo(corners[index]?.[1] ?? NaN, 3);
    });
  });
  it('covariance, residuals, redundancies, standardised residuals and the sum of squares', () => {
    covariance.forEach((row, a) => {
      row.forEach((value, b) => {
        expect(solution.covariance.get(a, b)).toBeCloseTo(value, 5);
      });
    });
    residuals.forEach((value, index) => {
      expect(solution.residuals[index]).toBeCloseTo(value, 4);
    });
    redundancy.forEach((value, index) => {
      expect(solution.redundancy[index]).toBeCloseTo(value, 6);
    });
    standardised.forEach((value, index) => {
      expect(solution.standardised[index]).toBeCloseTo(value, 4);
    });
    expect(solution.weightedSquares).toBeCloseTo(weightedSquares, 4);
  });
});

describe('does a textbook network come out as printed?', () => {
  /**
   * A station fixed by three lengths from known points.
   * @source Ghilani, Adjustment Computations, trilateration example (from memory, and its answer only to half
   * a foot: U at 6861.3, 3727.6 ft)
   */
  it('three lengths to one new point: 6861, 3728 within half a foot', () => {
    const known = [
      { x: 865.4, y: 4527.15 },
      { x: 2432.55, y: 2047.25 },
      { x: 2865.22, y: 27.15 },
      { x: 6800, y: 3800 },
    ];
    const { corners, rank, stopped } = adjustNetwork(
      known,
      [distance(0, 3, 6049, 1), distance(1, 3, 4736.83, 1), distance(2, 3, 5446.49, 1)],
      [0, 1, 2],
    );
    expect([rank, stopped]).toEqual([2, 'converged']);
    expect(Math.abs((corners[3]?.x ?? 0) - 6861.3)).toBeLessThan(0.5);
    expect(Math.abs((corners[3]?.y ?? 0) - 3727.6)).toBeLessThan(0.5);
  });
});

describe('does the covariance foretell the scatter? (Monte Carlo, seeded)', () => {
  it('spread of the area over 600 repeated surveys within 9 % of the one stated', () => {
    const { pairs, start, sds } = NETWORK_REFERENCE;
    const at = start.map(([x, y]) => ({ x, y }));
    const exact = pairs.map(([from, to]) =>
      Math.hypot((at[from]?.x ?? 0) - (at[to]?.x ?? 0), (at[from]?.y ?? 0) - (at[to]?.y ?? 0)),
    );
    const random = seededRandom(7);
    const gauss = (): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const survey = (noise: () => number) =>
      adjustNetwork(
        at,
        pairs.map(([from, to], index) =>
          distance(from, to, (exact[index] ?? 0) + noise() * (sds[index] ?? 1), sds[index] ?? 1),
        ),
      );
    const stated = standardDeviationOf(
      areaOf,
      survey(() => 0),
    );
    const areas = Array.from({ length: 600 }, () => areaOf(survey(gauss).corners));
    const mean = areas.reduce((sum, area) => sum + area, 0) / areas.length;
    const scatter = Math.sqrt(areas.reduce((sum, area) => sum + (area - mean) ** 2, 0) / (areas.length - 1));
    expect(Math.abs(scatter / stated - 1)).toBeLessThan(0.09);
  });
});

describe('does an independent geometry package give the same sizes? (shapely)', () => {
  it.each(POLYGON_REFERENCE.map((polygon) => [polygon.corners.length, polygon] as const))(
    '%d corners: area and perimeter',
    (_count, { corners, area, perimeter }) => {
      const outline = corners.map(([x, y]) => ({ x, y }));
      expect(Math.abs(areaOf(outline))).toBeCloseTo(area, 3);
      expect(perimeterOf(outline)).toBeCloseTo(perimeter, 6);
    },
  );
  it('width stays width and height height: 880 × 1206 leaning by 12 mm, whichever side it is measured along', () => {
    for (const lean of [-12, 12]) {
      const { width, height, turned_deg } = leastAround([
        { x: lean, y: 0 },
        { x: 880 + lean, y: 4 },
        { x: 880, y: 1206 },
        { x: 0, y: 1206 },
      ]);
      expect(width).toBeGreaterThan(870);
      expect(width).toBeLessThan(900);
      expect(height).toBeGreaterThan(1195);
      expect(Math.abs(turned_deg)).toBeLessThan(1);
    }
  });
  it('the least rectangle around a convex figure', () => {
    const hexagon = Array.from({ length: 6 }, (_, n) => ({
      x: 500 * Math.cos((n * Math.PI) / 3 + 0.3),
      y: 500 * Math.sin((n * Math.PI) / 3 + 0.3),
    }));
    const { width, height } = leastAround(hexagon);
    expect(width * height).toBeCloseTo(1000 * 500 * Math.sqrt(3), 3);
    for (const { corners, leastAround: expected } of POLYGON_REFERENCE.filter(
      ({ corners: { length } }) => length === 3,
    )) {
      const least = leastAround(corners.map(([x, y]) => ({ x, y })));
      expect(least.width * least.height).toBeCloseTo(expected, 2);
    }
  });
});

describe('what is the largest rectangle inside?', () => {
  const area = (
    { width, height }: { readonly width: number; readonly height: number } = { width: NaN, height: NaN },
  ): number => width * height;
  it('half of a triangle, with its base level', () => {
    expect(
      area(
        largestInside([
          { x: 400, y: 0 },
          { x: 1000, y: 800 },
          { x: 0, y: 800 },
        ]),
      ),
    ).toBeCloseTo(200_000, -1);
  });
  it('the square in a circle: 2/π of it', () => {
    const circle = Array.from({ length: 720 }, (_, n) => ({
      x: 500 + 500 * Math.cos((n * Math.PI) / 360),
      y: 500 + 500 * Math.sin((n * Math.PI) / 360),
    }));
    expect(area(largestInside(circle)) / 500_000).toBeCloseTo(1, 3);
  });
  it('a leaning pane loses its lean: 1000 wide, 20 mm of lean leave 980', () => {
    const rectangle = largestInside([
      { x: 0, y: 0 },
      { x: 1000, y: 0 },
      { x: 1020, y: 1500 },
      { x: 20, y: 1500 },
    ]);
    expect(rectangle?.width).toBeCloseTo(980, 1);
    expect(rectangle?.height).toBeCloseTo(1500, 1);
  });
  it('is not worked out where a corner points inward', () => {
    expect(
      largestInside([
        { x: 0, y: 0 },
        { x: 100, y: 0 },
        { x: 50, y: 40 },
        { x: 0, y: 100 },
      ]),
    ).toBeUndefined();
  });
  it('any figure of corners on an oval, leaning or thin: inside it, and no rectangle with its ends at tenths or corners is larger', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 0, max: 627 }), { minLength: 3, maxLength: 60 }),
        fc.integer({ min: 60, max: 3000 }),
        fc.double({ min: -1.5, max: 1.5, noNaN: true }),
        (turns, flat, lean) => {
          const outline = [...turns]
            .sort((a, b) => a - b)
            .map((hundredths) => hundredths / 100)
            .map((turn) => ({
              x: 1000 * Math.cos(turn) + lean * flat * Math.sin(turn),
              y: flat * Math.sin(turn),
            }));
          const { left, width } = outlineBounds(outline);
          /** Where an upright line meets the figure, side by side of it. */
          const meets = (x: number): readonly number[] =>
            outline.flatMap((from, index) => {
              const to = outline[(index + 1) % outline.length] ?? from;
              if (x < Math.min(from.x, to.x) || x > Math.max(from.x, to.x)) return [];
              return Math.abs(to.x - from.x) < 1e-9
                ? [from.y, to.y]
                : [from.y + ((to.y - from.y) * (x - from.x)) / (to.x - from.x)];
            });
          const heightOver = (from: number, to: number): number => {
            const [a, b] = [meets(from), meets(to)];
            return Math.min(Math.max(...a), Math.max(...b)) - Math.max(Math.min(...a), Math.min(...b));
          };
          const inside = largestInside(outline);
          if (inside === undefined) throw new Error('not convex');
          const most = area(inside);
          expect(heightOver(inside.left, inside.left + inside.width)).toBeGreaterThan(inside.height - 1e-3);
          const ends = [
            ...Array.from({ length: 11 }, (_, tenth) => left + (width * tenth) / 10),
            ...outline.map(({ x }) => x),
          ];
          for (const from of ends)
            for (const to of ends)
              if (to > from)
                expect((to - from) * heightOver(from, to)).toBeLessThanOrEqual(
                  most + 1e-6 * width * flat + 1e-3,
                );
        },
      ),
      { numRuns: 60 },
    );
  });
  it('never reaches outside', () => {
    const outline = [
      { x: 0, y: 0 },
      { x: 900, y: 0 },
      { x: 1200, y: 600 },
      { x: 300, y: 900 },
    ];
    const inside = largestInside(outline);
    const bounds = outlineBounds(outline);
    expect(area(inside)).toBeLessThan(areaOf(outline));
    expect((inside?.left ?? 0) + (inside?.width ?? 0)).toBeLessThanOrEqual(bounds.width + 1e-6);
  });
});
