import type { Change, Op } from '@yellow-pane/contracts';
import { seededRandom } from '@yellow-pane/core/quantity';
import { NEW_PLACE, NEW_SURFACE, NEW_JOB } from '@yellow-pane/core/job';
import { slotsFor } from '@yellow-pane/core/measure';

const SURFACES_PER_CHANGE = 200;
const NM_PER_MM = 1e6;

/** A made-up job of any size for speed tests: one front of nearly square panes, eight measures each.
 *  @param makeId a fresh UUIDv7 at each call */
export function manySurfaces(
  count: number,
  seed: number,
  makeId: () => string,
): { readonly jobId: string; readonly changes: readonly Change[] } {
  const random = seededRandom(seed);
  const jobId = makeId();
  const placeId = makeId();
  const change = (ops: readonly Op[]): Change => ({
    id: makeId(),
    session: makeId(),
    who: 'Speed test',
    ops,
  });
  const changes = [
    change([
      {
        op: 'put',
        table: 'job',
        id: jobId,
        fields: { name: `${count} panes`, entryUnit: 'mm', ...NEW_JOB },
      },
      {
        op: 'put',
        table: 'place',
        id: placeId,
        fields: { ...NEW_PLACE, kind: 'facade', name: 'Front', bearing_deg: 180, position: 1 },
      },
    ]),
  ];
  for (let first = 0; first < count; first += SURFACES_PER_CHANGE) {
    const size = Math.min(SURFACES_PER_CHANGE, count - first);
    const ids = Array.from({ length: size }, () => makeId());
    changes.push(
      change([
        ...ids.map((id, index): Op => ({
          op: 'put',
          table: 'surface',
          id,
          fields: {
            ...NEW_SURFACE,
            placeId,
            tag: `W${first + index + 1}`,
            name: `window ${first + index + 1}`,
            position: first + index,
          },
        })),
        ...ids.flatMap((id) =>
          measures(id, 600 + Math.round(random() * 900), 800 + Math.round(random() * 1600), makeId),
        ),
      ]),
    );
  }
  return { jobId, changes };
}

function measures(
  surfaceId: string,
  width_mm: number,
  height_mm: number,
  makeId: () => string,
): readonly Op[] {
  const sizes = { width: width_mm, height: height_mm, diagonal: Math.round(Math.hypot(width_mm, height_mm)) };
  return slotsFor('four sides').flatMap(({ kind, from, to, group }): readonly Op[] => {
    if (group !== 'width' && group !== 'height' && group !== 'diagonal') return [];
    return [
      {
        op: 'put',
        table: 'measure',
        id: makeId(),
        fields: {
          surfaceId,
          kind,
          fromPoint: from,
          toPoint: to,
          text: String(sizes[group]),
          unit: 'mm',
          value_nm: sizes[group] * NM_PER_MM,
          instrument: 'tape',
          sd_nm: null,
        },
      },
    ];
  });
}
