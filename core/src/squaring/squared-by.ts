import { CoreError } from '../quantity';
import { type FourPoints, type Point, homographyOf, mapped } from './homography';

export interface SquaringAsked {
  /** Four points of a picture, px, from the upper left, clockwise; their places make a rectangle. */
  readonly taps: FourPoints;
  readonly width_mm: number;
  readonly height_mm: number;
  /** What is looked at, px. */
  readonly corners: readonly Point[];
}

const LEAST_CORNERS = 3;

/**
 * Corners of a picture in millimetres, from the upper left of four known points.
 * @throws CoreError SQUARING_TAPS when the four have no size or lie on a line, or the corners are too few
 */
export function squaredBy({ taps, width_mm, height_mm, corners }: SquaringAsked): readonly Point[] {
  const refuse = (path: string, expected: string, got: string): never => {
    throw new CoreError('SQUARING_TAPS', { path, expected, got });
  };
  if (!(width_mm > 0 && height_mm > 0))
    refuse('frame', 'a width and a height over 0 mm', `${width_mm} × ${height_mm}`);
  if (corners.length < LEAST_CORNERS)
    refuse('pattern', `${LEAST_CORNERS} corners or more`, String(corners.length));
  const square = homographyOf(taps, [
    { x: 0, y: 0 },
    { x: width_mm, y: 0 },
    { x: width_mm, y: height_mm },
    { x: 0, y: height_mm },
  ]);
  return corners.map((corner) => mapped(square, corner));
}
