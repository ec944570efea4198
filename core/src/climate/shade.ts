import { valueAt } from '../quantity';
import type { SunPosition } from './sun-position';

/** What stands over and beside a surface. Lengths in mm; 0 = nothing there. */
export interface Shading {
  readonly width_mm: number;
  readonly height_mm: number;
  readonly overhangDepth_mm: number;
  /** From the upper edge of the surface up to the overhang. */
  readonly overhangAbove_mm: number;
  /** How deep the surface lies behind the wall's face: shades head and both sides. */
  readonly revealDepth_mm: number;
  /** What stands out beside it, left and right as seen from outside. */
  readonly leftFin?: Fin | undefined;
  readonly rightFin?: Fin | undefined;
}

export interface Fin {
  readonly depth_mm: number;
  /** From the edge of the surface to the fin. */
  readonly beside_mm: number;
}

export interface Shadow {
  /** Share of the height in shade from the top down, 0..1. */
  readonly head: number;
  /** Share of the width in shade from the side the sun comes from, 0..1. */
  readonly side: number;
  readonly lit: number;
}

const NO_SHADOW: Shadow = { head: 0, side: 0, lit: 1 };

/**
 * What lies in shade while the sun stands in front of an upright surface: overhang without end, reveal at
 * head and sides, fins.
 * @source plane geometry: shadow of depth P is P·tan a / cos HSA high and P·|tan HSA| wide
 */
export function shadowOn(
  { azimuth_deg, altitude_deg }: SunPosition,
  bearing_deg: number,
  shading: Shading,
): Shadow {
  const hsa = ((azimuth_deg - bearing_deg) * Math.PI) / 180;
  const out = Math.cos(hsa);
  if (out <= 1e-9 || altitude_deg <= 0) return NO_SHADOW;
  const [rise, aside] = [Math.tan((altitude_deg * Math.PI) / 180) / out, Math.sin(hsa) / out];
  const [head, side] = [headOf(shading, rise), sideOf(shading, aside)];
  return { head, side, lit: (1 - head) * (1 - side) };
}

/**
 * Share of a surface that is lit.
 * @param rise how far the sun climbs over each metre outwards
 * @param aside how far it goes aside over each metre outwards, clockwise positive
 */
export function litOf(shading: Shading, rise: number, aside: number): number {
  return (1 - headOf(shading, rise)) * (1 - sideOf(shading, aside));
}

/**
 * The share that is lit, times how far the sun stands before the surface; under 0 the farther it lies in
 * shade. Nearly straight in the way to the sun, so that the moment of the last light is found quickly.
 * @param up, aside, out parts of the way to the sun: upwards, clockwise along the surface, out of it (over 0)
 */
export function litTimesOut(
  { width_mm, height_mm, overhangDepth_mm, overhangAbove_mm, revealDepth_mm, leftFin, rightFin }: Shading,
  up: number,
  aside: number,
  out: number,
): number {
  const fin = aside > 0 ? leftFin : rightFin;
  const along = Math.abs(aside);
  const head =
    out - Math.max(overhangDepth_mm * up - overhangAbove_mm * out, revealDepth_mm * up, 0) / height_mm;
  const side =
    out -
    Math.max(revealDepth_mm * along, fin === undefined ? 0 : fin.depth_mm * along - fin.beside_mm * out) /
      width_mm;
  return head > 0 && side > 0 ? (head * side) / out : Math.min(head, side);
}

/**
 * Whether some of a surface may be lit while the sun goes from one place to the next, though its edges shade
 * all of it at both: no edge does so at both. What each edge alone leaves is straight in the way to the sun,
 * so it does not come and go in between. Parts of both ways as in `litTimesOut`.
 */
