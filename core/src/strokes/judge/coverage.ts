import { floatAt, intAt, valueAt } from '../../quantity';
import { type Face, type Spot, areaOfFace } from '../face';
import { type Stroke, sweptBy } from '../stroke';

/** A place no blade goes over: a line, a corner. */
interface Gap {
  readonly area_mm2: number;
  /** Trapezoids it is made of. */
  readonly pieces: readonly (readonly Spot[])[];
  /** Its greatest extent. */
  readonly length_mm: number;
  readonly at: Spot;
}

export interface Coverage {
  readonly area_mm2: number;
  readonly share: number;
  /** Gone over by more than one stroke. */
  readonly twice: number;
  readonly gaps: readonly Gap[];
}

/** Sides that are not level, of the face and of what strokes sweep. */
interface Sides {
  readonly count: number;
  readonly x0: Float64Array;
  readonly y0: Float64Array;
  readonly y1: Float64Array;
  readonly slope: Float64Array;
  /** Of which swept piece; -1: of the face. */
  readonly piece: Int32Array;
}

/** Thinner slabs have no height a double can halve, mm. */
const THIN_MM = 1e-9;
/** Narrower gaps are rounding, mm. */
const NOTHING_MM = 1e-7;

/**
 * The share of a face that strokes go over, the share they go over more than once, and what is left. Exact:
 * all heights at which sides end or cross cut the plane into slabs, in which the width that is covered
 * changes evenly.
 */
export function coverageOf(face: Face, strokes: readonly Stroke[]): Coverage {
  const area_mm2 = areaOfFace(face);
  const pieces = strokes.flatMap((stroke, index) =>
    sweptBy(stroke).map((corners) => ({ corners, stroke: index })),
  );
  const sides = sidesAbove([
    ...face.rings.map((corners) => ({ corners, piece: -1 })),
    ...pieces.map(({ corners }, piece) => ({ corners, piece })),
  ]);
  const strokeOf = Int32Array.from(pieces.map(({ stroke }) => stroke));
  const sweep = sweptSlabs(sides, heightsOf(sides, face), strokeOf, strokes.length);
  return {
    area_mm2,
    share: area_mm2 > 0 ? sweep.once / area_mm2 : 0,
    twice: area_mm2 > 0 ? sweep.twice / area_mm2 : 0,
    gaps: gapsOf(sweep.bare),
  };
}

