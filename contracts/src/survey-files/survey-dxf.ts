import { type Outline, type Point, areaOf, isSimple, outlineBounds } from '@yellow-pane/core/measure';
import { DxfWriter, LWPolylineFlags, Units, point2d, point3d } from '@tarikjabiri/dxf';
import DxfParser, { type IEntity } from 'dxf-parser';
import {
  type BroughtIn,
  type BroughtLine,
  type BroughtMeasure,
  type BroughtSurface,
  LARGEST_TEXT,
  refusedWhole,
  withTagFaults,
} from './brought-in';
import { ownComments, readOwn } from './own-dxf';

export interface DrawnSurface {
  readonly tag: string;
  readonly outline: Outline;
  readonly openings: readonly Outline[];
  /** The surface itself, so that the program reads its own drawing back just as it was. */
  readonly own?: BroughtSurface | undefined;
}

const GAP_MM = 200;

/** Outlines side by side in millimetres, seen from outside or side A: layers PANE, OPENING and LABEL. */
export function surveyDxf(surfaces: readonly DrawnSurface[]): string {
  const drawing = new DxfWriter();
  drawing.setUnits(Units.Millimeters);
  drawing.addLayer('PANE', 7, 'Continuous');
  drawing.addLayer('OPENING', 3, 'Continuous');
  drawing.addLayer('LABEL', 5, 'Continuous');
  let left = 0;
  for (const { tag, outline, openings } of surfaces) {
    const bounds = outlineBounds(outline);
    const at = ({ x, y }: Point): { readonly point: ReturnType<typeof point2d> } => ({
      point: point2d(left + x - bounds.left, bounds.height - (y - bounds.top)),
    });
    drawing.addLWPolyline(outline.map(at), { flags: LWPolylineFlags.Closed, layerName: 'PANE' });
    for (const opening of openings)
      drawing.addLWPolyline(opening.map(at), { flags: LWPolylineFlags.Closed, layerName: 'OPENING' });
    drawing.addText(point3d(left, -60, 0), 40, escaped(tag), { layerName: 'LABEL' });
    left += bounds.width + GAP_MM;
  }
  return ownComments(surfaces) + drawing.stringify();
}

/** Line ends would begin a new group in the file. */
function escaped(text: string): string {
  return text
    .replace(/\p{Cc}/gu, ' ')
    .replace(/%%/g, '% %')
    .slice(0, 200);
}

export type DrawingUnit = 'mm' | 'cm' | 'm' | 'in' | 'ft';
const UNIT_MM: Readonly<Record<DrawingUnit, number>> = { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8 };
const INSUNITS: Readonly<Record<number, DrawingUnit>> = { 1: 'in', 2: 'ft', 4: 'mm', 5: 'cm', 6: 'm' };
const MOST_ENTITIES = 20_000;
const MOST_OUTLINES = 2000;
const MOST_CORNERS = 24;
const JOIN_MM = 0.5;
const REFUSED_KINDS: Readonly<Record<string, string>> = {
  SPLINE: 'splines',
  INSERT: 'blocks',
  ELLIPSE: 'ellipses',
  '3DFACE': '3D faces',
  SOLID: 'filled areas',
  HATCH: 'hatches',
  MTEXT: '',
  TEXT: '',
  DIMENSION: '',
  POINT: '',
  ATTDEF: '',
  ATTRIB: '',
  VIEWPORT: '',
};

export interface DxfOptions {
  /** When the file does not say, or says wrong. */
  readonly unit?: DrawingUnit | undefined;
  /** Drawing units times this are true size. */
  readonly scale?: number | undefined;
  readonly takenTags: ReadonlySet<string>;
  /** From which side it is drawn: only the person knows. */
  readonly drawnFrom?: BroughtSurface['seenFrom'] | undefined;
}

type Curve = { readonly points: readonly Point[]; readonly isClosed: boolean };

/**
 * Reads outlines of panes and of pre-cut patterns: closed polylines, circles, and lines and arcs that join
 * up. Never throws. Splines and blocks are refused by name; arcs are given by straight sides, and how far off
 * that is.
 */
