import type { CutMethod } from '../job';
import { RULES } from '../rules';
import {
  type CureKind,
  type DryHours,
  type DryStretch,
  type DryingFilm,
  type FilmState,
  type LeftWater,
  type MayDo,
  type Wait,
  clearBy,
  conditionedRoom,
  courseOf,
  doubtOfDrying,
  filmAt,
  firstBond,
  halfDryDay,
  mayDoWhen,
  needOf,
  pocketBy,
  pocketNeedOf,
  sealantBack,
  usualWater,
  wantsWarmRoom,
} from '../waiting';
import { isLaidWet, templateFor } from '../ways';

interface ReturnCase {
  readonly method: CutMethod;
  readonly film: DryingFilm;
  /** Glass and air from the laying on. */
  readonly known: readonly DryHours[];
  /** What comes after; absent: days like those known. With neither nothing is calculated. */
  readonly after?: readonly DryStretch[];
  readonly water?: LeftWater;
  /** Lowest of the next two days outdoors; null: not forecast. */
  readonly outdoorLow_C: number | null;
}

/** A laid film as it dries and cures: every date of it comes from here. */
export interface FilmCourse {
  /** What is to be waited for after the last stretch: each a reminder or a return visit. */
  readonly waits: readonly Wait[];
  /** Undefined: laid dry, or nothing is known of the glass. */
  readonly clear: Wait | undefined;
  readonly pocket: Wait | undefined;
  /** Of a day of drying, as a log-normal deviation. */
  readonly deviation: number;
  readonly may: readonly MayDo[];
  /** Empty: nothing is known of the glass. */
  readonly course: readonly DryStretch[];
  /** So many days after the laying on. */
  readonly at: (days: number) => FilmState;
}

const DAY_MIN = 1440;

/** Everything that is to be waited for, and may be done, once a film is laid. */
export function filmCourse(own: ReturnCase): FilmCourse {
  const { method, film, known, after, outdoorLow_C, water = usualWater(film) } = own;
  const template = templateFor(method, film.family)?.template;
  const isWet = isLaidWet(method, film.family);
  const isVinyl = template === 'table' || template === 'decal' || film.family === 'wrap';
  const isKnown = known.length > 0 || (after?.length ?? 0) > 0;
  const asked = { film, known, water, ...(after === undefined ? {} : { after }) };
  const course = isKnown ? courseOf(asked) : [];
  const bond: CureKind =
    template === 'decal' ? 'decal' : film.family === 'security' ? 'security' : 'thin film';
  const pocketNeed = pocketNeedOf(film, RULES.pocketHigh.value);
  const laid = { isWet, bond, course, need: needOf(film, water.value), pocketNeed };
  const clear = isWet && isKnown ? clearBy(asked) : undefined;
  const sealant = isWet ? sealantWait(film.thickness_um, isKnown ? halfDryDay(laid) : 0) : undefined;
  return {
    ...{ clear, course, deviation: doubtOfDrying(film, water) },
    pocket: isWet && isKnown ? pocketBy(asked, RULES.pocketHigh.value) : undefined,
    may: mayDoWhen({ ...laid, clear, sealant }),
    at: (days) => filmAt(days, laid),
    waits: [
      firstBond(template === 'decal' ? 'decal' : 'film'),
      ...(sealant === undefined ? [] : [sealant]),
      ...(clear === undefined ? [] : [clear]),
      ...(isVinyl && outdoorLow_C !== null && wantsWarmRoom(outdoorLow_C)
        ? [conditionedRoom(outdoorLow_C)]
        : []),
    ],
  };
}

/** As is customary, and not before half of the water has gone. @param half_days null: not within a year */
function sealantWait(film_um: number, half_days: number | null): Wait {
  const usual = sealantBack(film_um);
  if (half_days === null)
    return { ...usual, least: null, likely: null, most: null, never: 'not this season' };
  const half = Math.round(half_days * DAY_MIN);
  const later = (minutes: number | null): number => Math.max(minutes ?? 0, half);
  return { ...usual, least: later(usual.least), likely: later(usual.likely), most: later(usual.most) };
}
