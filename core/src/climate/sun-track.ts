import { floatAt } from '../quantity';
import { Body, Equator, Observer, SiderealTime } from 'astronomy-engine';
import { type PlaceOnEarth, type SunPosition, refraction_deg } from './sun-position';

/**
 * From one place of the sun calculated in full to the next; in between its path is straight to 0.0001°, its
 * parallax included.
 */
const FULL_EVERY_MS = 7_200_000;
const TURN_DEG = 30;
const RAD = Math.PI / 180;

/**
 * Where suns stand: as angles, and as ways to them of length one. Of the disc's centre, as geometry has it or
 * as it is seen through the air.
 */
export interface SunRow {
  readonly altitude_deg: Float64Array;
  readonly azimuth_deg: Float64Array;
  readonly east: Float64Array;
  readonly north: Float64Array;
  readonly up: Float64Array;
}

/**
 * The sun over one place for a time: calculated every two hours, in between by its steady motion. Shared by
 * every surface there.
 */
export interface SunTrack {
  readonly from_ms: number;
  readonly to_ms: number;
  /** Every ten minutes. */
  readonly centre: SunRow;
  readonly seen: SunRow;
  /** The nine minutes before an entry, from place 9 × entry on; calculated when first asked for. */
  readonly minutesBefore: (entry: number, isSeen: boolean) => SunRow;
  /** Of each entry, whether it or a neighbour is not deep in the night. */
  readonly isDay: Uint8Array;
  readonly at: (instant_ms: number) => SunPosition;
  /** The way to the sun's centre, east, north, up, into a row of three. */
  readonly towards: (instant_ms: number, into: Float64Array) => void;
}

/** Between two entries of a track. */
export const TRACK_STEP_MS = 600_000;

/** Towards the sun: east, north and up, as a unit vector, from places taken every two hours. */
function sunTowards(place: PlaceOnEarth, from_ms: number, to_ms: number): SunTrack['towards'] {
  const observer = new Observer(place.latitude_deg, place.longitude_deg, place.altitude_m);
  const entries = Math.max(1, Math.ceil((to_ms - from_ms) / FULL_EVERY_MS)) + 2;
  const [turn, dec] = [new Float64Array(entries), new Float64Array(entries)];
  for (let entry = 0; entry < entries; entry += 1) {
    const instant = new Date(from_ms + entry * FULL_EVERY_MS);
    const sun = Equator(Body.Sun, instant, observer, true, true);
    const own = SiderealTime(instant) * 15 + place.longitude_deg - sun.ra * 15;
    const last = turn[entry - 1];
    turn[entry] = last === undefined ? own : own + 360 * Math.round((last + TURN_DEG - own) / 360);
    dec[entry] = sun.dec;
  }
  const [sinLat, cosLat] = [Math.sin(place.latitude_deg * RAD), Math.cos(place.latitude_deg * RAD)];
  return (instant_ms, into) => {
    const exact = (instant_ms - from_ms) / FULL_EVERY_MS;
    const entry = Math.min(entries - 2, Math.max(0, Math.floor(exact)));
    const share = exact - entry;
    const hourAngle = (floatAt(turn, entry) * (1 - share) + floatAt(turn, entry + 1) * share) * RAD;
    const declination = (floatAt(dec, entry) * (1 - share) + floatAt(dec, entry + 1) * share) * RAD;
    const [sinDec, cosDec, cosTurn] = [Math.sin(declination), Math.cos(declination), Math.cos(hourAngle)];
    into[0] = -cosDec * Math.sin(hourAngle);
    into[1] = sinDec * cosLat - cosDec * sinLat * cosTurn;
    into[2] = sinDec * sinLat + cosDec * cosLat * cosTurn;
  };
}

/**
 * Follows the sun through a time.
 * @param from_ms, to_ms UTC, milliseconds since 1970
 * @source astronomy-engine every two hours, apparent place and sidereal time in between linear: within
 * 0.0002° of it
 */
export function sunTrack(place: PlaceOnEarth, from_ms: number, to_ms: number): SunTrack {
  const start = from_ms;
  const towards = sunTowards(place, from_ms, to_ms);
  const own = new Float64Array(3);
  const steps = Math.max(1, Math.ceil((to_ms - start) / TRACK_STEP_MS)) + 1;
  const [centre, seen, isDay] = [emptyRow(steps), emptyRow(steps), new Uint8Array(steps)];
  const enterBoth = (index: number, instant_ms: number, intoCentre: SunRow, intoSeen: SunRow): number => {
    towards(instant_ms, own);
    const [x = 0, y = 0, z = 0] = own;
    const altitude = Math.asin(Math.max(-1, Math.min(1, z))) / RAD;
    enter(intoCentre, index, x, y, z, altitude);
    const lifted = altitude + refraction_deg(altitude);
    const squeeze = Math.cos(lifted * RAD) / Math.max(1e-12, Math.sqrt(x * x + y * y));
    enter(intoSeen, index, x * squeeze, y * squeeze, Math.sin(lifted * RAD), lifted);
    return altitude;
  };
  for (let step = 0; step < steps; step += 1) {
    if (enterBoth(step, start + step * TRACK_STEP_MS, centre, seen) > NIGHT_DEG)
      for (let near = Math.max(0, step - 1); near <= Math.min(steps - 1, step + 1); near += 1)
        isDay[near] = 1;
  }
  const isFilled = new Uint8Array(steps);
  let between: readonly [SunRow, SunRow] | undefined;
  const minutesBefore = (entry: number, isSeen: boolean): SunRow => {
    between ??= [emptyRow(9 * steps), emptyRow(9 * steps)];
    if (isFilled[entry] === 0) {
      isFilled[entry] = 1;
      for (let minute = 0; minute < 9; minute += 1)
        enterBoth(
          9 * entry + minute,
          start + (entry - 1) * TRACK_STEP_MS + (minute + 1) * (TRACK_STEP_MS / 10),
          ...between,
        );
    }
    return between[isSeen ? 1 : 0];
  };
  const at = (instant_ms: number): SunPosition => {
    towards(instant_ms, own);
    const [x = 0, y = 0, z = 0] = own;
    return {
      azimuth_deg: (Math.atan2(x, y) / RAD + 360) % 360,
      altitude_deg: Math.asin(Math.max(-1, Math.min(1, z))) / RAD,
    };
  };
  return { from_ms: start, to_ms, centre, seen, minutesBefore, isDay, at, towards };
}

const NIGHT_DEG = -2;

function emptyRow(steps: number): SunRow {
  return {
    altitude_deg: new Float64Array(steps),
    azimuth_deg: new Float64Array(steps),
    east: new Float64Array(steps),
    north: new Float64Array(steps),
    up: new Float64Array(steps),
  };
}

function enter(row: SunRow, step: number, x: number, y: number, z: number, altitude: number): void {
  row.east[step] = x;
  row.north[step] = y;
  row.up[step] = z;
  row.altitude_deg[step] = altitude;
  row.azimuth_deg[step] = (Math.atan2(x, y) / RAD + 360) % 360;
}
