import { type Formula, GEOMETRY } from '../quantity';
import type { Point } from './outline';

interface ChordRise {
  readonly chord_mm: number;
  readonly rise_mm: number;
}

const CHORD_INPUTS = {
  chord_mm: { word: 'chord', unit: 'mm' },
  rise_mm: { word: 'rise over the chord', unit: 'mm' },
} as const;

export const ARC_FORMULAS = {
  radius: {
    id: 'measure.arcRadius',
    word: 'radius of the arc',
    says: 'R = (c²/4 + s²) / (2·s)',
    unit: 'mm',
    source: GEOMETRY,
    inputs: CHORD_INPUTS,
    of: ({ chord_mm, rise_mm }) => (chord_mm ** 2 / 4 + rise_mm ** 2) / (2 * rise_mm),
  } satisfies Formula<ChordRise>,
  length: {
    id: 'measure.arcLength',
    word: 'length of the arc',
    says: 'L = 4·R·atan(2·s/c)',
    unit: 'mm',
    source: GEOMETRY,
    inputs: CHORD_INPUTS,
    of: ({ chord_mm, rise_mm }) => 4 * arcRadius(chord_mm, rise_mm) * Math.atan((2 * rise_mm) / chord_mm),
  } satisfies Formula<ChordRise>,
} as const;

/** Radius of the circle through a chord's ends and its crown. */
function arcRadius(chord_mm: number, rise_mm: number): number {
  return (chord_mm ** 2 / 4 + rise_mm ** 2) / (2 * rise_mm);
}

/** Area between a chord and its arc: R²·(φ − sin φ)/2 with φ = 4·atan(2s/c). */
export function segmentArea(chord_mm: number, rise_mm: number): number {
  const angle = 4 * Math.atan((2 * rise_mm) / chord_mm);
  return (arcRadius(chord_mm, rise_mm) ** 2 * (angle - Math.sin(angle))) / 2;
}

/**
 * Points on an arc from one end of its chord to the other, both ends included, bulging to the left going
 * along.
 */
export function arcPoints(from: Point, to: Point, rise_mm: number, sides = 32): readonly Point[] {
  const chord = Math.hypot(to.x - from.x, to.y - from.y);
  const radius = arcRadius(chord, rise_mm);
  const half = 2 * Math.atan((2 * rise_mm) / chord);
  const along = { x: (to.x - from.x) / chord, y: (to.y - from.y) / chord };
  const left = { x: along.y, y: -along.x };
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  const centre = { x: middle.x + left.x * (rise_mm - radius), y: middle.y + left.y * (rise_mm - radius) };
  return Array.from({ length: sides + 1 }, (_, index) => {
    const angle = -half + (2 * half * index) / sides;
    const [a, b] = [radius * Math.sin(angle), radius * Math.cos(angle)];
    return { x: centre.x + along.x * a + left.x * b, y: centre.y + along.y * a + left.y * b };
  });
}
