import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { barRelaxation } from '../bounds/bar-relaxation';
import { packingProblem } from '../problem/packing-problem';
import type { LayoutPiece } from '..';
import { shortestOfAnyCuts } from './any-cuts';
import { ParetoBoxes } from './pareto-boxes';
import { ParetoStacks } from './pareto-stacks';
import { bestStrips } from './few-pieces';
import { reducedCosts } from './reduced-costs';
import { roomBeside, rowsWithin } from './room-beside';
import { ItemSubsets, itemSubsetsOf } from './item-subsets';

const quantities = fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 1, maxLength: 5 });
const ROLL = 1220;
const jobs = fc
  .array(
    fc.record({
      w: fc.integer({ min: 100, max: 1100 }),
      h: fc.integer({ min: 100, max: 2000 }),
      turns: fc.boolean(),
      copies: fc.integer({ min: 1, max: 2 }),
    }),
    { minLength: 2, maxLength: 5 },
  )
  .map((items) =>
    items.flatMap(({ w, h, turns, copies }, itemType) =>
      Array.from({ length: copies }, (_, copy): LayoutPiece => ({
        id: `${itemType}.${copy}`,
        across_mm: w,
        along_mm: h,
        mayTurn90: turns,
      })),
    ),
  )
  .filter((pieces) => pieces.length <= 7);
const problemOf = (pieces: readonly LayoutPiece[]) =>
  packingProblem({ rollWidth_mm: ROLL, pieces: [...pieces] });

describe('subsets by number', () => {
  it('each is another choice of pieces, the first none, the last all; a sum of numbers is both together', () => {
    fc.assert(
      fc.property(quantities, (own) => {
        const subsets = new ItemSubsets(own);
        expect(subsets.count).toBe(itemSubsetsOf(own));
        const digits = Array.from({ length: subsets.count }, (_, state) => subsets.digits(state));
        expect(new Set(digits.map((one) => one.join())).size).toBe(subsets.count);
        expect(digits[0]?.every((digit) => digit === 0)).toBe(true);
        expect(digits[subsets.all]).toEqual(own);
        own.forEach((_, itemType) => {
          expect(subsets.digits(subsets.one(itemType))).toEqual(
            own.map((__, other) => (other === itemType ? 1 : 0)),
          );
        });
        for (let state = 1; state < subsets.count; state += 1) {
          const first = subsets.firstOf(state);
          expect(digits[state]?.findIndex((digit) => digit > 0)).toBe(first);
          expect(subsets.withoutFirst(state) + subsets.one(first)).toBe(state);
        }
      }),
      { numRuns: 40 },
    );
  });
  it('two are apart when there are pieces enough for both', () => {
    fc.assert(
      fc.property(quantities, fc.nat(), fc.nat(), (own, a, b) => {
        const subsets = new ItemSubsets(own);
        const [one, other] = [a % subsets.count, b % subsets.count];
        const [first, second] = [subsets.digits(one), subsets.digits(other)];
        expect(subsets.areApart(one, other)).toBe(
          own.every((quantity, itemType) => (first[itemType] ?? 0) + (second[itemType] ?? 0) <= quantity),
        );
      }),
      { numRuns: 300 },
    );
  });
  it('item types of which there is none change nothing, however many they are', () => {
    fc.assert(
      fc.property(
        quantities,
        fc.array(fc.boolean(), { minLength: 60, maxLength: 60 }),
        fc.nat(),
        fc.nat(),
        (own, holes, a, b) => {
          const padded = [
            ...holes.flatMap((isItemType, at) => (isItemType && at < own.length ? [own[at] ?? 0] : [0])),
            ...own.filter((_, at) => holes[at] !== true),
          ];
          const [plain, wide] = [
            new ItemSubsets(padded.filter((quantity) => quantity > 0)),
            new ItemSubsets(padded),
          ];
          expect(wide.count).toBe(plain.count);
          const [one, other] = [a % plain.count, b % plain.count];
          expect(wide.areApart(one, other)).toBe(plain.areApart(one, other));
          expect(wide.digits(one).filter((_, itemType) => (padded[itemType] ?? 0) > 0)).toEqual(
            plain.digits(one),
          );
        },
      ),
      { numRuns: 200 },
    );
  });
  it('what the pieces come to is summed; a subset is parted in every way once, the first item type in the first part', () => {
    fc.assert(
      fc.property(quantities, fc.nat(), (own, at) => {
        const subsets = new ItemSubsets(own);
        const values = own.map((_, itemType) => 3 ** itemType);
        const state = 1 + (at % (subsets.count - 1));
        const digits = subsets.digits(state);
        expect(subsets.sums(values)[state]).toBe(
          digits.reduce((sum, digit, itemType) => sum + digit * (values[itemType] ?? 0), 0),
        );
        const many = subsets.partsOf(state);
        const parts = [...subsets.parts.subarray(0, many)];
        expect(new Set(parts).size).toBe(many);
        expect(parts).toContain(state);
        const first = digits.findIndex((digit) => digit > 0);
        for (const part of parts) {
          const taken = subsets.digits(part);
          expect(taken[first]).toBeGreaterThan(0);
          expect(taken.every((digit, itemType) => digit <= (digits[itemType] ?? 0))).toBe(true);
        }
        expect(many).toBe(
          digits.reduce((product, digit, itemType) => product * (itemType === first ? digit : digit + 1), 1),
        );
      }),
      { numRuns: 100 },
    );
  });
});