function sidesAbove(shapes: readonly { readonly corners: readonly Spot[]; readonly piece: number }[]): Sides {
  const most = shapes.reduce((sum, { corners }) => sum + corners.length, 0);
  const [x0, y0, y1, slope] = [0, 1, 2, 3].map(() => new Float64Array(most)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  const piece = new Int32Array(most);
  let count = 0;
  for (const shape of shapes) {
    shape.corners.forEach((a, index) => {
      const b = shape.corners[(index + 1) % shape.corners.length] ?? a;
      const [low, high] = a.y < b.y ? [a, b] : [b, a];
      if (high.y - low.y < NOTHING_MM) return;
      x0[count] = low.x;
      y0[count] = low.y;
      y1[count] = high.y;
      slope[count] = (high.x - low.x) / (high.y - low.y);
      piece[count] = shape.piece;
      count += 1;
    });
  }
  return { count, x0, y0, y1, slope, piece };
}

/** The sides from the lowest foot up. */
function sidesByFoot({ count, y0 }: Sides): Int32Array {
  return Int32Array.from({ length: count }, (_, side) => side).sort(
    (a, b) => floatAt(y0, a) - floatAt(y0, b),
  );
}

/** All heights at which a side begins, ends or crosses another, over the height of the face. */
function heightsOf(sides: Sides, { rings }: Face): Float64Array {
  const { count, x0, y0, y1, slope, piece } = sides;
  const corners = rings.flat();
  const bottom = corners.reduce((least, { y }) => Math.min(least, y), Infinity);
  const top = corners.reduce((most, { y }) => Math.max(most, y), -Infinity);
  const heights: number[] = [bottom, top];
  const byFoot = sidesByFoot(sides);
  for (let m = 0; m < count; m += 1) {
    const a = intAt(byFoot, m);
    const [footA, topA, slopeA, xA] = [floatAt(y0, a), floatAt(y1, a), floatAt(slope, a), floatAt(x0, a)];
    heights.push(footA, topA);
    for (let n = m + 1; n < count; n += 1) {
      const b = intAt(byFoot, n);
      const footB = floatAt(y0, b);
      if (footB >= topA) break;
      const slopeB = floatAt(slope, b);
      if (slopeA === slopeB || (piece[a] === piece[b] && piece[a] !== -1)) continue;
      // Both as lines over y: x = x0 + slope (y - y0).
      const at = (floatAt(x0, b) - xA + slopeA * footA - slopeB * footB) / (slopeA - slopeB);
      if (at > footB && at < topA && at < floatAt(y1, b)) heights.push(at);
    }
  }
  return Float64Array.from(heights.filter((y) => y >= bottom && y <= top)).sort();
}

/** Film no blade goes over, between two heights: its left and right at both. */
interface Bare {
  readonly y0: number;
  readonly y1: number;
  readonly left0: number;
  readonly left1: number;
  readonly right0: number;
  readonly right1: number;
}

interface Sweep {
  readonly once: number;
  readonly twice: number;
  readonly bare: readonly Bare[];
}

function sweptSlabs(sides: Sides, heights: Float64Array, strokeOf: Int32Array, strokes: number): Sweep {
  const { count, x0, y0, y1, slope, piece } = sides;
  const byFoot = sidesByFoot(sides);
  const active: number[] = [];
  const middle = new Float64Array(count);
  const isInPiece = new Uint8Array(strokeOf.length);
  const over = new Int32Array(strokes);
  const bare: Bare[] = [];
  const xAt = (side: number, y: number): number =>
    floatAt(x0, side) + floatAt(slope, side) * (y - floatAt(y0, side));
  let [once, twice, next] = [0, 0, 0];
  for (let slab = 0; slab + 1 < heights.length; slab += 1) {
    const [low, high] = [floatAt(heights, slab), floatAt(heights, slab + 1)];
    const thick = high - low;
    const y = low + thick / 2;
    for (; next < count && floatAt(y0, intAt(byFoot, next)) < y; next += 1) active.push(intAt(byFoot, next));
    let kept = 0;
    for (const side of active) {
      if (floatAt(y1, side) <= y) continue;
      middle[side] = xAt(side, y);
      active[kept] = side;
      kept += 1;
    }
    active.length = kept;
    if (thick < THIN_MM) continue;
    insertionSort(active, middle);
    let [isFace, pressed, since, opened] = [false, 0, 0, -1];
    for (const side of active) {
      const x = floatAt(middle, side);
      if (isFace && pressed > 0) once += thick * (x - since);
      if (isFace && pressed > 1) twice += thick * (x - since);
      if (isFace && pressed === 0 && opened >= 0 && x - since > NOTHING_MM) {
        bare.push({
          y0: low,
          y1: high,
          left0: xAt(opened, low),
          left1: xAt(opened, high),
          right0: xAt(side, low),
          right1: xAt(side, high),
        });
      }
      const own = piece[side] ?? -1;
      if (own === -1) isFace = !isFace;
      else {
        const stroke = intAt(strokeOf, own);
        const isIn = isInPiece[own] === 0;
        isInPiece[own] = isIn ? 1 : 0;
        const was = intAt(over, stroke);
        over[stroke] = was + (isIn ? 1 : -1);
        if (isIn && was === 0) pressed += 1;
        if (!isIn && was === 1) pressed -= 1;
      }
      since = x;
      opened = side;
    }
  }
  return { once, twice, bare };
}

/** Few change places from one slab to the next. */
function insertionSort(active: number[], by: Float64Array): void {
  for (let at = 1; at < active.length; at += 1) {
    const side = valueAt(active, at);
    const x = floatAt(by, side);
    let to = at - 1;
    while (to >= 0 && floatAt(by, valueAt(active, to)) > x) {
      active[to + 1] = valueAt(active, to);
      to -= 1;
    }
    active[to + 1] = side;
  }
}

/** Bare film that hangs together is one gap; the largest first. */
function gapsOf(bare: readonly Bare[]): readonly Gap[] {
  const parent = bare.map((_, index) => index);
  const root = (at: number): number => {
    let own = at;
    while (parent[own] !== own) own = parent[own] ?? own;
    return own;
  };
  const byFoot = new Map<number, number[]>();
  bare.forEach(({ y0 }, index) => byFoot.set(y0, [...(byFoot.get(y0) ?? []), index]));
  bare.forEach((below, index) => {
    for (const other of byFoot.get(below.y1) ?? []) {
      const above = bare[other];
      if (above === undefined) continue;
      if (Math.min(below.right1, above.right0) - Math.max(below.left1, above.left0) > NOTHING_MM)
        parent[root(index)] = root(other);
    }
  });
  const groups = new Map<number, Bare[]>();
  bare.forEach((own, index) => groups.set(root(index), [...(groups.get(root(index)) ?? []), own]));
  return [...groups.values()].map(gapOf).toSorted((a, b) => b.area_mm2 - a.area_mm2);
}

const areaOfBare = ({ y0, y1, left0, left1, right0, right1 }: Bare): number =>
  ((y1 - y0) * (right0 - left0 + right1 - left1)) / 2;

function gapOf(own: readonly Bare[]): Gap {
  const largest = own.reduce((best, piece) => (areaOfBare(piece) > areaOfBare(best) ? piece : best));
  const left = Math.min(...own.flatMap(({ left0, left1 }) => [left0, left1]));
  const right = Math.max(...own.flatMap(({ right0, right1 }) => [right0, right1]));
  const [bottom, top] = [Math.min(...own.map(({ y0 }) => y0)), Math.max(...own.map(({ y1 }) => y1))];
  return {
    area_mm2: own.reduce((sum, piece) => sum + areaOfBare(piece), 0),
    pieces: own.map(({ y0, y1, left0, left1, right0, right1 }) => [
      { x: left0, y: y0 },
      { x: right0, y: y0 },
      { x: right1, y: y1 },
      { x: left1, y: y1 },
    ]),
    length_mm: Math.hypot(right - left, top - bottom),
    at: {
      x: (largest.left0 + largest.left1 + largest.right0 + largest.right1) / 4,
      y: (largest.y0 + largest.y1) / 2,
    },
  };
}
