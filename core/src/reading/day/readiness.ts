import type { SurfaceRows } from '../../choosing';
import { type Readiness, type ReadinessLimits, type ReadyUnknown, USUAL_LIMITS } from '../../day';
import type { Film, RowOf, SeenFrom } from '../../job';
import type { Air } from '../../waiting';
import type { JobView } from '../view/job-view';
import { surfaceRowsOf } from '../survey/surface';

/** One film on one side of a surface to be asked about, or a surface that has none yet. */
export interface ReadyAsk {
  /** Of the application, or of the surface where it has none. */
  readonly id: string;
  readonly rows: SurfaceRows;
  readonly side: SeenFrom;
  readonly film: Film | undefined;
}

export interface ReadyAnswer extends Readiness {
  readonly id: string;
  readonly assumed: readonly string[];
  readonly unknown: readonly ReadyUnknown[];
}

/** Taken for a room of which nothing is told. */
export const USUAL_AIR: Air = { air_C: 20, humidity: 0.5 };

/** The air of the rooms worked in: on site, else as set, else usual. */
export function indoorAir(
  view: JobView,
  onSite: Air | undefined,
): Air & { readonly from: 'thermometer' | 'set' | 'usual' } {
  if (onSite !== undefined) return { ...onSite, from: 'thermometer' };
  const settings = view.rows.daySettings[0];
  return settings?.indoor_C == null
    ? { ...USUAL_AIR, from: 'usual' }
    : { air_C: settings.indoor_C, humidity: settings.indoorHumidity ?? USUAL_AIR.humidity, from: 'set' };
}

export function readinessLimits(view: JobView): ReadinessLimits {
  return {
    warm_K: view.learned('day-warm'),
    overcast: view.learned('day-overcast'),
    ahead_h: view.learned('day-ahead'),
    doubt_deg: view.rows.daySettings[0]?.bearingDoubt_deg ?? USUAL_LIMITS.doubt_deg,
  };
}

/** What to ask of some surfaces: each film on the bare surface, by application. */
export function readyAsks(view: JobView, surfaces: readonly RowOf<'surface'>[]): readonly ReadyAsk[] {
  return surfaces.flatMap((surface): readonly ReadyAsk[] => {
    const rows = { ...surfaceRowsOf(view, surface), films: [] };
    const applications = view.applicationsOf(surface.id);
    if (applications.length === 0) return [{ id: surface.id, rows, side: surface.seenFrom, film: undefined }];
    return applications.map(({ id, side, filmId }) => ({
      id,
      rows,
      side,
      film: view.filmById.get(filmId),
    }));
  });
}