export function readSurveyDxf(
  text: string,
  { unit, scale = 1, takenTags, drawnFrom }: DxfOptions,
): BroughtIn {
  if (text.length > 2 * LARGEST_TEXT)
    return refusedWhole(
      `This drawing has ${(text.length / 1e6).toFixed(1)} million characters; the most is ${(2 * LARGEST_TEXT) / 1e6} million.`,
    );
  const drawing = parsed(text);
  if (drawing === undefined) return refusedWhole('This is not a drawing in DXF text form, or it breaks off.');
  const { entities } = drawing;
  if (entities.length > MOST_ENTITIES)
    return refusedWhole(`This drawing has ${entities.length} parts; the most is ${MOST_ENTITIES}.`);
  const said = INSUNITS[Number(drawing.header?.['$INSUNITS'] ?? 0)];
  const used = unit ?? said;
  if (used === undefined)
    return {
      lines: [],
      refused: undefined,
      asks: ['drawing unit'],
      notes: ['The drawing does not say in which unit it is.'],
    };
  const factor = UNIT_MM[used] * scale;
  const own = readOwn(text, unit === undefined && scale === 1 ? panesOf(entities, factor) : []);
  if (own.surfaces !== undefined)
    return {
      lines: withTagFaults(
        own.surfaces.map((surface, index) => ({ line: index + 1, surface, faults: [] })),
        takenTags,
      ),
      refused: undefined,
      asks: [],
      notes: ['This drawing came out of the program: its surfaces are taken as they were.'],
    };
  const seenFrom = own.isOurs ? 'outside' : drawnFrom;
  const counts = new Map<string, number>();
  let arcError = 0;
  const curves = entities.flatMap((entity): Curve[] => {
    const curve = curveOf(entity, factor, (off) => {
      arcError = Math.max(arcError, off);
    });
    if (curve === undefined) counts.set(entity.type, (counts.get(entity.type) ?? 0) + 1);
    return curve === undefined ? [] : [curve];
  });
  const circles = entities.flatMap((entity): { readonly centre: Point; readonly radius: number }[] => {
    const { type, center, radius } = entity as unknown as {
      readonly type: string;
      readonly center?: Point;
      readonly radius?: number;
    };
    return type === 'CIRCLE' && center !== undefined && Number.isFinite(radius) && (radius ?? 0) > 0
      ? [{ centre: center, radius: (radius ?? 0) * factor }]
      : [];
  });
  const { outlines, loose } = closedOutlines(curves);
  if (outlines.length + circles.length > MOST_OUTLINES)
    return refusedWhole(
      `This drawing has ${outlines.length + circles.length} outlines; the most is ${MOST_OUTLINES}.`,
    );
  const refused = [...counts].flatMap(([type, count]) => {
    const word = REFUSED_KINDS[type] ?? type;
    return type === 'CIRCLE' || word === '' ? [] : [`${count} ${word}`];
  });
  const lines: BroughtLine[] = [
    ...outlines.map((outline, index) =>
      lineOf(index + 1, polygonSurface(`D${index + 1}`, outline, seenFrom)),
    ),
    ...circles.map(({ radius }, index) =>
      lineOf(outlines.length + index + 1, {
        ...EMPTY,
        seenFrom: seenFrom ?? 'room',
        tag: `D${outlines.length + index + 1}`,
        shape: 'round' as const,
        measures: [distance('ml', 'mr', 2 * radius), distance('mt', 'mb', 2 * radius)],
      }),
    ),
  ];
  const notes = [
    ...(said !== undefined && unit !== undefined && said !== unit
      ? [`The drawing says ${said}; taken as ${unit}.`]
      : [`Drawing unit: ${used}${scale === 1 ? '' : `, times ${scale}`}.`]),
    ...(refused.length === 0
      ? []
      : [`Left out: ${refused.join(', ')}. Draw them as lines, polylines, arcs or circles.`]),
    ...(loose === 0 ? [] : [`${loose} ${loose === 1 ? 'line does' : 'lines do'} not close to an outline.`]),
    ...(arcError > 0.05 ? [`Arcs are given by straight sides, at most ${arcError.toFixed(1)} mm off.`] : []),
  ];
  if (lines.length === 0)
    return {
      lines,
      refused: `No closed outline in this drawing.${refused.length === 0 ? '' : ` It has ${refused.join(', ')}, which cannot be read.`}`,
      asks: [],
      notes,
    };
  return {
    lines: withTagFaults(lines, takenTags),
    refused: undefined,
    asks: seenFrom === undefined ? ['drawn from'] : [],
    notes: [...notes, ...(seenFrom === undefined ? [] : [`Taken as drawn seen from ${seenFrom}.`])],
  };
}

function parsed(
  text: string,
):
  { readonly entities: readonly IEntity[]; readonly header?: Readonly<Record<string, unknown>> } | undefined {
  try {
    const drawing = new DxfParser().parseSync(text);
    return drawing === null || !Array.isArray(drawing.entities) ? undefined : drawing;
  } catch {
    return undefined;
  }
}

/** Outlines of the layer our own drawings have their panes on, in their order. */
function panesOf(entities: readonly IEntity[], factor: number): readonly Outline[] {
  return entities.flatMap((entity) => {
    const curve = entity.layer === 'PANE' ? curveOf(entity, factor, () => undefined) : undefined;
    return curve === undefined ? [] : [curve.points];
  });
}

