import { type Face, boundsOf, sidesOf } from '../strokes';
import type { RuleSet } from './rule-set';

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
  const away = sidesOf(face).reduce(
    (least, { from, to }) => Math.min(least, wayTo({ x, y }, from, to)),
    Infinity,
  );
  return away <= wide ? 'edge' : 'main';
}

function wayTo(
  { x, y }: { readonly x: number; readonly y: number },
  from: { readonly x: number; readonly y: number },
  to: { readonly x: number; readonly y: number },
): number {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const share = Math.min(1, Math.max(0, ((x - from.x) * dx + (y - from.y) * dy) / (dx * dx + dy * dy || 1)));
  return Math.hypot(x - from.x - share * dx, y - from.y - share * dy);
}
