import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { seededRandom } from '../../quantity';
import { type LayoutPiece, type LayoutRequest, checkCuttable, checkLayout, layOutGuillotine } from '..';
import type { Strip } from './strip-shape';
import { EvenPatterns } from './even-patterns';
import { wholeRoll } from './lay-out-guillotine';
import { partitionBySwaps } from './partition-by-swaps';
import { packingProblem } from '../problem/packing-problem';
import { byWidth, fullSets, patterns } from './strip-patterns';
import { exactFill } from './exact-fill';

const ROLL = 1524;
const GRID = 127;

/**
 * So many strips cut without waste; on the grid their stacks share few widths, off it hardly two are as wide;
 * of the pieces at the roll's sides so large a share wants its factory edge. Its length is the optimum by
 * construction.
 */
function cutFromARoll(
  seed: number,
  strips: number,
  isOnGrid: boolean,
  wishing = 0,
): { readonly request: LayoutRequest; readonly optimum_mm: number } {
  const random = seededRandom(seed);
  const wish = seededRandom(seed + 1);
  const whole = (least: number, most: number): number => least + Math.floor(random() * (most - least + 1));
  const parts = (total: number, count: number, step: number): readonly number[] => {
    const cuts = new Set<number>();
    while (cuts.size < count - 1) {
      const at = step * whole(1, total / step - 1);
      if ([0, ...cuts, total].every((other) => Math.abs(other - at) >= total / (3 * count))) cuts.add(at);
    }
    const ends = [0, ...[...cuts].sort((a, b) => a - b), total];
    return ends.slice(1).map((end, index) => end - (ends[index] ?? 0));
  };
  const pieces: LayoutPiece[] = [];
  let optimum_mm = 0;
  for (let strip = 0; strip < strips; strip += 1) {
    const along = whole(1300, 3000);
    optimum_mm += along;
    const widths = parts(ROLL, whole(2, 4), isOnGrid ? GRID : 1);
    for (const [stack, across_mm] of widths.entries()) {
      const isOuter = stack === 0 || stack === widths.length - 1;
      for (const along_mm of parts(along, whole(1, 5), 1))
        pieces.push({
          id: String(pieces.length),
          across_mm,
          along_mm,
          mayTurn90: false,
          ...(isOuter && wish() < wishing ? { wantsEdge: true } : {}),
        });
    }
  }
  return { request: { rollWidth_mm: ROLL, pieces }, optimum_mm };
}

const countsOf = (strips: readonly Strip[], itemTypes: number): readonly number[] => {
  const counts = new Array<number>(itemTypes).fill(0);
  for (const { stacks } of strips)
    for (const { pieces } of stacks)
      for (const { itemType } of pieces) counts[itemType] = (counts[itemType] ?? 0) + 1;
  return counts;
};
const all = (request: LayoutRequest) => {
  const problem = packingProblem(request);
  return {
    problem,
    left: Int32Array.from(problem.itemTypes, ({ quantity }) => quantity),
    quantities: problem.itemTypes.map(({ quantity }) => quantity),
  };
};

