import type { RowOf, StockLeft } from '../../job';
import { mmFromNm } from '../../quantity';
import { type QuoteCase, type QuotedChance, minutesOf } from '../../quoting';
import { type WorkStep, isLaidWet } from '../../ways';
import { blanksOfFilm } from '../cut/film-blanks';
import { cutSettingsOf, filmOrder, planOfFilm } from '../cut/film-order';
import { filmWorth, pricePerSquare, stockOfFilm } from '../cut/film-stock';
import { type FilmSwap, isOnlyAbout, pricedView } from '../survey/about';
import type { JobView } from '../view/job-view';
import { checkOf } from '../survey/surface';
import { isWayKnown, workStepsOf } from '../fit/work';

/** What one film on one surface costs the shop; money of the job. */
interface QuoteLine {
  readonly applicationId: string;
  readonly surfaceId: string;
  readonly tag: string;
  readonly filmId: string;
  /** Where the surface is. */
  readonly place: string;
  /** Its size was only said: the price is rough. */
  readonly isAbout: boolean;
  /** Of its blanks, m². */
  readonly area_m2: number;
  /** Film that goes into it, waste counted, m². */
  readonly used_m2: number;
  readonly film: number;
  /** Of all people together, half of the times shorter. */
  readonly minutes: number;
  /** Of these, for taking off what is stuck there now. */
  readonly removal: number;
  /** People-minutes of each step. */
  readonly steps: readonly { readonly step: string; readonly minutes: number }[];
}

/** A guess a quote rests on, to be said beside it. */
export type QuoteGuess =
  | 'sizes that were only said'
  | 'minutes of work'
  | 'waste of film'
  | 'price of film'
  | 'days on site'
  | 'chance of a redo'
  | 'chance of a visit';

/** What still has to be said before there is a price. */
export type QuoteOpen = 'currency' | 'what an hour costs' | 'what a trip costs' | 'the margin wanted';

export interface QuoteHere {
  readonly lines: readonly QuoteLine[];
  /** Surfaces with a film that are not in it, and why. */
  readonly missing: readonly { readonly tag: string; readonly reason: string }[];
  readonly open: readonly QuoteOpen[];
  readonly guesses: readonly QuoteGuess[];
  readonly trips: number;
  /** Undefined: an hour or a trip has no price yet. */
  readonly case: QuoteCase | undefined;
  /** What moves the cost most. */
  readonly decides: 'minutes of work' | 'chance of a redo' | 'chance of a visit' | undefined;
}

/** A time of a step is off by so much, as a log-normal deviation; shared by all of a job. Our guesses. */
export const STEP_DEVIATION = 0.35;
export const SHARED_DEVIATION = 0.15;
/** Panes to do again: 3 in 100, worth twenty panes; to come back for: one in ten. Our guesses. */
const REDO = { came: 0.6, not: 19.4, deviation: 0.3 } as const;
const VISIT = { came: 2, not: 18 } as const;
const SQUARE_MM = 1e6;
const HOUR_MIN = 60;

/** The step by which old film or a sticker comes off. */
const OLD_FILM_OFF = 'remove-old';

const peopleMinutes = (steps: readonly Pick<WorkStep, 'minutes' | 'crew'>[]): number =>
  steps.reduce((sum, { minutes, crew }) => sum + minutes.value * crew, 0);

/** A size that was only said is off by so much, as a deviation of the logarithm of its area. Our guess. */
const ABOUT_DEVIATION = 0.15;

/**
 * The job as it stands, priced: film by the layout with its waste, work by its steps and people, trips. What
 * was only said of a size counts, and says so.
 * @param swaps films that stand in for those of the job
 */
