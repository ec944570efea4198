import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { seededRandom } from '../../quantity';
import type { Strip } from './strip-shape';
import { StripPool } from './strip-pool';
import { wholeRoll } from './lay-out-guillotine';
import { type LaidStrip, type StockSegment, lengthsOf } from './stock-segment';
import { type Orientation, type PackingProblem, packingProblem } from '../problem/packing-problem';

/**
 * Six panes of 900 × 1000 and six of 600 × 500 on a roll of 1500: one of the first and two of the second fill
 * a metre.
 */
const problem = packingProblem({
  rollWidth_mm: 1500,
  pieces: [
    ...Array.from({ length: 6 }, (_, index) => ({
      id: `a${index}`,
      across_mm: 900,
      along_mm: 1000,
      mayTurn90: false,
    })),
    ...Array.from({ length: 6 }, (_, index) => ({
      id: `b${index}`,
      across_mm: 600,
      along_mm: 500,
      mayTurn90: false,
    })),
  ],
});
const [a, b] = problem.orientations as readonly [Orientation, Orientation];
const stripOf = (...stacks: readonly (readonly Orientation[])[]): Strip => ({
  along: Math.max(...stacks.map((own) => own.reduce((sum, { along }) => sum + along, 0))),
  stacks: stacks.map((pieces) => ({ across: pieces[0]?.across ?? 0, pieces })),
  filled: stacks.flat().reduce((sum, { across, along }) => sum + across * along, 0),
});
const full = stripOf([a], [b, b]);
const nothing = (): number => 0;
const offcut = (of: PackingProblem, most: number, fixed: number): StockSegment => ({
  ...wholeRoll(of),
  most,
  mostStrip: most,
  cost: 0,
  fixed,
});

describe('what do strips seen before give together?', () => {
  it('the cheapest whole strips of the combination, and what is left where none fits', () => {
    const pool = new StripPool([wholeRoll(problem)], 2, nothing);
    for (const strip of [stripOf([a]), stripOf([a], [b]), full, stripOf([b], [b])]) pool.note(0, strip);
    const left = Int32Array.from([6, 6]);
    const lengths = [0];
    const found = pool.dive(left, lengths, seededRandom(1));
    expect(
      found.map(({ strip }) => strip.filled / (problem.width * strip.along)).filter((share) => share > 0.999),
    ).toHaveLength(3);
    expect(lengths[0]).toBe(6 * a.along);
    expect([...left]).toEqual([0, 0]);
    expect(pool.dualPrice?.reduce((sum, own) => sum + 6 * own, 0)).toBeCloseTo(6 * a.along, 6);
  });
  it('keeps the shorter of two strips with the same pieces, and takes no more pieces than there are', () => {
    const pool = new StripPool([wholeRoll(problem)], 2, nothing);
    pool.note(0, stripOf([b, b]));
    pool.note(0, stripOf([b], [b]));
    const left = Int32Array.from([0, 3]);
    expect(pool.dive(left, [0], seededRandom(1)).map(({ strip }) => strip.along)).toEqual([b.along]);
    expect([...left]).toEqual([0, 1]);
  });
  it('what cutting costs beside the film is counted: of two ways as long the one with fewer cuts', () => {
    const pool = new StripPool([wholeRoll(problem)], 2, (_, { stacks }) => stacks.length);
    pool.note(0, stripOf([b, b]));
    pool.note(0, stripOf([b], [b], [b], [b]));
    expect(
      pool.dive(Int32Array.from([0, 2]), [0], seededRandom(1)).map(({ strip }) => strip.stacks.length),
    ).toEqual([1]);
  });
});

