import { newSunBook } from '../../choosing';
import type { WeatherHour } from '../../climate';
import {
  type FilmCourse,
  GlassHours,
  type ReadyUnknown,
  type StandingGlass,
  caseOfRows,
  filmCourse,
} from '../../day';
import type { ClimateYear, RowOf } from '../../job';
import {
  type Air,
  type DryHours,
  type DryStretch,
  type DryingFilm,
  type LeftWater,
  learnedWater,
  stretchOf,
  usualWater,
} from '../../waiting';
import type { JobView } from '../view/job-view';
import { placesOutwards } from '../survey/place';
import { USUAL_AIR } from '../day/readiness';
import { surfaceRowsOf } from '../survey/surface';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const TWO_DAYS_MS = 2 * DAY_MS;
/** How far ahead drying is followed. */
const MONTHS_AHEAD = 13;
/** Panes that differ by less are calculated as one: height hardly changes how warm the glass is. */
const HEIGHT_STEP_M = 0.25;

/** What is known of the air: outdoors as forecast, and in the rooms. */
export interface Sky {
  readonly weather: readonly WeatherHour[];
  readonly indoor: Air;
}

export const NO_SKY: Sky = { weather: [], indoor: USUAL_AIR };

/** On what the days of a film rest. */
export type DaysFrom = 'forecast' | 'climate' | 'forecast, then climate' | 'room' | 'nothing';

/** All dates of a laid film. */
export interface FilmDates extends FilmCourse {
  readonly laidAt_ms: number;
  readonly from: DaysFrom;
  /** What to find out before anything can be said of the glass. */
  readonly unknown: readonly ReadyUnknown[];
}

/**
 * Drying, cure, and what may be done when, of a film laid at a moment: the one answer for the days, for
 * fitting, for checking and for the papers. The forecast first, then the climate of the place month by month.
 * Undefined: the film is not in the catalogue.
 */
export function filmDates(
  view: JobView,
  application: RowOf<'application'>,
  laidAt_ms: number,
  sky: Sky,
): FilmDates | undefined {
  const film = view.filmById.get(application.filmId);
  const surface = view.surfaceById.get(application.surfaceId);
  if (film === undefined) return undefined;
  const { weather, indoor } = sky;
  return view.kept.of(
    `dates ${application.id}`,
    [
      ...[application, film, laidAt_ms, weather, indoor.air_C, indoor.humidity, view.shop.experience],
      ...ofSurface(view, surface),
    ],
    () => {
      const nights = weather
        .filter(({ instant_ms }) => instant_ms >= laidAt_ms && instant_ms < laidAt_ms + TWO_DAYS_MS)
        .map(({ air_C }) => air_C);
      const glass = surface === undefined ? NO_GLASS : glassFrom(view, surface, application, laidAt_ms, sky);
      const { known, after, from, unknown } = glass;
      return {
        ...filmCourse({
          ...{ method: application.method, film, known, water: waterLeft(view, film) },
          ...(after === undefined ? {} : { after }),
          outdoorLow_C: nights.length === 0 ? null : Math.min(...nights),
        }),
        ...{ laidAt_ms, from, unknown },
      };
    },
  );
}

/** As our guess has it, moved by what became of the shop's own pockets under film of the family. */
const waterLeft = (view: JobView, film: DryingFilm): LeftWater =>
  learnedWater(
    usualWater(film),
    (view.shop.experience?.pockets ?? []).filter(({ family }) => family === film.family),
  );

/** The rows that decide how warm the glass of a surface is. */
function ofSurface(view: JobView, surface: RowOf<'surface'> | undefined): readonly unknown[] {
  return surface === undefined
    ? []
    : [
        ...[surface, view.rows.glassUnit, view.rows.glassPane, view.rows.place],
        ...[view.siteFactsOf(surface.id), view.rows.application, view.shop.films],
        ...view.measuresOf(surface.id),
      ];
}

interface GlassFrom {
  readonly known: readonly DryHours[];
  readonly after: readonly DryStretch[] | undefined;
  readonly from: DaysFrom;
  readonly unknown: readonly ReadyUnknown[];
}

const NO_GLASS: GlassFrom = { known: [], after: undefined, from: 'nothing', unknown: [] };
const OF_THE_GLASS: readonly ReadyUnknown[] = [
  'where on earth the place is',
  'the bearing of the surface',
  'how the glass is made up',
];

