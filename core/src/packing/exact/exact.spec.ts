import { beforeAll, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { Highs } from 'highs';
import loadHighs from 'highs';
import { itemDemands } from '../bounds/bar-relaxation';
import { leastCost } from '../bounds/least-cost';
import { Simplex } from '../bounds/simplex';
import { packingProblem } from '../problem/packing-problem';
import { SMALL_JOBS } from '../fixtures/small-jobs';
import {
  ANY_STAGES,
  type LayoutPiece,
  type LayoutPlan,
  type LayoutRequest,
  checkCuttable,
  checkLayout,
  layOutGuillotine,
} from '../../packing';
import { shortestOfAnyCuts } from './any-cuts';
import { bestStrips } from './few-pieces';

let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

interface Item {
  readonly w: number;
  readonly h: number;
}
const jobs = fc.array(
  fc.record({ w: fc.integer({ min: 100, max: 1100 }), h: fc.integer({ min: 100, max: 2000 }) }),
  { minLength: 2, maxLength: 7 },
);
const pieces = (items: readonly Item[]): LayoutPiece[] =>
  items.map(({ w, h }, index) => ({ id: String(index), across_mm: w, along_mm: h, mayTurn90: false }));
const ROLL = 1220;

const requestOf = ({ width, items }: (typeof SMALL_JOBS)[number]): LayoutRequest => ({
  rollWidth_mm: width,
  pieces: items.flatMap(({ w, h, qty }, itemType) =>
    Array.from({ length: qty }, (_, copy) => ({
      id: `${itemType}.${copy}`,
      across_mm: w,
      along_mm: h,
      mayTurn90: false,
    })),
  ),
});
const faultsOf = (request: LayoutRequest, { placed }: LayoutPlan, stages: number): readonly unknown[] => [
  ...checkLayout(request, placed),
  ...checkCuttable(placed, stages),
];

/**
 * Two-stage cutting with trimming as an integer programme: which pieces open a strip, which lie in whose
 * strip.
 * @source Lodi, Martello, Monaci 2002 (from memory)
 */
function twoStages(items: readonly Item[]): number {
  const sorted = [...items].sort((a, b) => b.h - a.h);
  const n = sorted.length;
  const cost = sorted.map(({ h }, i) => `${h} y${i}`).join(' + ');
  const once = sorted.map(
    (_, j) => ` once${j}: y${j}${Array.from({ length: j }, (_own, i) => ` + x${i}_${j}`).join('')} = 1`,
  );
  const wide = sorted
    .map(
      ({ w }, i) =>
        ` wide${i}: ${sorted
          .slice(i + 1)
          .map((own, k) => `${own.w} x${i}_${i + 1 + k}`)
          .join(' + ')}${i + 1 < n ? ' ' : ''}- ${ROLL - w} y${i} <= 0`,
    )
    .filter((line) => line.includes(' x'));
  const names = [
    ...sorted.map((_, i) => `y${i}`),
    ...sorted.flatMap((_, i) => sorted.slice(i + 1).map((_own, k) => `x${i}_${i + 1 + k}`)),
  ];
  return highs.solve(
    `Minimize\n obj: ${cost}\nSubject To\n${[...once, ...wide].join('\n')}\nBinary\n ${names.join(' ')}\nEnd`,
  ).ObjectiveValue;
}

/**
 * Free placing as an integer programme with one of four relations to each pair. Up to three pieces can always
 * be cut apart; four can turn round a gap.
 * @source Chen, Lee and Shen 1995, in the plane (from memory)
 */
function freely(items: readonly Item[]): number {
  const far = items.reduce((sum, { h }) => sum + h, 0);
  const rows = items.flatMap(({ w, h }, i) => [
    ` in${i}: x${i} <= ${ROLL - w}`,
    ` end${i}: L - y${i} >= ${h}`,
  ]);
  const names: string[] = [];
  items.forEach((a, i) => {
    items.slice(i + 1).forEach((b, k) => {
      const j = i + 1 + k;
      const own = ['l', 'r', 'b', 'a'].map((side) => `${side}${i}_${j}`);
      const [left = '', right = '', before = '', after = ''] = own;
      names.push(...own);
      rows.push(
        ` one${i}_${j}: ${own.join(' + ')} >= 1`,
        ` le${i}_${j}: x${i} - x${j} + ${ROLL} ${left} <= ${ROLL - a.w}`,
        ` ri${i}_${j}: x${j} - x${i} + ${ROLL} ${right} <= ${ROLL - b.w}`,
        ` be${i}_${j}: y${i} - y${j} + ${far} ${before} <= ${far - a.h}`,
        ` af${i}_${j}: y${j} - y${i} + ${far} ${after} <= ${far - b.h}`,
      );
    });
  });
  /**
   * Sides are whole millimetres; the solver's own are off by its tolerance of one in a million times `far`.
   */
  return highs.solve(`Minimize\n obj: L\nSubject To\n${rows.join('\n')}\nBinary\n ${names.join(' ')}\nEnd`)
    .ObjectiveValue;
}

/** The bar relaxation with every pattern written out. */
function patternLength(items: readonly Item[]): number {
  const patterns: number[][] = [];
  const go = (from: number, rest: number, taken: readonly number[]): void => {
    patterns.push([...taken]);
    for (let i = from; i < items.length; i += 1)
      if ((items[i]?.w ?? 0) <= rest) go(i + 1, rest - (items[i]?.w ?? 0), [...taken, i]);
  };
  go(0, ROLL, []);
  const used = patterns.filter((pattern) => pattern.length > 0);
  const rows = items.map(
    ({ h }, i) =>
      ` piece${i}: ${used.flatMap((pattern, p) => (pattern.includes(i) ? [`p${p}`] : [])).join(' + ')} >= ${h}`,
  );
  return highs.solve(
    `Minimize\n obj: ${used.map((_, p) => `p${p}`).join(' + ')}\nSubject To\n${rows.join('\n')}\nEnd`,
  ).ObjectiveValue;
}

describe('are few pieces laid in the shortest way there is?', () => {
  it('two stages: the same as an integer programme solved by HiGHS', () => {
    fc.assert(
      fc.property(jobs, (items) => {
        const problem = packingProblem({ rollWidth_mm: ROLL, pieces: pieces(items) });
        const strips = bestStrips({
          width: problem.width,
          orientations: problem.orientations,
          left: problem.itemTypes.map(({ quantity }) => quantity),
          stages: 2,
          edges: 2,
          mostStacks: 20,
          mostStrip: Number.POSITIVE_INFINITY,
          most: 1e9,
        });
        expect((strips ?? []).reduce((sum, { along }) => sum + along, 0) * problem.alongStep_mm).toBeCloseTo(
          twoStages(items),
          4,
        );
      }),
      { numRuns: 40 },
    );
  });
  it('three stages are never longer than two', () => {
    fc.assert(
      fc.property(jobs, (items) => {
        const problem = packingProblem({ rollWidth_mm: ROLL, pieces: pieces(items) });
        const length = (stages: 2 | 3): number =>
          (
            bestStrips({
              width: problem.width,
              orientations: problem.orientations,
              left: problem.itemTypes.map(({ quantity }) => quantity),
              stages,
              edges: 2,
              mostStacks: 20,
              mostStrip: Number.POSITIVE_INFINITY,
              most: 1e9,
            }) ?? []
          ).reduce((sum, { along }) => sum + along, 0);
        expect(length(3)).toBeLessThanOrEqual(length(2) + 1e-9);
      }),
      { numRuns: 40 },
    );
  });
  it.each(SMALL_JOBS.map((job) => [job.id, job] as const))(
    '%s: the optimum itself, of three stages and of any number, and proven',
    (_id, job) => {
      const request = requestOf(job);
      for (const [stages, optimum] of [
        [3, job.optimum],
        [ANY_STAGES, job.anyStages],
      ] as const) {
        const plan = layOutGuillotine(request, { stages, seed: 1, mostRounds: 100 });
        expect(plan.length_mm.value).toBe(optimum);
        expect(plan.stopped).toBe('optimal');
        expect(faultsOf(request, plan, stages)).toEqual([]);
      }
    },
  );
});

describe('are few pieces laid in the shortest way that any straight cuts take apart?', () => {
  it('up to three pieces: the same as an integer programme over which piece lies left of, right of, before or behind which; four: never shorter than that', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ w: fc.integer({ min: 200, max: 1100 }), h: fc.integer({ min: 200, max: 1500 }) }),
          { minLength: 2, maxLength: 4 },
        ),
        (items) => {
          const request = { rollWidth_mm: ROLL, pieces: pieces(items) };
          const problem = packingProblem(request);
          const block = shortestOfAnyCuts(problem, 1e6);
          const length = (block?.along ?? 0) * problem.alongStep_mm;
          const least = Math.round(freely(items));
          if (items.length < 4) expect(length).toBe(least);
          else expect(length).toBeGreaterThanOrEqual(least);
        },
      ),
      { numRuns: 25 },
    );
  });
  it('any few pieces, turning or not: each once, freed by straight cuts, never longer than in three stages, and turning never makes it longer', () => {
    fc.assert(
      fc.property(jobs, (items) => {
        const length = (stages: 3 | typeof ANY_STAGES, mayTurn90: boolean): number => {
          const request = {
            rollWidth_mm: ROLL,
            pieces: pieces(items).map((piece) => ({ ...piece, mayTurn90 })),
          };
          const plan = layOutGuillotine(request, { stages, seed: 2, mostRounds: 60 });
          expect(faultsOf(request, plan, stages)).toEqual([]);
          return plan.length_mm.value;
        };
        const [three, any, turned] = [length(3, false), length(ANY_STAGES, false), length(ANY_STAGES, true)];
        expect(any).toBeLessThanOrEqual(three + 1e-6);
        expect(turned).toBeLessThanOrEqual(any + 1e-6);
      }),
      { numRuns: 30 },
    );
  });
  it('nothing as short as is asked: none', () => {
    const problem = packingProblem({
      rollWidth_mm: ROLL,
      pieces: pieces([
        { w: 700, h: 500 },
        { w: 700, h: 400 },
      ]),
    });
    expect(shortestOfAnyCuts(problem, 900 / problem.alongStep_mm)?.along).toBe(900 / problem.alongStep_mm);
    expect(shortestOfAnyCuts(problem, 899 / problem.alongStep_mm)).toBeUndefined();
  });
});