describe('pieces cut from a roll without waste: are they put together again?', () => {
  it.each([
    [1, 3],
    [2, 8],
    [3, 20],
    [4, 45],
  ])(
    'hardly two stacks as wide, seed %d, %d strips: the roll as it was, proven, in the first rounds',
    (seed, strips) => {
      const { request, optimum_mm } = cutFromARoll(seed, strips, false);
      const plan = layOutGuillotine(request, { seed: 1, mostRounds: 10, stages: 3 });
      expect(plan.length_mm.value).toBe(optimum_mm);
      expect(plan.stopped).toBe('optimal');
      expect(checkLayout(request, plan.placed)).toEqual([]);
      expect(checkCuttable(plan.placed, 3)).toEqual([]);
    },
  );
  it.each([
    [11, 10, 0.6],
    [12, 20, 0.2],
    [13, 45, 0.1],
  ])(
    'few widths shared by all, seed %d, %d strips: within %d %% of the roll after 40 rounds, and cuttable',
    (seed, strips, within) => {
      const { request, optimum_mm } = cutFromARoll(seed, strips, true);
      const plan = layOutGuillotine(request, { seed: 1, mostRounds: 40, stages: 3 });
      expect(100 * (plan.length_mm.value / optimum_mm - 1)).toBeLessThan(within);
      expect(plan.length_mm.value).toBeGreaterThanOrEqual(optimum_mm);
      expect(checkLayout(request, plan.placed)).toEqual([]);
      expect(checkCuttable(plan.placed, 3)).toEqual([]);
    },
  );
  it.each([
    [1, 20, false, 0],
    [12, 20, true, 0.6],
  ])(
    'half of the pieces at the sides want their factory edge, seed %d, %d strips, on a grid %s: within %d %% of the roll after 24 rounds, all at an edge',
    (seed, strips, isOnGrid, within) => {
      const { request, optimum_mm } = cutFromARoll(seed, strips, isOnGrid, 0.5);
      const plan = layOutGuillotine(request, { seed: 1, mostRounds: 24, stages: 3 });
      expect(100 * (plan.length_mm.value / optimum_mm - 1)).toBeLessThanOrEqual(within);
      expect(checkLayout(request, plan.placed)).toEqual([]);
      expect(checkCuttable(plan.placed, 3)).toEqual([]);
    },
  );
  it('thirteen pieces of one width that two stacks beside each other use up, half of their length each: found at once, whatever the seed', () => {
    const halves = [324, 585, 620, 355, 712, 462, 492, 467, 489, 294, 402, 1460, 684];
    const sum_mm = halves.reduce((sum, own) => sum + own, 0);
    const pieces: LayoutPiece[] = [
      ...halves.map((along_mm): Pick<LayoutPiece, 'across_mm' | 'along_mm'> => ({
        across_mm: 762,
        along_mm,
      })),
      { across_mm: 889, along_mm: 2650 },
      ...[495, 500, 341, 266, 659, 389].map((along_mm) => ({ across_mm: 635, along_mm })),
    ].map((size, index) => ({ id: String(index), mayTurn90: false, ...size }));
    for (const seed of [1, 2, 3, 4, 5, 6]) {
      const { length_mm, stopped } = layOutGuillotine(
        { rollWidth_mm: ROLL, pieces },
        { stages: 3, seed, mostRounds: 40 },
      );
      expect([seed, length_mm.value, stopped]).toEqual([seed, sum_mm / 2 + 2650, 'optimal']);
    }
  });
  it('pieces that want a factory edge lie at one, whatever is tried', () => {
    for (const seed of [21, 22, 23]) {
      const { request } = cutFromARoll(seed, 4, true);
      const random = seededRandom(seed);
      const own = {
        ...request,
        pieces: request.pieces.map((piece) => ({ ...piece, wantsEdge: random() < 0.3 })),
      };
      const plan = layOutGuillotine(own, { seed: 1, mostRounds: 40, stages: 3 });
      expect(checkLayout(own, plan.placed)).toEqual([]);
      expect(checkCuttable(plan.placed, 3)).toEqual([]);
    }
  });
});

describe('is a strip without waste one?', () => {
  it('any beginning: as wide as the roll, every stack as long as the strip, no piece taken twice, the anchor’s width in the first', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 500 }),
        fc.integer({ min: 2, max: 6 }),
        fc.boolean(),
        (seed, strips, isOnGrid) => {
          const { problem, left, quantities } = all(cutFromARoll(seed, strips, isOnGrid).request);
          const seen: Strip[][] = [];
          exactFill({
            width: problem.width,
            orientations: problem.orientations,
            left,
            mostStrip: Math.round(problem.longest * 2.5),
            mostStacks: 8,
            edges: 2,
            mostTries: 40,
            random: seededRandom(seed),
            mostAtEnd: 1,
            end: (rest, made) => {
              seen.push([...made]);
              countsOf(made, quantities.length).forEach((count, itemType) => {
                expect(count + (rest[itemType] ?? 0)).toBe(quantities[itemType]);
              });
              return undefined;
            },
          });
          expect(seen.length).toBeGreaterThan(0);
          for (const { along, stacks, filled } of seen.flat()) {
            expect(stacks.reduce((sum, { across }) => sum + across, 0)).toBe(problem.width);
            for (const { across, pieces } of stacks) {
              expect(pieces.reduce((sum, orientation) => sum + orientation.along, 0)).toBe(along);
              expect(pieces.every((orientation) => orientation.across === across)).toBe(true);
            }
            expect(filled).toBe(problem.width * along);
          }
        },
      ),
      { numRuns: 20 },
    );
  });
  it('the end is asked once few subsets are left, and what it says is the answer', () => {
    const { problem, left } = all(cutFromARoll(5, 6, false).request);
    const asked: number[] = [];
    const found = exactFill({
      width: problem.width,
      orientations: problem.orientations,
      left,
      mostStrip: problem.longest * 3,
      mostStacks: 8,
      edges: 2,
      mostTries: 100,
      random: seededRandom(1),
      mostAtEnd: 4096,
      end: (rest, made) => {
        asked.push(rest.reduce((product, own) => product * (own + 1), 1));
        return made;
      },
    });
    expect(asked.length).toBe(1);
    expect(asked[0]).toBeLessThanOrEqual(4096);
    expect(found?.length).toBeGreaterThan(0);
  });
  it('after so many tries it gives up', () => {
    const { problem, left } = all(cutFromARoll(6, 10, true).request);
    let asked = 0;
    expect(
      exactFill({
        width: problem.width,
        orientations: problem.orientations,
        left,
        mostStrip: problem.longest * 3,
        mostStacks: 8,
        edges: 2,
        mostTries: 3,
        random: seededRandom(1),
        mostAtEnd: 0,
        end: () => {
          asked += 1;
          return undefined;
        },
      }),
    ).toBeUndefined();
    expect(asked).toBeLessThanOrEqual(3);
  });
});

