import { seededNormal } from '../quantity';
import type { FourPoints, Point } from './homography';
import { squaredBy } from './squared-by';

/** A place in a picture that was made square by four points, and what is marked in it. Taps in pixels. */
export interface MarkedPicture {
  /** From the upper left, clockwise. */
  readonly taps: FourPoints;
  readonly width_mm: number;
  readonly height_mm: number;
  readonly outline: readonly Point[];
  /** How far off a tap may be, one standard deviation, px. */
  readonly tap_px: number;
}

export interface MarkedArea {
  readonly area_mm2: number;
  /** By the taps; a lens that bends is not in it. */
  readonly sd_mm2: number;
  /** From one end to the other. */
  readonly extent_mm: number;
}

const DRAWS = 120;

/**
 * How large is what is marked in a picture, made square by four points whose places are known?
 * @throws CoreError SQUARING_TAPS when three of the points lie on a line, they have no size, or less than
 * three points mark it
 */
export function markedArea({ taps, width_mm, height_mm, outline, tap_px }: MarkedPicture): MarkedArea {
  const squared = squaredBy({ taps, width_mm, height_mm, corners: outline });
  const normal = seededNormal(1);
  const shaken = ({ x, y }: Point): Point => ({ x: x + tap_px * normal(), y: y + tap_px * normal() });
  const area_mm2 = areaOf(squared);
  let off = 0;
  for (let draw = 0; draw < DRAWS; draw += 1) {
    const [a, b, c, d] = taps.map(shaken) as [Point, Point, Point, Point];
    const own = squaredBy({ taps: [a, b, c, d], width_mm, height_mm, corners: outline.map(shaken) });
    off += (areaOf(own) - area_mm2) ** 2;
  }
  return {
    area_mm2,
    sd_mm2: Math.sqrt(off / DRAWS),
    extent_mm: Math.max(...squared.flatMap((p) => squared.map((q) => Math.hypot(p.x - q.x, p.y - q.y)))),
  };
}

const areaOf = (ring: readonly Point[]): number =>
  Math.abs(
    ring.reduce((sum, { x, y }, index) => {
      const next = ring[(index + 1) % ring.length] ?? { x, y };
      return sum + x * next.y - next.x * y;
    }, 0),
  ) / 2;

/** What has become of a mark between two pictures of its place. */
export type Became = 'gone' | 'smaller' | 'same' | 'larger';

/** Twice the doubt of the difference: what is nearer than that is the same. */
const TIMES_DOUBT = 2;

/** @param now undefined: nothing is there any more */
export function whatBecame(before: MarkedArea, now: MarkedArea | undefined): Became {
  if (now === undefined) return 'gone';
  const doubt = TIMES_DOUBT * Math.hypot(before.sd_mm2, now.sd_mm2);
  const change = now.area_mm2 - before.area_mm2;
  if (Math.abs(change) <= doubt) return 'same';
  return change < 0 ? 'smaller' : 'larger';
}
