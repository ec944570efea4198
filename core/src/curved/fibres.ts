import { floatAt, valueAt } from '../quantity';
import { type CurvedPatch, type PatchSlopes, SLOPES, patchAt, slopesInto } from './patch';

/** A place on the glass and a direction in it: x, y and their change along the way, of unit speed. */
export interface Way {
  readonly x: number;
  readonly y: number;
  readonly dx: number;
  readonly dy: number;
}

/** Where the straight line of the film lies, laid out from its middle to both sides. */
export interface FilmLine {
  readonly patch: CurvedPatch;
  /** Where it crosses the middle of the glass, mm upwards. */
  readonly at_mm: number;
  readonly step_mm: number;
  /** To the right and to the left, a way at every step. */
  readonly right: readonly Way[];
  readonly left: readonly Way[];
}

/** One fibre of the film from its line to an edge: how long, and how much must go away there. */
export interface Fibre {
  /** Along the line, from its middle. */
  readonly u_mm: number;
  /** Where it begins and ends on the glass. */
  readonly from: Way;
  readonly to: Way;
  readonly length_mm: number;
  /** Needed shrink at its end, as a share; below nothing: stretch. */
  readonly strain: number;
  /** The same on the way, from line to edge. */
  readonly along: readonly { readonly x: number; readonly y: number; readonly strain: number }[];
  /** Curvature gathered along it by the change of its neighbours' distance, and by its own quadrature. */
  readonly turned: number;
  readonly turnedByArea: number;
}

const LINE_STEPS = 96;
const FIBRE_STEPS = 16;
const NEWTON = 3;

/** State of a fibre: x, y, dx, dy, G, dG/dv. */
type State = Float64Array;
const SIZE = 6;

const slopes = new Float64Array(SLOPES.count);
const [k1, k2, k3, k4, probe] = Array.from({ length: 5 }, () => new Float64Array(SIZE)) as [
  State,
  State,
  State,
  State,
  State,
];

/** Curvature at a place; leaves the slopes there in `slopes`. */
function curvatureAt(patch: CurvedPatch, x: number, y: number): number {
  slopesInto(slopes, patch, x, y);
  const zx = floatAt(slopes, SLOPES.x);
  const zy = floatAt(slopes, SLOPES.y);
  const xx = floatAt(slopes, SLOPES.xx);
  const yy = floatAt(slopes, SLOPES.yy);
  const xy = floatAt(slopes, SLOPES.xy);
  const steep = 1 + zx * zx + zy * zy;
  return (xx * yy - xy * xy) / (steep * steep);
}

/**
 * How a state changes along the way: the geodesic of a graph, and dv² + G² du² with G'' = −K G beside it.
 * @source geodesic of a graph, and Jacobi's equation; closed forms
 */
function changeInto(into: State, patch: CurvedPatch, state: State): void {
  const dx = floatAt(state, 2);
  const dy = floatAt(state, 3);
  const k = curvatureAt(patch, floatAt(state, 0), floatAt(state, 1));
  const zx = floatAt(slopes, SLOPES.x);
  const zy = floatAt(slopes, SLOPES.y);
  const bend =
    (floatAt(slopes, SLOPES.xx) * dx * dx +
      2 * floatAt(slopes, SLOPES.xy) * dx * dy +
      floatAt(slopes, SLOPES.yy) * dy * dy) /
    (1 + zx * zx + zy * zy);
  into[0] = dx;
  into[1] = dy;
  into[2] = -zx * bend;
  into[3] = -zy * bend;
  into[4] = floatAt(state, 5);
  into[5] = -k * floatAt(state, 4);
}

function plusInto(into: State, state: State, by: State, times: number): void {
  for (let index = 0; index < SIZE; index += 1)
    into[index] = floatAt(state, index) + times * floatAt(by, index);
}

/** One step of the classical fourth-order method of Runge and Kutta, in place. */
function step(patch: CurvedPatch, state: State, by: number): void {
  changeInto(k1, patch, state);
  plusInto(probe, state, k1, by / 2);
  changeInto(k2, patch, probe);
  plusInto(probe, state, k2, by / 2);
  changeInto(k3, patch, probe);
  plusInto(probe, state, k3, by);
  changeInto(k4, patch, probe);
  for (let index = 0; index < SIZE; index += 1)
    state[index] =
      floatAt(state, index) +
      (by / 6) * (floatAt(k1, index) + 2 * floatAt(k2, index) + 2 * floatAt(k3, index) + floatAt(k4, index));
}

const wayOf = ([x = 0, y = 0, dx = 0, dy = 0]: State): Way => ({ x, y, dx, dy });
const stateOf = ({ x, y, dx, dy }: Way): State => Float64Array.of(x, y, dx, dy, 1, 0);

/**
 * The glass's own straight line through the middle at a height, level there: what film pulled tight lies on.
 * @param at_mm upwards from the middle of the glass
 * @param reach to each side, as a share of half the width: fibres converge, corners belong further out
 */