describe('what lies beside', () => {
  it('every row of pieces within the roll is written down once for each set of pieces and ways', () => {
    fc.assert(
      fc.property(jobs, (pieces) => {
        const { itemTypes, orientations, width } = problemOf(pieces);
        const subsets = new ItemSubsets(itemTypes.map(({ quantity }) => quantity));
        const rows = rowsWithin(subsets, orientations, width);
        if (rows === undefined) throw new Error('too many rows for so few pieces');
        const marks = rows.orientations.map((own) => own.join());
        expect(new Set(marks).size).toBe(marks.length);
        rows.orientations.forEach((own, at) => {
          expect(rows.across[at]).toBe(
            own.reduce((sum, orientation) => sum + (orientations[orientation]?.across ?? 0), 0),
          );
          expect(rows.across[at]).toBeLessThanOrEqual(width);
        });
        expect([...rows.across]).toEqual([...rows.across].sort((a, b) => a - b));
      }),
      { numRuns: 60 },
    );
  });
  it('the room beside some pieces holds just what the best row of the others is worth (gone through one by one)', () => {
    fc.assert(
      fc.property(jobs, fc.nat(), fc.nat(), (pieces, a, b) => {
        const { itemTypes, orientations, width } = problemOf(pieces);
        const subsets = new ItemSubsets(itemTypes.map(({ quantity }) => quantity));
        const rows = rowsWithin(subsets, orientations, width);
        if (rows === undefined) throw new Error('too many rows for so few pieces');
        const dualPrice = orientations.map((_, orientation) => 1 + ((orientation * 7) % 5));
        const { scale, held } = roomBeside(subsets, rows, dualPrice);
        const [state, room] = [a % subsets.count, b % (width + 1)];
        let best = 0;
        rows.orientations.forEach((own, at) => {
          if ((rows.across[at] ?? 0) <= room && subsets.areApart(state, rows.subset[at] ?? 0))
            best = Math.max(
              best,
              own.reduce((sum, orientation) => sum + (dualPrice[orientation] ?? 0), 0) * scale,
            );
        });
        expect(held(state, room)).toBeCloseTo(best, 9);
        expect(held(0, width)).toBeCloseTo(1, 9);
      }),
      { numRuns: 100 },
    );
  });
  it('at the bound’s prices no row is worth more than a whole step, and anything takes at least what its own pieces are worth', () => {
    fc.assert(
      fc.property(jobs, (pieces) => {
        const problem = problemOf(pieces);
        const prices = barRelaxation(problem)?.prices ?? [];
        const { perPiece, taken } = reducedCosts(problem, prices);
        const rows = rowsWithin(
          new ItemSubsets(problem.itemTypes.map(({ quantity }) => quantity)),
          problem.orientations,
          problem.width,
        );
        rows?.orientations.forEach((row, at) => {
          const dualPrice = row.reduce((sum, orientation) => {
            const { itemType = 0, along = 1 } = problem.orientations[orientation] ?? {};
            return sum + (perPiece[itemType] ?? 0) / along;
          }, 0);
          expect(dualPrice).toBeLessThanOrEqual(1 + 1e-9);
          expect(taken[rows.across[at] ?? 0]).toBeGreaterThanOrEqual(dualPrice - 1e-9);
        });
        expect(
          taken.every((share, across) => across === 0 || share >= (taken[across - 1] ?? 0) - 1e-12),
        ).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
});

describe('Pareto sets keep only what nothing beats', () => {
  const boxes = fc.array(
    fc.record({ across: fc.integer({ min: 1, max: 20 }), along: fc.integer({ min: 1, max: 20 }) }),
    { minLength: 1, maxLength: 40 },
  );
  it('boxes: the same as those within which no other lies, least waste first', () => {
    fc.assert(
      fc.property(boxes, (list) => {
        const fronts = new ParetoBoxes(2);
        for (const { across, along } of list)
          if (!fronts.isBeaten(across, along)) fronts.put(across, along, across * along, 0, 0);
        fronts.close();
        const kept = Array.from(
          { length: fronts.start[1] ?? 0 },
          (_, at) => `${fronts.across[at]} ${fronts.along[at]}`,
        );
        const wanted = new Set(
          list
            .filter(
              (box) =>
                !list.some(
                  (other) =>
                    other.across <= box.across &&
                    other.along <= box.along &&
                    (other.across < box.across || other.along < box.along),
                ),
            )
            .map(({ across, along }) => `${across} ${along}`),
        );
        expect(new Set(kept)).toEqual(wanted);
        expect(kept.length).toBe(wanted.size);
        const waste = [...fronts.waste.subarray(0, kept.length)];
        expect(waste).toEqual([...waste].sort((a, b) => a - b));
      }),
      { numRuns: 100 },
    );
  });
  it('stacks: by width, length, edges and number at once; subsets one after the other', () => {
    fc.assert(
      fc.property(boxes, boxes, (first, second) => {
        const fronts = new ParetoStacks(2);
        const wanted = [first, second].map((list) => {
          const rows = list.map(
            ({ across, along }, index) => [across, along, index % 2, 1 + (index % 3)] as const,
          );
          for (const row of rows) fronts.put(...row);
          fronts.close();
          return new Set(
            rows
              .filter(
                (row) =>
                  !rows.some(
                    (other) =>
                      other.every((own, at) => own <= (row[at] ?? 0)) &&
                      other.some((own, at) => own < (row[at] ?? 0)),
                  ),
              )
              .map((row) => row.join()),
          );
        });
        wanted.forEach((own, subset) => {
          const kept = new Set<string>();
          for (let at = fronts.start[subset] ?? 0; at < (fronts.start[subset + 1] ?? 0); at += 1)
            kept.add([fronts.across[at], fronts.along[at], fronts.edge[at], fronts.count[at]].join());
          expect(kept).toEqual(own);
          expect(fronts.shortestOf(subset)).toBe(
            Math.min(...([first, second][subset]?.map(({ along }) => along) ?? [])),
          );
        });
        expect(fronts.fits(0, 20, 20, 1, 3)).toBe(true);
        expect(fronts.fits(0, 0, 20, 1, 3)).toBe(false);
      }),
      { numRuns: 60 },
    );
  });
  it('grow beyond the room they begin with', () => {
    const [fronts, stacks] = [new ParetoBoxes(1), new ParetoStacks(1)];
    for (let at = 0; at < 20_000; at += 1) fronts.put(at, 20_000 - at, at, 0, 0);
    for (let at = 0; at < 2000; at += 1) stacks.put(at, 2000 - at, 0, 1);
    fronts.close();
    stacks.close();
    expect(fronts.start[1]).toBe(20_000);
    expect(stacks.start[1]).toBe(2000);
    expect([fronts.across[12_345], fronts.along[12_345], stacks.across[1234]]).toEqual([12_345, 7655, 1234]);
  });
});

describe('what is left out is never missed', () => {
  it('strips with the bound’s prices are as short as without; one step shorter than the shortest there is none', () => {
    fc.assert(
      fc.property(jobs, fc.constantFrom(2 as const, 3 as const), (pieces, stages) => {
        const problem = problemOf(pieces);
        const { width, orientations, itemTypes } = problem;
        const most = pieces.reduce((sum, { along_mm, across_mm }) => sum + Math.max(along_mm, across_mm), 0);
        const run = (limit: number, withPrices: boolean) =>
          bestStrips({
            width,
            orientations,
            left: itemTypes.map(({ quantity }) => quantity),
            stages,
            edges: 2,
            mostStacks: 20,
            mostStrip: Number.POSITIVE_INFINITY,
            most: limit,
            priced: withPrices ? reducedCosts(problem, barRelaxation(problem)?.prices ?? []) : undefined,
          });
        const lengthOf = (strips: ReturnType<typeof run>): number | undefined =>
          strips?.reduce((sum, { along }) => sum + along, 0);
        const shortest = lengthOf(run(most, false)) ?? Number.NaN;
        expect(lengthOf(run(most, true))).toBe(shortest);
        expect(lengthOf(run(shortest, true))).toBe(shortest);
        expect(run(shortest - 1, true)).toBeUndefined();
      }),
      { numRuns: 80 },
    );
  });
  it('any cuts of pieces that are a few item types among many of which none is there', () => {
    fc.assert(
      fc.property(jobs, fc.integer({ min: 0, max: 50 }), (pieces, more) => {
        const problem = problemOf(pieces);
        const most = pieces.reduce((sum, { along_mm, across_mm }) => sum + Math.max(along_mm, across_mm), 0);
        const [itemType] = problem.itemTypes;
        if (itemType === undefined) throw new Error('some kind');
        const none = Array.from({ length: more }, () => ({ ...itemType, quantity: 0, ids: [] }));
        const padded = {
          ...problem,
          itemTypes: [...none, ...problem.itemTypes],
          orientations: [
            ...none.map((_, at) => ({
              itemType: at,
              across: itemType.across,
              along: itemType.along,
              turned: false,
              wantsEdge: false,
              likesEdge: false,
            })),
            ...problem.orientations.map((orientation) => ({
              ...orientation,
              itemType: orientation.itemType + more,
            })),
          ],
        };
        expect(shortestOfAnyCuts(padded, most)?.along).toBe(shortestOfAnyCuts(problem, most)?.along);
      }),
      { numRuns: 40 },
    );
  });
  it('any cuts likewise', () => {
    fc.assert(
      fc.property(jobs, (pieces) => {
        const problem = problemOf(pieces);
        const most = pieces.reduce((sum, { along_mm, across_mm }) => sum + Math.max(along_mm, across_mm), 0);
        const { prices } = barRelaxation(problem) ?? {};
        const shortest = shortestOfAnyCuts(problem, most)?.along ?? Number.NaN;
        expect(shortestOfAnyCuts(problem, most, prices)?.along).toBe(shortest);
        expect(shortestOfAnyCuts(problem, shortest, prices)?.along).toBe(shortest);
        expect(shortestOfAnyCuts(problem, shortest - 1, prices)).toBeUndefined();
      }),
      { numRuns: 60 },
    );
  });
});
