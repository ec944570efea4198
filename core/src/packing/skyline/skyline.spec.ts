import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { seededRandom } from '../../quantity';
import { runThrough } from '../guillotine/lay-out-guillotine';
import { packingProblem } from '../problem/packing-problem';
import { checkLayout } from '../check/check-layout';
import { SMALL_JOBS } from '../fixtures/small-jobs';
import {
  type LayoutPiece,
  type LayoutPlan,
  type LayoutRequest,
  layOutGuillotine,
  layOutSkylineSteps,
} from '..';
import { coverSkylineSegment, lowestSkylineSegment, raiseSkylineSegment, roomForSkylines } from './skylines';
import { type SkylineLayout, searchSkyline } from './search-skyline';
import { WholeRuns, isMostlyDifferent, mayBePerfect } from './whole-runs';

const ROLL_MM = 1524;
const piece = (
  id: string,
  across_mm: number,
  along_mm: number,
  more: Partial<LayoutPiece> = {},
): LayoutPiece => ({ id, across_mm, along_mm, mayTurn90: false, ...more });
const layOut = (request: LayoutRequest, mostRounds: number, seed = 1): LayoutPlan =>
  runThrough(
    layOutSkylineSteps(request, { seed, mostRounds }),
    () => false,
    () => undefined,
  );

/**
 * A roll cut without waste into so many pinwheels, five pieces each: no straight cut opens one, and its
 * length is the optimum by construction.
 */
function pinwheels(
  seed: number,
  count: number,
): { readonly request: LayoutRequest; readonly optimum_mm: number } {
  const random = seededRandom(seed);
  const between = (least: number, most: number): number => Math.round(least + random() * (most - least));
  const pieces: LayoutPiece[] = [];
  let optimum_mm = 0;
  for (let wheel = 0; wheel < count; wheel += 1) {
    const along = between(700, 1500);
    const [w, h] = [between(500, 1000), between(300, along - 300)];
    const [p, q] = [between(200, w - 150), between(150, h - 100)];
    for (const [across_mm, along_mm] of [
      [w, q],
      [ROLL_MM - w, h],
      [ROLL_MM - p, along - h],
      [p, along - q],
      [w - p, h - q],
    ] as const)
      pieces.push(piece(String(pieces.length), across_mm, along_mm));
    optimum_mm += along;
  }
  return { request: { rollWidth_mm: ROLL_MM, pieces }, optimum_mm };
}

const someJob = fc
  .record({
    sizes: fc.array(
      fc.record({
        across: fc.integer({ min: 60, max: 1500 }),
        along: fc.integer({ min: 60, max: 2200 }),
        copies: fc.integer({ min: 1, max: 5 }),
        mayTurn90: fc.boolean(),
        wantsEdge: fc.boolean(),
      }),
      { minLength: 1, maxLength: 8 },
    ),
    seed: fc.integer({ min: 1, max: 1000 }),
  })
  .map(({ sizes, seed }) => ({
    seed,
    request: {
      rollWidth_mm: ROLL_MM,
      pieces: sizes.flatMap(({ across, along, copies, mayTurn90, wantsEdge }, size) =>
        Array.from({ length: copies }, (_, copy) =>
          piece(`${size}.${copy}`, across, along, { mayTurn90, ...(wantsEdge ? { wantsEdge } : {}) }),
        ),
      ),
    },
  }));

describe('is a layout for the plotter a layout?', () => {
  it('every piece once, inside, none over another, turned only where it may be, factory edges kept, never under the bound (independent checker)', () => {
    fc.assert(
      fc.property(someJob, ({ request, seed }) => {
        const plan = layOut(request, 12, seed);
        expect(checkLayout(request, plan.placed)).toEqual([]);
        expect(plan.placed).toHaveLength(request.pieces.length);
        expect(plan.length_mm.value).toBeGreaterThanOrEqual(plan.bound_mm.value - 1e-6);
      }),
      { numRuns: 15 },
    );
  });
  it('the same seed and rounds give the same layout; more rounds never a longer one', () => {
    const { request } = pinwheels(4, 6);
    expect(layOut(request, 30)).toEqual(layOut(request, 30));
    const lengths = [5, 20, 80].map((rounds) => layOut(request, rounds).length_mm.value);
    expect(lengths).toEqual([...lengths].sort((a, b) => b - a));
  });
  it('while it searches no plan is longer than the one before', () => {
    const seen: number[] = [];
    runThrough(
      layOutSkylineSteps(pinwheels(9, 10).request, { seed: 1, mostRounds: 60 }),
      () => false,
      (plan) => {
        seen.push(plan.length_mm.value);
      },
    );
    expect(seen.length).toBeGreaterThan(1);
    expect(seen).toEqual([...seen].sort((a, b) => b - a));
  });
});

