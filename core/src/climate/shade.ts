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
}

export interface Shadow {
  /** Share of the height in shade from the top down, 0..1. */
  readonly head: number;
  /** Share of the width in shade from the side the sun comes from, 0..1. */
  readonly side: number;
  readonly lit: number;
}

const NO_SHADOW: Shadow = { head: 0, side: 0, lit: 1 };

/** What lies in shade while the sun stands in front of an upright surface: overhang without end, reveal at head and sides.
 *  @source plane geometry: shadow of depth P is P·tan a / cos HSA high and P·|tan HSA| wide */
export function shadowOn({ azimuth_deg, altitude_deg }: SunPosition, bearing_deg: number, shading: Shading): Shadow {
  const { width_mm, height_mm, overhangDepth_mm, overhangAbove_mm, revealDepth_mm } = shading;
  const hsa = ((azimuth_deg - bearing_deg) * Math.PI) / 180;
  if (Math.cos(hsa) <= 1e-9 || altitude_deg <= 0) return NO_SHADOW;
  const rise = Math.tan((altitude_deg * Math.PI) / 180) / Math.cos(hsa);
  const down_mm = Math.max(overhangDepth_mm * rise - overhangAbove_mm, revealDepth_mm * rise, 0);
  const across_mm = revealDepth_mm * Math.abs(Math.tan(hsa));
  const head = Math.min(1, down_mm / height_mm);
  const side = Math.min(1, across_mm / width_mm);
  return { head, side, lit: (1 - head) * (1 - side) };
}

interface SkylinePoint {
  readonly bearing_deg: number;
  readonly elevation_deg: number;
}

/** Elevation of a skyline at a bearing: straight between its points, closed round the compass.
 *  @returns 0 for an empty skyline */
export function skylineAt(skyline: readonly SkylinePoint[], azimuth_deg: number): number {
  if (skyline.length === 0) return 0;
  const points = [...skyline].sort((a, b) => a.bearing_deg - b.bearing_deg);
  const after = points.findIndex(({ bearing_deg }) => bearing_deg > azimuth_deg);
  const next = points[after < 0 ? 0 : after];
  const last = points[after < 0 ? points.length - 1 : (after - 1 + points.length) % points.length];
  if (next === undefined || last === undefined) return 0;
  const span = (next.bearing_deg - last.bearing_deg + 360) % 360;
  const along = (azimuth_deg - last.bearing_deg + 360) % 360;
  return span === 0 ? last.elevation_deg : last.elevation_deg + ((next.elevation_deg - last.elevation_deg) * along) / span;
}
