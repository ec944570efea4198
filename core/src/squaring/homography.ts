import { Matrix, solve } from 'ml-matrix';
import { CoreError } from '../quantity';

export interface Point {
  readonly x: number;
  readonly y: number;
}
/** How a flat thing seen at a slant comes to lie square: x' = (a x + b y + c) ÷ (g x + h y + 1), y' alike. */
export type Homography = readonly number[];
export type FourPoints = readonly [Point, Point, Point, Point];

const LEAST_SHARE = 1e-4;

/** Twice the area that three points span. */
const spanned = (a: Point, b: Point, c: Point): number =>
  Math.abs((b.x - a.x) * (c.y - a.y) - (c.x - a.x) * (b.y - a.y));

/**
 * The mapping that takes four points to four others.
 * @throws CoreError SQUARING_TAPS when three of them lie on one line
 * @source eight linear equations of the projective mapping (closed form)
 */
export function homographyOf(from: FourPoints, to: FourPoints): Homography {
  const widest = Math.max(...from.flatMap((a) => from.map((b) => Math.hypot(a.x - b.x, a.y - b.y))));
  for (let left = 0; left < 4; left += 1) {
    const [a, b, c] = from.filter((_, index) => index !== left);
    if (a === undefined || b === undefined || c === undefined) continue;
    if (spanned(a, b, c) <= LEAST_SHARE * widest * widest)
      throw new CoreError('SQUARING_TAPS', {
        path: 'taps',
        expected: 'four corners, no three of them on one line',
        got: from.map(({ x, y }) => `${x.toFixed(0)}, ${y.toFixed(0)}`).join('; '),
      });
  }
  const rows = from.flatMap(({ x, y }, index) => {
    const goal = to[index] ?? { x: 0, y: 0 };
    return [
      [x, y, 1, 0, 0, 0, -x * goal.x, -y * goal.x],
      [0, 0, 0, x, y, 1, -x * goal.y, -y * goal.y],
    ];
  });
  const goals = to.flatMap(({ x, y }) => [[x], [y]]);
  return [...solve(new Matrix(rows), new Matrix(goals)).to1DArray(), 1];
}

/** Where a point comes to lie. */
export function mapped(homography: Homography, { x, y }: Point): Point {
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0, i = 1] = homography;
  const away = g * x + h * y + i;
  return { x: (a * x + b * y + c) / away, y: (d * x + e * y + f) / away };
}
