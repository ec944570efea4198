import type { Cut } from '@yellow-pane/core/cutting';
import * as z from 'zod';
import { instantSchema, text, word } from '../primitives';

/** A cut plan as a file: everything the table and a plotter need, millimetres throughout. x from the left factory edge, y from the roll's end, liner up. */
export interface CutPlanFile {
  readonly format: 'yellow-pane cut plan';
  readonly version: 1;
  readonly job: string;
  readonly film: string;
  readonly mode: 'by hand' | 'by plotter';
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
  readonly factoryEdges: readonly ('top' | 'right' | 'bottom' | 'left')[];
  /** Cut off the beginning so that the pattern meets. */
  readonly phase_mm: number;
  /** When it is not a rectangle: corners on the roll, closed. */
  readonly outline?: readonly { readonly x: number; readonly y: number }[] | undefined;
  /** Where a 45° notch is cut: the right-angled corner of each, and its depth. */
  readonly notches?: readonly { readonly x: number; readonly y: number; readonly dx: number; readonly dy: number }[] | undefined;
}

const mm = z.number().min(-1).max(1e6);
const point = z.strictObject({ x: mm, y: mm });
const pieceSchema = z.strictObject({
  tag: word(40), drop: z.int().min(1).max(1000), of: z.int().min(1).max(1000), x_mm: mm, y_mm: mm, across_mm: mm.positive(), along_mm: mm.positive(), turned: z.boolean(),
  top: z.enum(['to the roll end', 'to the core', 'to the left edge', 'to the right edge']), factoryEdges: z.array(z.enum(['top', 'right', 'bottom', 'left'])).max(4), phase_mm: mm,
  outline: z.array(point).min(3).max(2000).optional(), notches: z.array(z.strictObject({ x: mm, y: mm, dx: z.number().min(-1000).max(1000), dy: z.number().min(-1000).max(1000) })).max(8).optional(),
}) satisfies z.ZodType<PlanPiece>;
export const cutPlanFileSchema = z.strictObject({
  format: z.literal('yellow-pane cut plan'), version: z.literal(1), job: word(200), film: word(200), mode: z.enum(['by hand', 'by plotter']), madeBy: text(80), madeAt: instantSchema,
  rolls: z.array(z.strictObject({ label: text(80), what: z.enum(['roll', 'offcut', 'to order']), lot: text(80), width_mm: mm.positive(), length_mm: mm, used_mm: mm, pieces: z.array(pieceSchema).max(50_000) })).max(200),
}) satisfies z.ZodType<CutPlanFile>;

/** Reads a plan back. @returns the plan, or where it is wrong in words */
export function readCutPlanFile(given: string): { readonly plan: CutPlanFile } | { readonly refused: string } {
  let value: unknown;
  try {
    value = JSON.parse(given);
  } catch {
    return { refused: 'This is not JSON: it breaks off or has a stray character.' };
  }
  const parsed = cutPlanFileSchema.safeParse(value);
  if (parsed.success) return { plan: parsed.data };
  const issue = parsed.error.issues[0];
  return { refused: `${issue?.path.join('.') ?? 'file'}: ${issue?.message ?? 'cannot be read'}. Expected a file with format "yellow-pane cut plan", version 1.` };
}

export function cutPlanJson(plan: CutPlanFile): string {
  return `${JSON.stringify(plan, null, 1)}\n`;
}

/** Closed outline of a piece on the roll. */
export function outlineOf({ outline, x_mm, y_mm, across_mm, along_mm }: PlanPiece): readonly { readonly x: number; readonly y: number }[] {
  return outline ?? [{ x: x_mm, y: y_mm }, { x: x_mm + across_mm, y: y_mm }, { x: x_mm + across_mm, y: y_mm + along_mm }, { x: x_mm, y: y_mm + along_mm }];
}

/** What stands on a piece: its tag, and which drop of how many. */
export const pieceWord = ({ tag, drop, of }: Pick<PlanPiece, 'tag' | 'drop' | 'of'>): string => (of > 1 ? `${tag} ${drop}/${of}` : tag);

export type { Cut };
