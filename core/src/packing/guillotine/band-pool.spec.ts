import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { seededRandom } from '../../quantity';
import type { Band } from './band-shape';
import { BandPool } from './band-pool';
import { wholeRoll } from './lay-out-by-hand';
import { type LaidBand, type Space, lengthsOf } from './space';
import { type Lie, type StripProblem, stripProblem } from '../problem/strip-problem';

/**
 * Six panes of 900 × 1000 and six of 600 × 500 on a roll of 1500: one of the first and two of the second fill
 * a metre.
 */
const problem = stripProblem({
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
const [a, b] = problem.lies as readonly [Lie, Lie];
const bandOf = (...columns: readonly (readonly Lie[])[]): Band => ({
  along: Math.max(...columns.map((own) => own.reduce((sum, { along }) => sum + along, 0))),
  columns: columns.map((pieces) => ({ across: pieces[0]?.across ?? 0, pieces })),
  filled: columns.flat().reduce((sum, { across, along }) => sum + across * along, 0),
});
const full = bandOf([a], [b, b]);
const nothing = (): number => 0;
const offcut = (of: StripProblem, most: number, fixed: number): Space => ({
  ...wholeRoll(of),
  most,
  mostBand: most,
  cost: 0,
  fixed,
});

describe('what do bands seen before give together?', () => {
  it('the cheapest whole bands of the mixture, and what is left where none fits', () => {
    const pool = new BandPool([wholeRoll(problem)], 2, nothing);
    for (const band of [bandOf([a]), bandOf([a], [b]), full, bandOf([b], [b])]) pool.note(0, band);
    const left = Int32Array.from([6, 6]);
    const lengths = [0];
    const found = pool.dive(left, lengths, seededRandom(1));
    expect(
      found.map(({ band }) => band.filled / (problem.width * band.along)).filter((share) => share > 0.999),
    ).toHaveLength(3);
    expect(lengths[0]).toBe(6 * a.along);
    expect([...left]).toEqual([0, 0]);
    expect(pool.worth?.reduce((sum, own) => sum + 6 * own, 0)).toBeCloseTo(6 * a.along, 6);
  });
  it('keeps the shorter of two bands with the same pieces, and takes no more pieces than there are', () => {
    const pool = new BandPool([wholeRoll(problem)], 2, nothing);
    pool.note(0, bandOf([b, b]));
    pool.note(0, bandOf([b], [b]));
    const left = Int32Array.from([0, 3]);
    expect(pool.dive(left, [0], seededRandom(1)).map(({ band }) => band.along)).toEqual([b.along]);
    expect([...left]).toEqual([0, 1]);
  });
  it('what cutting costs beside the film is counted: of two ways as long the one with fewer cuts', () => {
    const pool = new BandPool([wholeRoll(problem)], 2, (_, { columns }) => columns.length);
    pool.note(0, bandOf([b, b]));
    pool.note(0, bandOf([b], [b], [b], [b]));
    expect(
      pool.dive(Int32Array.from([0, 2]), [0], seededRandom(1)).map(({ band }) => band.columns.length),
    ).toEqual([1]);
  });
});

describe('an offcut that is paid for whole', () => {
  const spaces = (price: number): readonly Space[] => [
    wholeRoll(problem),
    offcut(problem, 2 * a.along, price * a.along),
  ];
  const twice = Int32Array.from([2, 4]);

  it('two bands that lay on it together cost it once: at the price of one and a half they are taken from it', () => {
    const pool = new BandPool(spaces(1.5), 2, nothing);
    pool.note(0, full);
    pool.note(1, full);
    pool.noteTogether([
      { space: 1, band: full },
      { space: 1, band: full },
    ]);
    expect(pool.dive(Int32Array.from(twice), [0, 0], seededRandom(1))).toEqual([
      { space: 1, band: full },
      { space: 1, band: full },
    ]);
  });
  it('one band alone does not make a half of its price', () => {
    const pool = new BandPool(spaces(1.5), 2, nothing);
    pool.note(0, full);
    pool.note(1, full);
    expect(pool.dive(Int32Array.from([1, 2]), [0, 0], seededRandom(1))).toEqual([{ space: 0, band: full }]);
  });
  it('is left alone when the roll is cheaper than all of it', () => {
    const pool = new BandPool(spaces(2.5), 2, nothing);
    pool.note(0, full);
    pool.noteTogether([
      { space: 1, band: full },
      { space: 1, band: full },
    ]);
    expect(pool.dive(Int32Array.from(twice), [0, 0], seededRandom(1)).map(({ space }) => space)).toEqual([
      0, 0,
    ]);
  });
  it('once begun, what else lies on it costs nothing more', () => {
    const pool = new BandPool(spaces(1.5), 2, nothing);
    pool.note(0, full);
    pool.note(1, full);
    expect(pool.dive(Int32Array.from([1, 2]), [0, a.along], seededRandom(1))).toEqual([
      { space: 1, band: full },
    ]);
  });
  it('and nothing is laid beyond its end', () => {
    const pool = new BandPool(spaces(1.5), 2, nothing);
    pool.note(0, full);
    pool.note(1, full);
    expect(
      pool.dive(Int32Array.from([1, 2]), [0, 2 * a.along - 1], seededRandom(1)).map(({ space }) => space),
    ).toEqual([0]);
  });
});

describe('whatever is in the pool', () => {
  const kinds = fc.array(
    fc.record({
      across: fc.integer({ min: 100, max: 700 }),
      along: fc.integer({ min: 100, max: 900 }),
      quantity: fc.integer({ min: 1, max: 4 }),
    }),
    { minLength: 2, maxLength: 5 },
  );
  const picks = fc.array(
    fc.record({
      space: fc.integer({ min: 0, max: 1 }),
      columns: fc.array(fc.array(fc.nat(), { minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 3 }),
    }),
    { minLength: 1, maxLength: 20 },
  );

  it('only bands noted, no piece twice, no film beyond its end', () => {
    fc.assert(
      fc.property(
        kinds,
        picks,
        fc.integer({ min: 1, max: 50 }),
        fc.integer({ min: 500, max: 3000 }),
        fc.integer({ min: 10, max: 2000 }),
        (sizes, drawn, seed, length, price) => {
          const own = stripProblem({
            rollWidth_mm: 1500,
            pieces: sizes.flatMap(({ across, along, quantity }, kind) =>
              Array.from({ length: quantity }, (_, copy) => ({
                id: `${kind}.${copy}`,
                across_mm: across,
                along_mm: along,
                mayTurn90: false,
              })),
            ),
          });
          const most = Math.floor(length / own.alongStep_mm);
          const spaces: readonly Space[] = [wholeRoll(own), offcut(own, most, price / own.alongStep_mm)];
          const pool = new BandPool(spaces, own.kinds.length, nothing);
          const noted: LaidBand[] = [];
          for (const { space, columns } of drawn) {
            const band = bandOf(
              ...columns.map((column) => column.map((at) => own.lies[at % own.lies.length] as Lie)),
            );
            if (
              band.columns.reduce((sum, { across }) => sum + across, 0) > own.width ||
              (space === 1 && band.along > most)
            )
              continue;
            pool.note(space, band);
            noted.push({ space, band });
          }
          const all = own.kinds.map(({ quantity }) => quantity);
          const left = Int32Array.from(all);
          const lengths = [0, 0];
          const found = pool.dive(left, lengths, seededRandom(seed));
          for (const { space, band } of found)
            expect(noted.some((one) => one.space === space && one.band === band)).toBe(true);
          const used = all.map(
            (_, kind) =>
              found
                .flatMap(({ band }) => band.columns.flatMap(({ pieces }) => pieces))
                .filter((lie) => lie.kind === kind).length,
          );
          expect(used).toEqual(all.map((count, kind) => count - (left[kind] ?? 0)));
          expect(left.every((count) => count >= 0)).toBe(true);
          expect(lengths).toEqual([...lengthsOf(spaces, found)]);
          expect(lengths[1]).toBeLessThanOrEqual(most);
        },
      ),
      { numRuns: 150 },
    );
  });
});
