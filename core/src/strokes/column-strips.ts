import { type Face, boundsOf } from './face';
import { type Tool, lanesOver } from './lanes';
import { LEVEL, type Stroke } from './stroke';

/** A stroke begins so far beyond the middle, so that both lap there. */
const BEYOND_MM = 30;

/** Round a column, unrolled: upright strips from the fixed side out, each from mid height down, then up. */
export function columnStrips(
  face: Face,
  tool: Pick<Tool, 'blade_mm' | 'overlap_mm'>,
  fixed: 'left' | 'right',
): readonly Stroke[] {
  const { left, right, bottom, top } = boundsOf(face);
  const count = lanesOver(right - left, tool);
  const width = Math.min(tool.blade_mm, right - left);
  const pitch = count === 1 ? 0 : (right - left - width) / (count - 1);
  const middle = (bottom + top) / 2;
  return Array.from({ length: count }, (_, index) => index).flatMap((index) => {
    const x = fixed === 'left' ? left + width / 2 + index * pitch : right - width / 2 - index * pitch;
    const strip = (way: 'down' | 'up', from: number, to: number): Stroke => ({
      key: `strip ${index + 1} ${way}`,
      part: 'lane',
      path: [
        { x, y: from },
        { x, y: to },
      ],
      blade: { along: LEVEL, from_mm: -width / 2, to_mm: width / 2 },
    });
    return [
      strip('down', Math.min(top, middle + BEYOND_MM), bottom),
      strip('up', Math.max(bottom, middle - BEYOND_MM), top),
    ];
  });
}
