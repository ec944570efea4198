import { type SunBook, type SurfaceRows, questionOf } from '../choosing';
import type { Film, SeenFrom } from '../job';
import type { Air } from '../waiting';
import type { ReadinessCase } from './readiness-case';

/** What a surface's rows say about when it is fit, with everything that had to be assumed. */
export interface CaseOfRows {
  readonly own: ReadinessCase;
  readonly assumed: readonly string[];
  /** What to find out so that the sun can be reckoned. */
  readonly unknown: readonly string[];
}

/**
 * Puts the rows of a job into a question about readiness. A car without a bearing stands under a roof; a
 * place without coordinates has no sun that could be reckoned, and says so.
 */
export function caseOfRows(
  rows: SurfaceRows,
  side: SeenFrom,
  film: Pick<Film, 'workMin_C' | 'workMax_C'> | undefined,
  indoor: Air,
  book: SunBook,
): CaseOfRows {
  const question = questionOf(rows, book);
  const chain = [rows.place, ...rows.parents].filter((place) => place !== undefined);
  const at = chain.find(({ latitude_deg, longitude_deg }) => latitude_deg !== null && longitude_deg !== null);
  const isBearingKnown = chain.some(({ bearing_deg }) => bearing_deg !== null);
  const isUnderRoof = question.isVehicle && !isBearingKnown;
  const glass = question.glass;
  const isSunny = glass !== null && !glass.isIndoors && !isUnderRoof && at !== undefined && isBearingKnown;
  const unknown =
    glass === null || glass.isIndoors || isUnderRoof
      ? []
      : [
          ...(at === undefined ? ['where on earth the place is'] : []),
          ...(isBearingKnown ? [] : ['the bearing of the surface']),
        ];
  return {
    own: {
      place: {
        latitude_deg: at?.latitude_deg ?? 0,
        longitude_deg: at?.longitude_deg ?? 0,
        altitude_m: at?.altitude_m ?? 0,
      },
      facing: isSunny ? glass.facing : null,
      makeUp: glass === null || glass.unknown.includes('how many panes') ? null : glass.bare,
      height_m: glass?.height_m ?? 1,
      side: side === 'outside' ? 'outside' : 'room',
      indoor,
      least_C: film?.workMin_C ?? null,
      most_C: film?.workMax_C ?? null,
    },
    assumed: [
      ...(isUnderRoof ? ['it stands under a roof: give its bearing where it is parked outside'] : []),
      ...(glass === null ? ['the wall is as warm as its room'] : []),
      ...(film === undefined || (film.workMin_C === null && film.workMax_C === null)
        ? ["the film's sheet does not state a range of temperature"]
        : []),
    ],
    unknown: [
      ...unknown,
      ...(glass !== null && glass.unknown.includes('how many panes')
        ? ['the make-up of the glass: its temperature is not reckoned']
        : []),
    ],
  };
}