describe('an offcut that is paid for whole', () => {
  const segments = (price: number): readonly StockSegment[] => [
    wholeRoll(problem),
    offcut(problem, 2 * a.along, price * a.along),
  ];
  const twice = Int32Array.from([2, 4]);

  it('two strips that lay on it together cost it once: at the price of one and a half they are taken from it', () => {
    const pool = new StripPool(segments(1.5), 2, nothing);
    pool.note(0, full);
    pool.note(1, full);
    pool.noteTogether([
      { segment: 1, strip: full },
      { segment: 1, strip: full },
    ]);
    expect(pool.dive(Int32Array.from(twice), [0, 0], seededRandom(1))).toEqual([
      { segment: 1, strip: full },
      { segment: 1, strip: full },
    ]);
  });
  it('one strip alone does not make a half of its price', () => {
    const pool = new StripPool(segments(1.5), 2, nothing);
    pool.note(0, full);
    pool.note(1, full);
    expect(pool.dive(Int32Array.from([1, 2]), [0, 0], seededRandom(1))).toEqual([
      { segment: 0, strip: full },
    ]);
  });
  it('is left alone when the roll is cheaper than all of it', () => {
    const pool = new StripPool(segments(2.5), 2, nothing);
    pool.note(0, full);
    pool.noteTogether([
      { segment: 1, strip: full },
      { segment: 1, strip: full },
    ]);
    expect(pool.dive(Int32Array.from(twice), [0, 0], seededRandom(1)).map(({ segment }) => segment)).toEqual([
      0, 0,
    ]);
  });
  it('once begun, what else lies on it costs nothing more', () => {
    const pool = new StripPool(segments(1.5), 2, nothing);
    pool.note(0, full);
    pool.note(1, full);
    expect(pool.dive(Int32Array.from([1, 2]), [0, a.along], seededRandom(1))).toEqual([
      { segment: 1, strip: full },
    ]);
  });
  it('and nothing is laid beyond its end', () => {
    const pool = new StripPool(segments(1.5), 2, nothing);
    pool.note(0, full);
    pool.note(1, full);
    expect(
      pool.dive(Int32Array.from([1, 2]), [0, 2 * a.along - 1], seededRandom(1)).map(({ segment }) => segment),
    ).toEqual([0]);
  });
});

describe('whatever is in the pool', () => {
  const itemTypes = fc.array(
    fc.record({
      across: fc.integer({ min: 100, max: 700 }),
      along: fc.integer({ min: 100, max: 900 }),
      quantity: fc.integer({ min: 1, max: 4 }),
    }),
    { minLength: 2, maxLength: 5 },
  );
  const picks = fc.array(
    fc.record({
      segment: fc.integer({ min: 0, max: 1 }),
      stacks: fc.array(fc.array(fc.nat(), { minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 3 }),
    }),
    { minLength: 1, maxLength: 20 },
  );

  it('only strips noted, no piece twice, no film beyond its end', () => {
    fc.assert(
      fc.property(
        itemTypes,
        picks,
        fc.integer({ min: 1, max: 50 }),
        fc.integer({ min: 500, max: 3000 }),
        fc.integer({ min: 10, max: 2000 }),
        (sizes, drawn, seed, length, price) => {
          const own = packingProblem({
            rollWidth_mm: 1500,
            pieces: sizes.flatMap(({ across, along, quantity }, itemType) =>
              Array.from({ length: quantity }, (_, copy) => ({
                id: `${itemType}.${copy}`,
                across_mm: across,
                along_mm: along,
                mayTurn90: false,
              })),
            ),
          });
          const most = Math.floor(length / own.alongStep_mm);
          const segments: readonly StockSegment[] = [
            wholeRoll(own),
            offcut(own, most, price / own.alongStep_mm),
          ];
          const pool = new StripPool(segments, own.itemTypes.length, nothing);
          const noted: LaidStrip[] = [];
          for (const { segment, stacks } of drawn) {
            const strip = stripOf(
              ...stacks.map((stack) =>
                stack.map((at) => own.orientations[at % own.orientations.length] as Orientation),
              ),
            );
            if (
              strip.stacks.reduce((sum, { across }) => sum + across, 0) > own.width ||
              (segment === 1 && strip.along > most)
            )
              continue;
            pool.note(segment, strip);
            noted.push({ segment, strip });
          }
          const all = own.itemTypes.map(({ quantity }) => quantity);
          const left = Int32Array.from(all);
          const lengths = [0, 0];
          const found = pool.dive(left, lengths, seededRandom(seed));
          for (const { segment, strip } of found)
            expect(noted.some((one) => one.segment === segment && one.strip === strip)).toBe(true);
          const used = all.map(
            (_, itemType) =>
              found
                .flatMap(({ strip }) => strip.stacks.flatMap(({ pieces }) => pieces))
                .filter((orientation) => orientation.itemType === itemType).length,
          );
          expect(used).toEqual(all.map((count, itemType) => count - (left[itemType] ?? 0)));
          expect(left.every((count) => count >= 0)).toBe(true);
          expect(lengths).toEqual([...lengthsOf(segments, found)]);
          expect(lengths[1]).toBeLessThanOrEqual(most);
        },
      ),
      { numRuns: 150 },
    );
  });
});
