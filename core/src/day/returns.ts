import { isLaidWet, templateFor } from '../ways';
import type { CutMethod } from '../job';
import {
  type DryHours,
  type DryingFilm,
  type Wait,
  clearBy,
  conditionedRoom,
  firstBond,
  sealantBack,
  wantsWarmRoom,
} from '../waiting';

export interface ReturnCase {
  readonly method: CutMethod;
  readonly film: DryingFilm;
  /** Glass and air from the laying on; none: not reckoned. */
  readonly known: readonly DryHours[];
  /** Lowest of the next two days outdoors; null: not forecast. */
  readonly outdoorLow_C: number | null;
}

/** What is to be waited for after the last stretch of a surface: each a reminder or a return visit. */
export function returnsAfter({ method, film, known, outdoorLow_C }: ReturnCase): readonly Wait[] {
  const template = templateFor(method, film.family)?.template;
  const isWet = isLaidWet(method, film.family);
  const isVinyl = template === 'table' || template === 'decal' || film.family === 'wrap';
  return [
    firstBond(template === 'decal' ? 'decal' : 'film'),
    ...(isWet ? [sealantBack(film.thickness_um)] : []),
    ...(isWet && known.length > 0 ? [clearBy({ film, known })] : []),
    ...(isVinyl && outdoorLow_C !== null && wantsWarmRoom(outdoorLow_C)
      ? [conditionedRoom(outdoorLow_C)]
      : []),
  ];
}