describe('is the bound the linear programme it says it is?', () => {
  it('one roll: the same as HiGHS on every pattern written out', () => {
    fc.assert(
      fc.property(jobs, (items) => {
        const problem = packingProblem({ rollWidth_mm: ROLL, pieces: pieces(items) });
        const found = leastCost(
          [{ width: problem.width, cost: 1, most: 1e9 }],
          itemDemands(problem, problem.width),
        );
        expect((found?.bound ?? 0) * problem.alongStep_mm).toBeCloseTo(patternLength(items), 3);
      }),
      { numRuns: 40 },
    );
  });
  it('any programme that asks for so much of some rows and has so much of others: the same as HiGHS, and the combination gives what is asked', () => {
    const columns = fc.array(
      fc.record({
        cost: fc.integer({ min: 1, max: 50 }),
        gives: fc.array(fc.integer({ min: 0, max: 5 }), { minLength: 4, maxLength: 4 }),
        takes: fc.integer({ min: 0, max: 9 }),
      }),
      { minLength: 1, maxLength: 12 },
    );
    fc.assert(
      fc.property(
        columns,
        fc.array(fc.integer({ min: 0, max: 20 }), { minLength: 4, maxLength: 4 }),
        fc.integer({ min: 20, max: 60 }),
        (some, asked, limit) => {
          /** One dear column for each row, so that there is always a combination. */
          const all = [
            ...some.map(({ cost, gives, takes }) => ({
              cost,
              entries: [...gives.map((amount, row) => [row, amount] as const), [4, takes] as const],
            })),
            ...asked.map((_, row) => ({ cost: 100, entries: [[row, 1] as const] })),
          ];
          const slacks = [
            ...asked.map((_, row) => ({ cost: 0, entries: [[row, -1] as const] })),
            { cost: 0, entries: [[4, 1] as const] },
          ];
          const simplex = new Simplex(asked, [limit], 100);
          const isDone = simplex.run(
            (dual) =>
              [...all, ...slacks]
                .map((column) => ({
                  column,
                  gain: column.entries.reduce(
                    (sum, [row, amount]) => sum + (dual[row] ?? 0) * amount,
                    -column.cost,
                  ),
                }))
                .filter(({ gain }) => gain > 1e-9)
                .sort((a, b) => b.gain - a.gain)[0]?.column,
            500,
          );
          expect(isDone).toBe(true);
          const rows = [
            ...asked.map(
              (own, row) =>
                ` r${row}: ${all.map(({ entries }, at) => `${entries.find(([of]) => of === row)?.[1] ?? 0} x${at}`).join(' + ')} >= ${own}`,
            ),
            ` most: ${all.map(({ entries }, at) => `${entries.find(([of]) => of === 4)?.[1] ?? 0} x${at}`).join(' + ')} <= ${limit}`,
          ];
          const exact = highs.solve(
            `Minimize\n obj: ${all.map(({ cost }, at) => `${cost} x${at}`).join(' + ')}\nSubject To\n${rows.join('\n')}\nEnd`,
          ).ObjectiveValue;
          expect(simplex.farleyBound(1)).toBeCloseTo(exact, 5);
          const got = [0, 0, 0, 0, 0];
          for (const [{ entries }, amount] of simplex.taken())
            for (const [row, own] of entries) got[row] = (got[row] ?? 0) + own * amount;
          asked.forEach((own, row) => {
            expect(got[row]).toBeGreaterThanOrEqual(own - 1e-6);
          });
        },
      ),
      { numRuns: 60 },
    );
  });
  it('stopped early it is lower, never higher', () => {
    fc.assert(
      fc.property(jobs, fc.integer({ min: 0, max: 8 }), (items, rounds) => {
        const problem = packingProblem({ rollWidth_mm: ROLL, pieces: pieces(items) });
        const bound = (most?: number): number =>
          leastCost([{ width: problem.width, cost: 1, most: 1e9 }], itemDemands(problem, problem.width), most)
            ?.bound ?? 0;
        expect(bound(rounds)).toBeLessThanOrEqual(bound() + 1e-6);
      }),
      { numRuns: 40 },
    );
  });
});
