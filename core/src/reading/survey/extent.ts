import type { RowOf } from '../../job';
import { nominalFigure, outlineBounds } from '../../measure';
import { mmFromNm } from '../../quantity';
import type { JobView } from '../view/job-view';
import { checkOf } from './surface';

/** How wide and high a surface is as far as that is known; null: not yet. */
export interface Extent {
  readonly width_mm: number | null;
  readonly height_mm: number | null;
}

/** Level, upright, or over the whole, in the nominal figure: exact there but for rounding. */
const SAME_MM = 0.01;

/** For small drawings: also of a surface whose measures do not yet give its shape. Nothing is cut by it. */
export function extentOf(view: JobView, surfaceId: string): Extent {
  const check = checkOf(view, surfaceId);
  if ('sizes' in check)
    return {
      width_mm: check.sizes.aroundWidth_mm.value,
      height_mm: check.sizes.aroundHeight_mm.value,
    };
  const surface = view.surfaceById.get(surfaceId);
  return surface === undefined
    ? { width_mm: null, height_mm: null }
    : extentByMeasures(surface, view.measuresOf(surfaceId));
}

/** The longest measure that would go from side to side, and from top to foot, of such a surface. */
function extentByMeasures(
  { shape, corners }: RowOf<'surface'>,
  measures: readonly RowOf<'measure'>[],
): Extent {
  const { points, outline } = nominalFigure(shape, corners);
  const bounds = outlineBounds(outline);
  const over = (is: (across: number, down: number) => boolean): number | null => {
    const found = measures.flatMap(({ kind, fromPoint, toPoint, value_nm }) => {
      const [from, to] = [points[fromPoint], points[toPoint]];
      return kind === 'distance' &&
        from !== undefined &&
        to !== undefined &&
        is(Math.abs(to.x - from.x), Math.abs(to.y - from.y))
        ? [mmFromNm(value_nm)]
        : [];
    });
    return found.length === 0 ? null : Math.max(...found);
  };
  return {
    width_mm: over((across, down) => down < SAME_MM && Math.abs(across - bounds.width) < SAME_MM),
    height_mm: over((across, down) => across < SAME_MM && Math.abs(down - bounds.height) < SAME_MM),
  };
}
