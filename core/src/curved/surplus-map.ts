import { type FilmLine, type Fibre, fibreAt, filmLine } from './fibres';
import type { CurvedPatch } from './patch';

/** Film left over along one edge, for a line that it lies straight on. */
export interface EdgeSurplus {
  readonly surplus_mm: number;
  /** Of the fibre from the middle of the line, and the most and least of all between the corners. */
  readonly strainMiddle: number;
  readonly strainMost: number;
  readonly strainLeast: number;
  /** Between the fibres that end at the corners, from the middle of the line, mm. */
  readonly from_mm: number;
  readonly to_mm: number;
  /** Fibres at the nodes, from left to right. */
  readonly fibres: readonly Fibre[];
  /** How far both ways of adding up the curvature differ, as a share of it. */
  readonly residual: number;
}

/** Where an edge of the glass begins and ends, mm to the right of the middle. */
interface EdgeEnds {
  readonly left_mm: number;
  readonly right_mm: number;
}
/** Ends of both edges; a pane may be narrower at one of them. */
export type PaneEnds = Readonly<Record<'top' | 'bottom', EdgeEnds>>;

const wholeWidth = ({ halfWidth_mm }: CurvedPatch): EdgeEnds => ({
  left_mm: -halfWidth_mm,
  right_mm: halfWidth_mm,
});

/** Nodes and weights of Gauss and Legendre on (−1, 1), by Newton on the recurrence. */
function gaussLegendre(count: number): readonly { readonly at: number; readonly weight: number }[] {
  return Array.from({ length: count }, (_, index) => {
    let at = Math.cos((Math.PI * (index + 0.75)) / (count + 0.5));
    let slope = 1;
    for (let round = 0; round < 50; round += 1) {
      let [before, value] = [1, at];
      for (let k = 2; k <= count; k += 1)
        [before, value] = [value, ((2 * k - 1) * at * value - (k - 1) * before) / k];
      slope = (count * (at * value - before)) / (at * at - 1);
      const next = at - value / slope;
      const moved = Math.abs(next - at);
      at = next;
      if (moved < 1e-15) break;
    }
    return { at: -at, weight: 2 / ((1 - at * at) * slope * slope) };
  });
}
const NODES = gaussLegendre(16);
const FEW_NODES = gaussLegendre(6);
/** Fibres of a pane nearly like it, for a band: it asks hundreds of times, and its own doubt is larger. */
type Nearly = Pick<EdgeSurplus, 'from_mm' | 'to_mm'>;
const CORNER_ROUNDS = 12;
const NEAR_MM = 1e-7;

/** Where on the line the fibre begins that ends at a place of the glass: secant on where it ends. */
export function throughX(line: FilmLine, edge_mm: number, x_mm: number): number {
  let [a, b] = [x_mm - 0.1 * line.patch.halfWidth_mm, x_mm];
  let [fa, fb] = [endOf(line, a, edge_mm) - x_mm, endOf(line, b, edge_mm) - x_mm];
  for (let round = 0; round < CORNER_ROUNDS && Math.abs(fb) > NEAR_MM && fa !== fb; round += 1) {
    const next = b - (fb * (b - a)) / (fb - fa);
    [a, fa] = [b, fb];
    b = Math.max(-reachOf(line), Math.min(reachOf(line), next));
    fb = endOf(line, b, edge_mm) - x_mm;
  }
  return b;
}
const endOf = (line: FilmLine, u_mm: number, edge_mm: number): number => fibreAt(line, u_mm, edge_mm).to.x;
const reachOf = ({ step_mm, right }: FilmLine): number => step_mm * (right.length - 1);

/**
 * What is left over along an edge when film that does not give lies straight on a line, between the corners.
 * @param edge_mm height of the edge, upwards from the middle
 * @source S = ∫ (1 − G) du (model A1, closed form); Gauss–Bonnet as its certificate
 */
export function surplusOn(
  line: FilmLine,
  edge_mm: number,
  { left_mm, right_mm }: EdgeEnds = wholeWidth(line.patch),
  nearly?: Nearly,
): EdgeSurplus {
  const from_mm = nearly?.from_mm ?? throughX(line, edge_mm, left_mm);
  const to_mm = nearly?.to_mm ?? throughX(line, edge_mm, right_mm);
  const nodes = nearly === undefined ? NODES : FEW_NODES;
  const [half, middle] = [(to_mm - from_mm) / 2, (to_mm + from_mm) / 2];
  const fibres = nodes.map(({ at }) => fibreAt(line, middle + half * at, edge_mm));
  const summed = (of: (fibre: Fibre) => number): number =>
    half * fibres.reduce((sum, fibre, index) => sum + (nodes[index]?.weight ?? 0) * of(fibre), 0);
  const apart = summed((own) => own.turned - own.turnedByArea);
  const gathered = summed((own) => Math.abs(own.turned));
  const strains = fibres.map(({ strain }) => strain);
  return {
    surplus_mm: summed(({ strain }) => strain),
    strainMiddle: fibreAt(line, 0, edge_mm).strain,
    strainMost: Math.max(...strains),
    strainLeast: Math.min(...strains),
    from_mm,
    to_mm,
    fibres,
    residual: gathered === 0 ? 0 : Math.abs(apart) / gathered,
  };
}

/** Both edges at once. */
export interface Surplus {
  readonly line: FilmLine;
  readonly top: EdgeSurplus;
  readonly bottom: EdgeSurplus;
}

/** What a line at a height asks for above and below. */
export function surplusOf(patch: CurvedPatch, at_mm: number, ends?: PaneEnds): Surplus {
  const line = filmLine(patch, at_mm);
  return {
    line,
    top: surplusOn(line, patch.halfHeight_mm, ends?.top),
    bottom: surplusOn(line, -patch.halfHeight_mm, ends?.bottom),
  };
}

const BALANCED_MM = 1e-4;
const ROUNDS = 30;

/**
 * The height of the line that leaves as much above as below, mm upwards from the middle: the root of the
 * difference by the method of Illinois. Undefined: all of it lies to one side, as on glass that is flat.
 */
export function balancedLine(patch: CurvedPatch, ends?: PaneEnds): number | undefined {
  const off = (at_mm: number): number => {
    const { top, bottom } = surplusOf(patch, at_mm, ends);
    return top.surplus_mm - bottom.surplus_mm;
  };
  const most = 0.9 * patch.halfHeight_mm;
  let [a, b] = [-most, most];
  let [fa, fb] = [off(a), off(b)];
  if (fa * fb > 0 || fa === fb) return undefined;
  for (let round = 0; round < ROUNDS && Math.abs(b - a) > BALANCED_MM; round += 1) {
    const at = b - (fb * (b - a)) / (fb - fa);
    const value = off(at);
    if (value * fb < 0) [a, fa] = [b, fb];
    else fa /= 2;
    [b, fb] = [at, value];
    if (Math.abs(value) < 1e-9) break;
  }
  return b;
}
