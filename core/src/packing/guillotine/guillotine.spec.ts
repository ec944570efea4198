import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { seededRandom } from '../../quantity';
import { SMALL_JOBS } from '../fixtures/small-jobs';
import {
  type LayoutPiece,
  type LayoutRequest,
  checkCuttable,
  checkLayout,
  layOutGuillotine,
  layOutInLevels,
} from '..';

const ROUNDS = { seed: 1, mostRounds: 300, stages: 3 } as const;
const piece = (
  id: string,
  across_mm: number,
  along_mm: number,
  more: Partial<LayoutPiece> = {},
): LayoutPiece => ({ id, across_mm, along_mm, mayTurn90: false, ...more });

/** A roll cut without any waste in three stages: its length is the optimum by construction. */
function zeroWaste(
  seed: number,
  strips: number,
): { readonly request: LayoutRequest; readonly optimum_mm: number } {
  const random = seededRandom(seed);
  const pieces: LayoutPiece[] = [];
  let optimum_mm = 0;
  const parts = (total: number, least: number, most: number): number[] => {
    const found: number[] = [];
    for (let rest = total; rest > 0;) {
      const part =
        rest < 2 * least ? rest : Math.min(rest - least, least + Math.floor(random() * (most - least)));
      found.push(part);
      rest -= part;
    }
    return found;
  };
  for (let strip = 0; strip < strips; strip += 1) {
    const along = 900 + Math.floor(random() * 900);
    optimum_mm += along;
    for (const across of parts(1524, 300, 700))
      for (const own of parts(along, 250, 800)) pieces.push(piece(String(pieces.length), across, own));
  }
  return { request: { rollWidth_mm: 1524, pieces }, optimum_mm };
}

const anyPieces = (withTurning: boolean) =>
  fc
    .array(
      fc.record({
        across: fc.integer({ min: 50, max: 1200 }),
        along: fc.integer({ min: 50, max: 2500 }),
        turn: withTurning ? fc.boolean() : fc.constant(false),
        edge: fc.constant(false),
      }),
      { minLength: 1, maxLength: 25 },
    )
    .map((list) =>
      list.map(({ across, along, turn }, index) => piece(String(index), across, along, { mayTurn90: turn })),
    );

describe('is the layout one that a person can cut?', () => {
  it.each([[2], [3]] as const)(
    'any job, %d stages: every piece once, none overlapping, freed by straight cuts, never longer than levels, never shorter than the bound',
    (stages) => {
      fc.assert(
        fc.property(anyPieces(true), (pieces) => {
          const request = { rollWidth_mm: 1220, pieces };
          const plan = layOutGuillotine(request, { seed: 3, mostRounds: 20, stages });
          expect(checkLayout(request, plan.placed)).toEqual([]);
          expect(checkCuttable(plan.placed, stages)).toEqual([]);
          expect(plan.length_mm.value).toBeLessThanOrEqual(layOutInLevels(request).length_mm.value + 1e-9);
          expect(plan.length_mm.value).toBeGreaterThanOrEqual(plan.bound_mm.value - 1e-6);
        }),
        { numRuns: 40 },
      );
    },
  );
  it('pieces that want a factory edge lie at one, at most one to an edge and strip', () => {
    fc.assert(
      fc.property(
        anyPieces(false),
        fc.array(fc.boolean(), { minLength: 25, maxLength: 25 }),
        (pieces, edges) => {
          const request = {
            rollWidth_mm: 1220,
            pieces: pieces.map((one, index) => ({ ...one, wantsEdge: edges[index] ?? false })),
          };
          const plan = layOutGuillotine(request, { seed: 3, mostRounds: 20, stages: 3 });
          expect(checkLayout(request, plan.placed)).toEqual([]);
          expect(checkCuttable(plan.placed, 3)).toEqual([]);
        },
      ),
      { numRuns: 40 },
    );
  });
  it('the checker itself finds a pinwheel, which no straight cut opens', () => {
    const wheel = [
      [0, 0, 200, 100],
      [200, 0, 100, 200],
      [100, 200, 200, 100],
      [0, 100, 100, 200],
      [100, 100, 100, 100],
    ].map(([x_mm = 0, y_mm = 0, across_mm = 0, along_mm = 0], index) => ({
      id: String(index),
      x_mm,
      y_mm,
      across_mm,
      along_mm,
      turned: false,
      level: 0,
    }));
    expect(checkCuttable(wheel, 9).length).toBe(5);
  });
  it('the same seed and rounds give the same plan; better ones come in order, the last is the one given', () => {
    const { request } = zeroWaste(5, 4);
    const seen: number[] = [];
    const plan = layOutGuillotine(request, { ...ROUNDS, mostRounds: 60 }, undefined, ({ length_mm }) => {
      seen.push(length_mm.value);
    });
    expect(layOutGuillotine(request, { ...ROUNDS, mostRounds: 60 }).placed).toEqual(plan.placed);
    expect([...seen].sort((a, b) => b - a)).toEqual(seen);
    expect(seen.at(-1)).toBe(plan.length_mm.value);
  });
  it('told that it is over it stops at once with a whole plan', () => {
    const { request } = zeroWaste(6, 8);
    const plan = layOutGuillotine(request, { ...ROUNDS, mostRounds: 1e9 }, () => true);
    expect(checkLayout(request, plan.placed)).toEqual([]);
  });
});

