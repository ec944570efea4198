import type { TimeSpan } from '../../climate';
import type { ReadyAnswer } from './readiness';

type Known = Pick<ReadyAnswer, 'fit' | 'closed'>;

/**
 * Hours of a surface that only the want of a forecast closes: by sun and season nothing speaks against them.
 */
export function hoursWithoutForecast({ closed }: Pick<Known, 'closed'>): readonly TimeSpan[] {
  return closed.filter(({ by }) => by === 'weather unknown');
}

/**
 * Hours a surface may be planned in: those it is fit in, and those of which no temperature is known yet, put
 * together.
 */
export function hoursOpen(own: Known): readonly TimeSpan[] {
  const spans = [...own.fit, ...hoursWithoutForecast(own)].sort((a, b) => a.from_ms - b.from_ms);
  const joined: { from_ms: number; to_ms: number }[] = [];
  for (const { from_ms, to_ms } of spans) {
    const last = joined.at(-1);
    if (last !== undefined && from_ms <= last.to_ms) last.to_ms = Math.max(last.to_ms, to_ms);
    else joined.push({ from_ms, to_ms });
  }
  return joined;
}

/** Whether some of a stretch lies in hours without a forecast. */
export function isBeyondForecast(own: Pick<Known, 'closed'>, from_ms: number, to_ms: number): boolean {
  return hoursWithoutForecast(own).some((span) => span.from_ms < to_ms && span.to_ms > from_ms);
}
