import { type SunPosition, cosIncidence } from './sun-position';

/** How much the air takes from the beam and scatters. */
export interface ClearSkyDepths {
  readonly beam: number;
  readonly diffuse: number;
}

/**
 * Where nothing better is known.
 * @source own judgement within the range of the tables in ASHRAE Fundamentals, climatic design information
 */
export const USUAL_DEPTHS: ClearSkyDepths = { beam: 0.4, diffuse: 2.2 };
const SOLAR_CONSTANT_WM2 = 1367;
const GROUND_REFLECTS = 0.2;
const KASTEN_YOUNG = { a: 0.50572, b: 6.07995, c: 1.6364 };

interface SunOnSurface {
  readonly beam_Wm2: number;
  readonly diffuse_Wm2: number;
  readonly cosIncidence: number;
}

/**
 * Sun on a surface under a clear sky, without anything in its way.
 * @param dayOfYear 1..366
 * @returns W/m² of the surface; zero when the sun is down or behind
 * @source ASHRAE Fundamentals, clear-sky model of 2009 with the exponents of 2009 (from memory); air mass
 * Kasten and Young 1989
 */
export function clearSkyOn(
  sun: SunPosition,
  dayOfYear: number,
  bearing_deg: number,
  tilt_deg: number,
  depths: ClearSkyDepths = USUAL_DEPTHS,
): SunOnSurface {
  const { altitude_deg } = sun;
  if (altitude_deg <= 0) return { beam_Wm2: 0, diffuse_Wm2: 0, cosIncidence: 0 };
  const a = (altitude_deg * Math.PI) / 180;
  const { normal_Wm2, diffuse_Wm2: level } = clearSky(altitude_deg, dayOfYear, depths);
  const c = cosIncidence(sun, bearing_deg, tilt_deg);
  const tilt = (tilt_deg * Math.PI) / 180;
  const upright = level * Math.max(0.45, 0.55 + 0.437 * c + 0.313 * c * c);
  const sky = tilt_deg <= 90 ? upright * Math.sin(tilt) + level * Math.cos(tilt) : upright * Math.sin(tilt);
  const ground = ((normal_Wm2 * Math.sin(a) + level) * GROUND_REFLECTS * (1 - Math.cos(tilt))) / 2;
  return { beam_Wm2: normal_Wm2 * Math.max(0, c), diffuse_Wm2: sky + ground, cosIncidence: Math.max(0, c) };
}

/** Beam square to the sun, and what the sky scatters on level ground. */
export function clearSky(
  altitude_deg: number,
  dayOfYear: number,
  { beam, diffuse }: ClearSkyDepths = USUAL_DEPTHS,
): { readonly normal_Wm2: number; readonly diffuse_Wm2: number } {
  if (altitude_deg <= 0) return { normal_Wm2: 0, diffuse_Wm2: 0 };
  const { a, b, c } = KASTEN_YOUNG;
  const mass = 1 / (Math.sin((altitude_deg * Math.PI) / 180) + a * (altitude_deg + b) ** -c);
  const outside = SOLAR_CONSTANT_WM2 * (1 + 0.033 * Math.cos((2 * Math.PI * (dayOfYear - 3)) / 365));
  const beamPower = 1.454 - 0.406 * beam - 0.268 * diffuse + 0.021 * beam * diffuse;
  const diffusePower = 0.507 + 0.205 * beam - 0.08 * diffuse - 0.19 * beam * diffuse;
  return {
    normal_Wm2: outside * Math.exp(-beam * mass ** beamPower),
    diffuse_Wm2: outside * Math.exp(-diffuse * mass ** diffusePower),
  };
}
