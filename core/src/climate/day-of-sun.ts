import { type ClearSkyDepths, USUAL_DEPTHS, clearSkyOn } from './clear-sky';
import { type Shading, type Shadow, shadowOn, skylineAt } from './shade';
import { type PlaceOnEarth, type SunPosition, sunPosition } from './sun-position';

/** The sun through a day, once a place: shared by every surface there. */
export interface SunPath {
  readonly dayOfYear: number;
  readonly at: readonly { readonly instant_ms: number; readonly sun: SunPosition }[];
}

export interface Facing {
  readonly bearing_deg: number;
  /** 90 = upright. */
  readonly tilt_deg: number;
  readonly skyline: readonly { readonly bearing_deg: number; readonly elevation_deg: number }[];
  readonly shading: Shading | null;
}

export interface SunMoment {
  readonly instant_ms: number;
  readonly beam_Wm2: number;
  readonly diffuse_Wm2: number;
  readonly incidence_deg: number;
  readonly shadow: Shadow;
}

const HOUR_MS = 3_600_000;
const ALL_IN_SHADE: Shadow = { head: 1, side: 0, lit: 0 };

/** Sun at equal steps over 24 hours of local solar time, from midnight.
 *  @param year, month, day civil date; month 1..12 @param steps per hour */
export function sunPath(
  place: PlaceOnEarth,
  year: number,
  month: number,
  day: number,
  stepsAnHour = 1,
): SunPath {
  const midnight = Date.UTC(year, month - 1, day) - (place.longitude_deg / 15) * HOUR_MS;
  const dayOfYear = Math.round((Date.UTC(year, month - 1, day) - Date.UTC(year, 0, 1)) / (24 * HOUR_MS)) + 1;
  return {
    dayOfYear,
    at: Array.from({ length: 24 * stepsAnHour }, (_, step) => {
      const instant_ms = midnight + (step / stepsAnHour) * HOUR_MS;
      return { instant_ms, sun: sunPosition(instant_ms, place) };
    }),
  };
}

/**
 * Clear-sky sun on one surface through that day: behind the skyline or under an overhang there is no beam.
 */
export function sunOnSurface(
  { dayOfYear, at }: SunPath,
  { bearing_deg, tilt_deg, skyline, shading }: Facing,
  depths: ClearSkyDepths = USUAL_DEPTHS,
): readonly SunMoment[] {
  return at.map(({ instant_ms, sun }) => {
    const { beam_Wm2, diffuse_Wm2, cosIncidence } = clearSkyOn(sun, dayOfYear, bearing_deg, tilt_deg, depths);
    const isHidden = sun.altitude_deg <= skylineAt(skyline, sun.azimuth_deg);
    const shadow =
      isHidden || beam_Wm2 <= 0
        ? ALL_IN_SHADE
        : shading === null
          ? { head: 0, side: 0, lit: 1 }
          : shadowOn(sun, bearing_deg, shading);
    return {
      instant_ms,
      beam_Wm2: isHidden ? 0 : beam_Wm2,
      diffuse_Wm2,
      incidence_deg: (Math.acos(Math.min(1, cosIncidence)) * 180) / Math.PI,
      shadow,
    };
  });
}
