import type { Application, CutPiece, CutPlan, FieldsOf, GlassPane, GlassUnit, Job, JobTable, Measure, Place, Surface, WorkRecord } from '@yellow-pane/core/job';
import * as z from 'zod';
import { idSchema, instantSchema, measuredNanometres, nanometres, positionSchema, positiveNanometres, text, word } from './primitives';

const seenFrom = z.enum(['room', 'outside', 'side A', 'side B']);
const point = z.enum(['tl', 'tr', 'br', 'bl', 'mt', 'mr', 'mb', 'ml']);
const lengthUnit = z.enum(['mm', 'cm', 'm', 'in', 'ft']);

const job = z.strictObject({ name: word(200), entryUnit: lengthUnit, archived: z.boolean() }) satisfies z.ZodType<Job>;

const place = z.strictObject({
  parentId: idSchema.nullable(),
  kind: z.enum(['building', 'vehicle', 'facade', 'side', 'room']),
  name: word(200),
  bearing_deg: z.number().min(0).lt(360).nullable(),
  movable: z.boolean(),
  position: positionSchema,
}) satisfies z.ZodType<Place>;

const glassUnit = z.strictObject({
  name: word(200),
  glazing: z.enum(['single', 'double', 'triple', 'unknown']),
  frame: z.enum(['metal', 'metal with thermal break', 'wood', 'plastic', 'rubber seal', 'unknown']),
  edge: z.enum(['sealant', 'gasket', 'rebate', 'exposed', 'unknown']),
}) satisfies z.ZodType<GlassUnit>;

const glassPane = z.strictObject({
  unitId: idSchema,
  position: z.int().min(1).max(6),
  treatment: z.enum(['annealed', 'toughened', 'heat strengthened', 'laminated', 'wired', 'patterned', 'unknown']),
  thickness_nm: positiveNanometres.nullable(),
  coated: z.enum(['yes', 'no', 'unknown']),
  gapAfter_nm: positiveNanometres.nullable(),
}) satisfies z.ZodType<GlassPane>;

const surface = z.strictObject({
  placeId: idSchema,
  unitId: idSchema.nullable(),
  tag: word(40),
  name: text(200),
  kind: z.enum(['pane', 'wall', 'column', 'fixture']),
  seenFrom,
  condition: z.enum(['sound', 'chipped', 'cracked', 'unknown']),
  remark: text(4000),
  position: positionSchema,
}) satisfies z.ZodType<Surface>;

const measure = z.strictObject({
  surfaceId: idSchema,
  fromPoint: point,
  toPoint: point,
  text: word(80),
  unit: lengthUnit,
  value_nm: measuredNanometres,
  instrument: z.enum(['tape', 'laser', 'guess']),
  sd_nm: positiveNanometres.nullable(),
}) satisfies z.ZodType<Measure>;

const application = z.strictObject({
  surfaceId: idSchema,
  side: seenFrom,
  filmId: idSchema,
  method: z.enum(['trim in place', 'pre-squared', 'dry-fitted', 'security', 'decor']),
  linerSchool: z.enum(['halves on the glass', 'hang and pull', 'tape tabs with two people']),
  lockSchool: z.enum(['centre line', 'T', 'X', 'quarters']),
  trimSchool: z.enum(['before squeezing out', 'after squeezing out']),
  position: positionSchema,
}) satisfies z.ZodType<Application>;

const cutPlan = z.strictObject({
  filmId: idSchema,
  rollWidth_nm: positiveNanometres,
  lengthUsed_nm: nanometres,
  bound_nm: nanometres,
  solver: word(80),
}) satisfies z.ZodType<CutPlan>;

const cutPiece = z.strictObject({
  planId: idSchema,
  applicationId: idSchema,
  tag: word(40),
  position: z.int().min(0).max(100_000),
  level: z.int().min(0).max(100_000),
  x_nm: nanometres,
  y_nm: nanometres,
  across_nm: positiveNanometres,
  along_nm: positiveNanometres,
  turned: z.boolean(),
  inputsHash: word(64),
  cutAt: instantSchema.nullable(),
}) satisfies z.ZodType<CutPiece>;

const workRecord = z.strictObject({
  applicationId: idSchema,
  template: word(80),
  step: word(80),
  templateVersion: z.int().min(1).max(10_000),
  startedAt: instantSchema.nullable(),
  doneAt: instantSchema.nullable(),
  note: text(4000),
}) satisfies z.ZodType<WorkRecord>;

/** Wire shape of each table's own fields. Strict: an unknown field is refused by name. */
export const ROW_FIELDS = { job, place, glassUnit, glassPane, surface, measure, application, cutPlan, cutPiece, workRecord } as const satisfies { readonly [Table in JobTable]: z.ZodType<FieldsOf<Table>> };
