import normalQuantile from '@stdlib/stats-base-dists-normal-quantile';
import { apart } from '../plan/lap';
import { type Tool, lanesOver } from '../plan/lanes';

/** Closed forms of strokes that lap, and of level lanes over a rectangle. */

/**
 * How often strokes of a blade go over a point: at least, and the share of points once more. Without a lap
 * some stay dry.
 */
export function timesOver(
  blade: number,
  overlap: number,
): { readonly least: number; readonly shareOnceMore: number } {
  const times = blade / (blade - overlap);
  const least = Math.floor(times + 1e-12);
  return { least, shareOnceMore: Math.max(0, times - least) };
}

/** How far strokes must lap for a chance of a line. */
export const overlapFor = (chance: number, wander: number): number =>
  -apart(wander) * normalQuantile(chance, 0, 1);

/** Height of the ridge of water beside a stroke without a lap: half goes to each side. */
export const ridgeHeight = ({
  blade,
  before,
  after,
  side,
  ridge,
}: {
  readonly blade: number;
  readonly before: number;
  readonly after: number;
  readonly side: number;
  readonly ridge: number;
}): number => (side * blade * (before - after)) / (2 * ridge);

/** Level lanes over a face that is as wide as high as it likes: a closed form (model A4). */
export function lanesOverRectangle(
  { length, height, speed }: { readonly length: number; readonly height: number; readonly speed: number },
  tool: Pick<Tool, 'blade_mm' | 'overlap_mm'>,
): { readonly lanes: number; readonly pitch: number; readonly path: number; readonly time: number } {
  const lanes = lanesOver(height, tool);
  const path = lanes * length;
  return { lanes, pitch: lanes === 1 ? 0 : (height - tool.blade_mm) / (lanes - 1), path, time: path / speed };
}
