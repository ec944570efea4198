import { NEW_PLACE, NEW_SURFACE } from '@yellow-pane/core/job';
import type { Op } from '../change';
import type { BroughtSurface } from './brought-in';

interface BroughtWhere {
  /** Places of the job by name; others are made. */
  readonly placeIds: ReadonlyMap<string, string>;
  /** For surfaces that name no place. */
  readonly placeId: string | undefined;
  readonly afterPosition: number;
}

/** The operations that add surfaces brought in: places first, then surfaces in their order, then measures. */
export function broughtOps(
  surfaces: readonly BroughtSurface[],
  { placeIds, placeId, afterPosition }: BroughtWhere,
  makeId: () => string,
): readonly Op[] {
  const known = new Map(placeIds);
  const places: Op[] = [];
  const placeOf = (name: string): string => {
    const wanted = name === '' ? (placeId ?? known.get('Building')) : known.get(name);
    if (wanted !== undefined) return wanted;
    const id = makeId();
    const called = name === '' ? 'Building' : name;
    known.set(called, id);
    places.push({
      op: 'put',
      table: 'place',
      id,
      fields: { ...NEW_PLACE, name: called, position: 1000 + places.length },
    });
    return id;
  };
  const rows = surfaces.map((surface, index) => {
    const id = makeId();
    const placed = { placeId: placeOf(surface.place), position: afterPosition + index + 1 };
    return { surface: surfaceOp(id, surface, placed), own: measureOps(id, surface, makeId) };
  });
  return [...places, ...rows.map(({ surface }) => surface), ...rows.flatMap(({ own }) => own)];
}

function surfaceOp(
  id: string,
  { tag, name, kind, shape, corners, seenFrom, remark }: BroughtSurface,
  placed: { readonly placeId: string; readonly position: number },
): Op {
  const fields = { ...NEW_SURFACE, ...placed, tag, name, kind, shape, corners, seenFrom, remark };
  return { op: 'put', table: 'surface', id, fields };
}

function measureOps(surfaceId: string, { measures }: BroughtSurface, makeId: () => string): readonly Op[] {
  return measures.map(({ from, to, ...read }) => ({
    op: 'put',
    table: 'measure',
    id: makeId(),
    fields: { surfaceId, fromPoint: from, toPoint: to, ...read },
  }));
}
