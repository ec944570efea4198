import { type SunCache, type SurfaceRows, questionOf } from '../choosing';
import type { Film, SeenFrom } from '../job';
import type { Air } from '../waiting';
import type { ReadinessCase } from './readiness-case';

/** What may be open of a surface and its film that decides when it is fit. */
export type ReadyUnknown =
  | 'which film goes on'
  | 'the range of temperature on the sheet of the film'
  | 'where on earth the place is'
  | 'the bearing of the surface'
  | 'how the glass is made up'
  | 'the forecast';

/** What a surface's rows say about when it is fit, with everything that had to be assumed. */
interface CaseOfRows {
  readonly own: ReadinessCase;
  readonly assumed: readonly string[];
  /** What to find out before anybody can say that it is fit. */
  readonly unknown: readonly ReadyUnknown[];
}

/** Where no sun ever comes: something stands before all of the sky. */
const ALL_SKY_HIDDEN = [{ bearing_deg: 0, elevation_deg: 90 }];

/**
 * Puts the rows of a job into a question about readiness. A car without a bearing stands under a roof; a
 * place without coordinates has no sun that could be calculated, and says so.
 */
export function caseOfRows(
  rows: SurfaceRows,
  side: SeenFrom,
  film: Pick<Film, 'workMin_C' | 'workMax_C'> | undefined,
  indoor: Air,
  book: SunCache,
): CaseOfRows {
  const question = questionOf(rows, book);
  const chain = [rows.place, ...rows.parents].filter((place) => place !== undefined);
  const at = chain.find(({ latitude_deg, longitude_deg }) => latitude_deg !== null && longitude_deg !== null);
  const isBearingKnown = chain.some(({ bearing_deg }) => bearing_deg !== null);
  const isUnderRoof = question.isVehicle && !isBearingKnown;
  const glass = question.glass;
  const isSunless = glass?.isSunless === true;
  const isOutdoors =
    glass !== null && !glass.isIndoors && !isUnderRoof && (isSunless || (at !== undefined && isBearingKnown));
  const hasSun = glass !== null && !isSunless && !isUnderRoof;
  const isRangeOpen = film !== undefined && film.workMin_C === null && film.workMax_C === null;
  const open: readonly (readonly [boolean, ReadyUnknown])[] = [
    [film === undefined, 'which film goes on'],
    [isRangeOpen, 'the range of temperature on the sheet of the film'],
    [hasSun && at === undefined, 'where on earth the place is'],
    [hasSun && !isBearingKnown, 'the bearing of the surface'],
    [glass?.unknown.includes('how many panes') === true, 'how the glass is made up'],
  ];
  return {
    own: {
      place: {
        latitude_deg: at?.latitude_deg ?? 0,
        longitude_deg: at?.longitude_deg ?? 0,
        altitude_m: at?.altitude_m ?? 0,
      },
      facing:
        !isOutdoors || glass.facing === null
          ? null
          : isSunless
            ? { ...glass.facing, skyline: ALL_SKY_HIDDEN }
            : glass.facing,
      makeUp:
        glass === null || glass.unknown.includes('how many panes')
          ? null
          : { ...glass.bare, films: question.others },
      height_m: glass?.height_m ?? 1,
      side: side === 'outside' ? 'outside' : 'room',
      indoor,
      least_C: film?.workMin_C ?? null,
      most_C: film?.workMax_C ?? null,
    },
    assumed: [
      ...(isUnderRoof ? ['it stands under a roof: give its bearing where it is parked outside'] : []),
      ...(glass === null ? ['the wall is as warm as its room'] : []),
    ],
    unknown: open.filter(([isOpen]) => isOpen).map(([, what]) => what),
  };
}
