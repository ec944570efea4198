import { type LayerOptics, bareGlassOf } from './optics';

/** How transmittance and reflectance at an angle follow from those at normal incidence. */
interface AtAngle {
  readonly transmitted: number;
  /** Added to a reflectance R0: R = R0 + rise·(1 − R0). */
  readonly rise: number;
}

/**
 * Sun scattered by sky and ground comes as if from here.
 * @source usual convention (ISO 15099 uses hemispherical integration)
 */
export const DIFFUSE_AS_DEG = 60;
/** Flatter than this nothing is calculated: two perfect mirrors facing each other have no answer. */
const LEAST_COSINE = 0.01;
const CLEAR_ABOVE = 0.645;
const CLEAR = { t: [-0.0015, 3.355, -3.84, 1.46, 0.0288], r: [0.999, -0.563, 2.043, -2.532, 1.054] } as const;
const BRONZE = {
  t: [-0.002, 2.813, -2.341, -0.05725, 0.599],
  r: [0.997, -1.868, 6.513, -7.862, 3.225],
} as const;

/**
 * Reference curves for coated or filmed panes.
 * @param solarTransmitted at normal incidence: decides which curve
 * @param cosine 0..1 of the angle of incidence
 * @source Finlayson, Arasteh et al., as in the public reference of a building simulation engine (from memory)
 */
function coatedAtAngle(solarTransmitted: number, cosine: number): AtAngle {
  const { t, r } = solarTransmitted > CLEAR_ABOVE ? CLEAR : BRONZE;
  const power = ([a, b, c, d, e]: readonly [number, number, number, number, number]): number =>
    a + cosine * (b + cosine * (c + cosine * (d + cosine * e)));
  const transmitted = Math.min(1, Math.max(0, power(t)));
  return { transmitted, rise: Math.min(1 - transmitted, Math.max(0, power(r) - transmitted)) };
}

/** A bare pane at an angle: Fresnel in both polarisations, all inner reflections summed.
 *  @param pane transmitted and reflected at normal incidence @throws CoreError GLAZING_SHARES
 *  @source Fresnel equations; index from the surface reflectance */
export function bareAtAngle(
  pane: { readonly transmitted: number; readonly reflected: number },
  cosine: number,
): LayerOptics {
  const { surface, body } = bareGlassOf(pane);
  const root = Math.sqrt(surface);
  const index = (1 + root) / (1 - root);
  const inside = Math.sqrt(1 - (1 - cosine * cosine) / (index * index));
  const way = body ** (1 / inside);
  const s = ((cosine - index * inside) / (cosine + index * inside)) ** 2;
  const p = ((index * cosine - inside) / (index * cosine + inside)) ** 2;
  const slab = (rho: number): { t: number; r: number } => {
    const between = 1 - (rho * way) ** 2;
    const t = ((1 - rho) ** 2 * way) / between;
    return { t, r: rho * (1 + way * t) };
  };
  const [a, b] = [slab(s), slab(p)];
  const reflected = (a.r + b.r) / 2;
  return { transmitted: (a.t + b.t) / 2, reflectedFront: reflected, reflectedBack: reflected };
}

/** Any pane at an angle: a bare one by Fresnel, a coated or filmed one by the reference curves. */
export function paneAtAngle(
  pane: LayerOptics,
  isBare: boolean,
  solarTransmitted: number,
  cosine: number,
): LayerOptics {
  if (cosine >= 1) return pane;
  const grazing = Math.max(cosine, LEAST_COSINE);
  if (isBare && pane.reflectedFront > 0 && pane.transmitted > 0)
    return bareAtAngle({ transmitted: pane.transmitted, reflected: pane.reflectedFront }, grazing);
  const { transmitted, rise } = coatedAtAngle(solarTransmitted, grazing);
  const reflected = (r0: number): number =>
    Math.min(1 - pane.transmitted * transmitted, r0 + rise * (1 - r0));
  return {
    transmitted: pane.transmitted * transmitted,
    reflectedFront: reflected(pane.reflectedFront),
    reflectedBack: reflected(pane.reflectedBack),
  };
}
