import type { MeasurePoint, SeenFrom } from '@yellow-pane/core/job';
import {
  type Bounds,
  type Figure,
  type MeasureSlot,
  type Outline,
  type Point,
  mirrorOf,
  outlineBounds,
} from '@yellow-pane/core/measure';

export interface Box {
  readonly width: number;
  readonly height: number;
  /** Room for dimension lines and fields on each side. */
  readonly marginX: number;
  readonly marginY: number;
}

/** A figure laid on the sheet: pixels, to scale and centred. */
export interface Drawing {
  readonly outline: Outline;
  readonly points: Readonly<Record<MeasurePoint, Point>>;
  readonly scale: number;
  readonly at: (point: Point) => Point;
  /** Back from the sheet to millimetres of the surface, as seen from its own side. */
  readonly from: (point: Point) => Point;
}

type DrawnMeasure = Pick<MeasureSlot, 'kind' | 'from' | 'to'> & {
  readonly slot: MeasureSlot | undefined;
};

/** How far dimension lines stand off, in pixels. */
const HEIGHT_STAND_OFF = 54;
const WIDTH_STAND_OFF = 26;
const ALONG_STAND_OFF = 30;
const SAG_INSET = 34;
/** A drawing narrower than this has its rings' fields beside it. */
const NARROW = 220;
const OTHER_SHARES = [0.5, 0.2, 0.8, 0.35, 0.65, 0.1, 0.9];

/** From which side left and right of a surface are meant, and from which it is looked at. */
export interface Sides {
  readonly seenFrom: SeenFrom;
  readonly lookFrom: SeenFrom;
}

/** Lays a figure on the sheet, mirrored when it is looked at from its other side. */
export function drawingOf(figure: Figure, box: Box, { seenFrom, lookFrom }: Sides): Drawing {
  const shape = figure.standing ?? figure.outline;
  const { left, top, width, height } = outlineBounds(shape);
  const scale = Math.min(
    (box.width - 2 * box.marginX) / Math.max(width, 1),
    (box.height - 2 * box.marginY) / Math.max(height, 1),
  );
  const offset = { x: (box.width - width * scale) / 2, y: (box.height - height * scale) / 2 };
  const turned = seenFrom === lookFrom ? (point: Point): Point => point : mirrorOf(shape);
  const at = (point: Point): Point => {
    const { x, y } = turned(point);
    return { x: offset.x + (x - left) * scale, y: offset.y + (y - top) * scale };
  };
  const from = ({ x, y }: Point): Point =>
    turned({ x: left + (x - offset.x) / scale, y: top + (y - offset.y) / scale });
  return {
    outline: shape.map(at),
    points: Object.fromEntries(Object.entries(figure.points).map(([name, point]) => [name, at(point)])),
    scale,
    at,
    from,
  };
}

/** Where a measure is drawn: its field, and its line where it has one. */
export interface Place {
  readonly field: Point;
  readonly line: readonly [Point, Point] | undefined;
  readonly isInner: boolean;
}

/** A place on a sheet that others are on; without a field where there is no room for it. */
type PlaceOnSheet = Omit<Place, 'field'> & { readonly field: Point | undefined };

/** A measure between two points of the drawing. */
interface Between {
  readonly measure: DrawnMeasure;
  readonly p: Point;
  readonly q: Point;
  readonly bounds: Bounds;
  readonly middle: Point;
  /** Along its line, from the first point. */
  readonly share: number;
}

/**
 * The line of a measure and where its field sits: outside for outer ones, in rows of their own for inner
 * ones, so that none cover each other.
 */
export function placeOf(
  measure: DrawnMeasure,
  { points, outline }: Drawing,
  share = measure.slot?.share ?? 0.72,
): Place | undefined {
  const bounds = outlineBounds(outline);
  const middle = { x: bounds.left + bounds.width / 2, y: bounds.top + bounds.height / 2 };
  const [p, q] = [points[measure.from], points[measure.to]];
  if (p === undefined || q === undefined || measure.slot?.lies === 'beside') return undefined;
  const own: Between = { measure, p, q, bounds, middle, share };
  const lies = measure.slot?.lies ?? 'inside';
  if (lies === 'top') return level(own, Math.min(bounds.top, p.y, q.y) - WIDTH_STAND_OFF);
  if (lies === 'bottom') return level(own, Math.max(p.y, q.y) + WIDTH_STAND_OFF);
  if (measure.kind === 'circumference') return ring(own);
  if (lies === 'left' || lies === 'right') return upright(own, lies);
  if (lies === 'along') return alongSide(own);
  return inside(own);
}

/** Over or under the drawing, as wide as what it measures. */
function level({ p, q, bounds }: Between, y: number): Place {
  const [left, right] = p.x === q.x ? [bounds.left, bounds.left + bounds.width] : [p.x, q.x];
  return {
    field: { x: (p.x + q.x) / 2, y },
    line: [
      { x: left, y },
      { x: right, y },
    ],
    isInner: false,
  };
}

