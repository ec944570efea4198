import { idsInTurn } from '../guillotine/place-strips';
import type { PackingProblem } from '../problem/packing-problem';
import type { PlacedPiece } from '../problem/layout-plan';
import { toTenth } from '../../quantity';
import type { Block } from './beam';

/**
 * Gives each piece of each block its place; the level counts blocks. What lies at the right edge in steps
 * lies at that of the roll, which may be a part of a step farther.
 */
export function placeBlocks(
  problem: PackingProblem,
  blocks: readonly Block[],
  rollWidth_mm: number,
  takeId: (itemType: number) => string = idsInTurn(problem),
  from_mm = 0,
): readonly PlacedPiece[] {
  const { width, alongStep_mm, acrossStep_mm } = problem;
  let end = 0;
  return blocks.flatMap(({ along, moves }, level) => {
    const from = end;
    end += along;
    return [...moves]
      .sort((a, b) => a.y - b.y || a.x - b.x)
      .map(({ orientation, x, y }): PlacedPiece => ({
        id: takeId(orientation.itemType),
        x_mm: toTenth(
          x > 0 && x + orientation.across === width
            ? rollWidth_mm - orientation.across * acrossStep_mm
            : x * acrossStep_mm,
        ),
        y_mm: toTenth(from_mm + (from + y) * alongStep_mm),
        across_mm: toTenth(orientation.across * acrossStep_mm),
        along_mm: toTenth(orientation.along * alongStep_mm),
        turned: orientation.turned,
        level,
      }));
  });
}
