import type { Facing } from './day-of-sun';
import { directSun } from './sun-windows';
import type { SunTrack } from './sun-track';

/** Whether the sun was seen to come onto a surface or to leave it. */
export type SeenEnd = 'comes' | 'goes';

export interface SeenBearing {
  readonly bearing_deg: number;
  /** Minutes by which that end moves for each degree of bearing, by which the bearing is known. */
  readonly minutesPerDegree: number;
}

/** Farther from what was entered it is another mistake than a rough compass. */
export const MOST_TURN_DEG = 25;
const COARSE_DEG = 1;
const FINE_DEG = 0.02;
const MINUTE_MS = 60_000;
/** An end that moves less than this for a degree is made by the skyline or an edge, not by the bearing. */
const LEAST_MINUTES_PER_DEGREE = 0.5;

/**
 * The bearing a surface must have for the sun to come or go at the moment seen: 'the sun has just left' as a
 * compass. Looks outwards from the bearing entered, then halves.
 * @param instant_ms UTC, within the track
 * @returns null when no bearing within 25° does, or when that end does not depend on the bearing (skyline,
 * sunrise, sunset)
 * @throws CoreError CLIMATE_FACING
 */
export function bearingFromEnd(
  track: SunTrack,
  facing: Facing,
  end: SeenEnd,
  instant_ms: number,
): SeenBearing | null {
  const at = (bearing_deg: number): number | undefined => {
    const spans = directSun(track, { ...facing, bearing_deg: (bearing_deg + 360) % 360 }, 'seen');
    const ends = spans.map(({ from_ms, to_ms }) => (end === 'comes' ? from_ms : to_ms));
    const [first] = ends;
    return first === undefined
      ? undefined
      : ends.reduce(
          (best, own) => (Math.abs(own - instant_ms) < Math.abs(best - instant_ms) ? own : best),
          first,
        ) - instant_ms;
  };
  const own = facing.bearing_deg;
  for (let away = 0; away < MOST_TURN_DEG; away += COARSE_DEG) {
    for (const side of [1, -1] as const) {
      const [near, far] = [own + side * away, own + side * (away + COARSE_DEG)];
      const [atNear, atFar] = [at(near), at(far)];
      if (atNear === undefined || atFar === undefined || atNear * atFar > 0) continue;
      const slope = Math.abs(atFar - atNear) / MINUTE_MS / COARSE_DEG;
      if (slope < LEAST_MINUTES_PER_DEGREE) continue;
      return { bearing_deg: (halve(at, near, far, atNear) + 360) % 360, minutesPerDegree: slope };
    }
  }
  return null;
}

function halve(
  at: (bearing_deg: number) => number | undefined,
  from: number,
  to: number,
  atFrom: number,
): number {
  let [low, high] = [from, to];
  while (Math.abs(high - low) > FINE_DEG) {
    const middle = (low + high) / 2;
    const value = at(middle);
    if (value !== undefined && value * atFrom > 0) low = middle;
    else high = middle;
  }
  return Math.round(((low + high) / 2) * 100) / 100;
}
