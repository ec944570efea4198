import {
  FOLDS_SAY,
  type GateTick,
  MARK_LOOKS,
  type Mark,
  type OwnPlan,
  QUANTITIES,
  READING_INSTRUMENTS,
  type Reading,
  type ShrinkChanges,
  type StrokeChanges,
  TEST_OUTCOMES,
  type TestPiece,
  type WaitEnd,
  type WorkRecord,
} from '@yellow-pane/core/job';
import * as z from 'zod';
import {
  idSchema,
  instantSchema,
  nanometres,
  positiveNanometres,
  signedNanometres,
  text,
  word,
} from './primitives';
import { signed } from './signed';

const MOST_ROUNDS = 10_000;

export const workRecord = z.strictObject({
  applicationId: idSchema,
  template: word(80),
  step: word(80),
  templateVersion: z.int().min(1).max(10_000),
  startedAt: instantSchema.nullable(),
  doneAt: instantSchema.nullable(),
  roundsAt: z.array(instantSchema.nullable()).max(MOST_ROUNDS),
  foldsSaid: z.array(z.enum(FOLDS_SAY).nullable()).max(MOST_ROUNDS),
  people: z.array(word(80)).max(30),
  mix: text(200),
  deviation: text(400),
  handedTo: z.strictObject(signed).nullable(),
  note: text(4000),
}) satisfies z.ZodType<WorkRecord>;

export const waitEnd = z.strictObject({
  applicationId: idSchema,
  step: word(80),
  endedAt: instantSchema,
  how: z.enum(['by hand', 'early']),
  reason: text(400),
}) satisfies z.ZodType<WaitEnd>;

export const gateTick = z.strictObject({
  applicationId: idSchema,
  check: word(80),
  answer: z.enum(['right', 'not right']),
  word: text(400),
  lookedAt: instantSchema,
}) satisfies z.ZodType<GateTick>;

/** What any instrument can show: kilns and frost, dry and soaked, and no length beyond a hall. */
const MOST_SHOWN = 1_000_000;
const figure = z.number().min(-MOST_SHOWN).max(MOST_SHOWN);

export const reading = z.strictObject({
  surfaceId: idSchema,
  applicationId: idSchema.nullable(),
  step: word(80).nullable(),
  markId: idSchema.nullable(),
  quantity: z.enum(QUANTITIES),
  instrument: z.enum(READING_INSTRUMENTS),
  shown: word(80),
  value: figure,
  settings: z.strictObject({
    emissivity: z.number().min(0.01).max(1).nullable(),
    reflected_C: z.number().min(-60).max(1000).nullable(),
    distance_mm: z.number().min(0).max(100_000).nullable(),
    angle_deg: z.number().min(0).max(90).nullable(),
    secondsSinceGun: z.number().min(0).max(86_400).nullable(),
  }),
  corrected: figure.nullable(),
  plusMinus: figure.min(0).nullable(),
  x_nm: signedNanometres.nullable(),
  y_nm: signedNanometres.nullable(),
}) satisfies z.ZodType<Reading>;

export const mark = z.strictObject({
  surfaceId: idSchema,
  applicationId: idSchema.nullable(),
  step: word(80).nullable(),
  look: z.enum(MARK_LOOKS),
  x_nm: signedNanometres.nullable(),
  y_nm: signedNanometres.nullable(),
  size_nm: positiveNanometres.nullable(),
  length_nm: positiveNanometres.nullable(),
  firstSeenAt: instantSchema,
  from: z.enum(['fit', 'check', 'phone', 'customer']),
  note: text(4000),
  tests: z.strictObject({
    press: z.enum(['creeps away', 'springs back', 'does not move', 'not tried']),
    warm: z.enum(['smaller', 'the same', 'larger', 'not tried']),
    shape: z.enum([
      'alone',
      'in a line along strokes',
      'joined to an edge',
      'brown or white rim',
      'not tried',
    ]),
  }),
  goneAt: instantSchema.nullable(),
}) satisfies z.ZodType<Mark>;

const MOST_FOLDS = 60;

export const shrinkChanges = z.strictObject({
  line_nm: signedNanometres.nullable(),
  folds: z.int().min(1).max(MOST_FOLDS).nullable(),
  isTurned: z.boolean(),
}) satisfies z.ZodType<ShrinkChanges>;

/** An outline of thousands of corners has hardly more strokes. */
const MOST_STROKES = 2000;
const strokeKey = word(80);
const strokePath = z
  .array(z.strictObject({ x_nm: signedNanometres, y_nm: signedNanometres }))
  .min(2)
  .max(400);
const strokesAt = z.array(z.strictObject({ key: strokeKey, path: strokePath })).max(MOST_STROKES);

const strokeChanges = z.strictObject({
  blade_nm: positiveNanometres.nullable(),
  overlap_nm: nanometres.nullable(),
  first: z.enum(['left', 'right']),
  people: z.literal([1, 2]),
  reversed: z.array(strokeKey).max(MOST_STROKES),
  left: z.array(strokeKey).max(MOST_STROKES),
  moved: strokesAt,
  drawn: strokesAt,
  order: z.array(strokeKey).max(MOST_STROKES).nullable(),
}) satisfies z.ZodType<StrokeChanges>;

export const ownPlan = z.strictObject({
  applicationId: idSchema,
  kind: z.enum(['shrink', 'stroke']),
  changes: z.union([shrinkChanges, strokeChanges]),
  inputsHash: text(80),
}) satisfies z.ZodType<OwnPlan>;

export const testPiece = z.strictObject({
  kind: z.literal('shrink strip'),
  filmId: idSchema,
  lot: text(80),
  surfaceId: idSchema.nullable(),
  weather: text(400),
  fields: z.strictObject({
    marked_nm: positiveNanometres,
    after_nm: positiveNanometres,
    film_C: z.number().min(0).max(400).nullable(),
  }),
  outcome: z.enum(TEST_OUTCOMES),
}) satisfies z.ZodType<TestPiece>;