describe('patterns as if pieces were fine as sand', () => {
  const { request } = cutFromARoll(31, 25, true);
  const { problem, left } = all(request);
  const widths = byWidth(problem.orientations, left);
  const sets = fullSets(problem.width, widths, 8) ?? [];
  it('pieces by width, widest first: each once, lengths summed', () => {
    expect(widths.reduce((sum, { pieces }) => sum + pieces.length, 0)).toBe(request.pieces.length);
    expect(widths.map(({ across }) => across)).toEqual(
      [...widths.map(({ across }) => across)].sort((a, b) => b - a),
    );
    for (const { across, total } of widths)
      expect(total).toBe(
        request.pieces
          .filter(({ across_mm }) => across_mm === across * problem.acrossStep_mm)
          .reduce((sum, { along_mm }) => sum + along_mm, 0),
      );
  });
  it('every set fills the roll, in at most eight stacks; as many as there are partitions of twelve steps into the widths there are (counted apart)', () => {
    for (const set of sets) {
      expect(set.reduce((sum, index) => sum + (widths[index]?.across ?? 0), 0)).toBe(problem.width);
      expect(set.length).toBeLessThanOrEqual(8);
    }
    /** By parts used and steps filled; there are pieces enough of every width. */
    const ways = Array.from({ length: 9 }, () => new Array<number>(problem.width + 1).fill(0));
    (ways[0] as number[])[0] = 1;
    for (const { across } of widths)
      for (let parts = 1; parts <= 8; parts += 1)
        for (let at = across; at <= problem.width; at += 1)
          (ways[parts] as number[])[at] = (ways[parts]?.[at] ?? 0) + (ways[parts - 1]?.[at - across] ?? 0);
    expect(widths.every(({ across, pieces }) => pieces.length >= Math.min(8, problem.width / across))).toBe(
      true,
    );
    expect(sets.length).toBe(ways.reduce((sum, own) => sum + (own[problem.width] ?? 0), 0));
  });
  it('hold just what there is of each width, in hardly more patterns than there are widths; others another time', () => {
    const random = seededRandom(3);
    const seen = new Set<string>();
    for (let run = 0; run < 12; run += 1) {
      const made = patterns(problem.width, widths, sets, 2, Number.POSITIVE_INFINITY, random) ?? [];
      expect(made.length).toBeGreaterThan(0);
      expect(made.length).toBeLessThanOrEqual(widths.length);
      widths.forEach(({ total }, width) => {
        const held = made.reduce(
          (sum, pattern) => sum + pattern.along * pattern.widths.filter((own) => own === width).length,
          0,
        );
        expect(Math.abs(held - total)).toBeLessThan(2 * made.length + 0.001 * total);
      });
      seen.add(
        made
          .map((pattern) => pattern.widths.join())
          .sort()
          .join(' '),
      );
    }
    expect(seen.size).toBeGreaterThan(3);
  });
  it('none longer than a sheet may be', () => {
    for (const { along } of patterns(
      problem.width,
      widths,
      sets,
      2,
      4000 / problem.alongStep_mm,
      seededRandom(3),
    ) ?? [])
      expect(along).toBeLessThanOrEqual(4000 / problem.alongStep_mm);
  });
  it('no sets where widths cannot fill the roll, none where there are too many', () => {
    const one = all({
      rollWidth_mm: ROLL,
      pieces: [
        { id: 'a', across_mm: 1000, along_mm: 500, mayTurn90: false },
        { id: 'b', across_mm: 700, along_mm: 500, mayTurn90: false },
      ],
    });
    expect(fullSets(one.problem.width, byWidth(one.problem.orientations, one.left), 8)).toEqual([]);
    const many = all({
      rollWidth_mm: ROLL,
      pieces: Array.from({ length: 400 }, (_, index) => ({
        id: String(index),
        across_mm: 100 + index,
        along_mm: 400,
        mayTurn90: false,
      })),
    });
    expect(fullSets(many.problem.width, byWidth(many.problem.orientations, many.left), 8)).toBeUndefined();
  });
});

