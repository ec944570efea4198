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

/** What lies in shade while the sun stands in front of an upright surface: overhang without end, reveal at head and sides, fins.
 *  @source plane geometry: shadow of depth P is P·tan a / cos HSA high and P·|tan HSA| wide */
export function shadowOn({ azimuth_deg, altitude_deg }: SunPosition, bearing_deg: number, shading: Shading): Shadow {
  const hsa = ((azimuth_deg - bearing_deg) * Math.PI) / 180;
  const out = Math.cos(hsa);
  if (out <= 1e-9 || altitude_deg <= 0) return NO_SHADOW;
  const [rise, aside] = [Math.tan((altitude_deg * Math.PI) / 180) / out, Math.sin(hsa) / out];
  const [head, side] = [headOf(shading, rise), sideOf(shading, aside)];
  return { head, side, lit: (1 - head) * (1 - side) };
}

/** Share of a surface that is lit. @param rise how far the sun climbs over each metre outwards @param aside how far it goes aside over each metre outwards, clockwise positive */
export function litOf(shading: Shading, rise: number, aside: number): number {
  return (1 - headOf(shading, rise)) * (1 - sideOf(shading, aside));
}

function headOf({ height_mm, overhangDepth_mm, overhangAbove_mm, revealDepth_mm }: Shading, rise: number): number {
  return Math.min(1, Math.max(overhangDepth_mm * rise - overhangAbove_mm, revealDepth_mm * rise, 0) / height_mm);
}

function sideOf({ width_mm, revealDepth_mm, leftFin, rightFin }: Shading, aside: number): number {
  const fin = aside > 0 ? leftFin : rightFin;
  const slant = Math.abs(aside);
  return Math.min(1, Math.max(revealDepth_mm * slant, fin === undefined ? 0 : fin.depth_mm * slant - fin.beside_mm) / width_mm);
}

interface SkylinePoint {
  readonly bearing_deg: number;
  readonly elevation_deg: number;
}

/** A skyline put in order once, to be asked often. */
export interface Skyline {
  readonly at: (azimuth_deg: number) => number;
  /** Degrees up or down a degree aside, at its steepest. */
  readonly steepest: number;
}

/** Elevation of a skyline by bearing: straight between its points, closed round the compass; 0 for an empty one. */
export function skylineOf(skyline: readonly SkylinePoint[]): Skyline {
  const points = [...skyline].sort((a, b) => a.bearing_deg - b.bearing_deg);
  const count = points.length;
  const spans = points.map((point, index) => { const next = points[(index + 1) % count] ?? point; const span = (next.bearing_deg - point.bearing_deg + 360) % 360; return { point, span, slope: span === 0 ? 0 : (next.elevation_deg - point.elevation_deg) / span }; });
  return {
    steepest: Math.max(0, ...spans.map(({ slope }) => Math.abs(slope))),
    at: (azimuth_deg) => {
      if (count === 0) return 0;
      let low = count - 1;
      for (let index = 0; index < count; index += 1) if ((points[index]?.bearing_deg ?? 0) <= azimuth_deg) low = index; else break;
      if ((points[0]?.bearing_deg ?? 0) > azimuth_deg) low = count - 1;
      const own = spans[low];
      return own === undefined ? 0 : own.point.elevation_deg + own.slope * ((azimuth_deg - own.point.bearing_deg + 360) % 360);
    },
  };
}

/** Elevation of a skyline at one bearing, as `skylineOf`. */
export function skylineAt(skyline: readonly SkylinePoint[], azimuth_deg: number): number {
  return skylineOf(skyline).at(azimuth_deg);
}
