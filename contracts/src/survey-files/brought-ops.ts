import { NEW_PLACE, NEW_SURFACE } from '@yellow-pane/core/job';
import type { Op } from '../change';
import type { BroughtSurface } from './brought-in';

export interface BroughtWhere {
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
  const rows = surfaces.map(
    ({ place, tag, name, kind, shape, corners, seenFrom, remark, measures }, index) => {
      const id = makeId();
      const surface: Op = {
        op: 'put',
        table: 'surface',
        id,
        fields: {
          ...NEW_SURFACE,
          placeId: placeOf(place),
          tag,
          name,
          kind,
          shape,
          corners,
          seenFrom,
          remark,
          position: afterPosition + index + 1,
        },
      };
      const own = measures.map(
        ({ kind: measureKind, from, to, text, unit, value_nm, instrument, sd_nm }): Op => ({
          op: 'put',
          table: 'measure',
          id: makeId(),
          fields: {
            surfaceId: id,
            kind: measureKind,
            fromPoint: from,
            toPoint: to,
            text,
            unit,
            value_nm,
            instrument,
            sd_nm,
          },
        }),
      );
      return { surface, own };
    },
  );
  return [...places, ...rows.map(({ surface }) => surface), ...rows.flatMap(({ own }) => own)];
}
