import type { ReadyAnswer } from './readiness';

/** The sun and a surface at a moment; undefined: none comes any more, as far as is calculated. */
type SunNow =
  | { readonly case: 'on it'; readonly from_ms: number; readonly until_ms: number }
  | { readonly case: 'comes'; readonly at_ms: number };

/**
 * Whether the sun is on a surface, by geometry and the forecast of clouds, and if not when it comes next.
 */
export function sunNow(
  { sun, closed }: Pick<ReadyAnswer, 'sun' | 'closed'>,
  now_ms: number,
): SunNow | undefined {
  const spans = sun.filter((span) =>
    closed.some(({ by, from_ms, to_ms }) => by === 'sun' && from_ms < span.to_ms && to_ms > span.from_ms),
  );
  const at = spans.find(({ from_ms, to_ms }) => from_ms <= now_ms && now_ms < to_ms);
  if (at !== undefined) return { case: 'on it', from_ms: at.from_ms, until_ms: at.to_ms };
  const next = spans.find(({ from_ms }) => from_ms > now_ms);
  return next === undefined ? undefined : { case: 'comes', at_ms: next.from_ms };
}
