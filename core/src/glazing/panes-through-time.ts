import { floatAt, valueAt } from '../quantity';
import { type GasCurves, gasCurves } from './gas';
import { type HeatGap, type HeatPane, gapConductance, indoorConvection, radiative } from './heat-balance';

/** What a pane meets over one step. */
interface PaneMoment {
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
/** Layers of a pane: the sun is spread over them, heat goes from one to the next. */
const LAYERS = 3;

/** Panes as they warm and cool, each in three layers, moved on step by step.
 *  @source energy balance of each layer, 2500·720·d/3·dT/dt, glass between them; films and gaps as ISO 15099;
 *  implicit Euler */
export class PanesThroughTime {
  /** Of each pane, the mean over its thickness, outermost first. */
  readonly temperatures_C: number[];
  readonly #curves: readonly GasCurves[];
  /** Of each layer. */
  readonly #at: Float64Array;
  /** From each layer to the next. */
  readonly #link: Float64Array;
  readonly #gain: Float64Array;
  readonly #ratio: Float64Array;
  /** Through a third of each pane. */
  readonly #within: readonly number[];

  /** @param start_C of each pane, outermost first @param height_m of the pane, for convection */
  constructor(
    private readonly panes: readonly Omit<HeatPane, 'absorbed'>[],
    private readonly gaps: readonly HeatGap[],
    start_C: readonly number[],
    private readonly height_m = 1,
  ) {
    const layers = panes.length * LAYERS;
    this.temperatures_C = [...start_C];
    this.#curves = gaps.map(({ gas }) => gasCurves(gas));
    this.#within = panes.map(
      ({ thickness_m, conductivity_WmK }) => (LAYERS * conductivity_WmK) / thickness_m,
    );
    this.#at = Float64Array.from({ length: layers }, (_, layer) =>
      valueAt(start_C, Math.floor(layer / LAYERS)),
    );
    this.#link = new Float64Array(layers);
    this.#gain = new Float64Array(layers);
    this.#ratio = new Float64Array(layers);
  }

  /** Moves on by so many seconds under steady conditions, in steps of at most 30 s. */
  advance(seconds: number, moment: PaneMoment): void {
    const steps = Math.max(1, Math.ceil(seconds / MOST_STEP_S));
    for (let step = 0; step < steps; step += 1) this.#step(seconds / steps, moment);
    for (let pane = 0; pane < this.panes.length; pane += 1) {
      let sum = 0;
      for (let layer = 0; layer < LAYERS; layer += 1) sum += floatAt(this.#at, pane * LAYERS + layer);
      this.temperatures_C[pane] = sum / LAYERS;
    }
  }

  #step(seconds: number, { outdoor_C, indoor_C, outdoor_Wm2K, absorbed_Wm2 }: PaneMoment): void {
    const at = this.#at;
    const last = at.length - 1;
    const toOutdoors = this.#toOutdoors(outdoor_C, outdoor_Wm2K);
    const toRoom = this.#toRoom(indoor_C);
    this.#linkLayers();
    for (let layer = 0; layer <= last; layer += 1) {
      const pane = Math.floor(layer / LAYERS);
      const store = (GLASS_DENSITY * GLASS_HEAT * (this.panes[pane]?.thickness_m ?? 0)) / LAYERS / seconds;
      const before = layer === 0 ? toOutdoors : floatAt(this.#link, layer - 1);
      const after = layer === last ? toRoom : floatAt(this.#link, layer);
      let diagonal = store + before + after;
      let right = store * floatAt(at, layer) + valueAt(absorbed_Wm2, pane) / LAYERS;
      if (layer === 0) right += toOutdoors * outdoor_C;
      else {
        diagonal -= before * floatAt(this.#ratio, layer - 1);
        right += before * floatAt(this.#gain, layer - 1);
      }
      if (layer === last) right += toRoom * indoor_C;
      this.#ratio[layer] = after / diagonal;
      this.#gain[layer] = right / diagonal;
    }
    at[last] = floatAt(this.#gain, last);
    for (let layer = last - 1; layer >= 0; layer -= 1)
      at[layer] = floatAt(this.#gain, layer) + floatAt(this.#ratio, layer) * floatAt(at, layer + 1);
  }

  /** From the outermost layer to the air outdoors; the film goes by the temperature of the face. */
  #toOutdoors(outdoor_C: number, outdoor_Wm2K: number): number {
    const half = 2 * valueAt(this.#within, 0);
    const outer_C = this.#at[0] ?? outdoor_C;
    const emissivity = this.panes[0]?.emissivityFront ?? 0.84;
    const film = (face_C: number): number =>
      outdoor_Wm2K + radiative(emissivity, face_C + KELVIN, outdoor_C + KELVIN);
    return inSeries(half, film(faceBetween(outer_C, half, outdoor_C, film(outer_C))));
  }

  #toRoom(indoor_C: number): number {
    const half = 2 * (this.#within.at(-1) ?? 0);
    const inner_C = this.#at.at(-1) ?? indoor_C;
    const emissivity = this.panes.at(-1)?.emissivityBack ?? 0.84;
    const film = (face_C: number): number =>
      indoorConvection(face_C + KELVIN, indoor_C + KELVIN, this.height_m) +
      radiative(emissivity, face_C + KELVIN, indoor_C + KELVIN);
    return inSeries(half, film(faceBetween(inner_C, half, indoor_C, film(inner_C))));
  }

  #linkLayers(): void {
    for (let layer = 0; layer < this.#at.length - 1; layer += 1) {
      const pane = Math.floor(layer / LAYERS);
      this.#link[layer] = (layer + 1) % LAYERS === 0 ? this.#acrossGap(pane) : valueAt(this.#within, pane);
    }
  }

  /** From the last layer of a pane to the first of the next. */
  #acrossGap(pane: number): number {
    const curves = this.#curves[pane];
    if (curves === undefined) return 0;
    const layer = (pane + 1) * LAYERS - 1;
    const [warm, cold] = [floatAt(this.#at, layer), floatAt(this.#at, layer + 1)];
    const [before, after] = [2 * valueAt(this.#within, pane), 2 * valueAt(this.#within, pane + 1)];
    /** The gap goes by the faces; they lie between the layers as its resistance has it. */
    const gap = this.#gapAt(pane, curves, warm, cold);
    const flow = (warm - cold) * inSeries(inSeries(before, gap), after);
    return inSeries(
      inSeries(before, this.#gapAt(pane, curves, warm - flow / before, cold + flow / after)),
      after,
    );
  }

  #gapAt(pane: number, curves: GasCurves, front_C: number, back_C: number): number {
    return gapConductance(
      this.gaps[pane]?.width_m ?? 0.016,
      curves,
      front_C + KELVIN,
      back_C + KELVIN,
      this.panes[pane]?.emissivityBack ?? 0.84,
      this.panes[pane + 1]?.emissivityFront ?? 0.84,
      this.height_m,
    );
  }
}

const inSeries = (a: number, b: number): number => (a * b) / (a + b);

/** Temperature of a face between glass and air. */
const faceBetween = (glass_C: number, glass: number, air_C: number, film: number): number =>
  (glass * glass_C + film * air_C) / (glass + film);