export function quoteHere(
  own: JobView,
  stock: readonly StockLeft[],
  swaps: readonly FilmSwap[] = [],
): QuoteHere {
  const view = pricedView(own, swaps);
  const films = [...new Set(view.applications.map(({ filmId }) => filmId))];
  const priced = films.map((filmId) => filmPriced(view, filmId, stock));
  const lines = view.applications.flatMap((application): readonly QuoteLine[] => {
    const film = priced.find(({ filmId }) => filmId === application.filmId);
    const area_mm2 = film?.areas.get(application.id);
    if (film === undefined || area_mm2 === undefined || !isWayKnown(view, application)) return [];
    const steps = workStepsOf(view, application);
    return [
      {
        ...{ applicationId: application.id, surfaceId: application.surfaceId, filmId: application.filmId },
        ...placedOf(view, application.surfaceId),
        isAbout: isOnlyAbout(own, application.surfaceId),
        area_m2: area_mm2 / SQUARE_MM,
        used_m2: (area_mm2 * film.usedPer) / SQUARE_MM,
        film: area_mm2 * film.perMm2,
        minutes: peopleMinutes(steps),
        removal: peopleMinutes(steps.filter(({ step }) => step === OLD_FILM_OFF)),
        steps: steps.map((step) => ({ step: step.step, minutes: peopleMinutes([step]) })),
      },
    ];
  });
  const priceless = view.applications.filter(({ id }) => !lines.some((line) => line.applicationId === id));
  const { hourCost, tripCost } = view.job ?? {};
  const planned = new Set(view.rows.plannedStep.map(({ startsAt }) => startsAt.slice(0, 10)));
  const trips = Math.max(1, planned.size);
  const priceCase =
    hourCost == null || tripCost == null || lines.length === 0
      ? undefined
      : caseOf(view, lines, { rate: hourCost / HOUR_MIN, trip: tripCost, trips });
  return {
    ...{ lines, trips, case: priceCase },
    decides: priceCase === undefined ? undefined : decidesMost(priceCase),
    missing: priceless.map((application) => ({
      tag: view.surfaceById.get(application.surfaceId)?.tag ?? '?',
      reason: reasonOf(view, application),
    })),
    open: termsOpen(view),
    guesses: [
      ...(lines.some(({ isAbout }) => isAbout) ? (['sizes that were only said'] as const) : []),
      'minutes of work',
      ...(priced.some(({ isWasteGuessed }) => isWasteGuessed) ? (['waste of film'] as const) : []),
      ...(priced.some(({ isPriceGuessed }) => isPriceGuessed) ? (['price of film'] as const) : []),
      ...(planned.size === 0 ? (['days on site'] as const) : []),
      ...(['chance of a redo', 'chance of a visit'] as const),
    ],
  };
}

function placedOf(view: JobView, surfaceId: string): { readonly tag: string; readonly place: string } {
  const surface = view.surfaceById.get(surfaceId);
  return { tag: surface?.tag ?? '', place: view.placeById.get(surface?.placeId ?? '')?.name ?? '' };
}

/** What of the terms of a job is still to be said before it has a price. */
export function termsOpen({ job }: JobView): readonly QuoteOpen[] {
  const { currency, hourCost, tripCost, margin_percent } = job ?? {};
  const all: readonly (readonly [unknown, QuoteOpen])[] = [
    [currency, 'currency'],
    [hourCost, 'what an hour costs'],
    [tripCost, 'what a trip costs'],
    [margin_percent, 'the margin wanted'],
  ];
  return all.filter(([said]) => said == null).map(([, what]) => what);
}

