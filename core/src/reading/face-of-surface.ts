import { outlineBounds } from '../measure';
import { type Face, cutOut } from '../strokes';
import type { JobView } from './job-view';
import { checkOf } from './surface';

/** A surface as its own side sees it, mm, x to the right and y upwards from its lower left corner. */
export interface FaceOfSurface {
  readonly face: Face;
  readonly height: number;
}

/** Undefined: it is not measured. */
export function faceOfSurface(view: JobView, surfaceId: string): FaceOfSurface | undefined {
  const check = checkOf(view, surfaceId);
  if (!('figure' in check) || check.figure.outline.length < 3) return undefined;
  const { left, top, height } = outlineBounds(check.figure.outline);
  const face = cutOut(
    check.figure.outline.map(({ x, y }) => ({ x: x - left, y: top + height - y })),
    [],
  );
  return { face, height };
}