export function mayBeLitBetween(
  { width_mm, height_mm, overhangDepth_mm, overhangAbove_mm, revealDepth_mm, leftFin, rightFin }: Shading,
  up: number,
  aside: number,
  out: number,
  upTo: number,
  asideTo: number,
  outTo: number,
): boolean {
  const [tall, wide, tallTo, wideTo] = [out * height_mm, out * width_mm, outTo * height_mm, outTo * width_mm];
  if (tall <= revealDepth_mm * up && tallTo <= revealDepth_mm * upTo) return false;
  if (
    tall + overhangAbove_mm * out <= overhangDepth_mm * up &&
    tallTo + overhangAbove_mm * outTo <= overhangDepth_mm * upTo
  )
    return false;
  if (wide <= revealDepth_mm * aside && wideTo <= revealDepth_mm * asideTo) return false;
  if (wide <= -revealDepth_mm * aside && wideTo <= -revealDepth_mm * asideTo) return false;
  if (
    leftFin !== undefined &&
    wide + leftFin.beside_mm * out <= leftFin.depth_mm * aside &&
    wideTo + leftFin.beside_mm * outTo <= leftFin.depth_mm * asideTo
  )
    return false;
  return (
    rightFin === undefined ||
    wide + rightFin.beside_mm * out > -rightFin.depth_mm * aside ||
    wideTo + rightFin.beside_mm * outTo > -rightFin.depth_mm * asideTo
  );
}

function headOf(
  { height_mm, overhangDepth_mm, overhangAbove_mm, revealDepth_mm }: Shading,
  rise: number,
): number {
  return Math.min(
    1,
    Math.max(overhangDepth_mm * rise - overhangAbove_mm, revealDepth_mm * rise, 0) / height_mm,
  );
}

function sideOf({ width_mm, revealDepth_mm, leftFin, rightFin }: Shading, aside: number): number {
  const fin = aside > 0 ? leftFin : rightFin;
  const slant = Math.abs(aside);
  return Math.min(
    1,
    Math.max(revealDepth_mm * slant, fin === undefined ? 0 : fin.depth_mm * slant - fin.beside_mm) / width_mm,
  );
}

interface SkylinePoint {
  readonly bearing_deg: number;
  readonly elevation_deg: number;
}

/** A skyline put in order once, to be asked often. */
export interface Skyline {
  readonly at: (azimuth_deg: number) => number;
  /** Number of the straight part over a bearing. */
  readonly partAt: (azimuth_deg: number) => number;
  /** Degrees up or down a degree aside, at its steepest. */
  readonly steepest: number;
}

/**
 * Elevation of a skyline by bearing: straight between its points, closed round the compass; 0 for an empty
 * one.
 */
export function skylineOf(skyline: readonly SkylinePoint[]): Skyline {
  const points = [...skyline].sort((a, b) => a.bearing_deg - b.bearing_deg);
  const count = points.length;
  const spans = points.map((point, index) => {
    const next = points[(index + 1) % count] ?? point;
    const span = (next.bearing_deg - point.bearing_deg + 360) % 360;
    return { point, span, slope: span === 0 ? 0 : (next.elevation_deg - point.elevation_deg) / span };
  });
  const bearings = points.map(({ bearing_deg }) => bearing_deg);
  const partAt = (azimuth_deg: number): number => {
    let part = count - 1;
    for (let index = 0; index < count && valueAt(bearings, index) <= azimuth_deg; index += 1) part = index;
    return part;
  };
  return {
    steepest: Math.max(0, ...spans.map(({ slope }) => Math.abs(slope))),
    partAt,
    at: (azimuth_deg) => {
      const own = spans[partAt(azimuth_deg)];
      return own === undefined
        ? 0
        : own.point.elevation_deg + own.slope * ((azimuth_deg - own.point.bearing_deg + 360) % 360);
    },
  };
}

/** Elevation of a skyline at one bearing, as `skylineOf`. */
export function skylineAt(skyline: readonly SkylinePoint[], azimuth_deg: number): number {
  return skylineOf(skyline).at(azimuth_deg);
}
