import { ANY_STAGES } from '@yellow-pane/core/packing';
import {
  CUT_METHODS,
  type CutPiece,
  type CutPlan,
  type CutRoll,
  type JobAllowance,
  type Offcut,
  type Roll,
  type SeamChoice,
  type StockTake,
} from '@yellow-pane/core/job';
import * as z from 'zod';
import {
  allowanceNanometres,
  idSchema,
  instantSchema,
  nanometres,
  positiveNanometres,
  text,
  word,
} from './primitives';

export const stagesSchema = z
  .literal([2, 3, ANY_STAGES])
  .describe(
    'Stages of cutting by hand: cross-cut, slit, and with 3 cross-cut again. 99: as many as it takes, where few pieces are laid; many are laid in 3.',
  );

export const seamChoice = z.strictObject({
  applicationId: idSchema,
  kind: z.enum(['lap over promoter', 'double cut', 'butt']).nullable(),
  placing: z.enum(['equal drops', 'full width and strip']).nullable(),
  match: z.enum(['none', 'straight', 'half drop']).nullable(),
  firstDrop: z.enum(['save film', 'centre the pattern']).nullable(),
  rollWidth_nm: positiveNanometres.nullable(),
}) satisfies z.ZodType<SeamChoice>;

export const jobAllowance = z.strictObject({
  method: z.enum(CUT_METHODS),
  top_nm: allowanceNanometres,
  right_nm: allowanceNanometres,
  bottom_nm: allowanceNanometres,
  left_nm: allowanceNanometres,
}) satisfies z.ZodType<JobAllowance>;

const money = z.number().min(0).max(1e9);
const perMetre = z.number().min(0).max(1e6).nullable();

export const cutPlan = z.strictObject({
  filmId: idSchema,
  mode: z.enum(['by hand', 'by plotter']),
  stages: stagesSchema,
  gap_nm: nanometres,
  endWaste_nm: nanometres,
  mostSheet_nm: positiveNanometres.nullable(),
  objective: z.enum(['money', 'length']),
  liner: z.enum(['up', 'down']),
  edgeMust: z.boolean(),
  lengthUsed_nm: nanometres,
  bound_nm: nanometres,
  filmCost: money,
  cost: z.number().min(-1e9).max(1e9),
  filmBound: money,
  stopped: z.enum(['optimal', 'limit', 'infeasible']),
}) satisfies z.ZodType<CutPlan>;

export const cutRoll = z.strictObject({
  planId: idSchema,
  stockId: idSchema.nullable(),
  what: z.enum(['roll', 'offcut', 'to order']),
  label: text(80),
  lot: text(80),
  width_nm: positiveNanometres,
  length_nm: nanometres,
  used_nm: nanometres,
  leftEdge: z.boolean(),
  rightEdge: z.boolean(),
  position: z.int().min(0).max(10_000),
  ticks: z.array(z.int().min(0).max(1_000_000)).max(30_000),
  bookedAt: instantSchema.nullable(),
}) satisfies z.ZodType<CutRoll>;

export const cutPiece = z.strictObject({
  planId: idSchema,
  rollId: idSchema,
  applicationId: idSchema,
  drop: z.int().min(1).max(1000),
  dropOf: z.int().min(1).max(1000),
  tag: word(40),
  position: z.int().min(0).max(100_000),
  level: z.int().min(0).max(100_000),
  x_nm: nanometres,
  y_nm: nanometres,
  across_nm: positiveNanometres,
  along_nm: positiveNanometres,
  turned: z.boolean(),
  flipped: z.boolean(),
  phase_nm: nanometres,
  outline: z
    .array(z.strictObject({ x: z.number().min(-1).max(1e6), y: z.number().min(-1).max(1e6) }))
    .max(400)
    .nullable(),
  notch_nm: nanometres,
  sector: z
    .strictObject({
      inner_mm: z.number().min(0).max(1e9),
      outer_mm: z.number().min(0).max(1e9),
      angle_rad: z.number().min(0).max(7),
    })
    .nullable(),
  topAlong: z.boolean(),
  pinned: z.boolean(),
  inputsHash: word(64),
  cutAt: instantSchema.nullable(),
  spoiledAt: instantSchema.nullable(),
}) satisfies z.ZodType<CutPiece>;

export const offcut = z.strictObject({
  cutRollId: idSchema,
  parentId: idSchema.nullable(),
  filmId: idSchema,
  label: word(80),
  lot: text(80),
  width_nm: positiveNanometres,
  length_nm: positiveNanometres,
  perMetre,
  leftEdge: z.boolean(),
  rightEdge: z.boolean(),
  where: text(200),
  gone: z.boolean(),
}) satisfies z.ZodType<Offcut>;

export const stockTake = z.strictObject({
  cutRollId: idSchema,
  stockId: idSchema,
  length_nm: positiveNanometres,
  reason: z.enum(['cut', 'spoiled']),
}) satisfies z.ZodType<StockTake>;

/** A roll of the stock, as people fill it in. */
export const rollFieldsSchema = z.strictObject({
  filmId: idSchema,
  what: z.enum(['roll', 'offcut']),
  label: word(80),
  lot: text(80),
  width_nm: positiveNanometres,
  length_nm: positiveNanometres,
  perMetre,
  leftEdge: z.boolean(),
  rightEdge: z.boolean(),
  where: text(200),
  gone: z.boolean(),
}) satisfies z.ZodType<Roll>;
