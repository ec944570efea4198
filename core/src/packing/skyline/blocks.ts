import type { Strip } from '../guillotine/strip-shape';
import { stacksInPlace } from '../guillotine/place-strips';
import type { PackingProblem } from '../problem/packing-problem';
import type { Block } from './beam';

/** A strip as a block. */
export function blockOf({ width }: PackingProblem, { along, stacks }: Strip): Block {
  return {
    along,
    moves: stacksInPlace(stacks, width).flatMap(({ stack, x, isRight }) => {
      let y = 0;
      return stack.pieces.map((orientation) => {
        const move = { orientation, x: isRight ? width - orientation.across : x, y };
        y += orientation.along;
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
  const parts: { along: number; moves: (typeof order)[number][] }[] = [];
  let [from, reach] = [0, 0];
  for (const move of order) {
    const last = parts.at(-1);
    if (last === undefined || move.y >= reach) {
      from = move.y;
      parts.push({ along: 0, moves: [{ ...move, y: 0 }] });
    } else last.moves.push({ ...move, y: move.y - from });
    reach = Math.max(reach, move.y + move.orientation.along);
    const current = parts.at(-1);
    if (current !== undefined) current.along = reach - from;
  }
  return parts;
}