/** The glass with all its films, from the laying on. */
function glassFrom(
  view: JobView,
  surface: RowOf<'surface'>,
  { side }: RowOf<'application'>,
  laidAt_ms: number,
  { weather, indoor }: Sky,
): GlassFrom {
  const found = caseOfRows(
    surfaceRowsOf(view, surface),
    side,
    undefined,
    indoor,
    view.kept.of('suns', [], newSunBook),
  );
  const unknown = found.unknown.filter((what) => OF_THE_GLASS.includes(what));
  if (unknown.length > 0) return { ...NO_GLASS, unknown };
  const { own } = found;
  if (own.makeUp === null || own.facing === null)
    return {
      ...NO_GLASS,
      known: [{ hours: 24, glass_C: own.indoor.air_C, air: own.indoor }],
      from: 'room',
    };
  const climate = climateOf(view, surface);
  const { hours, months } = glassBook(view, own, weather, climate);
  const known = hours.filter((_, index) => (weather[index]?.instant_ms ?? 0) >= laidAt_ms);
  if (months === undefined) {
    // Where less than a day of it is known, all that is known stands for the days to come.
    const enough = known.length * HOUR_MS >= DAY_MS ? known : hours;
    return enough.length === 0
      ? { ...NO_GLASS, unknown: ['the forecast'] }
      : { ...NO_GLASS, known: enough, from: 'forecast' };
  }
  const begins_ms = weather.find(({ instant_ms }) => instant_ms >= laidAt_ms)?.instant_ms;
  if (begins_ms === undefined || begins_ms - laidAt_ms > HOUR_MS) {
    const ends_ms = begins_ms === undefined ? laidAt_ms : begins_ms;
    return {
      ...NO_GLASS,
      after: [
        ...monthsBetween(months, laidAt_ms, ends_ms),
        ...known.map((hour) => stretchOf([hour])),
        ...monthsAhead(months, ends_ms + known.length * HOUR_MS),
      ],
      from: known.length === 0 ? 'climate' : 'forecast, then climate',
    };
  }
  return {
    ...NO_GLASS,
    known,
    after: monthsAhead(months, begins_ms + known.length * HOUR_MS),
    from: 'forecast, then climate',
  };
}

/** Of the place, or of the nearest round it that has one. */
export const climateOf = (
  view: JobView,
  { placeId }: Pick<RowOf<'surface'>, 'placeId'>,
): ClimateYear | undefined =>
  placesOutwards(view, placeId).find(({ climate }) => climate !== null)?.climate ?? undefined;

/** Hours of the forecast and days of the months, once for all glass alike. */
function glassBook(
  view: JobView,
  own: StandingGlass,
  weather: readonly WeatherHour[],
  climate: ClimateYear | undefined,
): { readonly hours: readonly DryHours[]; readonly months: readonly DryStretch[] | undefined } {
  const alike: StandingGlass = {
    ...{ place: own.place, facing: own.facing, makeUp: own.makeUp, side: own.side, indoor: own.indoor },
    height_m: Math.max(HEIGHT_STEP_M, Math.round(own.height_m / HEIGHT_STEP_M) * HEIGHT_STEP_M),
  };
  const book = view.kept.of(
    'glass of these days',
    [weather],
    () => new Map<string, ReturnType<typeof glassBook>>(),
  );
  const key = JSON.stringify([alike, climate]);
  const known = book.get(key);
  if (known !== undefined) return known;
  const glass = new GlassHours(alike);
  const made = {
    hours: glass.ofForecast(weather, -Infinity),
    months: climate === undefined ? undefined : glass.ofMonths(climate),
  };
  book.set(key, made);
  return made;
}

const monthOf = (at_ms: number): number => new Date(at_ms).getUTCMonth();
const nextMonth = (at_ms: number): number => {
  const at = new Date(at_ms);
  return Date.UTC(at.getUTCFullYear(), at.getUTCMonth() + 1, 1);
};

/** The months from one moment to another, the first and the last in part. */
function monthsBetween(months: readonly DryStretch[], from_ms: number, to_ms: number): readonly DryStretch[] {
  const all: DryStretch[] = [];
  for (let at_ms = from_ms; at_ms < to_ms; at_ms = nextMonth(at_ms)) {
    const own = months[monthOf(at_ms)];
    if (own !== undefined) all.push({ ...own, days: (Math.min(to_ms, nextMonth(at_ms)) - at_ms) / DAY_MS });
  }
  return all;
}

function monthsAhead(months: readonly DryStretch[], from_ms: number): readonly DryStretch[] {
  let to_ms = from_ms;
  for (let month = 0; month < MONTHS_AHEAD; month += 1) to_ms = nextMonth(to_ms);
  return monthsBetween(months, from_ms, to_ms);
}
