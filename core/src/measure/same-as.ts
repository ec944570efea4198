import type { SurfaceShape } from '../job';
import type { Outline } from './outline';

export interface ComparedSurface {
  readonly id: string;
  readonly shape: SurfaceShape;
  readonly unitId: string | null;
  readonly outline: Outline;
  /** Sags or girths in a fixed order, where the outline does not say it all. */
  readonly more_mm: readonly number[];
}

/** Surfaces alike within a tolerance; the first is the one the others are the same as. */
interface SameAsGroup {
  readonly ids: readonly [string, string, ...string[]];
  /** Largest distance between corresponding corners within the group. */
  readonly apart_mm: number;
}

/** Groups surfaces of the same shape and glass whose corners lie within a tolerance of the first one's.
 *  @param tolerance_mm greatest distance between corresponding corners, > 0 */
export function sameAsGroups(
  surfaces: readonly ComparedSurface[],
  tolerance_mm: number,
): readonly SameAsGroup[] {
  const open = new Map<
    string,
    { readonly lead: ComparedSurface; readonly ids: string[]; apart_mm: number }[]
  >();
  for (const surface of surfaces) {
    const key = `${surface.shape} ${surface.unitId ?? ''} ${surface.outline.length} ${surface.more_mm.length}`;
    const groups = open.get(key) ?? [];
    open.set(key, groups);
    const home = groups
      .map((group) => ({ group, apart: apartBy(group.lead, surface) }))
      .find(({ apart }) => apart <= tolerance_mm);
    if (home === undefined) groups.push({ lead: surface, ids: [surface.id], apart_mm: 0 });
    else {
      home.group.ids.push(surface.id);
      home.group.apart_mm = Math.max(home.group.apart_mm, home.apart);
    }
  }
  return [...open.values()].flat().flatMap(({ ids, apart_mm }) => {
    const [first, second, ...rest] = ids;
    return first === undefined || second === undefined
      ? []
      : [{ ids: [first, second, ...rest] as const, apart_mm }];
  });
}

function apartBy(a: ComparedSurface, b: ComparedSurface): number {
  let apart = 0;
  for (let index = 0; index < a.outline.length; index += 1) {
    const [p, q] = [a.outline[index], b.outline[index]];
    if (p === undefined || q === undefined) return Infinity;
    apart = Math.max(apart, Math.hypot(p.x - q.x, p.y - q.y));
  }
  return a.more_mm.reduce(
    (most, value, index) => Math.max(most, Math.abs(value - (b.more_mm[index] ?? Infinity))),
    apart,
  );
}
