import type { PackingProblem } from '../../packing';
import type { CutOrder } from './cut-order';

/** Stands in for film that is not there. */
export const MISSING = 'missing film';
/**
 * It costs so many times the dearest, or counts so many times its length: it is used only where nothing else
 * is left.
 */
export const MISSING_TIMES = 60;
/** Longer than any roll, mm. */
export const BOUNDLESS = 1e12;
export const NO_PROBLEM: PackingProblem = {
  width: 1,
  itemTypes: [],
  orientations: [],
  area: 0,
  longest: 0,
  alongStep_mm: 1,
  acrossStep_mm: 1,
};

/** As much as one likes of the widest film there is, far too dear. */
export function missingFilm({ stocks }: CutOrder): CutOrder['stocks'][number] {
  return {
    id: MISSING,
    what: 'to order',
    width_mm: Math.max(1, ...stocks.map(({ width_mm }) => width_mm)),
    length_mm: BOUNDLESS,
    perMetre: MISSING_TIMES * Math.max(1, ...stocks.map(({ perMetre }) => perMetre)),
    whole: 0,
    lot: MISSING,
    edges: 'both',
  };
}
