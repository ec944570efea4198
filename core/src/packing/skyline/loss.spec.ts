import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { seededRandom } from '../../quantity';
import { packingProblem } from '../problem/packing-problem';
import { reducedCosts } from '../exact/reduced-costs';
import { type LayoutPiece, lengthBound } from '../../packing';
import { type BeamWeights, beam } from './beam';
import { EvolvedParameters } from './evolved-parameters';
import { coverSkylineSegment, lowestSkylineSegment, roomForSkylines } from './skylines';
import { orientationTable } from './orientation-table';
import { lossOf } from './loss';

const ROLL_MM = 40;
const piece = (id: string, across_mm: number, along_mm: number): LayoutPiece => ({
  id,
  across_mm,
  along_mm,
  mayTurn90: false,
});
const jobs = fc
  .array(
    fc.record({
      across: fc.integer({ min: 3, max: 38 }),
      along: fc.integer({ min: 1, max: 12 }),
      copies: fc.integer({ min: 1, max: 4 }),
    }),
    { minLength: 1, maxLength: 6 },
  )
  .map((sizes) => ({
    rollWidth_mm: ROLL_MM,
    pieces: sizes.flatMap(({ across, along, copies }, size) =>
      Array.from({ length: copies }, (_, copy) => piece(`${size}.${copy}`, across, along)),
    ),
  }));
/** Area and prices of the bound, mixed. */
const dualPriceOf = (
  request: { readonly rollWidth_mm: number; readonly pieces: readonly LayoutPiece[] },
  mix: number,
): { readonly problem: ReturnType<typeof packingProblem>; readonly dualPrice: readonly number[] } => {
  const problem = packingProblem(request);
  const { perPiece } = reducedCosts(
    problem,
    lengthBound(request).prices ?? problem.itemTypes.map(({ along }) => along),
  );
  return {
    problem,
    dualPrice: problem.itemTypes.map(
      ({ across, along }, itemType) =>
        ((1 - mix) * across * along) / problem.width + mix * (perPiece[itemType] ?? 0),
    ),
  };
};
const ways = (dualPrice: readonly number[], seed: number, more: Partial<BeamWeights> = {}): BeamWeights => ({
  skylines: 5,
  tries: 4,
  chance: 0.3,
  firstRow: 1,
  segmentCharge: 0,
  dualPrice,
  priority: dualPrice.map((own) => 0.01 * own),
  random: seededRandom(seed),
  ...more,
});
function run(steps: ReturnType<typeof beam>):
  | {
      readonly moves: readonly {
        readonly orientation: { readonly itemType: number; readonly across: number; readonly along: number };
        readonly x: number;
        readonly y: number;
      }[];
      readonly along: number;
    }
  | undefined {
  let step = steps.next();
  while (step.done !== true) step = steps.next();
  return step.value;
}

describe('what a piece loses', () => {
  it('is what a count row by row says, on any skyline', () => {
    fc.assert(
      fc.property(
        jobs,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.integer({ min: 1, max: 1000 }),
        (request, mix, seed) => {
          const { problem, dualPrice } = dualPriceOf(request, mix);
          const { width } = problem;
          const random = seededRandom(seed);
          const table = orientationTable(
            problem,
            Uint16Array.from(problem.itemTypes, ({ quantity }) => quantity),
            dualPrice,
          );
          let [own, next] = [roomForSkylines(1, 60, 1), roomForSkylines(1, 60, 1)];
          own.segmentCount[0] = 1;
          const plain = new Array<number>(width).fill(0);
          for (let laid = 0; laid < 8; laid += 1) {
            const at = lowestSkylineSegment(own, 0);
            const from = own.starts[at] ?? 0;
            const to = at + 1 < (own.segmentCount[0] ?? 0) ? (own.starts[at + 1] ?? width) : width;
            const fitting = table.orientations.flatMap(({ across }, index) =>
              across <= to - from ? [index] : [],
            );
            const index = fitting[Math.floor(random() * fitting.length)];
            if (index === undefined) return;
            const { across, along } = table.orientations[index] ?? { across: 1, along: 1 };
            const x = random() < 0.5 ? from : to - across;
            const y = plain[from] ?? 0;
            let lost = 0;
            for (let row = y; row < y + along; row += 1) {
              let [begin, end] = [from, to];
              while (begin > 0 && (plain[begin - 1] ?? 0) <= row) begin -= 1;
              while (end < width && (plain[end] ?? 0) <= row) end += 1;
              lost +=
                (table.room[end - begin] ?? 0) -
                (dualPrice[table.orientations[index]?.itemType ?? 0] ?? 0) / along -
                (table.room[x - begin] ?? 0) -
                (table.room[end - x - across] ?? 0);
            }
            expect(lossOf(table, own, 0, at, from, to, x, index)).toBeCloseTo(lost, 9);
            expect(lost).toBeGreaterThan(-1e-9);
            coverSkylineSegment(own, 0, next, 0, at, x, x + across, to, y + along);
            plain.fill(y + along, x, x + across);
            [own, next] = [next, own];
          }
        },
      ),
      { numRuns: 200 },
    );
  });
  it('no piece and no combination of pieces across the roll is worth more than the length it takes', () => {
    fc.assert(
      fc.property(jobs, fc.double({ min: 0, max: 1, noNaN: true }), (request, mix) => {
        const { problem, dualPrice } = dualPriceOf(request, mix);
        const { room } = orientationTable(
          problem,
          Uint16Array.from(problem.itemTypes, ({ quantity }) => quantity),
          dualPrice,
        );
        expect(room[problem.width]).toBeLessThanOrEqual(1 + 1e-9);
        for (let wide = 1; wide <= problem.width; wide += 1)
          expect(room[wide]).toBeGreaterThanOrEqual(room[wide - 1] ?? 0);
      }),
    );
  });
});

