import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { seededRandom } from '../../quantity';
import type { Band } from '../guillotine/band-shape';
import { partedBands } from '../guillotine/parted-bands';
import { columnsInPlace, idsInTurn, placeBands } from '../guillotine/place-bands';
import { type Lie, type StripProblem, stripProblem } from '../problem/strip-problem';
import { checkCuttable, checkLayout } from '../../packing';
import { blockOf, partedAt } from './blocks';
import { placeBlocks } from './place-blocks';

const ROLL = 1524;

/** Any bands of some pieces: columns of stacks, none wider than the roll. */
const banded = fc
  .record({
    seed: fc.integer({ min: 1, max: 10_000 }),
    pieces: fc.array(
      fc.record({
        across: fc.integer({ min: 100, max: 700 }),
        along: fc.constantFrom(200, 300, 400, 600, 755),
        edge: fc.boolean(),
      }),
      { minLength: 1, maxLength: 20 },
    ),
  })
  .map(({ seed, pieces }) => {
    const request = {
      rollWidth_mm: ROLL,
      pieces: pieces.map(({ across, along, edge }, index) => ({
        id: String(index),
        across_mm: across,
        along_mm: along,
        mayTurn90: false,
        likesEdge: edge,
      })),
    };
    const problem = stripProblem(request);
    const random = seededRandom(seed);
    const lies = problem.kinds.flatMap(({ quantity }, kind): Lie[] => {
      const lie = problem.lies.find((own) => own.kind === kind);
      return lie === undefined ? [] : Array.from({ length: quantity }, () => lie);
    });
    const bands: Band[] = [];
    for (let at = 0; at < lies.length;) {
      const columns: { across: number; pieces: Lie[] }[] = [];
      let room = problem.width;
      while (at < lies.length) {
        const own: Lie[] = [];
        let across = 0;
        for (let count = 1 + Math.floor(random() * 3); count > 0 && at < lies.length; count -= 1) {
          const lie = lies[at] as Lie;
          if (Math.max(across, lie.across) > room) break;
          across = Math.max(across, lie.across);
          own.push(lie);
          at += 1;
        }
        if (own.length === 0) break;
        columns.push({ across, pieces: own });
        room -= across;
        if (random() < 0.3) break;
      }
      bands.push({
        along: Math.max(...columns.map((column) => column.pieces.reduce((sum, lie) => sum + lie.along, 0))),
        columns,
        filled: columns.reduce(
          (sum, column) => sum + column.pieces.reduce((all, lie) => all + lie.across * lie.along, 0),
          0,
        ),
      });
    }
    return { request, problem, bands };
  });
const piecesOf = (bands: readonly Band[]): readonly number[] =>
  bands
    .flatMap(({ columns }) => columns.flatMap(({ pieces }) => pieces.map(({ kind }) => kind)))
    .sort((a, b) => a - b);
const sum = (items: readonly { readonly along: number }[]): number =>
  items.reduce((all, { along }) => all + along, 0);
const lengthOf = (placed: readonly { readonly y_mm: number; readonly along_mm: number }[]): number =>
  Math.max(...placed.map(({ y_mm, along_mm }) => y_mm + along_mm));

describe('bands and blocks on the roll', () => {
  it('any bands: every piece once, none over another, cuttable in three stages, as long as the bands', () => {
    fc.assert(
      fc.property(banded, ({ request, problem, bands }) => {
        const placed = placeBands(problem, bands, ROLL);
        expect(checkLayout(request, placed)).toEqual([]);
        expect(checkCuttable(placed, 3)).toEqual([]);
        expect(lengthOf(placed)).toBeLessThanOrEqual(sum(bands) * problem.alongStep_mm + 1e-6);
      }),
      { numRuns: 100 },
    );
  });
  it('as blocks they lie just as they do as bands', () => {
    fc.assert(
      fc.property(banded, ({ request, problem, bands }) => {
        const longest = [...bands].sort((a, b) => b.along - a.along);
        const [asBands, asBlocks] = [
          placeBands(problem, bands, ROLL),
          placeBlocks(
            problem,
            longest.map((band) => blockOf(problem, band)),
            ROLL,
          ),
        ];
        const spots = (placed: typeof asBands): readonly string[] =>
          placed
            .map(({ x_mm, y_mm, across_mm, along_mm }) => `${x_mm} ${y_mm} ${across_mm} ${along_mm}`)
            .sort();
        expect(spots(asBlocks)).toEqual(spots(asBands));
        expect(checkLayout(request, asBlocks)).toEqual([]);
      }),
      { numRuns: 100 },
    );
  });
  it('parted wherever a cut meets no piece: the same pieces in the same length, no part can be parted again', () => {
    fc.assert(
      fc.property(banded, ({ problem, bands }) => {
        const parts = partedBands(bands);
        expect(piecesOf(parts)).toEqual(piecesOf(bands));
        expect(sum(parts)).toBe(sum(bands));
        expect(parts.reduce((all, { filled }) => all + filled, 0)).toBe(
          bands.reduce((all, { filled }) => all + filled, 0),
        );
        expect(partedBands(parts)).toEqual(parts);
        const blocks = bands.map((band) => blockOf(problem, band)).flatMap(partedAt);
        expect(sum(blocks)).toBeLessThanOrEqual(sum(bands));
        expect(blocks.flatMap(partedAt)).toEqual(blocks);
        expect(blocks.reduce((all, { moves }) => all + moves.length, 0)).toBe(piecesOf(bands).length);
      }),
      { numRuns: 100 },
    );
  });
  it('a column that likes an edge lies at one, at most two do, the right one at the roll’s own edge', () => {
    fc.assert(
      fc.property(banded, ({ problem, bands }) => {
        for (const { columns } of bands) {
          const wishing = columns.filter(({ pieces }) => pieces.some(({ likesEdge }) => likesEdge));
          const placed = columnsInPlace(columns, problem.width);
          const atEdge = placed
            .filter(({ column, x }) => x === 0 || x + column.across === problem.width)
            .map(({ column }) => column);
          expect(wishing.filter((column) => atEdge.includes(column)).length).toBeGreaterThanOrEqual(
            Math.min(2, wishing.length),
          );
          expect(placed.map(({ column }) => column)).toHaveLength(columns.length);
        }
      }),
      { numRuns: 100 },
    );
  });
});

describe('pieces of one kind are handed out', () => {
  const problem: StripProblem = stripProblem({
    rollWidth_mm: ROLL,
    pieces: ['a', 'b', 'c'].map((id) => ({ id, across_mm: 500, along_mm: 700, mayTurn90: false })),
  });
  it('each once, in the order given; one too many has no name', () => {
    const take = idsInTurn(problem);
    expect([take(0), take(0), take(0), take(0), take(7)]).toEqual(['a', 'b', 'c', '?', '?']);
  });
});
