import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { jointsAlong } from './girth';
import { type JointLine, jointGrid } from './joint-grid';

const wall = (width: number, height: number) => [
  { x: 0, y: 0 },
  { x: width, y: 0 },
  { x: width, y: height },
  { x: 0, y: height },
];
const BLOCK = {
  bond: 'running',
  unitWidth_mm: 390,
  unitHeight_mm: 190,
  jointWidth_mm: 10,
  jointDepth_mm: 3,
} as const;
const isLevel = ([a, b]: JointLine): boolean => a.y === b.y;

describe('where do the joints of a wall lie?', () => {
  it('three courses of two blocks, 790 × 590: level joints at 195 and 395 over the foot, uprights at 395, in the middle course half a block on', () => {
    const lines = jointGrid(wall(790, 590), BLOCK);
    expect(lines.filter(isLevel).map(([{ y }]) => 590 - y)).toEqual([195, 395]);
    const uprights = lines.filter((line) => !isLevel(line)).map(([{ x, y }]) => [590 - y, x]);
    expect(uprights).toEqual([
      [0, 395],
      [200, 195],
      [200, 595],
      [400, 395],
    ]);
  });
  it('in a stack bond uprights stand over each other', () => {
    const uprights = jointGrid(wall(790, 590), { ...BLOCK, bond: 'stack' }).filter((line) => !isLevel(line));
    expect(uprights.map(([{ x }]) => x)).toEqual([395, 395, 395]);
  });
  it('as many level joints, and uprights in the lowest course, as the girth calculates with', () => {
    const size = fc.integer({ min: 150, max: 500 });
    fc.assert(
      fc.property(
        fc.integer({ min: 300, max: 8000 }),
        fc.integer({ min: 300, max: 4000 }),
        size,
        size,
        (width, height, unitWidth_mm, unitHeight_mm) => {
          const lines = jointGrid(wall(width, height), { ...BLOCK, unitWidth_mm, unitHeight_mm });
          expect(lines.filter(isLevel)).toHaveLength(jointsAlong(height, unitHeight_mm, 10));
          expect(lines.filter((line) => !isLevel(line) && line[0].y === height)).toHaveLength(
            jointsAlong(width, unitWidth_mm, 10),
          );
          for (const { x, y } of lines.flat())
            expect(x >= 0 && x <= width && y >= 0 && y <= height).toBe(true);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('nothing is drawn of what is not known', () => {
    expect(jointGrid(wall(790, 590), { ...BLOCK, unitWidth_mm: null })).toEqual([]);
    expect(jointGrid(wall(790, 590), { ...BLOCK, bond: 'unknown' })).toEqual([]);
    expect(jointGrid(wall(790, 590), { ...BLOCK, unitWidth_mm: 0 })).toEqual([]);
  });
});
