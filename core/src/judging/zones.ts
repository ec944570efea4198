import type { RuleSet } from '../job';
import { type Face, boundsOf, sidesOf, wayToSide } from '../strokes';

/** In the edge zone or the main one: by the way to the outline itself, not to its box. */
export function zoneOf(
  face: Face,
  edge: RuleSet['edge'],
  area_m2: number,
  { x, y }: { readonly x: number; readonly y: number },
): 'edge' | 'main' {
  if ('share' in edge) {
    const { left, right, bottom, top } = boundsOf(face);
    const [across, up] = [edge.share * (right - left), edge.share * (top - bottom)];
    return x - left < across || right - x < across || y - bottom < up || top - y < up ? 'edge' : 'main';
  }
  const wide = edge.mmOver !== null && area_m2 > edge.mmOver.area_m2 ? edge.mmOver.mm : edge.mm;
  const away = sidesOf(face).reduce((least, side) => Math.min(least, wayToSide({ x, y }, side)), Infinity);
  return away <= wide ? 'edge' : 'main';
}
