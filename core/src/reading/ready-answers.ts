import { newSunBook } from '../choosing';
import type { WeatherHour } from '../climate';
import { type Readiness, type ReadinessLimits, caseOfRows, readiness } from '../day';
import type { Air } from '../waiting';
import type { ReadyAnswer, ReadyAsk } from './readiness';

/** When each of some surfaces is fit; those alike in everything that matters are asked once. */
export function readyAnswers(
  asks: readonly ReadyAsk[],
  weather: readonly WeatherHour[],
  from_ms: number,
  to_ms: number,
  indoor: Air,
  limits: ReadinessLimits,
  book = newSunBook(),
): readonly ReadyAnswer[] {
  const kept = new Map<string, Readiness>();
  return asks.map(({ id, rows, side, film }) => {
    const { own, assumed, unknown } = caseOfRows(rows, side, film, indoor, book);
    const key = JSON.stringify(own);
    const found = kept.get(key) ?? readiness(own, weather, from_ms, to_ms, limits);
    kept.set(key, found);
    return { ...found, id, assumed, unknown };
  });
}
