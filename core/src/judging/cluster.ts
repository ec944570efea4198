interface Placed {
  readonly x: number;
  readonly y: number;
}

/** Of more places the fullest circle stands for the largest set: it may have more members than that. */
const MOST_EXACT = 120;

/**
 * The largest set of places of which each is nearer than a distance to every other: exact up to 120 places.
 * @returns their indices
 * @source maximum clique of a unit disk graph (Clark, Colbourn and Johnson 1990, from memory): of the two
 * members farthest apart, what is no farther from either lies in a lens; each half of it is near throughout,
 * so what is left out is a matching of those too far from each other
 */
export function largestCluster(places: readonly Placed[], within: number): readonly number[] {
  if (isAllNear(places, within)) return [...places.keys()];
  if (places.length > MOST_EXACT) return fullestCircle(places, within);
  let best: readonly number[] = places.length === 0 ? [] : [0];
  const lenses = lensesOf(places, within).sort((a, b) => sizeOf(b) - sizeOf(a));
  for (const lens of lenses) {
    if (sizeOf(lens) <= best.length) break;
    const found = [...lens.ends, ...nearThroughout(lens, places, within)];
    if (found.length > best.length) best = found;
  }
  return best;
}

const away = (a: Placed | undefined, b: Placed | undefined): number =>
  a === undefined || b === undefined ? Infinity : Math.hypot(a.x - b.x, a.y - b.y);

/** Two places and what is no farther from either of them than they are from each other, by its side. */
interface Lens {
  readonly ends: readonly [number, number];
  readonly left: readonly number[];
  readonly right: readonly number[];
}

const sizeOf = ({ left, right }: Lens): number => 2 + left.length + right.length;

function lensesOf(places: readonly Placed[], within: number): Lens[] {
  const lenses: Lens[] = [];
  places.forEach((p, a) => {
    places.forEach((q, b) => {
      const wide = away(p, q);
      if (b <= a || wide >= within) return;
      const [left, right]: [number[], number[]] = [[], []];
      places.forEach((own, index) => {
        if (index === a || index === b || away(own, p) > wide || away(own, q) > wide) return;
        const turn = (q.x - p.x) * (own.y - p.y) - (q.y - p.y) * (own.x - p.x);
        (turn >= 0 ? left : right).push(index);
      });
      lenses.push({ ends: [a, b], left, right });
    });
  });
  return lenses;
}

/** The most of a lens that are all near each other: by a largest matching of those that are not (Kőnig). */
function nearThroughout({ left, right }: Lens, places: readonly Placed[], within: number): readonly number[] {
  const far = new Map(
    left.map((own) => [own, right.filter((other) => away(places[own], places[other]) >= within)]),
  );
  const partner = new Map<number, number>();
  const matched = new Set<number>();
  const augment = (own: number, seen: Set<number>): boolean =>
    (far.get(own) ?? []).some((other) => {
      if (seen.has(other)) return false;
      seen.add(other);
      const before = partner.get(other);
      if (before !== undefined && !augment(before, seen)) return false;
      partner.set(other, own);
      return true;
    });
  for (const own of left) if (augment(own, new Set())) matched.add(own);
  const [reached, seen] = [new Set<number>(), new Set<number>()];
  const walk = (own: number): void => {
    if (reached.has(own)) return;
    reached.add(own);
    for (const other of far.get(own) ?? []) {
      seen.add(other);
      const next = partner.get(other);
      if (next !== undefined) walk(next);
    }
  };
  for (const own of left) if (!matched.has(own)) walk(own);
  return [...left.filter((own) => reached.has(own)), ...right.filter((own) => !seen.has(own))];
}

/** All lie in one box no longer across than that: each is near every other. */
function isAllNear(places: readonly Placed[], within: number): boolean {
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const { x, y } of places) {
    [left, right] = [Math.min(left, x), Math.max(right, x)];
    [low, high] = [Math.min(low, y), Math.max(high, y)];
  }
  return Math.hypot(right - left, high - low) < within;
}

/**
 * What lies in a circle round one of them, no wider across than the distance: all near each other. From left
 * to right, so that only what is beside it is looked at.
 */
function fullestCircle(places: readonly Placed[], within: number): readonly number[] {
  const sorted = [...places.entries()].sort(([, a], [, b]) => a.x - b.x);
  let best: readonly number[] = [];
  let first = 0;
  for (const [, own] of sorted) {
    while ((sorted[first]?.[1].x ?? own.x) <= own.x - within / 2) first += 1;
    const inside: number[] = [];
    for (let at = first; at < sorted.length; at += 1) {
      const [index, other] = sorted[at] ?? [0, own];
      if (other.x >= own.x + within / 2) break;
      if (away(other, own) < within / 2) inside.push(index);
    }
    if (inside.length > best.length) best = inside;
  }
  return best;
}
