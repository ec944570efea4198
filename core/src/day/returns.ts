import { isLaidWet, templateFor } from '../fitting';
import type { CutMethod, FilmFamily } from '../job';
import {
  type Air,
  type Wait,
  clearBy,
  conditionedRoom,
  firstBond,
  sealantBack,
  wantsWarmRoom,
} from '../waiting';

export interface ReturnCase {
  readonly method: CutMethod;
  readonly family: FilmFamily | undefined;
  readonly film_um: number;
  readonly room: Air;
  /** Of the glass on average over the coming weeks; null: not reckoned. */
  readonly glass_C: number | null;
  /** Lowest of the next two days outdoors; null: not forecast. */
  readonly outdoorLow_C: number | null;
}

/** What is to be waited for after the last stretch of a surface: each a reminder or a return visit. */
export function returnsAfter({
  method,
  family,
  film_um,
  room,
  glass_C,
  outdoorLow_C,
}: ReturnCase): readonly Wait[] {
  const { template } = templateFor(method, family);
  const isWet = isLaidWet(method, family);
  const isVinyl = template === 'table' || template === 'decal' || family === 'wrap';
  return [
    firstBond(template === 'decal' ? 'decal' : 'film'),
    ...(isWet ? [sealantBack(film_um)] : []),
    ...(isWet && glass_C !== null
      ? [clearBy({ film_um, glass_C, room, isMetallised: family === 'low emissivity' })]
      : []),
    ...(isVinyl && outdoorLow_C !== null && wantsWarmRoom(outdoorLow_C)
      ? [conditionedRoom(outdoorLow_C)]
      : []),
  ];
}