describe('a layout lent while it searches', () => {
  it('is taken up between two runs, whenever it comes: every piece stays there once, and the length is that of the blocks', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 10_000 }),
        fc.array(fc.boolean(), { minLength: 5, maxLength: 60 }),
        (seed, when) => {
          const random = seededRandom(seed);
          const sizes = Array.from(
            { length: 9 },
            () => [200 + Math.floor(random() * 700), 200 + Math.floor(random() * 700)] as const,
          );
          const problem = packingProblem({
            rollWidth_mm: ROLL_MM,
            pieces: sizes.flatMap(([across, along], size) =>
              Array.from({ length: 7 }, (_, copy) => piece(`${size}.${copy}`, across, along)),
            ),
          });
          const ends = (rounds: number, own: number): SkylineLayout => {
            const search = searchSkyline(problem, {
              seed: own,
              mostRounds: rounds,
              bound: 0,
              prices: undefined,
              start: { blocks: [], length: 1e9 },
            });
            let step = search.next();
            while (step.done !== true) step = search.next();
            return step.value;
          };
          const better = [1, 5, 20].map((rounds) => ends(rounds, seed + rounds));
          const search = searchSkyline(problem, {
            seed,
            mostRounds: 30,
            bound: 0,
            prices: undefined,
            start: { blocks: [], length: 1e9 },
          });
          let step = search.next();
          for (let turn = 0; step.done !== true; turn += 1) {
            const lent = when[turn % when.length] === true ? better[turn % better.length] : undefined;
            step = search.next(lent);
          }
          const { blocks, length } = step.value;
          expect(blocks.reduce((sum, { along }) => sum + along, 0)).toBe(length);
          const counts = problem.itemTypes.map(() => 0);
          for (const { moves } of blocks)
            for (const { orientation } of moves)
              counts[orientation.itemType] = (counts[orientation.itemType] ?? 0) + 1;
          expect(counts).toEqual(problem.itemTypes.map(({ quantity }) => quantity));
          for (const { along, moves } of blocks)
            expect(Math.max(...moves.map(({ y, orientation }) => y + orientation.along))).toBe(along);
        },
      ),
      { numRuns: 10 },
    );
  });
});

describe('how short is it?', () => {
  it('one pinwheel: laid without waste and proven, where straight cuts must waste', () => {
    const { request, optimum_mm } = pinwheels(2, 1);
    expect(layOut(request, 200)).toMatchObject({ length_mm: { value: optimum_mm }, stopped: 'optimal' });
    expect(
      layOutGuillotine(request, { stages: 3, seed: 1, mostRounds: 400 }).length_mm.value,
    ).toBeGreaterThan(optimum_mm);
  });
  it.each([
    [3, 4],
    [5, 8],
    [7, 12],
    [8, 20],
  ])('seed %d, %d pinwheels, all of different sizes: found again without any waste', (seed, count) => {
    const { request, optimum_mm } = pinwheels(seed, count);
    const plan = layOut(request, 400);
    expect(checkLayout(request, plan.placed)).toEqual([]);
    expect(plan.length_mm.value).toBe(optimum_mm);
  });
  it.each(SMALL_JOBS.map((job) => [job.id, job] as const))(
    '%s: at most 1 % over the exact optimum of cutting by hand in three stages, often under it',
    (_id, { width, items, optimum }) => {
      const request = {
        rollWidth_mm: width,
        pieces: items.flatMap(({ w, h, qty }, itemType) =>
          Array.from({ length: qty }, (_, copy) => piece(`${itemType}.${copy}`, w, h)),
        ),
      };
      expect(layOut(request, 60).length_mm.value / optimum).toBeLessThan(1.01);
    },
  );
});

