import { seededNormal, valueAt } from '../quantity';
import type { FourPoints, Point } from './homography';
import { squaredBy } from './squared-by';

/** A paper pattern in a picture, beside a printed frame of known size. All taps in pixels of the picture. */
export interface PatternPicture {
  /** Corners of the frame, from its upper left, clockwise. */
  readonly frame: FourPoints;
  readonly frameWidth_mm: number;
  readonly frameHeight_mm: number;
  /** Corners of the pattern in their order. */
  readonly pattern: readonly Point[];
  /** How far off a tap may be, one standard deviation, px. */
  readonly tap_px: number;
}

export interface SquaredPattern {
  /** Corners of the pattern, mm, from the upper left corner of the frame. */
  readonly outline: readonly Point[];
  /** How far off each may be by the taps, one standard deviation, mm. A lens that bends is not in it. */
  readonly sd_mm: readonly number[];
}

const DRAWS = 120;

/**
 * The outline of a pattern in millimetres, by the frame beside it.
 * @throws CoreError SQUARING_TAPS when the frame's corners lie on a line, the frame has no size, or the
 * pattern too few corners
 */
export function squarePattern(picture: PatternPicture): SquaredPattern {
  const { frame, frameWidth_mm, frameHeight_mm, pattern, tap_px } = picture;
  const squared = (taps: FourPoints, corners: readonly Point[]): readonly Point[] =>
    squaredBy({ taps, width_mm: frameWidth_mm, height_mm: frameHeight_mm, corners });
  const outline = squared(frame, pattern);
  const shake = shaker(tap_px);
  const off = pattern.map(() => 0);
  for (let draw = 0; draw < DRAWS; draw += 1) {
    const [a, b, c, d] = frame.map(shake) as [Point, Point, Point, Point];
    squared([a, b, c, d], pattern.map(shake)).forEach(({ x, y }, index) => {
      const own = outline[index] ?? { x, y };
      off[index] = valueAt(off, index) + (x - own.x) ** 2 + (y - own.y) ** 2;
    });
  }
  return { outline, sd_mm: off.map((sum) => Math.sqrt(sum / (2 * DRAWS))) };
}

/** The same taps are always shaken alike. */
function shaker(sd: number): (point: Point) => Point {
  const normal = seededNormal(1);
  return ({ x, y }) => ({ x: x + sd * normal(), y: y + sd * normal() });
}
