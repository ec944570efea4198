import { type RowOf, isGlass, isHurt, isOutdoorGlass, isPlastic, isWall } from '../../job';
import { isLaidWet } from '../../ways';
import type { JobView } from '../view/job-view';
import { workCaseOf } from '../fit/work';

/** What whoever lives with a film must know of it. @source common practice, no published source */
const CARE_KEYS = [
  'soft and wet',
  'no ammonia, no blade',
  'nothing stuck on it',
  'edges alone',
  'haze and pockets dry',
  'blinds and heaters',
  'cracked glass',
  'not unbreakable',
  'weather side',
  'wall',
  'plastic',
  'heater lines',
  'rescue glass',
] as const;
export type CareKey = (typeof CARE_KEYS)[number];

/** The care and warnings that belong to one film on its surface. */
export function careOf(view: JobView, application: RowOf<'application'>): readonly CareKey[] {
  const surface = view.surfaceById.get(application.surfaceId);
  const film = view.filmById.get(application.filmId);
  if (surface === undefined) return [];
  const work = workCaseOf(view, application);
  const site = view.siteFactsOf(surface.id);
  const isOnGlass = isGlass(surface);
  const panes = view.glassPanes.filter(({ unitId }) => unitId === surface.unitId);
  const is: Readonly<Record<CareKey, boolean>> = {
    'soft and wet': true,
    'no ammonia, no blade': isOnGlass,
    'nothing stuck on it': true,
    'edges alone': true,
    'haze and pockets dry': isLaidWet(application.method, film?.family),
    'blinds and heaters': isOnGlass && isOutdoorGlass(surface),
    'cracked glass': isHurt(surface),
    'not unbreakable': film?.family === 'security',
    'weather side': application.side === 'outside',
    wall: isWall(surface),
    plastic: panes.some(isPlastic),
    'heater lines': work.hasHeaterLines === true,
    'rescue glass': site?.rescueGlass === 'yes',
  };
  return CARE_KEYS.filter((key) => is[key]);
}
