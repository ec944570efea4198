import { valueAt } from '../../quantity';
import type { GasMix } from '../gas';

/** A gap by EN 673: corrected emissivities of its two faces. */
interface EnGap {
  readonly width_m: number;
  readonly emissivities: readonly [number, number];
  readonly gas?: GasMix;
}

const STEFAN_BOLTZMANN = 5.67e-8;
const MEAN_K = 283;
const ACROSS_K = 15;
const OUTDOOR_WM2K = 25;
const GLASS_WMK = 1;
const DONE = 1e-10;
/** Gas at 10 °C. @source EN 673, table of gas properties */
const EN_GASES = {
  air: { density: 1.232, viscosity: 1.761e-5, conductivity: 0.02496, heat: 1008 },
  argon: { density: 1.699, viscosity: 2.164e-5, conductivity: 0.01684, heat: 519 },
  krypton: { density: 3.56, viscosity: 2.4e-5, conductivity: 0.009, heat: 245 },
} as const;

/**
 * U of vertical glazing by EN 673, not rounded: 15 K shared between the gaps by their resistances.
 * @param panes_m thicknesses
 * @param indoorEmissivity corrected emissivity of the face to the room
 * @returns W/m²K
 * @source EN 673 (method; gas values of its table, from memory)
 */
export function enUValue(
  panes_m: readonly number[],
  gaps: readonly EnGap[],
  indoorEmissivity = 0.837,
): number {
  const indoor = 3.6 + (4.1 * indoorEmissivity) / 0.837;
  let across = gaps.map(() => ACROSS_K / Math.max(1, gaps.length));
  let resistances: number[] = [];
  for (let round = 0; round < 200; round += 1) {
    resistances = gaps.map((gap, index) => 1 / enGap(gap, across[index] ?? ACROSS_K));
    const total = resistances.reduce((sum, r) => sum + r, 0);
    const next = resistances.map((r) => (ACROSS_K * r) / total);
    const moved = Math.max(0, ...next.map((value, index) => Math.abs(value - valueAt(across, index))));
    across = next;
    if (moved < DONE) break;
  }
  const inner =
    resistances.reduce((sum, r) => sum + r, 0) + panes_m.reduce((sum, d) => sum + d, 0) / GLASS_WMK;
  return 1 / (1 / OUTDOOR_WM2K + inner + 1 / indoor);
}

function enGap({ width_m, emissivities: [a, b], gas = { air: 1 } }: EnGap, across_K: number): number {
  const mixed = (key: keyof (typeof EN_GASES)['air']): number =>
    Object.entries(gas).reduce(
      (sum, [name, share]) => sum + (share ?? 0) * EN_GASES[name as keyof typeof EN_GASES][key],
      0,
    );
  const [density, viscosity, conductivity, heat] = [
    mixed('density'),
    mixed('viscosity'),
    mixed('conductivity'),
    mixed('heat'),
  ];
  const grashof = (9.81 * width_m ** 3 * across_K * density ** 2) / (MEAN_K * viscosity ** 2);
  const prandtl = (viscosity * heat) / conductivity;
  const nusselt = Math.max(1, 0.035 * (grashof * prandtl) ** 0.38);
  return (nusselt * conductivity) / width_m + (4 * STEFAN_BOLTZMANN * MEAN_K ** 3) / (1 / a + 1 / b - 1);
}

/**
 * Total solar energy transmittance g by EN 410 / ISO 9050.
 * @param absorbed share in each pane, outermost first (one or two)
 * @param between_Wm2K conductance of the gap
 * @param indoor_Wm2K 8; newer editions 7.7
 */
export function enSolarGain(
  transmitted: number,
  absorbed: readonly [number] | readonly [number, number],
  between_Wm2K = 0,
  indoor_Wm2K = 8,
): number {
  const outdoor = 23;
  const [outer, inner] = absorbed;
  if (inner === undefined) return transmitted + (outer * indoor_Wm2K) / (outdoor + indoor_Wm2K);
  return (
    transmitted +
    ((outer + inner) / outdoor + inner / between_Wm2K) / (1 / indoor_Wm2K + 1 / outdoor + 1 / between_Wm2K)
  );
}
