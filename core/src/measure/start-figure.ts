import type { PanePoint } from '../job';
import type { Outline } from './outline';
import { slotBetween } from './pane-slots';

interface PlainMeasure {
  readonly from: PanePoint;
  readonly to: PanePoint;
  readonly value_mm: number;
}

/** The rectangle to start from: mean width by mean height, the missing one from a diagonal where that is possible.
 *  @returns the outline, or what is still needed to draw anything */
export function startFigure(measures: readonly PlainMeasure[]): { readonly outline: Outline } | { readonly needs: readonly ('a width' | 'a height')[] } {
  const mean = (group: 'width' | 'height' | 'diagonal'): number | undefined => {
    const values = measures.filter(({ from, to }) => slotBetween(from, to)?.group === group).map(({ value_mm }) => value_mm);
    return values.length === 0 ? undefined : values.reduce((sum, value) => sum + value, 0) / values.length;
  };
  const diagonal = mean('diagonal');
  const width = mean('width') ?? leg(diagonal, mean('height'));
  const height = mean('height') ?? leg(diagonal, mean('width'));
  if (width === undefined || height === undefined) {
    return { needs: [...(width === undefined ? (['a width'] as const) : []), ...(height === undefined ? (['a height'] as const) : [])] };
  }
  return { outline: [{ x: 0, y: 0 }, { x: width, y: 0 }, { x: width, y: height }, { x: 0, y: height }] };
}

function leg(diagonal: number | undefined, other: number | undefined): number | undefined {
  return diagonal !== undefined && other !== undefined && diagonal > other ? Math.sqrt(diagonal ** 2 - other ** 2) : undefined;
}
