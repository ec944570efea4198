type GasName = 'air' | 'argon' | 'krypton';
/** Shares of volume; together 1. */
export type GasMix = { readonly [Name in GasName]?: number | undefined };

interface GasState {
  readonly conductivity_WmK: number;
  readonly viscosity_Pas: number;
  readonly heat_JkgK: number;
  readonly density_kgm3: number;
}

/** value = a + b·T(K). @source ISO 15099, table of gas properties */
const GASES: Readonly<
  Record<
    GasName,
    {
      readonly conductivity: readonly [number, number];
      readonly viscosity: readonly [number, number];
      readonly heat: readonly [number, number];
      readonly molar_gmol: number;
    }
  >
> = {
  air: {
    conductivity: [2.873e-3, 7.76e-5],
    viscosity: [3.723e-6, 4.94e-8],
    heat: [1002.737, 1.2324e-2],
    molar_gmol: 28.97,
  },
  argon: {
    conductivity: [2.285e-3, 5.149e-5],
    viscosity: [3.379e-6, 6.451e-8],
    heat: [521.9285, 0],
    molar_gmol: 39.948,
  },
  krypton: {
    conductivity: [9.443e-4, 2.826e-5],
    viscosity: [2.213e-6, 7.777e-8],
    heat: [248.0907, 0],
    molar_gmol: 83.8,
  },
};
const GAS_CONSTANT = 8314.4626;
const PRESSURE_PA = 101_325;

/** A gas or mixture of gases at a temperature and ordinary pressure.
 *  @param kelvin 200 to 400 @source mixture rules of ISO 15099 */
export function gasAt(mix: GasMix, kelvin: number): GasState {
  const parts = (Object.keys(GASES) as GasName[]).flatMap((name) => {
    const share = mix[name] ?? 0;
    if (share <= 0) return [];
    const { conductivity, viscosity, heat, molar_gmol } = GASES[name];
    const mu = viscosity[0] + viscosity[1] * kelvin;
    /** Heat carried by atoms moving, and the rest, carried inside molecules. */
    const moved = (3.75 * GAS_CONSTANT * mu) / molar_gmol;
    return [
      {
        share,
        molar: molar_gmol,
        mu,
        cp: heat[0] + heat[1] * kelvin,
        moved,
        inner: conductivity[0] + conductivity[1] * kelvin - moved,
      },
    ];
  });
  const molar = parts.reduce((sum, part) => sum + part.share * part.molar, 0);
  type Part = (typeof parts)[number];
  const mixed = (value: (part: Part) => number, weight: (a: Part, b: Part) => number): number =>
    parts.reduce(
      (sum, a) =>
        sum +
        value(a) /
          (1 + parts.reduce((other, b) => other + (a === b ? 0 : (weight(a, b) * b.share) / a.share), 0)),
      0,
    );
  const root8 = 2 * Math.SQRT2;
  const weight = (a: Part, b: Part): number =>
    (1 + Math.sqrt(a.moved / b.moved) * (a.molar / b.molar) ** 0.25) ** 2 /
    (root8 * Math.sqrt(1 + a.molar / b.molar));
  const moved = mixed(
    (part) => part.moved,
    (a, b) =>
      weight(a, b) *
      (1 + (2.41 * (a.molar - b.molar) * (a.molar - 0.142 * b.molar)) / (a.molar + b.molar) ** 2),
  );
  const inner = mixed((part) => part.inner, weight);
  return {
    conductivity_WmK: moved + inner,
    viscosity_Pas: mixed(
      (part) => part.mu,
      (a, b) =>
        (1 + Math.sqrt(a.mu / b.mu) * (b.molar / a.molar) ** 0.25) ** 2 /
        (root8 * Math.sqrt(1 + a.molar / b.molar)),
    ),
    heat_JkgK: parts.reduce((sum, part) => sum + part.share * part.cp * part.molar, 0) / molar,
    density_kgm3: (PRESSURE_PA * molar) / (GAS_CONSTANT * kelvin),
  };
}

/** Parabolas about 290 K, u = T − 290, for one mixture; density is `density_K`/T. For hot loops. */
export interface GasCurves {
  readonly conductivity: Curve;
  readonly viscosity: Curve;
  readonly heat: Curve;
  readonly density_K: number;
}
type Curve = readonly [number, number, number];

const CURVE_MIDDLE_K = 290;
const STEP_K = 40;
const CURVES = new WeakMap<GasMix, GasCurves>();

/** The curves of a mixture, kept for each mixture object. Within 1e-6 of `gasAt` from 240 to 350 K. */
export function gasCurves(mix: GasMix): GasCurves {
  const known = CURVES.get(mix);
  if (known !== undefined) return known;
  const [low, middle, high] = [
    gasAt(mix, CURVE_MIDDLE_K - STEP_K),
    gasAt(mix, CURVE_MIDDLE_K),
    gasAt(mix, CURVE_MIDDLE_K + STEP_K),
  ];
  const through = (key: keyof GasState): Curve => [
    middle[key],
    (high[key] - low[key]) / (2 * STEP_K),
    (high[key] + low[key] - 2 * middle[key]) / (2 * STEP_K * STEP_K),
  ];
  const made = {
    conductivity: through('conductivity_WmK'),
    viscosity: through('viscosity_Pas'),
    heat: through('heat_JkgK'),
    density_K: middle.density_kgm3 * CURVE_MIDDLE_K,
  };
  CURVES.set(mix, made);
  return made;
}

/** A curve at a temperature. */
export function alongCurve(curve: Curve, kelvin: number): number {
  const u = kelvin - CURVE_MIDDLE_K;
  return curve[0] + u * (curve[1] + u * curve[2]);
}
