import { type GasCurves, gasCurves } from './gas';
import { type HeatGap, type HeatPane, gapConductance, indoorConvection, radiative } from './heat-balance';

/** What a pane meets over one step. */
export interface PaneMoment {
  readonly outdoor_C: number;
  readonly indoor_C: number;
  /** Convection outdoors. */
  readonly outdoor_Wm2K: number;
  /** Sun taken up by each pane, W/m². */
  readonly absorbed_Wm2: readonly number[];
}

const KELVIN = 273.15;
const GLASS_DENSITY = 2500;
const GLASS_HEAT = 720;
/** Steps are at most so long, in parts of the time a pane takes to follow. */
export const MOST_STEP_S = 30;

/** Panes as they warm and cool, one temperature each, moved on step by step.
 *  @source energy balance of each pane, 2500·720·d·dT/dt; films and gaps as ISO 15099; implicit Euler */
export class PanesThroughTime {
  readonly temperatures_C: number[];
  readonly #curves: readonly GasCurves[];
  readonly #gain: Float64Array;
  readonly #link: Float64Array;
  readonly #ratio: Float64Array;

  /** @param start_C of each pane, outermost first @param height_m of the pane, for convection */
  constructor(
    private readonly panes: readonly Pick<HeatPane, 'thickness_m' | 'emissivityFront' | 'emissivityBack'>[],
    private readonly gaps: readonly HeatGap[],
    start_C: readonly number[],
    private readonly height_m = 1,
  ) {
    this.temperatures_C = [...start_C];
    this.#curves = gaps.map(({ gas }) => gasCurves(gas));
    this.#gain = new Float64Array(panes.length);
    this.#link = new Float64Array(Math.max(1, panes.length - 1));
    this.#ratio = new Float64Array(panes.length);
  }

  /** Moves on by so many seconds under steady conditions, in steps of at most 30 s. */
  advance(seconds: number, moment: PaneMoment): void {
    const steps = Math.max(1, Math.ceil(seconds / MOST_STEP_S));
    for (let step = 0; step < steps; step += 1) this.#step(seconds / steps, moment);
  }

  #step(seconds: number, { outdoor_C, indoor_C, outdoor_Wm2K, absorbed_Wm2 }: PaneMoment): void {
    const { panes, gaps, temperatures_C: at, height_m } = this;
    const last = panes.length - 1;
    const [out, inside] = [outdoor_C + KELVIN, indoor_C + KELVIN];
    const [outer, inner] = [(at[0] ?? outdoor_C) + KELVIN, (at[last] ?? indoor_C) + KELVIN];
    const outdoorFilm = outdoor_Wm2K + radiative(panes[0]?.emissivityFront ?? 0.84, outer, out);
    const indoorFilm =
      indoorConvection(inner, inside, height_m) +
      radiative(panes[last]?.emissivityBack ?? 0.84, inner, inside);
    for (let gap = 0; gap < last; gap += 1) {
      const curves = this.#curves[gap];
      if (curves !== undefined)
        this.#link[gap] = gapConductance(
          gaps[gap]?.width_m ?? 0.016,
          curves,
          (at[gap] ?? 0) + KELVIN,
          (at[gap + 1] ?? 0) + KELVIN,
          panes[gap]?.emissivityBack ?? 0.84,
          panes[gap + 1]?.emissivityFront ?? 0.84,
          height_m,
        );
    }
    for (let pane = 0; pane <= last; pane += 1) {
      const store = (GLASS_DENSITY * GLASS_HEAT * (panes[pane]?.thickness_m ?? 0.004)) / seconds;
      const before = pane === 0 ? outdoorFilm : (this.#link[pane - 1] ?? 0);
      const after = pane === last ? indoorFilm : (this.#link[pane] ?? 0);
      let diagonal = store + before + after;
      let right =
        store * (at[pane] ?? 0) +
        (absorbed_Wm2[pane] ?? 0) +
        (pane === 0 ? outdoorFilm * outdoor_C : 0) +
        (pane === last ? indoorFilm * indoor_C : 0);
      if (pane > 0) {
        diagonal -= before * (this.#ratio[pane - 1] ?? 0);
        right += before * (this.#gain[pane - 1] ?? 0);
      }
      this.#ratio[pane] = after / diagonal;
      this.#gain[pane] = right / diagonal;
    }
    for (let pane = last; pane >= 0; pane -= 1)
      at[pane] =
        (this.#gain[pane] ?? 0) + (pane === last ? 0 : (this.#ratio[pane] ?? 0) * (at[pane + 1] ?? 0));
  }
}
