import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { type ReturnAsk, tripsFor } from './index';

const NOW = 1_000;
const ask = (key: string, notBefore_ms: number | null, due_ms: number | null): ReturnAsk => ({
  ...{ key, kind: 'other', surfaceId: null, applicationId: null, markId: null, notBefore_ms, due_ms },
});
const times = fc.record({
  from: fc.option(fc.integer({ min: 0, max: 3_000 }), { nil: null }),
  long: fc.option(fc.integer({ min: 0, max: 1_500 }), { nil: null }),
});
const manyAsks = (maxLength: number) =>
  fc
    .array(times, { maxLength })
    .map((own) =>
      own.map(({ from, long }, n) => ask(`k${n}`, from, long === null ? null : (from ?? 0) + long)),
    );
const begins = ({ notBefore_ms }: ReturnAsk): number => Math.max(NOW, notBefore_ms ?? NOW);
const ends = (own: ReturnAsk): number => Math.max(begins(own), own.due_ms ?? Infinity);

/** By trying every moment at which something ends: the fewest that meet all. */
function fewest(asks: readonly ReturnAsk[]): number {
  if (asks.length === 0) return 0;
  const at = [...new Set(asks.map(ends))];
  return Math.min(
    ...at.map((moment) => {
      const left = asks.filter((own) => !(begins(own) <= moment && moment <= ends(own)));
      return left.length === asks.length ? Infinity : 1 + fewest(left);
    }),
  );
}

describe('which trips serve everything somebody must come back for?', () => {
  it('one trip serves what may be done on one day, and says from when to when', () => {
    const [trip, ...more] = tripsFor(
      [ask('sealant', 1_200, 1_900), ask('edges', 1_100, 1_500), ask('wash', 1_400, null)],
      NOW,
    );
    expect(more).toEqual([]);
    expect(trip).toMatchObject({ from_ms: 1_400, to_ms: 1_500, isLate: false });
    expect(trip?.asks.map(({ key }) => key)).toEqual(['edges', 'sealant', 'wash']);
  });
  it('what cannot be done on one day takes two', () => {
    expect(tripsFor([ask('edges', 1_000, 1_100), ask('wash', 2_000, 2_500)], NOW)).toHaveLength(2);
  });
  it('what is late is due now, and said to be late', () => {
    expect(tripsFor([ask('edges', 100, 500)], NOW)).toMatchObject([
      { from_ms: NOW, to_ms: NOW, isLate: true },
    ]);
  });
  it('nothing to come back for is no trip', () => {
    expect(tripsFor([], NOW)).toEqual([]);
  });
  it('no grouping takes fewer trips (all groupings tried)', () => {
    fc.assert(
      fc.property(manyAsks(6), (asks) => {
        expect(tripsFor(asks, NOW)).toHaveLength(fewest(asks));
      }),
    );
  });
  it('each ask is served once, within its time, at any moment of its trip', () => {
    fc.assert(
      fc.property(manyAsks(30), (asks) => {
        const trips = tripsFor(asks, NOW);
        expect(trips.flatMap((trip) => trip.asks.map(({ key }) => key)).sort()).toEqual(
          asks.map(({ key }) => key).sort(),
        );
        for (const trip of trips)
          for (const own of trip.asks) {
            expect(trip.from_ms).toBeGreaterThanOrEqual(begins(own));
            expect(trip.to_ms).toBeLessThanOrEqual(ends(own));
            expect(trip.from_ms).toBeLessThanOrEqual(trip.to_ms);
          }
      }),
    );
  });
});