export function filmLine(
  patch: CurvedPatch,
  at_mm: number,
  { reach = 1.25, steps = LINE_STEPS }: { readonly reach?: number; readonly steps?: number } = {},
): FilmLine {
  const step_mm = (reach * patch.halfWidth_mm * pace(patch, at_mm)) / steps;
  const laid = (way: 1 | -1): readonly Way[] => {
    const slope = patchAt(patch, 0, at_mm).x;
    const state = Float64Array.of(0, at_mm, way / Math.hypot(1, slope), 0, 1, 0);
    const ways = [wayOf(state)];
    for (let index = 0; index < steps; index += 1) {
      step(patch, state, step_mm);
      ways.push(wayOf(state));
    }
    return ways;
  };
  return { patch, at_mm, step_mm, right: laid(1), left: laid(-1) };
}

/** How much longer the glass is across than its chord, roughly. */
function pace(patch: CurvedPatch, y: number): number {
  const end = patchAt(patch, patch.halfWidth_mm, y);
  return Math.hypot(1, end.x / Math.sqrt(3));
}

/** Where the line is so far along from its middle. */
export function wayAt({ patch, step_mm, right, left }: FilmLine, u_mm: number): Way {
  const ways = u_mm >= 0 ? right : left;
  const index = Math.min(ways.length - 1, Math.floor(Math.abs(u_mm) / step_mm));
  const from = ways[index];
  if (from === undefined) throw new RangeError(`no line ${u_mm} mm from its middle`);
  const state = stateOf(from);
  step(patch, state, Math.abs(u_mm) - index * step_mm);
  const at = wayOf(state);
  return u_mm >= 0 ? at : { ...at, dx: -at.dx, dy: -at.dy };
}

/**
 * The fibre of the film that begins so far along its line and runs square to it to an edge of the glass.
 * @param to_mm height of the edge it runs to, above or below the line
 */
export function fibreAt(line: FilmLine, u_mm: number, to_mm: number): Fibre {
  const { patch } = line;
  const from = wayAt(line, u_mm);
  const up = to_mm >= from.y ? 1 : -1;
  const across = squareTo(patchAt(patch, from.x, from.y), from, up);
  const state = Float64Array.of(from.x, from.y, across[0], across[1], 1, 0);
  const by = firstStep(patch, from, to_mm);
  const along: Fibre['along'][number][] = [{ x: from.x, y: from.y, strain: 0 }];
  const turns = [turnAt(patch, state)];
  for (let index = 0; index < FIBRE_STEPS; index += 1) {
    step(patch, state, by);
    along.push(placeOn(state));
    turns.push(turnAt(patch, state));
  }
  const whole = simpson(turns, by);
  let rest = 0;
  for (let round = 0; round < NEWTON; round += 1) {
    const more = (to_mm - floatAt(state, 1)) / (state[3] ?? 1);
    step(patch, state, more);
    rest += more;
  }
  along[FIBRE_STEPS] = placeOn(state);
  return {
    u_mm,
    from,
    to: wayOf(state),
    length_mm: FIBRE_STEPS * by + rest,
    strain: 1 - (state[4] ?? 1),
    along,
    turned: -floatAt(state, 5),
    turnedByArea: whole + (rest * ((turns.at(-1) ?? 0) + turnAt(patch, state))) / 2,
  };
}

const placeOn = ([x = 0, y = 0, , , wide = 1]: State): Fibre['along'][number] => ({ x, y, strain: 1 - wide });

/** Curvature of a strip one wide on the line, per length of the fibre: K · G. */
const turnAt = (patch: CurvedPatch, [x = 0, y = 0, , , wide = 0]: State): number =>
  curvatureAt(patch, x, y) * wide;

function simpson(values: readonly number[], step: number): number {
  const inner = values.slice(1, -1).reduce((sum, value, index) => sum + (index % 2 === 0 ? 4 : 2) * value, 0);
  return (step / 3) * (valueAt(values, 0) + inner + (values.at(-1) ?? 0));
}

/** The direction square to the line in the glass, of unit length, upwards or downwards. */
function squareTo({ x, y }: PatchSlopes, { dx, dy }: Way, up: 1 | -1): readonly [number, number] {
  const [e, f, g] = [1 + x * x, x * y, 1 + y * y];
  const long = Math.sqrt(e * g - f * f);
  const [c, d] = [-(f * dx + g * dy) / long, (e * dx + f * dy) / long];
  return d * up >= 0 ? [c, d] : [-c, -d];
}

/** So long that sixteen of them come near the edge: by the slope half-way. */
function firstStep(patch: CurvedPatch, { x, y }: Way, to_mm: number): number {
  const samples = [0, 0.25, 0.5, 0.75, 1].map((share) =>
    Math.hypot(1, patchAt(patch, x, y + share * (to_mm - y)).y),
  );
  const mean = samples.reduce((sum, value) => sum + value, 0) / samples.length;
  return (Math.abs(to_mm - y) * mean) / FIBRE_STEPS;
}