/** Round a column: beside it where it is too narrow for a field. */
function ring({ p, bounds }: Between): Place {
  return {
    field: bounds.width < NARROW ? { x: bounds.left + bounds.width + HEIGHT_STAND_OFF, y: p.y } : p,
    line: [
      { x: bounds.left, y: p.y },
      { x: bounds.left + bounds.width, y: p.y },
    ],
    isInner: true,
  };
}

/** Left or right of the drawing, on the side where it lies as one looks. */
function upright({ measure, p, q, bounds, middle }: Between, lies: 'left' | 'right'): Place {
  const isLeft = (p.x + q.x) / 2 <= middle.x === (lies === 'left') ? lies === 'left' : lies !== 'left';
  const isOfSide = measure.kind === 'distance' && measure.slot?.group === 'side';
  const x = isLeft
    ? Math.min(p.x, q.x, bounds.left + (isOfSide ? bounds.width : 0)) - HEIGHT_STAND_OFF
    : Math.max(p.x, q.x) + HEIGHT_STAND_OFF;
  return {
    field: { x, y: (p.y + q.y) / 2 },
    line: [
      { x, y: p.y },
      { x, y: q.y },
    ],
    isInner: false,
  };
}

/** Off a leaning side, outwards. */
function alongSide({ p, q, middle, share }: Between): Place {
  const [dx, dy] = [q.x - p.x, q.y - p.y];
  const length = Math.max(Math.hypot(dx, dy), 1);
  const centre = between(p, q, share);
  const normal = { x: dy / length, y: -dx / length };
  const sign = (centre.x - middle.x) * normal.x + (centre.y - middle.y) * normal.y >= 0 ? 1 : -1;
  const off = { x: normal.x * sign * ALONG_STAND_OFF, y: normal.y * sign * ALONG_STAND_OFF };
  return { field: { x: centre.x + off.x * 1.5, y: centre.y + off.y }, line: undefined, isInner: false };
}

/** On its own line; a sag beside it, towards the middle. */
function inside({ measure, p, q, middle, share }: Between): Place {
  const on = between(p, q, share);
  if (measure.kind !== 'sag') return { field: on, line: [p, q], isInner: true };
  const towards = { x: Math.sign(Math.round(middle.x - on.x)), y: Math.sign(Math.round(middle.y - on.y)) };
  const isUpright = Math.abs(q.x - p.x) < Math.abs(q.y - p.y);
  const inset = isUpright ? { x: towards.x * (SAG_INSET + 18), y: 0 } : { x: 0, y: towards.y * SAG_INSET };
  return { field: { x: on.x + inset.x, y: on.y + inset.y }, line: [p, q], isInner: true };
}

/** The sheet fields are put on, and how large they are there. */
export interface FieldSheet {
  readonly width: number;
  readonly height: number;
  readonly field: { readonly width: number; readonly height: number };
}

/**
 * Places of all measures, within the sheet. An inner one that would cover another slides along its own line
 * to where it is free; what finds no room keeps its line alone, and its field belongs beside the drawing.
 */
export function placesOf(
  measures: readonly DrawnMeasure[],
  drawing: Drawing,
  sheet: FieldSheet,
): readonly (PlaceOnSheet | undefined)[] {
  const { field } = sheet;
  const taken: Point[] = [];
  const isFree = ({ x, y }: Point): boolean =>
    taken.every((other) => Math.abs(other.x - x) >= field.width || Math.abs(other.y - y) >= field.height);
  const settle = (tries: readonly Place[]): PlaceOnSheet | undefined => {
    const within = tries.map((place) => ({ ...place, field: clamped(place.field, sheet) }));
    const free = within.find((place) => isFree(place.field));
    if (free !== undefined) taken.push(free.field);
    const [first] = within;
    return free ?? (first === undefined ? undefined : { ...first, field: undefined });
  };
  const outer = measures.map((measure) => {
    const place = placeOf(measure, drawing);
    return place === undefined || place.isInner ? undefined : settle([place]);
  });
  return measures.map((measure, index) => {
    const tries = [undefined, ...OTHER_SHARES].map((share) => placeOf(measure, drawing, share));
    return outer[index] ?? settle(tries.filter((place) => place !== undefined));
  });
}

function clamped({ x, y }: Point, { width, height, field }: FieldSheet): Point {
  const [halfWidth, halfHeight] = [field.width / 2, field.height / 2];
  return {
    x: Math.min(width - halfWidth, Math.max(halfWidth, x)),
    y: Math.min(height - halfHeight, Math.max(halfHeight, y)),
  };
}

export function between(from: Point, to: Point, share: number): Point {
  return { x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share };
}

export function pathOf(outline: Outline): string {
  return outline.length === 0
    ? ''
    : `M${outline.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`;
}