interface Vertex extends Point {
  readonly bulge?: number;
}

function curveOf(entity: IEntity, factor: number, tellError: (off_mm: number) => void): Curve | undefined {
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
  tellError: (off_mm: number) => void,
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
  tellError: (off_mm: number) => void,
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
function closedOutlines(curves: readonly Curve[]): {
  readonly outlines: readonly Outline[];
  readonly loose: number;
} {
  const outlines = curves.filter(({ isClosed }) => isClosed).map(({ points }) => points);
  const open = curves.filter(({ isClosed }) => !isClosed).map(({ points }) => [...points]);
  let loose = 0;
  const meets = (a: Point | undefined, b: Point | undefined): boolean =>
    a !== undefined && b !== undefined && Math.hypot(a.x - b.x, a.y - b.y) < JOIN_MM;
  while (open.length > 0) {
    const chain = open.pop() ?? [];
    for (let isGrowing = true; isGrowing && !meets(chain[0], chain.at(-1));) {
      const at = open.findIndex((next) => meets(chain.at(-1), next[0]) || meets(chain.at(-1), next.at(-1)));
      const [next] = at < 0 ? [] : open.splice(at, 1);
      if (next === undefined) isGrowing = false;
      else chain.push(...(meets(chain.at(-1), next[0]) ? next : next.reverse()).slice(1));
    }
    if (chain.length > 3 && meets(chain[0], chain.at(-1))) outlines.push(chain.slice(0, -1));
    else loose += 1;
  }
  return { outlines: outlines.map(tidied).filter((outline) => outline.length >= 3), loose };
}

/** Clockwise from the upper left, without corners that turn by nothing. */
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
  return [...turning.slice(start), ...turning.slice(0, start)].map(({ x, y }) => ({
    x: x - left,
    y: y - top,
  }));
}

const EMPTY: BroughtSurface = {
  tag: '',
  name: 'from a drawing',
  place: '',
  kind: 'pane',
  shape: 'four sides',
  corners: null,
  seenFrom: 'room',
  remark: '',
  measures: [],
};
/** A drawing is exact as far as it is true: half a millimetre. */
const DRAWN_SD_NM = 500_000;

function distance(from: string, to: string, value_mm: number): BroughtMeasure {
  const tenth = Math.round(value_mm * 10) / 10;
  return {
    kind: 'distance',
    from,
    to,
    text: `${tenth} mm`,
    unit: 'mm',
    value_nm: Math.round(tenth * 1e6),
    instrument: 'tape',
    sd_nm: DRAWN_SD_NM,
  };
}

function polygonSurface(
  tag: string,
  outline: Outline,
  seenFrom: BroughtSurface['seenFrom'] = 'room',
): BroughtSurface {
  const span = (a: number, b: number): number =>
    Math.hypot((outline[a]?.x ?? 0) - (outline[b]?.x ?? 0), (outline[a]?.y ?? 0) - (outline[b]?.y ?? 0));
  const count = outline.length;
  if (count === 4 && isSimple(outline))
    return {
      ...EMPTY,
      seenFrom,
      tag,
      measures: [
        distance('tl', 'tr', span(0, 1)),
        distance('bl', 'br', span(3, 2)),
        distance('tl', 'bl', span(0, 3)),
        distance('tr', 'br', span(1, 2)),
        distance('tl', 'br', span(0, 2)),
        distance('bl', 'tr', span(3, 1)),
      ],
    };
  const pairs: [number, number][] = [];
  for (let a = 0; a < count; a += 1) pairs.push([a, (a + 1) % count]);
  for (let b = 2; b < count - 1; b += 1) pairs.push([0, b]);
  for (let b = 3; b < count; b += 1) pairs.push([1, b]);
  return {
    ...EMPTY,
    seenFrom,
    tag,
    shape: 'many sides',
    corners: count,
    measures: pairs.map(([a, b]) => distance(`p${a + 1}`, `p${b + 1}`, span(a, b))),
  };
}

function lineOf(line: number, surface: BroughtSurface): BroughtLine {
  const faults: BroughtLine['faults'][number][] = [];
  if ((surface.corners ?? 0) > MOST_CORNERS)
    faults.push({ column: 'outline', says: `${surface.corners ?? 0} corners; the most is ${MOST_CORNERS}` });
  if (surface.measures.some(({ value_nm }) => value_nm > 60_000 * 1e6))
    faults.push({ column: 'outline', says: 'larger than 60 m: another unit or scale?' });
  if (surface.measures.some(({ value_nm }) => value_nm < 1e6))
    faults.push({ column: 'outline', says: 'a side shorter than 1 mm: another unit or scale?' });
  return { line, surface, faults };
}
