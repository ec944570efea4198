import type { Liner, SectorMarks } from '@yellow-pane/core/job';
import * as z from 'zod';
import { instantSchema, text, word } from '../primitives';

/**
 * A cut plan as a file: everything the table and a plotter need, millimetres throughout. You stand at the
 * free end of the roll, which lies away from you: x from its left edge, at your left hand, y from its end;
 * `liner` says which face looks up.
 */
export interface CutPlanFile {
  readonly format: 'yellow-pane cut plan';
  readonly version: 2;
  readonly job: string;
  readonly film: string;
  readonly mode: 'by hand' | 'by plotter';
  readonly liner: Liner;
  readonly madeBy: string;
  readonly madeAt: string;
  readonly rolls: readonly PlanRoll[];
}

export interface PlanRoll {
  readonly label: string;
  readonly what: 'roll' | 'offcut' | 'to order';
  readonly lot: string;
  readonly width_mm: number;
  readonly length_mm: number;
  readonly used_mm: number;
  readonly pieces: readonly PlanPiece[];
}

type Corner = { readonly x: number; readonly y: number };

export interface PlanPiece {
  readonly tag: string;
  /** Which piece of its surface, in hanging order, of how many. */
  readonly drop: number;
  readonly of: number;
  readonly x_mm: number;
  readonly y_mm: number;
  readonly across_mm: number;
  readonly along_mm: number;
  readonly turned: boolean;
  readonly top: 'to the roll end' | 'to the core' | 'to the left edge' | 'to the right edge';
  /** As the piece hangs, seen from the side the film is on. */
  readonly factoryEdges: readonly ('top' | 'right' | 'bottom' | 'left')[];
  /** Cut off the beginning so that the pattern meets. */
  readonly phase_mm: number;
  /** When it is not a rectangle: corners on the roll, closed. */
  readonly outline?: readonly Corner[] | undefined;
  /** Of a column's sheet: lines cut into its upper and lower edge, in the middle of each. */
  readonly notches?: readonly (readonly Corner[])[] | undefined;
  /** Of a column's sheet: along these lines the liner alone is slit. */
  readonly slits?: readonly (readonly Corner[])[] | undefined;
  /** Of a tapered column: its radii, ends included, and its whole angle. */
  readonly sector?: SectorMarks | undefined;
}

const mm = z.number().min(-1).max(1e6);
const point = z.strictObject({ x: mm, y: mm });
const pieceSchema = z.strictObject({
  tag: word(40),
  drop: z.int().min(1).max(1000),
  of: z.int().min(1).max(1000),
  x_mm: mm,
  y_mm: mm,
  across_mm: mm.positive(),
  along_mm: mm.positive(),
  turned: z.boolean(),
  top: z.enum(['to the roll end', 'to the core', 'to the left edge', 'to the right edge']),
  factoryEdges: z.array(z.enum(['top', 'right', 'bottom', 'left'])).max(4),
  phase_mm: mm,
  outline: z.array(point).min(3).max(2000).optional(),
  notches: z.array(z.array(point).length(4)).max(2).optional(),
  slits: z.array(z.array(point).length(2)).max(2).optional(),
  sector: z
    .strictObject({
      inner_mm: z.number().min(0),
      outer_mm: z.number().min(0),
      angle_rad: z.number().min(0).max(7),
    })
    .optional(),
}) satisfies z.ZodType<PlanPiece>;
export const cutPlanFileSchema = z.strictObject({
  format: z.literal('yellow-pane cut plan'),
  version: z.literal(2),
  job: word(200),
  film: word(200),
  mode: z.enum(['by hand', 'by plotter']),
  liner: z.enum(['up', 'down']),
  madeBy: text(80),
  madeAt: instantSchema,
  rolls: z
    .array(
      z.strictObject({
        label: text(80),
        what: z.enum(['roll', 'offcut', 'to order']),
        lot: text(80),
        width_mm: mm.positive(),
        length_mm: mm,
        used_mm: mm,
        pieces: z.array(pieceSchema).max(50_000),
      }),
    )
    .max(200),
}) satisfies z.ZodType<CutPlanFile>;

/** Reads a plan back. @returns the plan, or where it is wrong in words */
export function readCutPlanFile(
  given: string,
): { readonly plan: CutPlanFile } | { readonly refused: string } {
  let value: unknown;
  try {
    value = JSON.parse(given);
  } catch {
    return { refused: 'This is not JSON: it breaks off or has a stray character.' };
  }
  const parsed = cutPlanFileSchema.safeParse(value);
  if (parsed.success) return { plan: parsed.data };
  const issue = parsed.error.issues[0];
  return {
    refused: `${issue?.path.join('.') ?? 'file'}: ${issue?.message ?? 'cannot be read'}. Expected a file with format "yellow-pane cut plan", version 2 (files of version 1 were drawn from the other end of the roll: take the plan out again).`,
  };
}

export function cutPlanJson(plan: CutPlanFile): string {
  return `${JSON.stringify(plan, null, 1)}\n`;
}

/** Closed outline of a piece on the roll. */
export function outlineOf({ outline, x_mm, y_mm, across_mm, along_mm }: PlanPiece): readonly Corner[] {
  return (
    outline ?? [
      { x: x_mm, y: y_mm },
      { x: x_mm + across_mm, y: y_mm },
      { x: x_mm + across_mm, y: y_mm + along_mm },
      { x: x_mm, y: y_mm + along_mm },
    ]
  );
}

/** What stands on a piece: its tag, and which drop of how many. */
export const pieceWord = ({ tag, drop, of }: Pick<PlanPiece, 'tag' | 'drop' | 'of'>): string =>
  of > 1 ? `${tag} ${drop}/${of}` : tag;

/** Where in the pattern a piece begins: so much comes off first. @param length in the person's words */
export const phaseWord = (
  { phase_mm }: Pick<PlanPiece, 'phase_mm'>,
  length: (value_mm: number) => string,
): string => (phase_mm > 0 ? `, first cut ${length(phase_mm)} off the top` : '');

/** How a tapered column's film is marked out, in a few words. */
export const sectorWord = (
  { sector }: Pick<PlanPiece, 'sector'>,
  length: (value_mm: number) => string,
): string =>
  sector === undefined
    ? ''
    : `, radii ${length(sector.inner_mm)} and ${length(sector.outer_mm)}, angle ${((sector.angle_rad * 180) / Math.PI).toFixed(2)}°`;
