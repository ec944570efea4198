import type { Outline, Point } from '@yellow-pane/core/measure';
import DxfParser, { type IEntity } from 'dxf-parser';
import { type Drawing, type DrawingPart, drawingParts } from './drawing-parts';
import { type DrawnText, drawnTexts, tagsByOutline } from './drawing-texts';
import { outlineQuestions } from './outline-questions';
import {
  type BroughtIn,
  type BroughtLine,
  type BroughtSurface,
  LARGEST_TEXT,
  refusedWhole,
  withTagFaults,
} from './brought-in';
import { lineOf, polygonSurface, roundSurface } from './drawn-surface';
import { type Curve, type PlacedOutline, closedOutlines, curveOf, placedCurve } from './dxf-curves';
import { readOwn } from './own-dxf';

export type DrawingUnit = 'mm' | 'cm' | 'm' | 'in' | 'ft';
const UNIT_MM: Readonly<Record<DrawingUnit, number>> = { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8 };
const INSUNITS: Readonly<Record<number, DrawingUnit>> = { 1: 'in', 2: 'ft', 4: 'mm', 5: 'cm', 6: 'm' };
const MOST_ENTITIES = 20_000;
const MOST_OUTLINES = 2000;
/** What the parser of drawings does not hand on, counted in the text itself. */
const PASSED_OVER: Readonly<Record<string, string>> = {
  HATCH: 'hatches',
  MLINE: 'multiple lines',
  REGION: 'regions',
  '3DSOLID': 'solids',
  IMAGE: 'pictures',
  LEADER: 'leaders',
  MULTILEADER: 'leaders',
  ACAD_TABLE: 'tables',
};
const PASSED_OVER_MARK = new RegExp(
  `(?:^|\\n)[ \\t]*0[ \\t]*\\r?\\n[ \\t]*(${Object.keys(PASSED_OVER).join('|')})[ \\t]*(?=\\r?\\n)`,
  'g',
);

const REFUSED_KINDS: Readonly<Record<string, string>> = {
  SPLINE: 'splines',
  ELLIPSE: 'ellipses',
  '3DFACE': '3D faces',
  SOLID: 'filled areas',
  ...PASSED_OVER,
  MTEXT: '',
  TEXT: '',
  DIMENSION: 'dimensions',
  POINT: 'points',
  ATTDEF: '',
  ATTRIB: '',
  VIEWPORT: '',
};

interface DxfOptions {
  /** When the file does not say, or says wrong. */
  readonly unit?: DrawingUnit | undefined;
  /** Drawing units times this are true size. */
  readonly scale?: number | undefined;
  readonly takenTags: ReadonlySet<string>;
  /** From which side it is drawn: only the person knows. */
  readonly drawnFrom?: BroughtSurface['seenFrom'] | undefined;
}

/** A circle of a drawing, mm. */
interface DrawnCircle {
  readonly radius_mm: number;
  readonly layer: string;
  /** As an outline, to see what lies in it. */
  readonly outline: Outline;
}

/** What a drawing holds, in millimetres. */
interface Found {
  readonly outlines: readonly PlacedOutline[];
  readonly rounds: readonly DrawnCircle[];
  readonly texts: readonly DrawnText[];
  /** What cannot be read, in words. */
  readonly refused: readonly string[];
  /** Lines that do not close. */
  readonly loose: number;
  /** How far the sides of arcs lie off them, at most. */
  readonly arcError_mm: number;
}

/**
 * Reads outlines of panes and of pre-cut patterns: closed polylines, circles, and lines and arcs that join
 * up; blocks are opened one level deep, words in an outline become its tag. Never throws. What cannot be read
 * is named; what may be no pane is asked about; arcs are given by straight sides, and how far off that is.
 */
export function readSurveyDxf(text: string, options: DxfOptions): BroughtIn {
  const { unit, scale = 1, takenTags, drawnFrom } = options;
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
      columns: [],
      asks: ['drawing unit'],
      notes: ['The drawing does not say in which unit it is.'],
    };
  const factor = UNIT_MM[used] * scale;
  const own = readOwn(text, unit === undefined && scale === 1 ? panesOf(entities, factor) : []);
  if (own.surfaces !== undefined) return takenAsTheyWere(own.surfaces, takenTags);
  const { parts, notes } = drawingParts(drawing);
  const found = foundIn(parts, factor, passedOver(text));
  const count = found.outlines.length + found.rounds.length;
  if (count > MOST_OUTLINES)
    return refusedWhole(`This drawing has ${count} outlines; the most is ${MOST_OUTLINES}.`);
  return broughtIn(found, own.isOurs ? 'outside' : drawnFrom, takenTags, [
    ...notes,
    said !== undefined && unit !== undefined && said !== unit
      ? `The drawing says ${said}; taken as ${unit}.`
      : `Drawing unit: ${used}${scale === 1 ? '' : `, times ${scale}`}.`,
  ]);
}

