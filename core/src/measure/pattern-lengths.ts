import { valueAt } from '../quantity';
import type { MeasurePoint } from '../job';
import type { Point } from './outline';

/** Corners of a four-sided pattern in the order they are tapped, clockwise. */
export const PATTERN_CORNERS: readonly { readonly point: MeasurePoint; readonly word: string }[] = [
  { point: 'tl', word: 'upper left' },
  { point: 'tr', word: 'upper right' },
  { point: 'br', word: 'lower right' },
  { point: 'bl', word: 'lower left' },
];

/** A length between two corners of a pattern, with one standard deviation. */
export interface PatternLength {
  readonly from: (typeof PATTERN_CORNERS)[number];
  readonly to: (typeof PATTERN_CORNERS)[number];
  readonly value_mm: number;
  readonly sd_mm: number;
}

/** Its sides, and both diagonals, which hold them. @param sd_mm of each corner, one way */
export function patternLengths(
  outline: readonly Point[],
  sd_mm: readonly number[],
): readonly PatternLength[] {
  return PATTERN_CORNERS.flatMap((from, a) =>
    PATTERN_CORNERS.slice(a + 1).flatMap((to, after): PatternLength[] => {
      const b = a + 1 + after;
      const [p, q] = [outline[a], outline[b]];
      if (p === undefined || q === undefined) return [];
      return [
        {
          ...{ from, to, value_mm: Math.hypot(p.x - q.x, p.y - q.y) },
          sd_mm: Math.hypot(valueAt(sd_mm, a), valueAt(sd_mm, b)),
        },
      ];
    }),
  );
}
