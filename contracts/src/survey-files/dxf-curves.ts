import { type Outline, type Point, areaOf, outlineBounds } from '@yellow-pane/core/measure';
import type { IEntity } from 'dxf-parser';
import type { DrawingPart } from './drawing-parts';

const JOIN_MM = 0.5;

export type Curve = {
  readonly points: readonly Point[];
  readonly isClosed: boolean;
  readonly layer: string;
};

/** A closed outline with the layer it is on, where it lies in the drawing. */
export interface PlacedOutline {
  readonly outline: Outline;
  readonly layer: string;
}

/** What tells how far a side lies off the arc it stands for, mm. */
type TellError = (off_mm: number) => void;

interface Vertex extends Point {
  readonly bulge?: number;
}

/** A part as a curve in millimetres, y down, where it is placed; undefined: it is none. */
export function placedCurve(
  { entity, layer, place }: Pick<DrawingPart, 'entity' | 'layer' | 'place'>,
  factor: number,
  tellError: TellError,
): Curve | undefined {
  const curve = curveOf(entity, 1, (off) => {
    tellError(off * factor);
  });
  if (curve === undefined) return undefined;
  const points = curve.points.map(({ x, y }) => {
    const placed = place({ x, y: -y });
    return { x: placed.x * factor, y: -placed.y * factor };
  });
  return { points, isClosed: curve.isClosed, layer };
}

