import type { RowOf } from '@yellow-pane/core/job';
import { type Point, outlineBounds, outlineOfCheck } from '@yellow-pane/core/measure';
import type { JobReading } from '../job/job-reading';

/** One surface where it sits on its front: mm, from the front's left end and its foot, seen from outside. */
export interface OnFront {
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

/** The surfaces of a place; those nobody has placed stand side by side. */
export function frontOf(reading: JobReading, placeId: string | undefined): readonly OnFront[] {
  let free = 0;
  return reading
    .surfaces()
    .filter((surface) => surface.placeId === placeId)
    .map((surface) => {
      const outline = outlineOfCheck(reading.checkOf(surface.id));
      const { width, height } = outline === undefined ? UNKNOWN : outlineBounds(outline);
      const isPlaced = surface.atX_nm !== null && surface.atY_nm !== null;
      const left = surface.atX_nm !== null && isPlaced ? surface.atX_nm / 1e6 : free;
      if (!isPlaced) free += width + GAP_MM;
      return { surface, outline, isPlaced, left, foot: (surface.atY_nm ?? 0) / 1e6, width, height };
    });
}
