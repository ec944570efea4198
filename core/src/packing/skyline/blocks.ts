import type { Band } from '../guillotine/band-shape';
import { columnsInPlace } from '../guillotine/place-bands';
import type { StripProblem } from '../problem/strip-problem';
import type { Block } from './beam';

/** A band as a block. */
export function blockOf({ width }: StripProblem, { along, columns }: Band): Block {
  return {
    along,
    moves: columnsInPlace(columns, width).flatMap(({ column, x, isRight }) => {
      let y = 0;
      return column.pieces.map((lie) => {
        const move = { lie, x: isRight ? width - lie.across : x, y };
        y += lie.along;
        return move;
      });
    }),
  };
}

/**
 * Parts a block wherever no piece lies across a line from edge to edge: smaller blocks are easier to lay anew
 * with others.
 */
export function partedAt({ moves }: Block): readonly Block[] {
  const order = [...moves].sort((a, b) => a.y - b.y);
  const found: { along: number; moves: (typeof order)[number][] }[] = [];
  let [from, reach] = [0, 0];
  for (const move of order) {
    const last = found.at(-1);
    if (last === undefined || move.y >= reach) {
      from = move.y;
      found.push({ along: 0, moves: [{ ...move, y: 0 }] });
    } else last.moves.push({ ...move, y: move.y - from });
    reach = Math.max(reach, move.y + move.lie.along);
    const own = found.at(-1);
    if (own !== undefined) own.along = reach - from;
  }
  return found;
}
