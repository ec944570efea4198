import { type Face, boundsOf } from '../face';
import { BEYOND_MM, type Tool, lanesOver } from './lanes';
import { LEVEL, type Stroke } from '../stroke';

/**
 * Round a column, unrolled: from the middle, where film is fixed first, one wing outwards and then the other,
 * a strip at a time, each from mid height down, then up.
 */
export function columnStrokes(
  face: Face,
  tool: Pick<Tool, 'blade_mm' | 'overlap_mm'>,
  first: 'left' | 'right',
): readonly Stroke[] {
  const { left, right } = boundsOf(face);
  const middle = (left + right) / 2;
  const wing = (side: 'left' | 'right'): readonly Stroke[] =>
    columnStrips(face, side === 'right' ? [middle, right] : [middle, left], tool).map((stroke) => ({
      ...stroke,
      key: `${side} ${stroke.key}`,
    }));
  return first === 'right' ? [...wing('right'), ...wing('left')] : [...wing('left'), ...wing('right')];
}

/** Upright strips from a fixed side out to a free one. */
export function columnStrips(
  face: Face,
  [fixed, free]: readonly [number, number],
  tool: Pick<Tool, 'blade_mm' | 'overlap_mm'>,
): readonly Stroke[] {
  const { bottom, top } = boundsOf(face);
  const wide = Math.abs(free - fixed);
  const out = Math.sign(free - fixed);
  const count = lanesOver(wide, tool);
  const width = Math.min(tool.blade_mm, wide);
  const pitch = count === 1 ? 0 : (wide - width) / (count - 1);
  const middle = (bottom + top) / 2;
  return Array.from({ length: count }, (_, index) => index).flatMap((index) => {
    const x = fixed + out * (width / 2 + index * pitch);
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