/** An entity as a curve in millimetres, y down; undefined: it is none. */
export function curveOf(
  entity: IEntity,
  factor: number,
  tellError: TellError,
): Omit<Curve, 'layer'> | undefined {
  const { type, vertices, shape, closed, startPoint, endPoint, center, radius, startAngle, endAngle } =
    entity as unknown as {
      readonly type: string;
      readonly vertices?: readonly Vertex[];
      readonly shape?: boolean;
      readonly closed?: boolean;
      readonly startPoint?: Point;
      readonly endPoint?: Point;
      readonly center?: Point;
      readonly radius?: number;
      readonly startAngle?: number;
      readonly endAngle?: number;
    };
  const scaled = ({ x, y }: Point): Point => ({ x: x * factor, y: -y * factor });
  const finite = (points: readonly Point[]): boolean =>
    points.every(({ x, y }) => Number.isFinite(x) && Number.isFinite(y));
  if (type === 'LINE') {
    const [a, b] = vertices?.length === 2 ? vertices : [startPoint, endPoint];
    return a === undefined || b === undefined || !finite([a, b])
      ? undefined
      : { points: [a, b].map(scaled), isClosed: false };
  }
  if (type === 'LWPOLYLINE' || type === 'POLYLINE') {
    if (vertices === undefined || vertices.length < 2 || !finite(vertices)) return undefined;
    const isClosed = shape === true || closed === true;
    const pairs = vertices
      .map((vertex, index) => [vertex, vertices[(index + 1) % vertices.length] ?? vertex] as const)
      .slice(0, isClosed ? undefined : -1);
    const points = pairs.flatMap(([from, to]) => bulged(from, to, from.bulge ?? 0, factor, tellError));
    const last = vertices.at(-1);
    return { points: (isClosed || last === undefined ? points : [...points, last]).map(scaled), isClosed };
  }
  if (
    type === 'ARC' &&
    center !== undefined &&
    radius !== undefined &&
    startAngle !== undefined &&
    endAngle !== undefined &&
    finite([center])
  ) {
    const sweep = (((endAngle - startAngle) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI) || 2 * Math.PI;
    return {
      points: swept(center, radius, startAngle, sweep, factor, tellError).map(scaled),
      isClosed: false,
    };
  }
  return undefined;
}

const ARC_SIDES = 12;

function swept(
  centre: Point,
  radius: number,
  from: number,
  sweep: number,
  factor: number,
  tellError: TellError,
): readonly Point[] {
  const sides = Math.max(2, Math.ceil((ARC_SIDES * Math.abs(sweep)) / Math.PI));
  tellError(radius * factor * (1 - Math.cos(Math.abs(sweep) / sides / 2)));
  return Array.from({ length: sides + 1 }, (_, index) => ({
    x: centre.x + radius * Math.cos(from + (sweep * index) / sides),
    y: centre.y + radius * Math.sin(from + (sweep * index) / sides),
  }));
}

/**
 * One side of a polyline, all but its end: straight, or an arc by its bulge (tangent of a quarter of the
 * angle).
 */
function bulged(
  from: Point,
  to: Point,
  bulge: number,
  factor: number,
  tellError: TellError,
): readonly Point[] {
  const chord = Math.hypot(to.x - from.x, to.y - from.y);
  if (Math.abs(bulge) < 1e-9 || chord < 1e-12) return [from];
  const angle = 4 * Math.atan(bulge);
  const radius = chord / (2 * Math.sin(angle / 2));
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  const off = radius * Math.cos(angle / 2);
  const centre = {
    x: middle.x - ((to.y - from.y) / chord) * off,
    y: middle.y + ((to.x - from.x) / chord) * off,
  };
  return swept(
    centre,
    Math.abs(radius),
    Math.atan2(from.y - centre.y, from.x - centre.x),
    angle,
    factor,
    tellError,
  ).slice(0, -1);
}

/** Joins open curves end to end until they close. */
export function closedOutlines(curves: readonly Curve[]): {
  readonly outlines: readonly PlacedOutline[];
  readonly loose: number;
} {
  const outlines = curves
    .filter(({ isClosed }) => isClosed)
    .map(({ points, layer }): PlacedOutline => ({ outline: points, layer }));
  const open = curves
    .filter(({ isClosed }) => !isClosed)
    .map(({ points, layer }) => ({ points: [...points], layer }));
  let loose = 0;
  const meets = (a: Point | undefined, b: Point | undefined): boolean =>
    a !== undefined && b !== undefined && Math.hypot(a.x - b.x, a.y - b.y) < JOIN_MM;
  while (open.length > 0) {
    const { points: chain, layer } = open.pop() ?? { points: [], layer: '' };
    for (let isGrowing = true; isGrowing && !meets(chain[0], chain.at(-1));) {
      const at = open.findIndex(
        ({ points }) => meets(chain.at(-1), points[0]) || meets(chain.at(-1), points.at(-1)),
      );
      const next = at < 0 ? undefined : open.splice(at, 1)[0]?.points;
      if (next === undefined) isGrowing = false;
      else chain.push(...(meets(chain.at(-1), next[0]) ? next : next.reverse()).slice(1));
    }
    if (chain.length > 3 && meets(chain[0], chain.at(-1)))
      outlines.push({ outline: chain.slice(0, -1), layer });
    else loose += 1;
  }
  return {
    outlines: outlines
      .map(({ outline, layer }) => ({ outline: tidied(outline), layer }))
      .filter(({ outline }) => outline.length >= 3),
    loose,
  };
}

/** Clockwise from the upper left, without corners that turn by nothing; where it lies. */
function tidied(points: readonly Point[]): Outline {
  const round = areaOf(points) < 0 ? [...points].reverse() : [...points];
  const turning = round.filter((corner, index) => {
    const [before, after] = [
      round[(index + round.length - 1) % round.length] ?? corner,
      round[(index + 1) % round.length] ?? corner,
    ];
    const longer = Math.max(
      Math.hypot(corner.x - before.x, corner.y - before.y),
      Math.hypot(after.x - corner.x, after.y - corner.y),
      1e-9,
    );
    return (
      Math.hypot(corner.x - before.x, corner.y - before.y) > 1e-6 &&
      Math.abs((corner.x - before.x) * (after.y - corner.y) - (corner.y - before.y) * (after.x - corner.x)) /
        longer >
        0.01
    );
  });
  const { left, top } = outlineBounds(turning);
  const start = turning.reduce((best, { x, y }, index) => {
    const at = turning[best];
    return at !== undefined && x - left + (y - top) < at.x - left + (at.y - top) - 1e-9 ? index : best;
  }, 0);
  return [...turning.slice(start), ...turning.slice(0, start)];
}
