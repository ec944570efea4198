import { valueAt } from '../quantity';
import type { GreyPicture } from './corner-near';
import type { Point } from './homography';

const RAYS = 36;
/** A difference of so many times the noise round it is no noise. */
const STANDS_OUT = 4;
const LEAST_DIFFERENCE = 6;
/** Median of absolute deviations to standard deviation of a normal law. */
const TO_SD = 1.4826;

/**
 * Round the spot that a finger is on: what stands out from what lies round it, to half the way between the
 * two, as rays from its middle see it. Undefined: nothing stands out there, or it has no end.
 * @param reach half the window it must end in, px
 */
export function spotNear(picture: GreyPicture, tap: Point, reach = 160): readonly Point[] | undefined {
  const { width, height } = picture;
  const [cx, cy] = [Math.round(tap.x), Math.round(tap.y)];
  if (cx < 2 || cy < 2 || cx > width - 3 || cy > height - 3) return undefined;
  const around = ringOf(picture, cx, cy, reach);
  const ground = medianOf(around);
  const noise = TO_SD * medianOf(around.map((value) => Math.abs(value - ground)));
  const own = smoothAt(picture, cx, cy, 2);
  const difference = own - ground;
  if (Math.abs(difference) < Math.max(LEAST_DIFFERENCE, STANDS_OUT * (noise / 5))) return undefined;
  const level = ground + difference / 2;
  const isOfIt = (x: number, y: number): boolean =>
    difference > 0 ? smoothAt(picture, x, y, 1) > level : smoothAt(picture, x, y, 1) < level;
  const spot = grownFrom(cx, cy, reach, isOfIt, picture);
  return spot === undefined ? undefined : outlineOf(spot, width);
}

/** What lies at the edge of the window, inside the picture. */
function ringOf({ width, height, grey }: GreyPicture, cx: number, cy: number, reach: number): number[] {
  const found: number[] = [];
  for (let step = 0; step < 400; step += 1) {
    const turn = (2 * Math.PI * step) / 400;
    const x = Math.max(0, Math.min(width - 1, Math.round(cx + reach * Math.cos(turn))));
    const y = Math.max(0, Math.min(height - 1, Math.round(cy + reach * Math.sin(turn))));
    found.push(grey[y * width + x] ?? 0);
  }
  return found;
}

function medianOf(values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b);
  return valueAt(sorted, Math.floor(sorted.length / 2));
}

function smoothAt({ width, height, grey }: GreyPicture, x: number, y: number, half: number): number {
  let [sum, count] = [0, 0];
  for (let dy = -half; dy <= half; dy += 1)
    for (let dx = -half; dx <= half; dx += 1) {
      const [px, py] = [x + dx, y + dy];
      if (px < 0 || py < 0 || px >= width || py >= height) continue;
      sum += grey[py * width + px] ?? 0;
      count += 1;
    }
  return sum / count;
}

/** Everything that hangs together with the tap; undefined where it runs out of the window. */
function grownFrom(
  cx: number,
  cy: number,
  reach: number,
  isOfIt: (x: number, y: number) => boolean,
  { width, height }: GreyPicture,
): readonly number[] | undefined {
  const seen = new Set<number>();
  const open: [number, number][] = [[cx, cy]];
  for (let next = open.pop(); next !== undefined; next = open.pop()) {
    const [x, y] = next;
    const key = y * width + x;
    if (x < 0 || y < 0 || x >= width || y >= height || seen.has(key) || !isOfIt(x, y)) continue;
    if (Math.abs(x - cx) >= reach || Math.abs(y - cy) >= reach) return undefined;
    seen.add(key);
    open.push([x + 1, y], [x - 1, y], [x, y + 1], [x, y - 1]);
  }
  return seen.size < RAYS ? undefined : [...seen];
}

/** By rays from its middle: how far it reaches along each, half a pixel past its last one. */
function outlineOf(spot: readonly number[], width: number): readonly Point[] {
  const places = spot.map((key) => ({ x: key % width, y: Math.floor(key / width) }));
  const middle = {
    x: places.reduce((sum, { x }) => sum + x, 0) / places.length,
    y: places.reduce((sum, { y }) => sum + y, 0) / places.length,
  };
  const reaches = new Array<number>(RAYS).fill(0);
  for (const { x, y } of places) {
    const turn = Math.atan2(y - middle.y, x - middle.x);
    const ray = Math.round((turn / (2 * Math.PI)) * RAYS + RAYS) % RAYS;
    reaches[ray] = Math.max(valueAt(reaches, ray), Math.hypot(x - middle.x, y - middle.y) + 0.5);
  }
  return reaches.map((far, ray) => {
    const turn = (2 * Math.PI * ray) / RAYS;
    return { x: middle.x + far * Math.cos(turn), y: middle.y + far * Math.sin(turn) };
  });
}
