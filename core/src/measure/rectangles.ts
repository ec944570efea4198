import { floatAt } from '../quantity';
import { type Outline, type Point, isConvex, outlineBounds } from './outline';

interface SizedRectangle {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/**
 * The largest rectangle inside a figure without inward corners, its top along the figure's top, mm. The
 * height over a pair of left and right ends is concave, so a search that narrows in each finds the one best.
 * @returns undefined when a corner points inward: not worked out
 * @source golden section search, Kiefer 1953 (from memory)
 */
export function largestInside(outline: Outline): SizedRectangle | undefined {
  if (outline.length < 3 || !isNearlyConvex(outline)) return undefined;
  const { left, width } = outlineBounds(outline);
  const sides = sidesOf(outline);
  const heightOver = (from: number, to: number): { readonly top: number; readonly height: number } => {
    const a = crossSection(sides, from);
    const b = crossSection(sides, to);
    const top = Math.max(a.top, b.top);
    return { top, height: Math.max(0, Math.min(a.bottom, b.bottom) - top) };
  };
  const bestTo = (from: number): number =>
    bestOf(from, left + width, (to) => heightOver(from, to).height * (to - from));
  const from = bestOf(left, left + width, (candidate) => {
    const to = bestTo(candidate);
    return heightOver(candidate, to).height * (to - candidate);
  });
  const to = bestTo(from);
  return { left: from, width: to - from, ...heightOver(from, to) };
}

/**
 * The rectangle of least area around a figure, lying along one of its sides. Its width is the side that lies
 * more level, as the figure's own.
 * @source one side of it lies along a side of the hull: Freeman and Shapira, 1975 (from memory)
 */
export function leastAround(outline: Outline): {
  readonly width: number;
  readonly height: number;
  readonly turned_deg: number;
} {
  let best = { width: Infinity, height: Infinity, turned_deg: 0 };
  outline.forEach((corner, index) => {
    const next = outline[(index + 1) % outline.length] ?? corner;
    const length = Math.hypot(next.x - corner.x, next.y - corner.y);
    if (length < 1e-9) return;
    const along = { x: (next.x - corner.x) / length, y: (next.y - corner.y) / length };
    const turned = outline.map(({ x, y }) => ({
      x: x * along.x + y * along.y,
      y: y * along.x - x * along.y,
    }));
    const { width, height } = outlineBounds(turned);
    if (width * height < best.width * best.height - 1e-6)
      best = leveller({ width, height, turned_deg: (Math.atan2(along.y, along.x) * 180) / Math.PI });
  });
  return best;
}

/** The same rectangle, turned by no more than 45 degrees. */
function leveller({
  width,
  height,
  turned_deg,
}: {
  readonly width: number;
  readonly height: number;
  readonly turned_deg: number;
}): { readonly width: number; readonly height: number; readonly turned_deg: number } {
  const quarters = Math.round(turned_deg / 90);
  const turned = turned_deg - 90 * quarters;
  return quarters % 2 === 0
    ? { width, height, turned_deg: turned }
    : { width: height, height: width, turned_deg: turned };
}

const GOLDEN = (Math.sqrt(5) - 1) / 2;
/** Narrows six metres to a millionth of a millimetre: where sides lean steeply the height leaps with it. */
const SEARCH_ROUNDS = 48;

/** Where something that rises and then falls is highest. */
function bestOf(low: number, high: number, worth: (at: number) => number): number {
  let [from, to] = [low, high];
  let [a, b] = [to - GOLDEN * (to - from), from + GOLDEN * (to - from)];
  let [atA, atB] = [worth(a), worth(b)];
  for (let round = 0; round < SEARCH_ROUNDS; round += 1) {
    if (atA < atB) {
      [from, a, atA] = [a, b, atB];
      b = from + GOLDEN * (to - from);
      atB = worth(b);
    } else {
      [to, b, atB] = [b, a, atA];
      a = to - GOLDEN * (to - from);
      atA = worth(a);
    }
  }
  return (from + to) / 2;
}

/**
 * Upper and lower edge of a figure without inward corners, at every corner from left to right; straight in
 * between.
 */
interface Sides {
  readonly x: Float64Array;
  readonly top: Float64Array;
  readonly bottom: Float64Array;
}

function sidesOf(outline: Outline): Sides {
  const x = Float64Array.from(new Set(outline.map((corner) => corner.x))).sort();
  const top = new Float64Array(x.length).fill(Infinity);
  const bottom = new Float64Array(x.length).fill(-Infinity);
  outline.forEach((corner, index) => {
    const next = outline[(index + 1) % outline.length] ?? corner;
    const [left, right] = corner.x <= next.x ? [corner, next] : [next, corner];
    x.forEach((own, at) => {
      if (own < left.x || own > right.x) return;
      const share = (own - left.x) / (right.x - left.x);
      for (const y of right.x - left.x < 1e-9 ? [left.y, right.y] : [left.y + (right.y - left.y) * share]) {
        top[at] = Math.min(top[at] ?? y, y);
        bottom[at] = Math.max(bottom[at] ?? y, y);
      }
    });
  });
  return { x, top, bottom };
}

function crossSection(
  { x, top, bottom }: Sides,
  at: number,
): { readonly top: number; readonly bottom: number } {
  let [low, high] = [0, x.length - 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (floatAt(x, middle) <= at) low = middle;
    else high = middle;
  }
  const [from, to] = [floatAt(x, low), floatAt(x, high)];
  const share = to === from ? 0 : Math.min(1, Math.max(0, (at - from) / (to - from)));
  const between = (row: Float64Array): number =>
    floatAt(row, low) + (floatAt(row, high) - floatAt(row, low)) * share;
  return { top: between(top), bottom: between(bottom) };
}

/** Arcs of many short sides may turn by nothing at a joint. */
function isNearlyConvex(outline: Outline): boolean {
  return isConvex(
    outline.filter((corner: Point, index) => {
      const before = outline[(index + outline.length - 1) % outline.length] ?? corner;
      const after = outline[(index + 1) % outline.length] ?? corner;
      return (
        Math.abs(
          (corner.x - before.x) * (after.y - corner.y) - (corner.y - before.y) * (after.x - corner.x),
        ) > 1e-6
      );
    }),
  );
}
