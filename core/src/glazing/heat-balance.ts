import { CoreError, floatAt, valueAt } from '../quantity';
import { type GasCurves, type GasMix, alongCurve, gasCurves } from './gas';

export interface HeatPane {
  readonly thickness_m: number;
  readonly conductivity_WmK: number;
  readonly emissivityFront: number;
  readonly emissivityBack: number;
  /** Share of the sun absorbed in it. */
  readonly absorbed: number;
}

export interface HeatGap {
  readonly width_m: number;
  readonly gas: GasMix;
}

export interface HeatConditions {
  readonly outdoor_C: number;
  readonly indoor_C: number;
  /** Convection outdoors. */
  readonly outdoor_Wm2K: number;
  readonly sun_Wm2: number;
  readonly height_m?: number | undefined;
  /** Convection indoors; absent: natural, by ISO 15099. */
  readonly indoor_Wm2K?: number | undefined;
}

export interface HeatBalance {
  readonly stopped: 'converged' | 'limit';
  /** Of every face, outermost first, °C. */
  readonly faces_C: readonly number[];
  /** Middle of each pane, °C. */
  readonly panes_C: readonly number[];
  /** From the innermost face into the room, W/m². */
  readonly intoRoom_Wm2: number;
}

const STEFAN_BOLTZMANN = 5.670374e-8;
const GRAVITY = 9.80665;
const KELVIN = 273.15;
const DONE_K = 1e-9;
const MAX_ROUNDS = 400;
const UPRIGHT_DEG = 90;
const AIR = gasCurves({ air: 1 });
/** Above this the air by an upright pane turns to eddies. */
const CRITICAL_RAYLEIGH = 2.5e5 * Math.exp(0.72 * UPRIGHT_DEG) ** 0.2;

/**
 * Temperatures of all faces when heat comes to rest: nonlinear in convection and radiation, solved by linear
 * rounds, damped when they swing.
 * @param panes, gaps outermost first; one gap fewer than panes
 * @param options.done_K stop when no face moves more; options.start_C face temperatures to begin from, such
 * as those of the hour before
 * @source ISO 15099 for gaps and indoor convection
 */
export function heatBalance(
  panes: readonly HeatPane[],
  gaps: readonly HeatGap[],
  conditions: HeatConditions,
  {
    done_K = DONE_K,
    start_C,
  }: { readonly done_K?: number; readonly start_C?: readonly number[] | undefined } = {},
): HeatBalance {
  const { outdoor_C, indoor_C, sun_Wm2 } = conditions;
  const [out, inside] = [outdoor_C + KELVIN, indoor_C + KELVIN];
  if (panes.length === 0)
    throw new CoreError('GLAZING_PANES', { path: 'panes', expected: 'one pane or more', got: '0' });
  const count = panes.length * 2;
  const faces = new Float64Array(count);
  for (let face = 0; face < count; face += 1)
    faces[face] =
      start_C === undefined
        ? out + ((inside - out) * (face + 1)) / (count + 1)
        : (start_C[face] ?? outdoor_C) + KELVIN;
  const [links, gains, next, ratio] = [
    new Float64Array(count - 1),
    new Float64Array(count),
    new Float64Array(count),
    new Float64Array(count),
  ];
  panes.forEach((pane, index) => {
    links[2 * index] = pane.conductivity_WmK / pane.thickness_m;
    gains[2 * index] = gains[2 * index + 1] = (pane.absorbed * sun_Wm2) / 2;
  });
  const films = boundaryFilms(panes, gaps, conditions);
  let stopped: HeatBalance['stopped'] = 'limit';
  let indoorFilm = 0;
  let [damping, before] = [1, Infinity];
  for (let round = 0; round < MAX_ROUNDS; round += 1) {
    const { outdoorFilm, ...found } = films(faces, links);
    indoorFilm = found.indoorFilm;
    tridiagonal(links, gains, { outdoorFilm, out, indoorFilm, inside }, ratio, next);
    let largest = 0;
    for (let face = 0; face < count; face += 1)
      largest = Math.max(largest, Math.abs(floatAt(next, face) - floatAt(faces, face)));
    if (largest > before * 0.8) damping = 0.5;
    before = largest;
    for (let face = 0; face < count; face += 1)
      faces[face] = floatAt(faces, face) + damping * (floatAt(next, face) - floatAt(faces, face));
    if (largest < done_K) {
      stopped = 'converged';
      break;
    }
  }
  const faces_C = Array.from(faces, (face) => face - KELVIN);
  const panes_C = panes.map((_, pane) => (valueAt(faces_C, 2 * pane) + valueAt(faces_C, 2 * pane + 1)) / 2);
  return { stopped, faces_C, panes_C, intoRoom_Wm2: indoorFilm * ((faces[count - 1] ?? inside) - inside) };
}

/**
 * How readily heat passes at these face temperatures: to outdoors and to the room, and through each gap,
 * entered into `links`.
 */
