import { type SurfaceRows, newSunBook } from '@yellow-pane/core/choosing';
import type { WeatherHour } from '@yellow-pane/core/climate';
import { type Readiness, type ReadinessLimits, caseOfRows, readiness } from '@yellow-pane/core/day';
import type { Film, SeenFrom } from '@yellow-pane/core/job';
import type { Air } from '@yellow-pane/core/waiting';

/** One surface to be asked about. */
export interface ReadyAsk {
  readonly id: string;
  readonly rows: SurfaceRows;
  readonly side: SeenFrom;
  readonly film: Film | undefined;
}

export interface ReadyAnswer extends Readiness {
  readonly id: string;
  readonly assumed: readonly string[];
  readonly unknown: readonly string[];
}

/** When each of some surfaces is fit; those alike in everything that matters are reckoned once. */
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