describe('are pieces shared out evenly?', () => {
  it('any patterns: each piece once, in a stack of its width; strips as long as their longest stacks; the same seed gives the same', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 300 }), fc.integer({ min: 3, max: 12 }), (seed, strips) => {
        const { problem, left, quantities } = all(
          cutFromARoll(seed, strips, true, seed % 2 === 0 ? 0.3 : 0).request,
        );
        const widths = byWidth(problem.orientations, left);
        const made = patterns(
          problem.width,
          widths,
          fullSets(problem.width, widths, 8) ?? [],
          2,
          Number.POSITIVE_INFINITY,
          seededRandom(seed),
        );
        if (made === undefined) return;
        const run = () =>
          partitionBySwaps(widths, made, 2, { changes: 4000, first: 60, last: 1 }, seededRandom(seed));
        const found = run();
        if (found === undefined) return;
        const { strips: shared, along } = found;
        expect(countsOf(shared, quantities.length)).toEqual(quantities);
        expect(shared.reduce((sum, strip) => sum + strip.along, 0)).toBeCloseTo(along, 6);
        for (const strip of shared) {
          const lengths = strip.stacks.map(({ pieces }) =>
            pieces.reduce((sum, orientation) => sum + orientation.along, 0),
          );
          expect(strip.along).toBe(Math.max(...lengths));
          expect(
            strip.stacks.filter(({ pieces }) => pieces.some(({ wantsEdge }) => wantsEdge)).length,
          ).toBeLessThanOrEqual(2);
          expect(
            strip.stacks.every(({ across, pieces }) =>
              pieces.every((orientation) => orientation.across === across),
            ),
          ).toBe(true);
        }
        expect(run()).toEqual({ strips: shared, along });
      }),
      { numRuns: 15 },
    );
  });
  it('two patterns of two stacks, the same eight lengths in both widths: parted alike they end together, without any waste', () => {
    const lengths = [311, 478, 522, 603, 415, 297, 688, 364];
    const pieces = [700, 824].flatMap((across_mm) =>
      lengths.map((along_mm, index) => ({
        id: `${across_mm}.${index}`,
        across_mm,
        along_mm,
        mayTurn90: false,
      })),
    );
    const { problem, left } = all({ rollWidth_mm: ROLL, pieces });
    const total = lengths.reduce((sum, own) => sum + own, 0);
    const made = [0, 1].map(() => ({ widths: [0, 1], along: total / 2 / problem.alongStep_mm }));
    const { along } = partitionBySwaps(
      byWidth(problem.orientations, left),
      made,
      2,
      { changes: 40_000, first: 60, last: 0.5 },
      seededRandom(2),
    ) ?? { along: Number.NaN };
    expect(along * problem.alongStep_mm).toBe(total);
  });
});

describe('are patterns tried where they are of use?', () => {
  it('many pieces of few widths: yes, and each try gives all pieces; hardly two as wide, or hardly more pieces than widths: no', () => {
    const many = packingProblem(cutFromARoll(41, 20, true).request);
    const even = new EvenPatterns(wholeRoll(many));
    expect(even.isOfUse).toBe(true);
    const random = seededRandom(1);
    const made = Array.from({ length: 40 }, () => even.next(random)).filter((strips) => strips !== undefined);
    expect(made.length).toBeGreaterThan(20);
    for (const strips of made)
      expect(countsOf(strips, many.itemTypes.length)).toEqual(many.itemTypes.map(({ quantity }) => quantity));
    expect(new EvenPatterns(wholeRoll(packingProblem(cutFromARoll(42, 20, false).request))).isOfUse).toBe(
      false,
    );
    expect(new EvenPatterns(wholeRoll(packingProblem(cutFromARoll(43, 1, true).request))).isOfUse).toBe(
      false,
    );
  });
  it('no strip is longer than a sheet may be', () => {
    const problem = packingProblem(cutFromARoll(44, 20, true).request);
    const mostStrip = Math.round(5000 / problem.alongStep_mm);
    const even = new EvenPatterns({ ...wholeRoll(problem), mostStrip });
    const random = seededRandom(1);
    for (let run = 0; run < 30; run += 1)
      for (const { along } of even.next(random) ?? []) expect(along).toBeLessThanOrEqual(mostStrip);
  });
});
