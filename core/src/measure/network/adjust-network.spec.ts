import { describe, expect, it } from '@jest/globals';
import { adjustNetwork } from './adjust-network';
import type { NetworkObservation, NetworkPoint } from './observation';

const corner = (n: number): NetworkPoint => [{ corner: n, share: 1 }];
const between = (from: number, to: number, value_mm: number, sd_mm = 1): NetworkObservation => ({
  kind: 'distance',
  at: [corner(from), corner(to)],
  value_mm,
  sd_mm,
});
const RIGHT_ANGLE = [
  { x: 0, y: 0 },
  { x: 3900, y: 0 },
  { x: 100, y: 2900 },
];

describe('what does a network of distances determine?', () => {
  it('3 m, 4 m and 5 m are a triangle with a right angle, whatever it started from', () => {
    const { corners, rank, unknowns, stopped } = adjustNetwork(RIGHT_ANGLE, [
      between(0, 1, 4000),
      between(0, 2, 3000),
      between(1, 2, 5000),
    ]);
    expect([stopped, rank, unknowns]).toEqual(['converged', 3, 3]);
    expect(corners[2]?.x).toBeCloseTo(0, 6);
    expect(corners[2]?.y).toBeCloseTo(3000, 6);
  });

  it('two of its sides leave the third open: rank 2 of 3, and the figure stays near where it started', () => {
    const { corners, rank } = adjustNetwork(RIGHT_ANGLE, [between(0, 1, 4000), between(0, 2, 3000)]);
    expect(rank).toBe(2);
    expect(Math.hypot(corners[2]?.x ?? 0, corners[2]?.y ?? 0)).toBeCloseTo(3000, 2);
    expect(corners[2]?.y).toBeGreaterThan(2900);
  });

  it('a length taken twice, 1000 and 1002 alike exact, is 1001 ± 0.71, each off by 1 with half a redundancy', () => {
    const { corners, covariance, residuals, redundancy } = adjustNetwork(
      [
        { x: 0, y: 0 },
        { x: 990, y: 0 },
      ],
      [between(0, 1, 1000), between(0, 1, 1002)],
    );
    expect(corners[1]?.x).toBeCloseTo(1001, 9);
    expect(Math.sqrt(covariance.get(0, 0))).toBeCloseTo(Math.SQRT1_2, 9);
    expect(residuals).toEqual([expect.closeTo(1, 9), expect.closeTo(-1, 9)]);
    expect(redundancy).toEqual([expect.closeTo(0.5, 9), expect.closeTo(0.5, 9)]);
  });

  it('weights count: 1000 ± 1 and 1010 ± 3 make 1001, by the weighted mean', () => {
    const { corners } = adjustNetwork(
      [
        { x: 0, y: 0 },
        { x: 990, y: 0 },
      ],
      [between(0, 1, 1000, 1), between(0, 1, 1010, 3)],
    );
    expect(corners[1]?.x).toBeCloseTo((1000 + 1010 / 9) / (1 + 1 / 9), 9);
  });

  it('redundancies add up to measures minus unknowns', () => {
    const square = [
      { x: 0, y: 0 },
      { x: 1000, y: 0 },
      { x: 1000, y: 1000 },
      { x: 0, y: 1000 },
    ];
    const distances = [
      between(0, 1, 1000),
      between(1, 2, 1001),
      between(2, 3, 1000),
      between(3, 0, 999),
      between(0, 2, 1414),
      between(1, 3, 1415),
    ];
    const { redundancy, unknowns } = adjustNetwork(square, distances);
    expect(redundancy.reduce((sum, share) => sum + share, 0)).toBeCloseTo(distances.length - unknowns, 9);
  });

  it('a measure that nothing checks is never accused: its statistic is 0', () => {
    const { standardised, redundancy } = adjustNetwork(RIGHT_ANGLE, [
      between(0, 1, 4000),
      between(0, 2, 3000),
      between(1, 2, 5000),
    ]);
    expect(Math.max(...redundancy)).toBeLessThan(1e-9);
    expect(standardised).toEqual([0, 0, 0]);
  });

  it('two measures of one length cannot be told apart: their statistics correlate by −1', () => {
    const { correlation } = adjustNetwork(
      [
        { x: 0, y: 0 },
        { x: 990, y: 0 },
      ],
      [between(0, 1, 1000), between(0, 1, 1020)],
    );
    expect(correlation(0, 1)).toBeCloseTo(-1, 9);
  });

  it('sides that cannot close end somewhere finite, with the gap left in the residuals', () => {
    const { residuals, corners } = adjustNetwork(RIGHT_ANGLE, [
      between(0, 1, 1000),
      between(0, 2, 1000),
      between(1, 2, 5000),
    ]);
    expect(
      residuals.every(Number.isFinite) &&
        corners.every(({ x, y }) => Number.isFinite(x) && Number.isFinite(y)),
    ).toBe(true);
    expect(Math.max(...residuals.map(Math.abs))).toBeGreaterThan(500);
  });
});
