import { type Outline, type Point, isConvex, outlineBounds } from './outline';

export interface SizedRectangle {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** The largest rectangle inside a figure without inward corners, its top along the figure's top, mm.
 *  The height over a pair of left and right ends is concave, so a search by thirds in each finds the one best.
 *  @returns undefined when a corner points inward: not worked out */
export function largestInside(outline: Outline): SizedRectangle | undefined {
  if (outline.length < 3 || !isNearlyConvex(outline)) return undefined;
  const { left, width } = outlineBounds(outline);
  const heightOver = (from: number, to: number): { readonly top: number; readonly height: number } => {
    const a = crossSection(outline, from);
    const b = crossSection(outline, to);
    const top = Math.max(a.top, b.top);
    return { top, height: Math.max(0, Math.min(a.bottom, b.bottom) - top) };
  };
  const bestTo = (from: number): number => bestOf(from, left + width, (to) => heightOver(from, to).height * (to - from));
  const from = bestOf(left, left + width, (candidate) => { const to = bestTo(candidate); return heightOver(candidate, to).height * (to - candidate); });
  const to = bestTo(from);
  return { left: from, width: to - from, ...heightOver(from, to) };
}

/** The rectangle of least area around a figure, lying along one of its sides. @source one side of it lies along a side of the hull: Freeman and Shapira, 1975 (from memory) */
export function leastAround(outline: Outline): { readonly width: number; readonly height: number; readonly turned_deg: number } {
  let best = { width: Infinity, height: Infinity, turned_deg: 0 };
  outline.forEach((corner, index) => {
    const next = outline[(index + 1) % outline.length] ?? corner;
    const length = Math.hypot(next.x - corner.x, next.y - corner.y);
    if (length < 1e-9) return;
    const along = { x: (next.x - corner.x) / length, y: (next.y - corner.y) / length };
    const turned = outline.map(({ x, y }) => ({ x: x * along.x + y * along.y, y: y * along.x - x * along.y }));
    const { width, height } = outlineBounds(turned);
    if (width * height < best.width * best.height - 1e-6) best = { width, height, turned_deg: (Math.atan2(along.y, along.x) * 180) / Math.PI };
  });
  return best;
}

const SEARCH_ROUNDS = 60;

function bestOf(low: number, high: number, worth: (at: number) => number): number {
  let [from, to] = [low, high];
  for (let round = 0; round < SEARCH_ROUNDS; round += 1) {
    const a = from + (to - from) / 3;
    const b = to - (to - from) / 3;
    if (worth(a) < worth(b)) from = a;
    else to = b;
  }
  return (from + to) / 2;
}

function crossSection(outline: Outline, x: number): { readonly top: number; readonly bottom: number } {
  let top = Infinity;
  let bottom = -Infinity;
  outline.forEach((corner, index) => {
    const next = outline[(index + 1) % outline.length] ?? corner;
    if (Math.min(corner.x, next.x) > x + 1e-9 || Math.max(corner.x, next.x) < x - 1e-9) return;
    for (const y of Math.abs(next.x - corner.x) < 1e-9 ? [corner.y, next.y] : [corner.y + ((next.y - corner.y) * (x - corner.x)) / (next.x - corner.x)]) {
      top = Math.min(top, y);
      bottom = Math.max(bottom, y);
    }
  });
  return { top, bottom };
}

/** Arcs of many short sides may turn by nothing at a joint. */
function isNearlyConvex(outline: Outline): boolean {
  return isConvex(outline.filter((corner: Point, index) => {
    const before = outline[(index + outline.length - 1) % outline.length] ?? corner;
    const after = outline[(index + 1) % outline.length] ?? corner;
    return Math.abs((corner.x - before.x) * (after.y - corner.y) - (corner.y - before.y) * (after.x - corner.x)) > 1e-6;
  }));
}