/** One film with what a square millimetre of its blanks costs, waste counted. */
function filmPriced(view: JobView, filmId: string, stock: readonly StockLeft[]) {
  const { blanks } = blanksOfFilm(view, filmId);
  const areas = new Map<string, number>();
  for (const { application, blank } of blanks)
    areas.set(application.id, (areas.get(application.id) ?? 0) + blank.across_mm * blank.along_mm);
  const all_mm2 = [...areas.values()].reduce((sum, area) => sum + area, 0);
  const items = stockOfFilm(stock, filmId);
  const square = pricePerSquare(view, items);
  const plan = planOfFilm(view, filmId);
  const rolls = plan === undefined ? [] : view.cutRolls.filter(({ planId }) => planId === plan.id);
  const laid = new Set(
    rolls.flatMap(({ id }) =>
      view
        .piecesOf(plan?.id ?? '')
        .filter(({ rollId }) => rollId === id)
        .map(({ applicationId }) => applicationId),
    ),
  );
  const isWhole = rolls.length > 0 && [...areas.keys()].every((id) => laid.has(id));
  const { stocks } = filmOrder(view, filmId, cutSettingsOf(plan), stock);
  const used = rolls.reduce((sum, roll) => {
    const worth = filmWorth(stocks, roll, roll.used_nm);
    return (
      sum +
      (worth > 0 ? worth : (square.value * mmFromNm(roll.width_nm) * mmFromNm(roll.used_nm)) / SQUARE_MM)
    );
  }, 0);
  const laid_mm2 = rolls.reduce((sum, roll) => sum + mmFromNm(roll.width_nm) * mmFromNm(roll.used_nm), 0);
  return {
    ...{ filmId, areas, isPriceGuessed: square.isGuessed, isWasteGuessed: !isWhole },
    usedPer: isWhole && all_mm2 > 0 ? laid_mm2 / all_mm2 : 1 + view.learned('quote-waste'),
    perMm2:
      isWhole && all_mm2 > 0
        ? used / all_mm2
        : (square.value * (1 + view.learned('quote-waste'))) / SQUARE_MM,
  };
}

function caseOf(
  view: JobView,
  lines: readonly QuoteLine[],
  { rate, trip, trips }: { readonly rate: number; readonly trip: number; readonly trips: number },
): QuoteCase {
  const filmOf = (some: readonly QuoteLine[]): number => some.reduce((sum, line) => sum + line.film, 0);
  const film = filmOf(lines);
  const said = lines.filter(({ isAbout }) => isAbout);
  const work = lines.map(({ minutes, isAbout }) => ({
    median_min: minutes,
    deviation: isAbout ? Math.hypot(STEP_DEVIATION, ABOUT_DEVIATION) : STEP_DEVIATION,
  }));
  const each = (film + rate * minutesOf({ work, shared: SHARED_DEVIATION }).mean) / lines.length;
  const wet = lines.filter(({ applicationId, filmId }) => {
    const application = view.applicationById.get(applicationId);
    return application !== undefined && isLaidWet(application.method, view.filmById.get(filmId)?.family);
  });
  const redo: QuotedChance = { pieces: lines.length, ...REDO, mean: each, once: trip };
  const visit: QuotedChance = { pieces: wet.length, ...VISIT, mean: 0, deviation: 0, once: trip };
  return {
    ...{ fixed: film - filmOf(said) + trips * trip, rate, work, shared: SHARED_DEVIATION },
    chances: [redo, ...(wet.length === 0 ? [] : [visit])],
    ...(said.length === 0 ? {} : { loose: { median: filmOf(said), deviation: ABOUT_DEVIATION } }),
  };
}

/** Whose spread is the largest: what to measure or time first. */
function decidesMost(own: QuoteCase): NonNullable<QuoteHere['decides']> {
  const [redo, visit] = own.chances.map(({ pieces, came, not, mean, once }) => {
    const share = came / (came + not);
    const any = 1 - (1 - share) ** pieces;
    return Math.sqrt(pieces * share * (1 - share)) * mean + Math.sqrt(any * (1 - any)) * once;
  });
  const spreads = [
    ['minutes of work', own.rate * Math.sqrt(minutesOf(own).variance)],
    ['chance of a redo', redo ?? 0],
    ['chance of a visit', visit ?? 0],
  ] as const;
  return spreads.reduce((most, one) => (one[1] > most[1] ? one : most))[0];
}

function reasonOf(view: JobView, application: RowOf<'application'>): string {
  const { missing } = blanksOfFilm(view, application.filmId);
  const known = missing.find((own) => own.application.id === application.id);
  if (known !== undefined) return known.reason;
  return isWayKnown(view, application)
    ? checkOf(view, application.surfaceId).state
    : 'not known how this is done';
}
