import { type Outline, type Point, outlineBounds } from './outline';
import { type SurfaceCheck, outlineOfCheck } from './surface-check';
import type { JointSizes } from './shapes/shape';

export type JointLine = readonly [Point, Point];

/** More lines than this are no drawing any more. */
const MOST_LINES = 3000;

/**
 * The middle lines of the joints of a wall, level ones through and upright ones course by course, as many as
 * `jointsAlong` counts. Where the first joint lies nobody has measured: whole units are taken to begin at the
 * lower left, as a mason begins.
 * @returns mm of the outline; empty where a size of the units is not known or there is no bond
 */
export function jointGrid(
  outline: Outline,
  { bond, unitWidth_mm, unitHeight_mm, jointWidth_mm }: JointSizes,
): readonly JointLine[] {
  const isKnown = bond === 'running' || bond === 'stack';
  if (!isKnown || unitWidth_mm === null || unitHeight_mm === null || jointWidth_mm === null) return [];
  if (!(unitWidth_mm > 0 && unitHeight_mm > 0)) return [];
  const { left, top, width, height } = outlineBounds(outline);
  const [across, up] = [unitWidth_mm + jointWidth_mm, unitHeight_mm + jointWidth_mm];
  const courses = Math.ceil((height + jointWidth_mm) / up - 1e-9);
  if (courses * (Math.ceil(width / across) + 2) > MOST_LINES) return [];
  const foot = top + height;
  const right = left + width;
  return Array.from({ length: courses }, (_, course) => {
    const lower = Math.max(top, foot - course * up);
    const upper = Math.max(top, lower - unitHeight_mm);
    const isHalfOn = bond === 'running' && course % 2 === 1;
    const first = left + unitWidth_mm + jointWidth_mm / 2 - (isHalfOn ? across / 2 : 0);
    const uprights = Array.from(
      { length: Math.ceil(width / across) + 1 },
      (_column, at) => first + at * across,
    )
      .filter((x) => lower > upper && x - jointWidth_mm / 2 > left && x - jointWidth_mm / 2 < right - 1e-9)
      .map((x): JointLine => [
        { x: Math.min(x, right), y: lower },
        { x: Math.min(x, right), y: upper },
      ]);
    const level = Math.max(top, upper - jointWidth_mm / 2);
    const bed: JointLine = [
      { x: left, y: level },
      { x: right, y: level },
    ];
    return course < courses - 1 ? [...uprights, bed] : uprights;
  }).flat();
}

/** The joints of a surface as it is measured now; none while its outline is not known. */
export function jointsOn(check: SurfaceCheck, joints: JointSizes | undefined): readonly JointLine[] {
  const outline = outlineOfCheck(check);
  return joints === undefined || outline === undefined ? [] : jointGrid(outline, joints);
}
