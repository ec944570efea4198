import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { seededRandom } from '../../quantity';
import type { Strip } from '../guillotine/strip-shape';
import { partedStrips } from '../guillotine/parted-strips';
import { stacksInPlace, idsInTurn, placeStrips } from '../guillotine/place-strips';
import { type Orientation, type PackingProblem, packingProblem } from '../problem/packing-problem';
import { checkCuttable, checkLayout } from '../../packing';
import { blockOf, partedAt } from './blocks';
import { placeBlocks } from './place-blocks';

const ROLL = 1524;

/** Any strips of some pieces: stacks of stacks, none wider than the roll. */
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
    const problem = packingProblem(request);
    const random = seededRandom(seed);
    const orientations = problem.itemTypes.flatMap(({ quantity }, itemType): Orientation[] => {
      const orientation = problem.orientations.find((own) => own.itemType === itemType);
      return orientation === undefined ? [] : Array.from({ length: quantity }, () => orientation);
    });
    const strips: Strip[] = [];
    for (let at = 0; at < orientations.length;) {
      const stacks: { across: number; pieces: Orientation[] }[] = [];
      let room = problem.width;
      while (at < orientations.length) {
        const own: Orientation[] = [];
        let across = 0;
        for (let count = 1 + Math.floor(random() * 3); count > 0 && at < orientations.length; count -= 1) {
          const orientation = orientations[at] as Orientation;
          if (Math.max(across, orientation.across) > room) break;
          across = Math.max(across, orientation.across);
          own.push(orientation);
          at += 1;
        }
        if (own.length === 0) break;
        stacks.push({ across, pieces: own });
        room -= across;
        if (random() < 0.3) break;
      }
      strips.push({
        along: Math.max(
          ...stacks.map((stack) => stack.pieces.reduce((sum, orientation) => sum + orientation.along, 0)),
        ),
        stacks,
        filled: stacks.reduce(
          (sum, stack) =>
            sum + stack.pieces.reduce((all, orientation) => all + orientation.across * orientation.along, 0),
          0,
        ),
      });
    }
    return { request, problem, strips };
  });
const piecesOf = (strips: readonly Strip[]): readonly number[] =>
  strips
    .flatMap(({ stacks }) => stacks.flatMap(({ pieces }) => pieces.map(({ itemType }) => itemType)))
    .sort((a, b) => a - b);
const sum = (items: readonly { readonly along: number }[]): number =>
  items.reduce((all, { along }) => all + along, 0);
const lengthOf = (placed: readonly { readonly y_mm: number; readonly along_mm: number }[]): number =>
  Math.max(...placed.map(({ y_mm, along_mm }) => y_mm + along_mm));

describe('strips and blocks on the roll', () => {
  it('any strips: every piece once, none over another, cuttable in three stages, as long as the strips', () => {
    fc.assert(
      fc.property(banded, ({ request, problem, strips }) => {
        const placed = placeStrips(problem, strips, ROLL);
        expect(checkLayout(request, placed)).toEqual([]);
        expect(checkCuttable(placed, 3)).toEqual([]);
        expect(lengthOf(placed)).toBeLessThanOrEqual(sum(strips) * problem.alongStep_mm + 1e-6);
      }),
      { numRuns: 100 },
    );
  });
  it('as blocks they lie just as they do as strips', () => {
    fc.assert(
      fc.property(banded, ({ request, problem, strips }) => {
        const longest = [...strips].sort((a, b) => b.along - a.along);
        const [asStrips, asBlocks] = [
          placeStrips(problem, strips, ROLL),
          placeBlocks(
            problem,
            longest.map((strip) => blockOf(problem, strip)),
            ROLL,
          ),
        ];
        const spots = (placed: typeof asStrips): readonly string[] =>
          placed
            .map(({ x_mm, y_mm, across_mm, along_mm }) => `${x_mm} ${y_mm} ${across_mm} ${along_mm}`)
            .sort();
        expect(spots(asBlocks)).toEqual(spots(asStrips));
        expect(checkLayout(request, asBlocks)).toEqual([]);
      }),
      { numRuns: 100 },
    );
  });
  it('parted wherever a cut meets no piece: the same pieces in the same length, no part can be parted again', () => {
    fc.assert(
      fc.property(banded, ({ problem, strips }) => {
        const parts = partedStrips(strips);
        expect(piecesOf(parts)).toEqual(piecesOf(strips));
        expect(sum(parts)).toBe(sum(strips));
        expect(parts.reduce((all, { filled }) => all + filled, 0)).toBe(
          strips.reduce((all, { filled }) => all + filled, 0),
        );
        expect(partedStrips(parts)).toEqual(parts);
        const blocks = strips.map((strip) => blockOf(problem, strip)).flatMap(partedAt);
        expect(sum(blocks)).toBeLessThanOrEqual(sum(strips));
        expect(blocks.flatMap(partedAt)).toEqual(blocks);
        expect(blocks.reduce((all, { moves }) => all + moves.length, 0)).toBe(piecesOf(strips).length);
      }),
      { numRuns: 100 },
    );
  });
  it('a stack that likes an edge lies at one, at most two do, the right one at the roll’s own edge', () => {
    fc.assert(
      fc.property(banded, ({ problem, strips }) => {
        for (const { stacks } of strips) {
          const wishing = stacks.filter(({ pieces }) => pieces.some(({ likesEdge }) => likesEdge));
          const placed = stacksInPlace(stacks, problem.width);
          const atEdge = placed
            .filter(({ stack, x }) => x === 0 || x + stack.across === problem.width)
            .map(({ stack }) => stack);
          expect(wishing.filter((stack) => atEdge.includes(stack)).length).toBeGreaterThanOrEqual(
            Math.min(2, wishing.length),
          );
          expect(placed.map(({ stack }) => stack)).toHaveLength(stacks.length);
        }
      }),
      { numRuns: 100 },
    );
  });
});

describe('pieces of one item type are handed out', () => {
  const problem: PackingProblem = packingProblem({
    rollWidth_mm: ROLL,
    pieces: ['a', 'b', 'c'].map((id) => ({ id, across_mm: 500, along_mm: 700, mayTurn90: false })),
  });
  it('each once, in the order given; one too many has no name', () => {
    const take = idsInTurn(problem);
    expect([take(0), take(0), take(0), take(0), take(7)]).toEqual(['a', 'b', 'c', '?', '?']);
  });
});
