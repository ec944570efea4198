import { Body, Equator, Horizon, Observer } from 'astronomy-engine';

export interface PlaceOnEarth {
  readonly latitude_deg: number;
  readonly longitude_deg: number;
  readonly altitude_m: number;
}

export interface SunPosition {
  /** From north, clockwise. */
  readonly azimuth_deg: number;
  /** Of the centre of the disc over the true horizon, not lifted by the air. */
  readonly altitude_deg: number;
}

/** Half of what the disc spans. */
export const DISC_RADIUS_DEG = 0.27;

/**
 * Where the sun stands.
 * @param instant_ms UTC, milliseconds since 1970
 * @param place latitude -90..90, longitude -180..180 (east positive)
 * @source astronomy-engine (VSOP87, apparent place of date, topocentric)
 */
export function sunPosition(
  instant_ms: number,
  { latitude_deg, longitude_deg, altitude_m }: PlaceOnEarth,
): SunPosition {
  const observer = new Observer(latitude_deg, longitude_deg, altitude_m);
  const instant = new Date(instant_ms);
  const { ra, dec } = Equator(Body.Sun, instant, observer, true, true);
  const { azimuth, altitude } = Horizon(instant, observer, ra, dec);
  return { azimuth_deg: azimuth, altitude_deg: altitude };
}

/** How much higher the sun looks than it stands.
 *  @source Bennett's formula in the form of the SPA report (NREL/TP-560-34302), from memory */
export function refraction_deg(altitude_deg: number, pressure_hPa = 1010, air_C = 10): number {
  if (altitude_deg < -1) return 0;
  return (
    (pressure_hPa / 1010) *
    (283 / (273 + air_C)) *
    (1.02 / (60 * Math.tan(((altitude_deg + 10.3 / (altitude_deg + 5.11)) * Math.PI) / 180)))
  );
}

/** Cosine of the angle between the sun and the normal of a surface; at most 0: the sun is behind it.
 *  @param tilt_deg 90 = upright, 0 = facing up @param bearing_deg of the outward normal */
export function cosIncidence(
  { azimuth_deg, altitude_deg }: SunPosition,
  bearing_deg: number,
  tilt_deg: number,
): number {
  const [a, tilt, turn] = [rad(altitude_deg), rad(tilt_deg), rad(azimuth_deg - bearing_deg)];
  return Math.sin(a) * Math.cos(tilt) + Math.cos(a) * Math.sin(tilt) * Math.cos(turn);
}

function rad(deg: number): number {
  return (deg * Math.PI) / 180;
}
