import type { LayoutFault } from './check-layout';
import type { PlacedPiece } from '../problem/layout-plan';

const SLACK_MM = 1e-6;
/** More stages than any pieces take. */
export const ANY_NUMBER_OF_STAGES = 1000;

type Placed = Pick<PlacedPiece, 'id' | 'x_mm' | 'y_mm' | 'across_mm' | 'along_mm'>;

/**
 * Whether straight cuts from edge to edge take the pieces apart, in so many stages: across the roll, along
 * it, across again. A last trimming cut of each piece is free. Independent of how the layout was found.
 * @returns the pieces that cannot be freed
 */
export function checkCuttable(placed: readonly Placed[], stages: number): readonly LayoutFault[] {
  return free(placed, stages, 'along').map(({ id }) => ({ kind: 'not cuttable', id }));
}

function free(pieces: readonly Placed[], stages: number, way: 'along' | 'across'): readonly Placed[] {
  if (pieces.length <= 1) return [];
  if (stages === 0) return pieces;
  const groups = apart(pieces, way);
  return groups.flatMap((group) => free(group, stages - 1, way === 'along' ? 'across' : 'along'));
}

/** Groups that a cut in this direction can part: their shadows on the roll do not touch. */
function apart(pieces: readonly Placed[], way: 'along' | 'across'): readonly (readonly Placed[])[] {
  const start = ({ x_mm, y_mm }: Placed): number => (way === 'along' ? y_mm : x_mm);
  const end = (piece: Placed): number => start(piece) + (way === 'along' ? piece.along_mm : piece.across_mm);
  const groups: Placed[][] = [];
  let reach = Number.NEGATIVE_INFINITY;
  for (const piece of [...pieces].sort((a, b) => start(a) - start(b))) {
    const group = groups.at(-1);
    if (group === undefined || start(piece) >= reach - SLACK_MM) groups.push([piece]);
    else group.push(piece);
    reach = Math.max(reach, end(piece));
  }
  return groups;
}
