import { idsInTurn } from '../guillotine/place-bands';
import type { StripProblem } from '../problem/strip-problem';
import type { PlacedPiece } from '../problem/layout-plan';
import { toTenth } from '../../quantity';
import type { Block } from './beam';

/**
 * Gives each piece of each block its place; the level counts blocks. What lies at the right edge in steps
 * lies at that of the roll, which may be a part of a step farther.
 */
export function placeBlocks(
  problem: StripProblem,
  blocks: readonly Block[],
  rollWidth_mm: number,
  takeId: (kind: number) => string = idsInTurn(problem),
  from_mm = 0,
): readonly PlacedPiece[] {
  const { width, alongStep_mm, acrossStep_mm } = problem;
  let end = 0;
  return blocks.flatMap(({ along, moves }, level) => {
    const from = end;
    end += along;
    return [...moves]
      .sort((a, b) => a.y - b.y || a.x - b.x)
      .map(({ lie, x, y }): PlacedPiece => ({
        id: takeId(lie.kind),
        x_mm: toTenth(
          x > 0 && x + lie.across === width ? rollWidth_mm - lie.across * acrossStep_mm : x * acrossStep_mm,
        ),
        y_mm: toTenth(from_mm + (from + y) * alongStep_mm),
        across_mm: toTenth(lie.across * acrossStep_mm),
        along_mm: toTenth(lie.along * alongStep_mm),
        turned: lie.turned,
        level,
      }));
  });
}
