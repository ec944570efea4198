import { type SunCache, newSunBook } from '../../choosing';
import type { WeatherHour } from '../../climate';
import { type Readiness, type ReadinessLimits, caseOfRows, readiness } from '../../day';
import type { Air } from '../../waiting';
import type { ReadyAnswer, ReadyAsk } from './readiness';

/** Skies kept at once: the days of the plan and the one looked at, before and after a forecast. */
const MOST_SKIES = 4;

/** What was found for some days under one forecast and one set of limits, by what is asked of a surface. */
type FoundUnderSky = Map<string, Readiness>;

/**
 * Keeps what was found out, so that a change to one surface calculates that surface alone. The longest unused
 * of the skies it was found under is forgotten.
 */
interface ReadyBook {
  readonly sun: SunCache;
  /** By days, forecast and limits; the one used last stands last. */
  readonly found: Map<string, FoundUnderSky>;
}

export function newReadyBook(): ReadyBook {
  return { sun: newSunBook(), found: new Map() };
}

/** When each of some surfaces is fit; those alike in everything that matters are calculated once. */
export function readyAnswers(
  asks: readonly ReadyAsk[],
  weather: readonly WeatherHour[],
  from_ms: number,
  to_ms: number,
  indoor: Air,
  limits: ReadinessLimits,
  book = newReadyBook(),
): readonly ReadyAnswer[] {
  const found = foundUnder(book, JSON.stringify([from_ms, to_ms, limits, weather]));
  return asks.map(({ id, rows, side, film }) => {
    const { own, assumed, unknown } = caseOfRows(rows, side, film, indoor, book.sun);
    const key = JSON.stringify(own);
    const kept = found.get(key) ?? readiness(own, weather, from_ms, to_ms, limits);
    found.set(key, kept);
    return { ...kept, id, assumed, unknown };
  });
}

function foundUnder({ found }: ReadyBook, sky: string): FoundUnderSky {
  const own = found.get(sky) ?? new Map<string, Readiness>();
  found.delete(sky);
  found.set(sky, own);
  for (const oldest of [...found.keys()].slice(0, -MOST_SKIES)) found.delete(oldest);
  return own;
}
