import type { OpenTime } from '../waiting';

const MINUTE_MS = 60_000;

/** How slip on a surface stands. */
export interface WetClock {
  /** `look`: it may be drying at its edges. */
  readonly state: 'wet' | 'look' | 'dry' | 'stays wet';
  /** Until it may dry, and until it is calculated dry, minutes; 0: past; null: it does not dry. */
  readonly surely_min: number | null;
  readonly left_min: number | null;
}

/**
 * How long what was wetted stays open from now on. A clock set back counts as no time passed.
 * @param wetted_ms when it was wetted last
 */
export function wetClock(
  { least_min, likely_min }: Pick<OpenTime, 'least_min' | 'likely_min'>,
  wetted_ms: number,
  now_ms: number,
): WetClock {
  if (least_min === null || likely_min === null)
    return { state: 'stays wet', surely_min: null, left_min: null };
  const passed = Math.max(0, now_ms - wetted_ms) / MINUTE_MS;
  const left_min = Math.max(0, likely_min.value - passed);
  const surely_min = Math.max(0, least_min - passed);
  return { state: surely_min > 0 ? 'wet' : left_min > 0 ? 'look' : 'dry', surely_min, left_min };
}
