import type { PlacedPiece } from '../problem/layout-plan';
import { toTenth } from '../../quantity';
import type { Band, Column } from './band-shape';
import type { StripProblem } from '../problem/strip-problem';

interface ColumnPlace {
  readonly column: Column;
  readonly x: number;
  readonly isRight: boolean;
}

/** At which sides of a space a factory edge lies. */
export interface EdgeSides {
  readonly left: boolean;
  readonly right: boolean;
}

const BOTH: EdgeSides = { left: true, right: true };

/**
 * Columns with pieces that want or like a factory edge go to the left edge and to the right one, where there
 * are such, the rest between.
 */
export function columnsInPlace(
  columns: readonly Column[],
  width: number,
  sides: EdgeSides = BOTH,
): readonly ColumnPlace[] {
  const wish = ({ pieces }: Column): number =>
    pieces.reduce((sum, { wantsEdge, likesEdge }) => sum + (wantsEdge ? 1000 : likesEdge ? 1 : 0), 0);
  const [first, second] = [...columns].sort((a, b) => wish(b) - wish(a));
  const wishing = [first, second].filter(
    (column): column is Column => column !== undefined && wish(column) > 0,
  );
  const left = sides.left ? wishing.shift() : undefined;
  const right = sides.right ? wishing.shift() : undefined;
  const order = [
    ...(left === undefined ? [] : [left]),
    ...columns.filter((column) => column !== left && column !== right),
  ];
  let x = 0;
  const placed = order.map((column): ColumnPlace => {
    const at = { column, x, isRight: false };
    x += column.across;
    return at;
  });
  return right === undefined
    ? placed
    : [...placed, { column: right, x: width - right.across, isRight: true }];
}

/**
 * Gives each piece of each band its place.
 * @param takeId the next piece of a kind
 * @param from where the first band begins along the roll, mm
 */
export function placeBands(
  problem: StripProblem,
  bands: readonly Band[],
  rollWidth_mm: number,
  takeId: (kind: number) => string = idsInTurn(problem),
  from_mm = 0,
  sides: EdgeSides = BOTH,
): readonly PlacedPiece[] {
  const { width, alongStep_mm, acrossStep_mm } = problem;
  let end = 0;
  return [...bands]
    .sort((a, b) => b.along - a.along)
    .flatMap(({ along, columns }, level) => {
      const from = end;
      end += along;
      return columnsInPlace(columns, width, sides).flatMap(({ column, x, isRight }) => {
        let y = from;
        return column.pieces.map((piece): PlacedPiece => {
          const x_mm = isRight ? rollWidth_mm - piece.across * acrossStep_mm : x * acrossStep_mm;
          const at: PlacedPiece = {
            id: takeId(piece.kind),
            x_mm: toTenth(x_mm),
            y_mm: toTenth(from_mm + y * alongStep_mm),
            across_mm: toTenth(piece.across * acrossStep_mm),
            along_mm: toTenth(piece.along * alongStep_mm),
            turned: piece.turned,
            level,
          };
          y += piece.along;
          return at;
        });
      });
    });
}

/** Hands out the pieces of each kind one after the other. */
export function idsInTurn({ kinds }: StripProblem): (kind: number) => string {
  const next = kinds.map(() => 0);
  return (kind) => {
    const at = next[kind] ?? 0;
    next[kind] = at + 1;
    return kinds[kind]?.ids[at] ?? '?';
  };
}
