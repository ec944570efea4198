import { beforeAll, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { Highs } from 'highs';
import loadHighs from 'highs';
import { packingProblem } from '../problem/packing-problem';
import { bestPattern } from './best-pattern';
import type { ItemDemand } from './item-demand';
import { type PatternStock, leastCost, leastCostSteps } from './least-cost';
import { OffcutFills } from './offcut-fills';
import { Simplex, type SimplexColumn } from './simplex';
import { leastLength } from './width-bound';

let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

const demands = fc
  .array(
    fc.record({
      across: fc.integer({ min: 3, max: 30 }),
      along: fc.integer({ min: 3, max: 30 }),
      quantity: fc.integer({ min: 1, max: 3 }),
      mayTurn: fc.boolean(),
    }),
    { minLength: 1, maxLength: 4 },
  )
  .map((itemTypes) =>
    itemTypes.map(({ across, along, quantity, mayTurn }): ItemDemand => ({
      quantity,
      orientations: [[across, along], ...(mayTurn && across !== along ? [[along, across] as const] : [])],
    })),
  );
const stocks = fc
  .array(
    fc.record({
      width: fc.integer({ min: 30, max: 45 }),
      cost: fc.integer({ min: 1, max: 20 }),
      most: fc.integer({ min: 0, max: 60 }),
    }),
    { maxLength: 2 },
  )
  .map((some): readonly PatternStock[] => [...some, { width: 40, cost: 21, most: 1e9 }]);

/** Every slice there is of a roll: how often it crosses each item type in each way. */
function everyPattern(
  width: number,
  asked: readonly ItemDemand[],
  longest = Number.POSITIVE_INFINITY,
): readonly (readonly (readonly number[])[])[] {
  const orientations = asked.flatMap(({ orientations: own }, itemType) =>
    own.flatMap(([across, along], orientation) =>
      along <= longest ? [{ itemType, orientation, across }] : [],
    ),
  );
  const found: number[][][] = [];
  const go = (at: number, rest: number, counts: number[][]): void => {
    const one = orientations[at];
    if (one === undefined) {
      found.push(counts);
      return;
    }
    const most = asked[one.itemType]?.quantity ?? 0;
    for (let count = 0; count <= most && count * one.across <= rest; count += 1)
      go(
        at + 1,
        rest - count * one.across,
        counts.map((row, itemType) =>
          itemType === one.itemType
            ? row.map((own, orientation) => (orientation === one.orientation ? count : own))
            : row,
        ),
      );
  };
  go(
    0,
    width,
    asked.map(({ orientations: own }) => own.map(() => 0)),
  );
  return found;
}
/** How much of an item type, in steps along its first way, one step of such a slice serves. */
const served = (
  pattern: readonly (readonly number[])[],
  asked: readonly ItemDemand[],
  itemType: number,
): number =>
  (pattern[itemType] ?? []).reduce(
    (sum, count, orientation) =>
      sum +
      (count * (asked[itemType]?.orientations[0]?.[1] ?? 0)) /
        (asked[itemType]?.orientations[orientation]?.[1] ?? 1),
    0,
  );

/** The cheapest combination of slices with all of them written out. */
function writtenOut(from: readonly PatternStock[], asked: readonly ItemDemand[]): number {
  const patterns = from.flatMap(({ width, cost, most }, stock) =>
    everyPattern(width, asked, most).map((pattern) => ({ pattern, cost, stock })),
  );
  const rows = [
    ...asked.map(
      ({ quantity, orientations }, itemType) =>
        ` kind${itemType}: ${patterns
          .flatMap(({ pattern }, at) => {
            const own = served(pattern, asked, itemType);
            return own > 0 ? [`${own.toFixed(12)} b${at}`] : [];
          })
          .join(' + ')} >= ${quantity * (orientations[0]?.[1] ?? 0)}`,
    ),
    ...from.map(
      ({ most }, stock) =>
        ` stock${stock}: ${patterns.flatMap((own, at) => (own.stock === stock ? [`b${at}`] : [])).join(' + ')} <= ${most}`,
    ),
  ];
  return highs.solve(
    `Minimize\n obj: ${patterns.map(({ cost }, at) => `${cost} b${at}`).join(' + ')}\nSubject To\n${rows.join('\n')}\nEnd`,
  ).ObjectiveValue;
}

describe('the slice worth most', () => {
  it('is the best of all there are', () => {
    fc.assert(
      fc.property(
        demands,
        fc.array(fc.double({ min: 0, max: 5, noNaN: true }), { minLength: 4, maxLength: 4 }),
        fc.integer({ min: 20, max: 60 }),
        (asked, price, width) => {
          const own = bestPattern(width, asked, price);
          expect(own.value).toBeCloseTo(
            Math.max(
              ...everyPattern(width, asked)
                .filter((pattern) =>
                  pattern.every((counts, itemType) =>
                    counts.every((count) => count <= (asked[itemType]?.quantity ?? 0)),
                  ),
                )
                .map((pattern) =>
                  pattern.reduce(
                    (sum, _, itemType) => sum + (price[itemType] ?? 0) * served(pattern, asked, itemType),
                    0,
                  ),
                ),
            ),
            9,
          );
          expect(
            own.parts.reduce(
              (sum, { itemType, orientation, count }) =>
                sum + count * (asked[itemType]?.orientations[orientation]?.[0] ?? 0),
              0,
            ),
          ).toBeLessThanOrEqual(width);
          expect(
            own.parts.reduce(
              (sum, { itemType, count, share }) => sum + count * share * (price[itemType] ?? 0),
              0,
            ),
          ).toBeCloseTo(own.value, 9);
        },
      ),
      { numRuns: 150 },
    );
  });
});

describe('the cheapest combination of slices', () => {
  it('over rolls of several widths and lengths, with turning, is what HiGHS finds with every slice written out', () => {
    fc.assert(
      fc.property(stocks, demands, (from, asked) => {
        const own = leastCost(from, asked);
        expect(own?.stopped).toBe('optimal');
        expect((own?.bound ?? Number.NaN) / writtenOut(from, asked)).toBeCloseTo(1, 6);
      }),
      { numRuns: 40 },
    );
  });
  it('takes of each roll no more than there is, and serves every piece once', () => {
    fc.assert(
      fc.property(stocks, demands, (from, asked) => {
        const own = leastCost(from, asked);
        from.forEach(({ most }, stock) => {
          expect(own?.lengths[stock] ?? 0).toBeLessThanOrEqual(most + 1e-6);
        });
        expect(from.reduce((sum, { cost }, stock) => sum + cost * (own?.lengths[stock] ?? 0), 0)).toBeCloseTo(
          own?.bound ?? Number.NaN,
          5,
        );
        asked.forEach(({ quantity }, itemType) => {
          expect(
            (own?.split[itemType] ?? []).reduce((sum, pieces) => sum + pieces, 0),
          ).toBeGreaterThanOrEqual(quantity - 1e-6);
        });
      }),
      { numRuns: 80 },
    );
  });
  it('stopped early its bound is lower, but true', () => {
    fc.assert(
      fc.property(demands, fc.integer({ min: 1, max: 8 }), (asked, rounds) => {
        const roll = [{ width: 40, cost: 1, most: 1e9 }];
        const [early, whole] = [leastCost(roll, asked, rounds), leastCost(roll, asked)];
        expect(early?.bound ?? 0).toBeLessThanOrEqual((whole?.bound ?? 0) + 1e-6);
      }),
      { numRuns: 100 },
    );
  });
  it('no slice is worth more than a step of roll at its prices', () => {
    fc.assert(
      fc.property(demands, (asked) => {
        const own = leastCost([{ width: 40, cost: 1, most: 1e9 }], asked);
        for (const pattern of everyPattern(40, asked))
          expect(
            pattern.reduce(
              (sum, _, itemType) =>
                sum +
                (served(pattern, asked, itemType) * (own?.prices[itemType] ?? 0)) /
                  (asked[itemType]?.orientations[0]?.[1] ?? 1),
              0,
            ),
          ).toBeLessThanOrEqual(1 + 1e-6);
      }),
      { numRuns: 80 },
    );
  });
  it('nothing longer than a roll is lies on it', () => {
    const asked: readonly ItemDemand[] = [{ quantity: 1, orientations: [[20, 30]] }];
    expect(
      leastCost(
        [
          { width: 40, cost: 1, most: 29 },
          { width: 40, cost: 5, most: 1e9 },
        ],
        asked,
      )?.bound,
    ).toBeCloseTo(150, 6);
    expect(
      leastCost(
        [
          { width: 40, cost: 1, most: 30 },
          { width: 40, cost: 5, most: 1e9 },
        ],
        asked,
      )?.bound,
    ).toBeCloseTo(30, 6);
  });
  it('nothing asked for, nothing to cut from, or too many item types: no bound rather than a wrong one', () => {
    const itemType: ItemDemand = { quantity: 1, orientations: [[5, 5]] };
    expect(leastCost([], [itemType])).toBeUndefined();
    expect(leastCost([{ width: 40, cost: 1, most: 1e9 }], [])).toBeUndefined();
    expect(
      leastCost(
        [{ width: 40, cost: 1, most: 1e9 }],
        Array.from({ length: 140 }, () => itemType),
      ),
    ).toBeUndefined();
  });
});

/** Every subset that an offcut may hold by a rule. */
function everyFill(
  asked: readonly ItemDemand[],
  fits: (counts: ArrayLike<number>) => boolean,
): readonly (readonly number[])[] {
  const go = (itemType: number, counts: readonly number[]): readonly (readonly number[])[] =>
    itemType === asked.length
      ? [counts]
      : Array.from({ length: (asked[itemType]?.quantity ?? 0) + 1 }, (_, count) => [
          ...counts,
          count,
        ]).flatMap((own) => go(itemType + 1, own));
  return go(0, []).filter(fits);
}

describe('an offcut that is paid for whole', () => {
  const [width, length] = [40, 25];
  const roll: PatternStock = { width: 40, cost: 21, most: 1e9 };
  /**
   * A made rule of what lies on it, so that all subsets can be written out: at most three pieces, one
   * behind the other.
   */
  const ruleFor =
    (asked: readonly ItemDemand[]) =>
    (counts: ArrayLike<number>): boolean =>
      asked.reduce((sum, _, itemType) => sum + (counts[itemType] ?? 0), 0) <= 3 &&
      asked.reduce(
        (sum, { orientations }, itemType) =>
          sum + (counts[itemType] ?? 0) * Math.min(...orientations.map(([, along]) => along)),
        0,
      ) <= length;

  it('is taken as what can lie on it at once: the cheapest combination is what HiGHS finds with every subset written out', () => {
    fc.assert(
      fc.property(demands, fc.integer({ min: 1, max: 400 }), (asked, whole) => {
        const fits = ruleFor(asked);
        const own = leastCost(
          [roll, { width, most: length, cost: whole, fills: new OffcutFills(width, length, asked, fits) }],
          asked,
        );
        const patterns = everyPattern(roll.width, asked);
        const fills = everyFill(asked, fits);
        const rows = asked.map(({ quantity, orientations }, itemType) => {
          const along = orientations[0]?.[1] ?? 0;
          const terms = [
            ...patterns.flatMap((pattern, at) => {
              const gives = served(pattern, asked, itemType);
              return gives > 0 ? [`${gives.toFixed(12)} b${at}`] : [];
            }),
            ...fills.flatMap((counts, at) =>
              (counts[itemType] ?? 0) > 0 ? [`${(counts[itemType] ?? 0) * along} f${at}`] : [],
            ),
          ];
          return ` kind${itemType}: ${terms.join(' + ')} >= ${quantity * along}`;
        });
        const exact = highs.solve(
          `Minimize\n obj: ${[...patterns.map((_, at) => `${roll.cost} b${at}`), ...fills.map((_, at) => `${whole} f${at}`)].join(' + ')}\nSubject To\n${rows.join('\n')}\n once: ${fills.map((_, at) => `f${at}`).join(' + ')} <= 1\nEnd`,
        ).ObjectiveValue;
        expect(own?.stopped).toBe('optimal');
        expect((own?.bound ?? Number.NaN) / exact).toBeCloseTo(1, 6);
      }),
      { numRuns: 40 },
    );
  });
  it('by hand: two panes of 600 × 600 on an offcut of 1 × 1 m for 3, beside a roll of 1 m at 10 a metre: one lies on it, the other takes 0.6 m, 9 in all; slices said 3 + 10 · 0.2 = 5', () => {
    const asked: readonly ItemDemand[] = [{ quantity: 2, orientations: [[600, 600]] }];
    const metre: PatternStock = { width: 1000, cost: 0.01, most: 1e9 };
    expect(leastCost([metre, { width: 1000, cost: 0.003, most: 1000 }], asked)?.bound).toBeCloseTo(5, 6);
    expect(
      leastCost(
        [
          metre,
          {
            width: 1000,
            cost: 3,
            most: 1000,
            fills: new OffcutFills(1000, 1000, asked, (counts) => (counts[0] ?? 0) <= 1),
          },
        ],
        asked,
      )?.bound,
    ).toBeCloseTo(9, 6);
  });
  it('is taken as slices again when too much may lie on it: lower, and true', () => {
    const asked: readonly ItemDemand[] = [{ quantity: 200, orientations: [[40, 50]] }];
    const from = (fills?: OffcutFills): readonly PatternStock[] => [
      { width: 1000, cost: 1, most: 1e9 },
      { width: 1000, cost: fills === undefined ? 0.5 : 500, most: 1000, fills },
    ];
    const [sliced, whole] = [
      leastCost(from(), asked)?.bound ?? 0,
      leastCost(from(new OffcutFills(1000, 1000, asked, () => true)), asked)?.bound ?? 0,
    ];
    expect(whole).toBeGreaterThan(0);
    expect(whole).toBeLessThanOrEqual(sliced * (1 + 1e-9));
  });
  it('what is proven on the way is never more than what is proven in the end', () => {
    fc.assert(
      fc.property(demands, fc.integer({ min: 1, max: 400 }), (asked, whole) => {
        const steps = leastCostSteps(
          [
            roll,
            {
              width,
              most: length,
              cost: whole,
              fills: new OffcutFills(width, length, asked, ruleFor(asked)),
            },
          ],
          asked,
          400,
        );
        const seen: number[] = [];
        let end = 0;
        for (let step = steps.next(); ; step = steps.next()) {
          if (step.done === true) {
            end = step.value?.bound ?? 0;
            break;
          }
          seen.push(step.value);
        }
        expect(Math.max(...seen)).toBeLessThanOrEqual(end * (1 + 1e-9));
      }),
      { numRuns: 60 },
    );
  });
});

describe('what cannot lie side by side', () => {
  it('area, longest piece and dual feasible functions: never over what slices say, never under area or the longest', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ across: fc.integer({ min: 3, max: 40 }), along: fc.integer({ min: 3, max: 40 }) }),
          { minLength: 1, maxLength: 8 },
        ),
        (sizes) => {
          const problem = packingProblem({
            rollWidth_mm: 40,
            pieces: sizes.map(({ across, along }, index) => ({
              id: String(index),
              across_mm: across,
              along_mm: along,
              mayTurn90: false,
            })),
          });
          const least = leastLength(problem);
          const patterns = leastCost(
            [{ width: problem.width, cost: 1, most: 1e9 }],
            problem.itemTypes.map(({ across, along, quantity }) => ({
              quantity,
              orientations: [[across, along]],
            })),
          );
          expect(least).toBeGreaterThanOrEqual(Math.ceil(problem.area / problem.width));
          expect(least).toBeGreaterThanOrEqual(problem.longest);
          expect(least).toBeLessThanOrEqual(
            Math.max(problem.longest, Math.ceil((patterns?.bound ?? 0) - 1e-6)),
          );
        },
      ),
      { numRuns: 120 },
    );
  });
  it('three pieces wider than half the roll lie one after the other; two of a third fit beside each other', () => {
    const of = (across_mm: number): number =>
      leastLength(
        packingProblem({
          rollWidth_mm: 1524,
          pieces: ['a', 'b', 'c'].map((id) => ({ id, across_mm, along_mm: 1001, mayTurn90: false })),
        }),
      );
    expect(of(763)).toBe(3);
    expect(of(508)).toBe(1);
  });
});

