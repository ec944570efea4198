import type { AskedSurfaces } from '@yellow-pane/core/job';
import { type LengthUnit, parseReading } from '@yellow-pane/core/quantity';

/** One line of the card as it is typed. */
export interface TypedGroup {
  readonly what: AskedSurfaces['what'];
  readonly count: string;
  readonly width: string;
  readonly height: string;
  readonly bearing: string;
  readonly storey: string;
  readonly filmId: string;
  readonly oldFilm: AskedSurfaces['oldFilm'];
}

/** The card as it is typed: kept at every key. */
export interface TypedCall {
  readonly caller: string;
  readonly phone: string;
  readonly wish: string;
  readonly groups: readonly TypedGroup[];
}

export const NEW_GROUP: TypedGroup = {
  ...{ what: 'pane', count: '1', width: '', height: '', bearing: '', storey: '', filmId: '' },
  oldFilm: 'unknown',
};
export const NEW_CALL: TypedCall = { caller: '', phone: '', wish: '', groups: [NEW_GROUP] };

const LENGTHS = { least_mm: 50, most_mm: 50_000 };
const MOST_ALIKE = 500;

type GroupFault = 'count' | 'width' | 'height' | 'storey';

/** What a line says, and which of its fields cannot be read. */
export function readGroup(
  group: TypedGroup,
  unit: LengthUnit,
): { readonly asked: AskedSurfaces | undefined; readonly faults: readonly GroupFault[] } {
  const faults: GroupFault[] = [];
  const length = (field: 'width' | 'height'): number | null => {
    const text = group[field].trim();
    if (text === '') return null;
    const parsed = parseReading(text, unit, LENGTHS);
    if (parsed.kind === 'length') return parsed.value_nm;
    faults.push(field);
    return null;
  };
  const [width_nm, height_nm] = [length('width'), length('height')];
  const count = Number(group.count);
  if (!Number.isInteger(count) || count < 1 || count > MOST_ALIKE) faults.push('count');
  const storey = group.storey.trim() === '' ? null : Number(group.storey);
  if (storey !== null && !(Number.isInteger(storey) && storey >= -10 && storey <= 200)) faults.push('storey');
  return {
    faults,
    asked:
      faults.length > 0
        ? undefined
        : {
            ...{ what: group.what, count, width_nm, height_nm, storey, oldFilm: group.oldFilm },
            bearing_deg: group.bearing === '' ? null : Number(group.bearing),
            filmId: group.filmId === '' ? null : group.filmId,
          },
  };
}

/** Typed before and kept; what cannot be read is begun anew. */
export function callOf(text: string | undefined): TypedCall {
  if (text === undefined || text === '') return NEW_CALL;
  try {
    return { ...NEW_CALL, ...(JSON.parse(text) as Partial<TypedCall>) };
  } catch {
    return NEW_CALL;
  }
}