function takenAsTheyWere(surfaces: readonly BroughtSurface[], takenTags: ReadonlySet<string>): BroughtIn {
  return {
    lines: withTagFaults(
      surfaces.map((surface, index) => ({ line: index + 1, surface, faults: [] })),
      takenTags,
    ),
    refused: undefined,
    columns: [],
    asks: [],
    notes: ['This drawing came out of the program: its surfaces are taken as they were.'],
  };
}

function passedOver(text: string): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  for (const [, kind = ''] of text.matchAll(PASSED_OVER_MARK)) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  return counts;
}

function foundIn(parts: readonly DrawingPart[], factor: number, besides: ReadonlyMap<string, number>): Found {
  const counts = new Map<string, number>(besides);
  let arcError_mm = 0;
  const rounds: DrawnCircle[] = [];
  const curves = parts.flatMap((part): Curve[] => {
    const curve = placedCurve(part, factor, (off_mm) => {
      arcError_mm = Math.max(arcError_mm, off_mm);
    });
    if (curve !== undefined) return [curve];
    const circle = circleOf(part, factor);
    if (circle !== undefined) rounds.push(circle);
    else counts.set(part.entity.type, (counts.get(part.entity.type) ?? 0) + 1);
    return [];
  });
  const texts = drawnTexts(parts, factor);
  const refused = [...counts].flatMap(([type, count]) => {
    const word = REFUSED_KINDS[type] ?? type;
    return word === '' ? [] : [`${count} ${word}`];
  });
  return { ...closedOutlines(curves), rounds, texts, refused, arcError_mm };
}

const CIRCLE_SIDES = 24;

/** undefined: no circle, or one that is drawn out to an ellipse where it is placed */
function circleOf({ entity, layer, place, scale }: DrawingPart, factor: number): DrawnCircle | undefined {
  const {
    type,
    center,
    radius = 0,
  } = entity as unknown as {
    readonly type: string;
    readonly center?: Point;
    readonly radius?: number;
  };
  const isCircle = type === 'CIRCLE' && center !== undefined && Number.isFinite(radius) && radius > 0;
  if (!isCircle || scale === undefined) return undefined;
  const outline = Array.from({ length: CIRCLE_SIDES }, (_, side) => {
    const angle = (2 * Math.PI * side) / CIRCLE_SIDES;
    const { x, y } = place({
      x: center.x + radius * Math.cos(angle),
      y: center.y + radius * Math.sin(angle),
    });
    return { x: x * factor, y: -y * factor };
  });
  return { radius_mm: radius * scale * factor, layer, outline };
}

function broughtIn(
  { outlines, rounds, texts, refused, loose, arcError_mm }: Found,
  seenFrom: BroughtSurface['seenFrom'] | undefined,
  takenTags: ReadonlySet<string>,
  unitNotes: readonly string[],
): BroughtIn {
  const all = [...outlines, ...rounds];
  const placed = all.map(({ outline }) => outline);
  const tags = tagsByOutline(placed, texts);
  const tagOf = (index: number): string => tags.get(index) ?? `D${index + 1}`;
  const questions = outlineQuestions(placed, tagOf);
  const lines: readonly BroughtLine[] = all.map((own, index) => {
    const circle = rounds[index - outlines.length];
    const surface =
      circle === undefined
        ? polygonSurface(tagOf(index), own.outline, seenFrom)
        : roundSurface(tagOf(index), circle.radius_mm, seenFrom);
    const question = questions[index];
    return {
      ...lineOf(index + 1, surface),
      layer: own.layer,
      ...(question === undefined ? {} : { question }),
    };
  });
  const notes = [
    ...unitNotes,
    ...(refused.length === 0
      ? []
      : [`Left out: ${refused.join(', ')}. Draw them as lines, polylines, arcs or circles.`]),
    ...(tags.size === 0
      ? []
      : [`${tags.size} ${tags.size === 1 ? 'tag is' : 'tags are'} taken from words in the drawing.`]),
    ...(loose === 0 ? [] : [`${loose} ${loose === 1 ? 'line does' : 'lines do'} not close to an outline.`]),
    ...(arcError_mm > 0.05
      ? [`Arcs are given by straight sides, at most ${arcError_mm.toFixed(1)} mm off.`]
      : []),
  ];
  if (lines.length === 0)
    return {
      lines,
      refused: `No closed outline in this drawing.${refused.length === 0 ? '' : ` It has ${refused.join(', ')}, which cannot be read.`}`,
      columns: [],
      asks: [],
      notes,
    };
  return {
    columns: [],
    lines: withTagFaults(lines, takenTags),
    refused: undefined,
    asks: seenFrom === undefined ? ['drawn from'] : [],
    notes: [...notes, ...(seenFrom === undefined ? [] : [`Taken as drawn seen from ${seenFrom}.`])],
  };
}

function parsed(text: string): Drawing | undefined {
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
