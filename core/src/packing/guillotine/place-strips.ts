import type { PlacedPiece } from '../problem/layout-plan';
import { toTenth } from '../../quantity';
import type { Strip, Stack } from './strip-shape';
import type { PackingProblem } from '../problem/packing-problem';

interface StackPlace {
  readonly stack: Stack;
  readonly x: number;
  readonly isRight: boolean;
}

/** At which sides of a segment a factory edge lies. */
export interface EdgeSides {
  readonly left: boolean;
  readonly right: boolean;
}

const BOTH: EdgeSides = { left: true, right: true };

/**
 * Stacks with pieces that want or like a factory edge go to the left edge and to the right one, where there
 * are such, the rest between.
 */
export function stacksInPlace(
  stacks: readonly Stack[],
  width: number,
  sides: EdgeSides = BOTH,
): readonly StackPlace[] {
  const wish = ({ pieces }: Stack): number =>
    pieces.reduce((sum, { wantsEdge, likesEdge }) => sum + (wantsEdge ? 1000 : likesEdge ? 1 : 0), 0);
  const [first, second] = [...stacks].sort((a, b) => wish(b) - wish(a));
  const wishing = [first, second].filter((stack): stack is Stack => stack !== undefined && wish(stack) > 0);
  const left = sides.left ? wishing.shift() : undefined;
  const right = sides.right ? wishing.shift() : undefined;
  const order = [
    ...(left === undefined ? [] : [left]),
    ...stacks.filter((stack) => stack !== left && stack !== right),
  ];
  let x = 0;
  const placed = order.map((stack): StackPlace => {
    const at = { stack, x, isRight: false };
    x += stack.across;
    return at;
  });
  return right === undefined ? placed : [...placed, { stack: right, x: width - right.across, isRight: true }];
}

/**
 * Gives each piece of each strip its place.
 * @param takeId the next piece of an item type
 * @param from where the first strip begins along the roll, mm
 */
export function placeStrips(
  problem: PackingProblem,
  strips: readonly Strip[],
  rollWidth_mm: number,
  takeId: (itemType: number) => string = idsInTurn(problem),
  from_mm = 0,
  sides: EdgeSides = BOTH,
): readonly PlacedPiece[] {
  const { width, alongStep_mm, acrossStep_mm } = problem;
  let end = 0;
  return [...strips]
    .sort((a, b) => b.along - a.along)
    .flatMap(({ along, stacks }, level) => {
      const from = end;
      end += along;
      return stacksInPlace(stacks, width, sides).flatMap(({ stack, x, isRight }) => {
        let y = from;
        return stack.pieces.map((piece): PlacedPiece => {
          const x_mm = isRight ? rollWidth_mm - piece.across * acrossStep_mm : x * acrossStep_mm;
          const at: PlacedPiece = {
            id: takeId(piece.itemType),
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

/** Hands out the pieces of each item type one after the other. */
export function idsInTurn({ itemTypes }: PackingProblem): (itemType: number) => string {
  const next = new Map<number, number>();
  return (itemType) => {
    const at = next.get(itemType) ?? 0;
    next.set(itemType, at + 1);
    return itemTypes[itemType]?.ids[at] ?? '?';
  };
}