describe('a beam led by it', () => {
  it('finds nothing rather than a layout that is too long, and what it finds under a limit it also finds without', () => {
    fc.assert(
      fc.property(
        jobs,
        fc.constantFrom(0, 0.5, 0.95),
        fc.integer({ min: 1, max: 1000 }),
        (request, mix, seed) => {
          const { problem, dualPrice } = dualPriceOf(request, mix);
          const pieces = Uint16Array.from(problem.itemTypes, ({ quantity }) => quantity);
          const without = run(beam(problem, pieces, ways(dualPrice, seed), Number.POSITIVE_INFINITY));
          expect(without?.moves).toHaveLength(request.pieces.length);
          const length = without?.along ?? 0;
          expect(length).toBeGreaterThanOrEqual(Math.ceil(problem.area / problem.width));
          expect(
            length - dualPrice.reduce((sum, own, itemType) => sum + own * (pieces[itemType] ?? 0), 0),
          ).toBeGreaterThan(-1e-6);
          const under = run(beam(problem, pieces, ways(dualPrice, seed), length));
          if (under !== undefined) expect(under.along).toBeLessThan(length);
          expect(
            run(
              beam(
                problem,
                pieces,
                ways(dualPrice, seed),
                lengthBound(request).bound_mm.value / problem.alongStep_mm - 1e-6,
              ),
            ),
          ).toBeUndefined();
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('what a skyline has lost in all', () => {
  it('is never more than its layout loses: with room for every skyline, the shortest is found again under the least limit', () => {
    fc.assert(
      fc.property(
        jobs.map(({ rollWidth_mm, pieces }) => ({ rollWidth_mm, pieces: pieces.slice(0, 6) })),
        fc.constantFrom(0, 0.5, 0.95),
        (request, mix) => {
          const { problem, dualPrice } = dualPriceOf(request, mix);
          const pieces = Uint16Array.from(problem.itemTypes, ({ quantity }) => quantity);
          const all = { skylines: 1500, tries: 12, chance: 0 };
          const length =
            run(beam(problem, pieces, ways(dualPrice, 1, all), Number.POSITIVE_INFINITY))?.along ?? 0;
          expect(run(beam(problem, pieces, ways(dualPrice, 1, all), length + 1))?.along).toBe(length);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('ways that did well', () => {
  const { problem } = dualPriceOf(
    { rollWidth_mm: ROLL_MM, pieces: [piece('a', 20, 5), piece('b', 13, 7), piece('c', 7, 3)] },
    0,
  );
  it('at first everything is of use; then only what is no longer than the worst that is kept', () => {
    const bred = new EvolvedParameters(problem, true, seededRandom(1));
    expect(bred.most).toBe(Number.POSITIVE_INFINITY);
    for (const along of [90, 70, 80, 100, 75, 120]) bred.found(bred.next(), along);
    expect(bred.most).toBe(91);
  });
  it('without prices of the bound area alone leads', () => {
    const bred = new EvolvedParameters(problem, false, seededRandom(2));
    for (let turn = 0; turn < 40; turn += 1) {
      const way = bred.next();
      expect(way.mix).toBe(0);
      bred.found(way, 100 - turn);
    }
  });
  it('a way wants what there is to want: never negative, each item type once, some pieces tried', () => {
    const bred = new EvolvedParameters(problem, true, seededRandom(3));
    for (let turn = 0; turn < 200; turn += 1) {
      const way = bred.next();
      expect(way.logBias).toHaveLength(problem.itemTypes.length);
      expect(way.mix).toBeGreaterThanOrEqual(0);
      expect(way.mix).toBeLessThan(1);
      expect(Math.min(way.chance, way.firstRow)).toBeGreaterThanOrEqual(0);
      expect(way.tries).toBeGreaterThanOrEqual(2);
      bred.found(way, 100 + (turn % 7));
    }
  });
  it('the longer nothing shorter is found, the more skylines are kept', () => {
    const mean = (bred: EvolvedParameters): number =>
      Array.from({ length: 200 }, () => bred.skylines).reduce((sum, own) => sum + own, 0) / 200;
    const bred = new EvolvedParameters(problem, true, seededRandom(4));
    const before = mean(bred);
    for (let turn = 0; turn < 300; turn += 1) bred.foundNothing();
    expect(mean(bred)).toBeGreaterThan(3 * before);
  });
});