describe('the simplex', () => {
  it('a diet worked out by hand: 2 x + y ≥ 8, x + 3 y ≥ 9 at 3 and 4 a unit costs 17, of 3 and 2', () => {
    const columns: readonly SimplexColumn[] = [
      {
        entries: [
          [0, 2],
          [1, 1],
        ],
        cost: 3,
      },
      {
        entries: [
          [0, 1],
          [1, 3],
        ],
        cost: 4,
      },
    ];
    const simplex = new Simplex<SimplexColumn>([8, 9], [], 4);
    expect(
      simplex.run(
        (dual) =>
          columns.find(
            ({ entries, cost }) =>
              entries.reduce((sum, [row, amount]) => sum + amount * (dual[row] ?? 0), 0) > cost + 1e-9,
          ),
        20,
      ),
    ).toBe(true);
    const taken = new Map(simplex.taken());
    expect([taken.get(columns[0] as SimplexColumn), taken.get(columns[1] as SimplexColumn)]).toEqual([
      expect.closeTo(3, 9),
      expect.closeTo(2, 9),
    ]);
    expect([...simplex.dual]).toEqual([expect.closeTo(1, 9), expect.closeTo(1, 9)]);
    expect(simplex.farleyBound(1)).toBeCloseTo(17, 9);
  });
});
