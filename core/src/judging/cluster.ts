interface Placed {
  readonly x: number;
  readonly y: number;
}

/**
 * The largest set of places of which each is nearer than a distance to every other: exact, by Bron and
 * Kerbosch with a pivot.
 * @returns their indices
 */
export function largestCluster(places: readonly Placed[], within: number): readonly number[] {
  const near = places.map((own, index) => {
    const beside = new Set<number>();
    places.forEach(({ x, y }, other) => {
      if (other !== index && Math.hypot(x - own.x, y - own.y) < within) beside.add(other);
    });
    return beside;
  });
  let best: readonly number[] = [];
  const grow = (own: readonly number[], open: ReadonlySet<number>, done: ReadonlySet<number>): void => {
    if (own.length + open.size <= best.length) return;
    if (open.size === 0 && done.size === 0) {
      best = own;
      return;
    }
    const pivot = pivotOf([...open, ...done], open);
    const left = new Set(open);
    const seen = new Set(done);
    for (const place of open) {
      if (pivot !== undefined && near[pivot]?.has(place) === true) continue;
      const beside = near[place] ?? new Set<number>();
      grow([...own, place], meet(left, beside), meet(seen, beside));
      left.delete(place);
      seen.add(place);
    }
  };
  const pivotOf = (from: readonly number[], open: ReadonlySet<number>): number | undefined => {
    let [found, most]: [number | undefined, number] = [undefined, -1];
    for (const place of from) {
      const count = meet(open, near[place] ?? new Set()).size;
      if (count > most) [found, most] = [place, count];
      if (most >= open.size - 1) break;
    }
    return found;
  };
  grow([], new Set(places.keys()), new Set());
  return best;
}

function meet(a: ReadonlySet<number>, b: ReadonlySet<number>): Set<number> {
  const [small, large] = a.size < b.size ? [a, b] : [b, a];
  return new Set([...small].filter((own) => large.has(own)));
}
