import type { Point } from './homography';

/** A picture in grey, row by row, 0 black to 255 white. */
export interface GreyPicture {
  readonly width: number;
  readonly height: number;
  readonly grey: Uint8Array | Uint8ClampedArray;
}

const ROUNDS = 20;
const ENOUGH_PX = 0.02;

/**
 * The corner nearest a tap: where the edges round it meet. Found as the point that every edge in a window
 * points to; where there is none, the tap stays as it was.
 * @param reach half the window, px: a finger is that far off
 * @source least squares on Σ ∇I ∇Iᵀ (q − p) = 0 (Förstner and Gülch, from memory)
 */
export function cornerNear(picture: GreyPicture, tap: Point, reach = 12): Point {
  let at = tap;
  for (let round = 0; round < ROUNDS; round += 1) {
    const next = meetingPoint(picture, at, reach);
    if (next === undefined || Math.hypot(next.x - tap.x, next.y - tap.y) > 2 * reach) return tap;
    const moved = Math.hypot(next.x - at.x, next.y - at.y);
    at = next;
    if (moved < ENOUGH_PX) break;
  }
  return at;
}

/** Edges this faint are noise. */
const LEAST_SLOPE = 12;

function meetingPoint({ width, height, grey }: GreyPicture, at: Point, reach: number): Point | undefined {
  let [xx, xy, yy, bx, by] = [0, 0, 0, 0, 0];
  const [cx, cy] = [Math.round(at.x), Math.round(at.y)];
  for (let y = Math.max(1, cy - reach); y <= Math.min(height - 2, cy + reach); y += 1)
    for (let x = Math.max(1, cx - reach); x <= Math.min(width - 2, cx + reach); x += 1) {
      const here = y * width + x;
      const gx = smoothed(grey, here, 1, width);
      const gy = smoothed(grey, here, width, 1);
      const slope = Math.hypot(gx, gy);
      if (slope < LEAST_SLOPE) continue;
      const weight = 1 - Math.min(1, Math.hypot(x - at.x, y - at.y) / (1.5 * reach));
      xx += weight * gx * gx;
      xy += weight * gx * gy;
      yy += weight * gy * gy;
      bx += weight * gx * (gx * x + gy * y);
      by += weight * gy * (gx * x + gy * y);
    }
  const determinant = xx * yy - xy * xy;
  const trace = xx + yy;
  /** One edge alone, or none: nothing meets. */
  if (trace === 0 || determinant < 0.02 * trace * trace) return undefined;
  return { x: (yy * bx - xy * by) / determinant, y: (xx * by - xy * bx) / determinant };
}

/** Slope along one way, smoothed along the other (Sobel), per pixel. */
function smoothed(grey: GreyPicture['grey'], here: number, along: number, beside: number): number {
  const at = (offset: number): number => grey[here + offset] ?? 0;
  return (
    (at(along - beside) +
      2 * at(along) +
      at(along + beside) -
      at(-along - beside) -
      2 * at(-along) -
      at(-along + beside)) /
    8
  );
}
