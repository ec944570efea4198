import { hashText } from '../../blanks';
import { type SurfaceCheck, outlineBounds } from '../../measure';
import { type Face, cutOut } from '../../strokes';
import type { JobView } from '../view/job-view';
import { checkOf } from './surface';

/** A surface as its own side sees it, mm, x to the right and y upwards from its lower left corner. */
interface FaceOfSurface {
  readonly face: Face;
  readonly height: number;
  /** Of its outline: measured otherwise, it is another. */
  readonly hash: string;
}

/** Undefined: it is not measured. */
export function faceOfSurface(view: JobView, surfaceId: string): FaceOfSurface | undefined {
  const check = checkOf(view, surfaceId);
  return view.kept.of(`face ${surfaceId}`, [check], () => faceOfCheck(check));
}

function faceOfCheck(check: SurfaceCheck): FaceOfSurface | undefined {
  if (!('figure' in check) || check.figure.outline.length < 3) return undefined;
  const { left, top, height } = outlineBounds(check.figure.outline);
  const face = cutOut(
    check.figure.outline.map(({ x, y }) => ({ x: x - left, y: top + height - y })),
    [],
  );
  return { face, height, hash: hashText(JSON.stringify(face.rings)) };
}
