import type { RowOf } from '../../job';
import { type Point, outlineBounds, outlineOfCheck } from '../../measure';
import type { JobView } from '../view/job-view';
import { checkOf } from './surface';

/** One surface where it sits on its front: mm, from the front's left end and its foot, seen from outside. */
interface OnFront {
  readonly surface: RowOf<'surface'>;
  /** Undefined: not measured; it stands as large as a usual pane. */
  readonly outline: readonly Point[] | undefined;
  readonly isPlaced: boolean;
  readonly left: number;
  readonly foot: number;
  readonly width: number;
  readonly height: number;
}

const UNKNOWN = { width: 700, height: 1000 };
const GAP_MM = 150;
const NM_PER_MM = 1e6;

/** The surfaces of a place; those nobody has placed stand side by side. */
export function frontOf(view: JobView, placeId: string | undefined): readonly OnFront[] {
  let free = 0;
  return view.surfaces
    .filter((surface) => surface.placeId === placeId)
    .map((surface) => {
      const { atX_nm, atY_nm } = surface;
      const outline = outlineOfCheck(checkOf(view, surface.id));
      const { width, height } = outline === undefined ? UNKNOWN : outlineBounds(outline);
      const isPlaced = atX_nm !== null && atY_nm !== null;
      const left = atX_nm !== null && isPlaced ? atX_nm / NM_PER_MM : free;
      if (!isPlaced) free += width + GAP_MM;
      return { surface, outline, isPlaced, left, foot: (atY_nm ?? 0) / NM_PER_MM, width, height };
    });
}