describe('how near is it to the best there is?', () => {
  it.each([
    [1, 2],
    [2, 2],
    [3, 3],
    [4, 3],
    [5, 4],
  ])('zero waste by construction, seed %d, %d strips: the optimum itself, and proven', (seed, strips) => {
    const { request, optimum_mm } = zeroWaste(seed, strips);
    const plan = layOutGuillotine(request, { ...ROUNDS, mostRounds: 4000 });
    expect(plan.length_mm.value).toBe(optimum_mm);
    expect(plan.stopped).toBe('optimal');
  });
  it.each([11, 12, 13, 14, 15])(
    'twelve strips of zero waste, seed %d: the optimum within 300 rounds, where levels waste over 8 %%',
    (seed) => {
      const { request, optimum_mm } = zeroWaste(seed, 12);
      expect(layOutInLevels(request).length_mm.value / optimum_mm).toBeGreaterThan(1.08);
      expect(layOutGuillotine(request, { ...ROUNDS, mostRounds: 300 }).length_mm.value).toBe(optimum_mm);
    },
  );
  it('three hundred panes of thirty sizes up to 950 mm: within 3 % of what nothing can go below after 120 rounds, each piece in its place', () => {
    const random = seededRandom(11);
    const sizes = Array.from(
      { length: 30 },
      () => [300 + Math.floor(random() * 650), 350 + Math.floor(random() * 600)] as const,
    );
    const request = {
      rollWidth_mm: 1524,
      pieces: Array.from({ length: 300 }, (_, index) =>
        piece(String(index), ...(sizes[index % 30] ?? [500, 500])),
      ),
    };
    const plan = layOutGuillotine(request, { ...ROUNDS, mostRounds: 120 });
    expect(checkLayout(request, plan.placed)).toEqual([]);
    expect(checkCuttable(plan.placed, 3)).toEqual([]);
    expect(plan.length_mm.value / plan.bound_mm.value).toBeLessThan(1.03);
  });
  it('what is too wide to lie side by side is in the bound: ten pieces of 800 on 1524 need all their lengths', () => {
    const request = {
      rollWidth_mm: 1524,
      pieces: Array.from({ length: 10 }, (_, index) => piece(String(index), 800, 1000)),
    };
    const plan = layOutGuillotine(request, { ...ROUNDS, mostRounds: 5 });
    expect(plan.bound_mm.value).toBe(10_000);
    expect(plan.stopped).toBe('optimal');
  });
  it('a piece that may turn counts the way that asks for less; one too long to turn is as good as fixed', () => {
    const four = (along_mm: number) => ({
      rollWidth_mm: 1524,
      pieces: Array.from({ length: 4 }, (_, index) =>
        piece(String(index), 1230, along_mm, { mayTurn90: true }),
      ),
    });
    expect(layOutGuillotine(four(2190), { ...ROUNDS, mostRounds: 5 })).toMatchObject({
      stopped: 'optimal',
      bound_mm: { value: 8760 },
    });
    expect(layOutGuillotine(four(1400), { ...ROUNDS, mostRounds: 5 }).bound_mm.value).toBeLessThan(5000);
  });
  it.each(SMALL_JOBS.map((job) => [job.id, job] as const))(
    '%s: within 3 % of the exact optimum of three stages (independent dynamic programme), and never under it',
    (_id, { width, items, optimum }) => {
      const request = {
        rollWidth_mm: width,
        pieces: items.flatMap(({ w, h, qty }, itemType) =>
          Array.from({ length: qty }, (_, copy) => piece(`${itemType}.${copy}`, w, h)),
        ),
      };
      const { value } = layOutGuillotine(request, { ...ROUNDS, mostRounds: 1500 }).length_mm;
      expect(value).toBeGreaterThanOrEqual(optimum - 1e-6);
      expect(value / optimum).toBeLessThan(1.03);
    },
  );
});
