import type { Outline, Point } from '@yellow-pane/core/measure';
import DxfParser, { type IEntity } from 'dxf-parser';
import {
  type BroughtIn,
  type BroughtLine,
  type BroughtSurface,
  LARGEST_TEXT,
  refusedWhole,
  withTagFaults,
} from './brought-in';
import { lineOf, polygonSurface, roundSurface } from './drawn-surface';
import { type Curve, closedOutlines, curveOf } from './dxf-curves';
import { readOwn } from './own-dxf';

export type DrawingUnit = 'mm' | 'cm' | 'm' | 'in' | 'ft';
const UNIT_MM: Readonly<Record<DrawingUnit, number>> = { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8 };
const INSUNITS: Readonly<Record<number, DrawingUnit>> = { 1: 'in', 2: 'ft', 4: 'mm', 5: 'cm', 6: 'm' };
const MOST_ENTITIES = 20_000;
const MOST_OUTLINES = 2000;
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

/** What a drawing holds, in millimetres. */
interface Found {
  readonly outlines: readonly Outline[];
  readonly radii_mm: readonly number[];
  /** What cannot be read, in words. */
  readonly refused: readonly string[];
  /** Lines that do not close. */
  readonly loose: number;
  /** How far the sides of arcs lie off them, at most. */
  readonly arcError_mm: number;
}

/**
 * Reads outlines of panes and of pre-cut patterns: closed polylines, circles, and lines and arcs that join
 * up. Never throws. Splines and blocks are refused by name; arcs are given by straight sides, and how far off
 * that is.
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
      asks: ['drawing unit'],
      notes: ['The drawing does not say in which unit it is.'],
    };
  const factor = UNIT_MM[used] * scale;
  const own = readOwn(text, unit === undefined && scale === 1 ? panesOf(entities, factor) : []);
  if (own.surfaces !== undefined) return takenAsTheyWere(own.surfaces, takenTags);
  const found = foundIn(entities, factor);
  const { outlines, radii_mm } = found;
  if (outlines.length + radii_mm.length > MOST_OUTLINES)
    return refusedWhole(
      `This drawing has ${outlines.length + radii_mm.length} outlines; the most is ${MOST_OUTLINES}.`,
    );
  return broughtIn(found, own.isOurs ? 'outside' : drawnFrom, takenTags, [
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
    asks: [],
    notes: ['This drawing came out of the program: its surfaces are taken as they were.'],
  };
}

function foundIn(entities: readonly IEntity[], factor: number): Found {
  const counts = new Map<string, number>();
  let arcError_mm = 0;
  const curves = entities.flatMap((entity): Curve[] => {
    const curve = curveOf(entity, factor, (off_mm) => {
      arcError_mm = Math.max(arcError_mm, off_mm);
    });
    if (curve === undefined) counts.set(entity.type, (counts.get(entity.type) ?? 0) + 1);
    return curve === undefined ? [] : [curve];
  });
  const refused = [...counts].flatMap(([type, count]) => {
    const word = REFUSED_KINDS[type] ?? type;
    return type === 'CIRCLE' || word === '' ? [] : [`${count} ${word}`];
  });
  const radii_mm = entities.flatMap((entity) => radiusOf(entity, factor));
  return { ...closedOutlines(curves), radii_mm, refused, arcError_mm };
}

/** The radius of a circle, mm; nothing of anything else. */
function radiusOf(entity: IEntity, factor: number): readonly number[] {
  const { type, center, radius } = entity as unknown as {
    readonly type: string;
    readonly center?: Point;
    readonly radius?: number;
  };
  return type === 'CIRCLE' && center !== undefined && Number.isFinite(radius) && (radius ?? 0) > 0
    ? [(radius ?? 0) * factor]
    : [];
}

function broughtIn(
  { outlines, radii_mm, refused, loose, arcError_mm }: Found,
  seenFrom: BroughtSurface['seenFrom'] | undefined,
  takenTags: ReadonlySet<string>,
  unitNotes: readonly string[],
): BroughtIn {
  const lines: readonly BroughtLine[] = [
    ...outlines.map((outline, index) => polygonSurface(`D${index + 1}`, outline, seenFrom)),
    ...radii_mm.map((radius_mm, index) =>
      roundSurface(`D${outlines.length + index + 1}`, radius_mm, seenFrom),
    ),
  ].map((surface, index) => lineOf(index + 1, surface));
  const notes = [
    ...unitNotes,
    ...(refused.length === 0
      ? []
      : [`Left out: ${refused.join(', ')}. Draw them as lines, polylines, arcs or circles.`]),
    ...(loose === 0 ? [] : [`${loose} ${loose === 1 ? 'line does' : 'lines do'} not close to an outline.`]),
    ...(arcError_mm > 0.05
      ? [`Arcs are given by straight sides, at most ${arcError_mm.toFixed(1)} mm off.`]
      : []),
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