describe('does a skyline keep its shape?', () => {
  it('covering and raising segments is the same as doing it step by step on heights across the roll', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            share: fc.double({ min: 0.05, max: 1, noNaN: true }),
            isLeft: fc.boolean(),
            high: fc.integer({ min: 1, max: 6 }),
            raises: fc.boolean(),
          }),
          { minLength: 1, maxLength: 25 },
        ),
        (doings) => {
          const width = 40;
          const plain = new Array<number>(width).fill(0);
          let [own, next] = [roomForSkylines(1, 60, 1), roomForSkylines(1, 60, 1)];
          own.segmentCount[0] = 1;
          for (const { share, isLeft, high, raises } of doings) {
            const count = own.segmentCount[0] ?? 0;
            const at = lowestSkylineSegment(own, 0);
            const from = own.starts[at] ?? 0;
            const end = at + 1 < count ? (own.starts[at + 1] ?? width) : width;
            const y = own.heights[at] ?? 0;
            expect(y).toBe(Math.min(...plain));
            if (raises && count > 1) {
              const wall = Math.min(
                ...[at - 1, at + 1]
                  .filter((other) => other >= 0 && other < count)
                  .map((other) => own.heights[other] ?? 0),
              );
              raiseSkylineSegment(own, 0, at, wall);
              plain.fill(wall, from, end);
            } else {
              const wide = Math.max(1, Math.floor(share * (end - from)));
              const x = isLeft ? from : end - wide;
              coverSkylineSegment(own, 0, next, 0, at, x, x + wide, end, y + high);
              plain.fill(y + high, x, x + wide);
              [own, next] = [next, own];
            }
            const segmentCount = own.segmentCount[0] ?? 0;
            const drawn = Array.from({ length: width }, (_, column) => {
              let found = 0;
              for (let index = 0; index < segmentCount; index += 1)
                if ((own.starts[index] ?? 0) <= column) found = own.heights[index] ?? 0;
              return found;
            });
            expect(drawn).toEqual(plain);
            for (let index = 1; index < segmentCount; index += 1)
              expect(own.heights[index]).not.toBe(own.heights[index - 1]);
          }
        },
      ),
    );
  });
});

describe('is there perhaps no waste at all?', () => {
  const problem = (pieces: readonly LayoutPiece[]) => packingProblem({ rollWidth_mm: ROLL_MM, pieces });
  const boundOf = ({ area, width }: ReturnType<typeof problem>): number => Math.ceil(area / width);

  it('where hardly two pieces are alike and their area fills a length to the last step', () => {
    const different = problem(pinwheels(1, 20).request.pieces);
    expect(mayBePerfect(different, boundOf(different))).toBe(true);
    const odd = problem([...pinwheels(1, 20).request.pieces, piece('odd', 101, 103)]);
    expect(mayBePerfect(odd, boundOf(odd))).toBe(false);
    const alike = problem(
      Array.from({ length: 60 }, (_, index) => piece(String(index), 508, 700 + (index % 3))),
    );
    expect(isMostlyDifferent(alike)).toBe(false);
    expect(mayBePerfect(alike, boundOf(alike))).toBe(false);
  });
  it('then runs aim at exactly that, the first one always; never at one that is no shorter; wider after finding nothing', () => {
    const runs = new WholeRuns(1000, seededRandom(3));
    const made = Array.from({ length: 40 }, () => {
      const run = runs.next(1500);
      runs.foundNothing(run);
      return run;
    });
    for (const { isPerfect, most } of made) {
      expect(most).toBeLessThanOrEqual(1500);
      if (isPerfect) expect(most).toBe(1001);
    }
    expect(made[0]?.isPerfect).toBe(true);
    expect(made.some(({ isPerfect }) => !isPerfect)).toBe(true);
    expect(made.at(-1)?.skylines).toBeGreaterThan(made[0]?.skylines ?? 0);
  });
});