function boundaryFilms(
  panes: readonly HeatPane[],
  gaps: readonly HeatGap[],
  { outdoor_C, indoor_C, outdoor_Wm2K, height_m = 1, indoor_Wm2K }: HeatConditions,
): (
  faces: Float64Array,
  links: Float64Array,
) => { readonly outdoorFilm: number; readonly indoorFilm: number } {
  const [out, inside] = [outdoor_C + KELVIN, indoor_C + KELVIN];
  const [first, last] = [panes[0], panes.at(-1)];
  const curves = gaps.map(({ gas }) => gasCurves(gas));
  return (faces, links) => {
    const outer = faces[0] ?? out;
    const inner = faces[faces.length - 1] ?? inside;
    for (let index = 0; index < gaps.length; index += 1) {
      const [gap, near, far, gas] = [gaps[index], panes[index], panes[index + 1], curves[index]];
      if (gap !== undefined && gas !== undefined && near !== undefined && far !== undefined)
        links[2 * index + 1] = gapConductance(
          gap.width_m,
          gas,
          faces[2 * index + 1] ?? out,
          faces[2 * index + 2] ?? inside,
          near.emissivityBack,
          far.emissivityFront,
          height_m,
        );
    }
    return {
      outdoorFilm: outdoor_Wm2K + radiative(first?.emissivityFront ?? 0, outer, out),
      indoorFilm:
        (indoor_Wm2K ?? indoorConvection(inner, inside, height_m)) +
        radiative(last?.emissivityBack ?? 0, inner, inside),
    };
  };
}

/** Heat lost through the centre of glass without sun. @returns W/m²K */
export function uValue(
  panes: readonly HeatPane[],
  gaps: readonly HeatGap[],
  conditions: HeatConditions,
): number {
  const { intoRoom_Wm2 } = heatBalance(panes, gaps, { ...conditions, sun_Wm2: 0 });
  return -intoRoom_Wm2 / (conditions.indoor_C - conditions.outdoor_C);
}

/** Share of the sun that ends up in the room: let through, and given off inwards. */
export function solarHeatGain(
  transmitted: number,
  panes: readonly HeatPane[],
  gaps: readonly HeatGap[],
  conditions: HeatConditions,
): number {
  const lit = heatBalance(panes, gaps, conditions).intoRoom_Wm2;
  const dark = heatBalance(panes, gaps, { ...conditions, sun_Wm2: 0 }).intoRoom_Wm2;
  return transmitted + (lit - dark) / conditions.sun_Wm2;
}

export function radiative(emissivity: number, surface: number, around: number): number {
  return emissivity * STEFAN_BOLTZMANN * (surface * surface + around * around) * (surface + around);
}

export function gapConductance(
  width_m: number,
  gas: GasCurves,
  warm: number,
  cold: number,
  emissivityA: number,
  emissivityB: number,
  height_m: number,
): number {
  const middle = (warm + cold) / 2;
  const conductivity = alongCurve(gas.conductivity, middle);
  const density = gas.density_K / middle;
  const rayleigh =
    (density *
      density *
      width_m *
      width_m *
      width_m *
      GRAVITY *
      alongCurve(gas.heat, middle) *
      Math.abs(warm - cold)) /
    (middle * alongCurve(gas.viscosity, middle) * conductivity);
  const narrow =
    rayleigh > 5e4
      ? 0.0673838 * Math.cbrt(rayleigh)
      : rayleigh > 1e4
        ? 0.028154 * rayleigh ** 0.4134
        : 1 + 1.7596678e-10 * rayleigh ** 2.2984755;
  const tall = 0.242 * ((rayleigh * width_m) / height_m) ** 0.272;
  const radiation =
    (STEFAN_BOLTZMANN * (warm * warm + cold * cold) * (warm + cold)) /
    (1 / emissivityA + 1 / emissivityB - 1);
  return (Math.max(narrow, tall) * conductivity) / width_m + radiation;
}

export function indoorConvection(surface: number, room: number, height_m: number): number {
  const film = room + 0.25 * (surface - room);
  const conductivity = alongCurve(AIR.conductivity, film);
  const density = AIR.density_K / film;
  const rayleigh =
    (density *
      density *
      height_m *
      height_m *
      height_m *
      GRAVITY *
      alongCurve(AIR.heat, film) *
      Math.abs(surface - room)) /
    (film * alongCurve(AIR.viscosity, film) * conductivity);
  const nusselt =
    rayleigh <= CRITICAL_RAYLEIGH
      ? 0.56 * Math.sqrt(Math.sqrt(rayleigh))
      : 0.13 * (Math.cbrt(rayleigh) - Math.cbrt(CRITICAL_RAYLEIGH)) +
        0.56 * Math.sqrt(Math.sqrt(CRITICAL_RAYLEIGH));
  return (nusselt * conductivity) / height_m;
}

interface Airs {
  readonly outdoorFilm: number;
  readonly out: number;
  readonly indoorFilm: number;
  readonly inside: number;
}

/**
 * The linear round: each face exchanges heat with its neighbours, the outermost with the two airs. Writes
 * `next`.
 */
function tridiagonal(
  links: Float64Array,
  gains: Float64Array,
  { outdoorFilm, out, indoorFilm, inside }: Airs,
  ratio: Float64Array,
  next: Float64Array,
): void {
  const count = gains.length;
  for (let face = 0; face < count; face += 1) {
    const before = face === 0 ? 0 : floatAt(links, face - 1);
    const after = face === count - 1 ? 0 : floatAt(links, face);
    const own = before + after + (face === 0 ? outdoorFilm : 0) + (face === count - 1 ? indoorFilm : 0);
    const gain =
      floatAt(gains, face) +
      (face === 0 ? outdoorFilm * out : 0) +
      (face === count - 1 ? indoorFilm * inside : 0);
    const pivot = own - (face === 0 ? 0 : before * floatAt(ratio, face - 1));
    ratio[face] = after / pivot;
    next[face] = (gain + (face === 0 ? 0 : before * floatAt(next, face - 1))) / pivot;
  }
  for (let face = count - 2; face >= 0; face -= 1)
    next[face] = floatAt(next, face) + floatAt(ratio, face) * floatAt(next, face + 1);
}
