import { type Formula, GEOMETRY } from '../../quantity';
import { type Outline, type Point, outlineBounds } from '../outline';

/** A round column by its girths. */
export interface Frustum {
  readonly foot_mm: number;
  readonly top_mm: number;
  readonly height_mm: number;
}
const FRUSTUM = {
  foot_mm: { word: 'girth at the foot', unit: 'mm' },
  top_mm: { word: 'girth at the top', unit: 'mm' },
  height_mm: { word: 'height', unit: 'mm' },
} as const;

export const COLUMN_FORMULAS = {
  area: {
    id: 'measure.columnArea',
    word: 'area',
    says: 'A = (C₁ + C₂)/2 · √(h² + ((C₁ − C₂)/2π)²)',
    unit: 'mm²',
    source: GEOMETRY,
    inputs: FRUSTUM,
    of: ({ foot_mm, top_mm, height_mm }) => ((foot_mm + top_mm) / 2) * slantOf(foot_mm, top_mm, height_mm),
  } satisfies Formula<Frustum>,
  edge: {
    id: 'measure.columnEdge',
    word: 'edge to work along',
    says: 'P = C₁ + C₂ + 2·slant height',
    unit: 'mm',
    source: GEOMETRY,
    inputs: FRUSTUM,
    of: ({ foot_mm, top_mm, height_mm }) => foot_mm + top_mm + 2 * slantOf(foot_mm, top_mm, height_mm),
  } satisfies Formula<Frustum>,
  girth: {
    id: 'measure.columnGirth',
    word: 'film round the column',
    says: 'G = the larger girth',
    unit: 'mm',
    source: GEOMETRY,
    inputs: FRUSTUM,
    of: ({ foot_mm, top_mm }) => Math.max(foot_mm, top_mm),
  } satisfies Formula<Frustum>,
  taper: {
    id: 'measure.columnTaper',
    word: 'taper',
    says: 'd = (C₁ − C₂)/π',
    unit: 'mm',
    source: GEOMETRY,
    inputs: FRUSTUM,
    of: ({ foot_mm, top_mm }) => (foot_mm - top_mm) / Math.PI,
  } satisfies Formula<Frustum>,
  squareGirth: {
    id: 'measure.squareGirth',
    word: 'film round the column',
    says: 'G = four faces − r·(8 − 2π)',
    unit: 'mm',
    source: GEOMETRY,
    inputs: { faces_mm: { word: 'four faces', unit: 'mm' }, radius_mm: { word: 'edge radius', unit: 'mm' } },
    of: ({ faces_mm, radius_mm }) => faces_mm - radius_mm * (8 - 2 * Math.PI),
  } satisfies Formula<{ readonly faces_mm: number; readonly radius_mm: number }>,
} as const;

function slantOf(foot_mm: number, top_mm: number, height_mm: number): number {
  return Math.hypot(height_mm, (foot_mm - top_mm) / (2 * Math.PI));
}

/** Half a millimetre of girth over the height is no taper anyone can cut. */
const NO_TAPER_MM = 0.5;
const ARC_SIDES = 48;

/** The film of a round column laid flat: a rectangle, or a ring sector when it tapers.
 *  @returns mm, clockwise from the upper left
 *  @source development of a cone frustum: ro = R₁·L/(R₁ − R₂), θ = 2π·(R₁ − R₂)/L (plane geometry) */
export function unrolled({ foot_mm, top_mm, height_mm }: Frustum): Outline {
  const slant = slantOf(foot_mm, top_mm, height_mm);
  if (Math.abs(foot_mm - top_mm) < NO_TAPER_MM)
    return [
      { x: 0, y: 0 },
      { x: (foot_mm + top_mm) / 2, y: 0 },
      { x: (foot_mm + top_mm) / 2, y: height_mm },
      { x: 0, y: height_mm },
    ];
  const angle = Math.abs(foot_mm - top_mm) / slant;
  const [outer, inner] = [Math.max(foot_mm, top_mm) / angle, Math.min(foot_mm, top_mm) / angle];
  const sign = foot_mm > top_mm ? 1 : -1;
  const arc = (radius: number): Point[] =>
    Array.from({ length: ARC_SIDES + 1 }, (_, index) => {
      const at = -angle / 2 + (angle * index) / ARC_SIDES;
      return { x: radius * Math.sin(at), y: sign * radius * Math.cos(at) };
    });
  const [upper, lower] = sign > 0 ? [arc(inner), arc(outer)] : [arc(outer), arc(inner)];
  const all = [...upper, ...lower.reverse()];
  const { left, top } = outlineBounds(all);
  return all.map(({ x, y }) => ({ x: x - left, y: y - top }));
}
