import {
  CONFIRMED_HOW,
  type CauseCase,
  DIAGNOSED_LOOKS,
  type Inspection,
  LOOK_VIEWS,
  type LookTick,
  MARK_LOOKS,
  MARK_VERDICTS,
  type MarkDecisionRow,
  type MarkRule,
  type OwnRuleSet,
  type SetOfRules,
  VISIT_KINDS,
  type Visit,
} from '@yellow-pane/core/job';
import * as z from 'zod';
import { idSchema, instantSchema, text, word } from './primitives';
import { signed } from './signed';

/** Nothing a rule speaks of is longer, mm. */
const MOST_MM = 3000;
const mm = z.number().min(0).max(MOST_MM);
const count = z.number().min(0).max(1000);

const limit = z.discriminatedUnion('case', [
  z.strictObject({ case: z.literal('at most'), count }),
  z.strictObject({ case: z.literal('a square metre'), count }),
  z.strictObject({
    case: z.literal('by area'),
    steps: z
      .array(
        z.strictObject({ upTo_m2: z.number().positive().max(1000).nullable(), count, isPerM2: z.boolean() }),
      )
      .min(1)
      .max(12),
  }),
  z.strictObject({ case: z.literal('apart'), least_mm: mm }),
]) satisfies z.ZodType<MarkRule['limit']>;

const markRule = z
  .strictObject({
    kind: z.enum(['spot', 'line']),
    over_mm: mm,
    to_mm: mm.nullable(),
    zone: z.enum(['any', 'main', 'edge']),
    limit,
  })
  .refine(({ over_mm, to_mm }) => to_mm === null || to_mm > over_mm, {
    path: ['to_mm'],
    error: 'larger than over_mm, or null',
  }) satisfies z.ZodType<MarkRule>;

const angle = z.number().min(0).max(85);
const gap = z
  .strictObject({ least: mm, most: mm, mostThick: mm })
  .refine(({ least, most, mostThick }) => least <= most && most <= mostThick, {
    path: ['most'],
    error: 'least ≤ most ≤ mostThick',
  });

const setOfRules = z.strictObject({
  distance_m: z.number().min(0.1).max(20),
  angles_deg: z.tuple([angle, angle]).refine(([from, to]) => from <= to, { error: 'from ≤ to' }),
  light: text(200),
  edge: z.union([
    z.strictObject({
      mm,
      mmOver: z.strictObject({ area_m2: z.number().positive().max(1000), mm }).nullable(),
    }),
    z.strictObject({ share: z.number().min(0).max(0.5) }),
  ]),
  ofSeen: z.enum(['accepted by the rules', 'must not be obtrusive']),
  rules: z.array(markRule).max(40),
  cluster: z.strictObject({ count: z.int().min(2).max(1000), within_mm: mm, from_mm: mm }).nullable(),
  watched: z.array(z.enum(MARK_LOOKS)).max(MARK_LOOKS.length),
  gap_mm: gap.nullable(),
  leastLight: z.number().min(0).max(1).nullable(),
}) satisfies z.ZodType<SetOfRules>;

export const ruleSet = z.strictObject({
  name: word(80),
  setVersion: z.int().min(1).max(100_000),
  copyOf: text(80),
  source: z.strictObject({
    kind: z.enum(['published', 'common practice', 'from memory', 'our guess', 'geometry', 'measured here']),
    text: text(400),
  }),
  rules: setOfRules,
}) satisfies z.ZodType<OwnRuleSet>;

export const inspection = z.strictObject({
  surfaceId: idSchema,
  ruleSetId: idSchema.nullable(),
  setName: word(80),
  setVersion: z.int().min(1).max(100_000),
  distance_mm: z.number().min(100).max(20_000),
  light: text(200),
  views: z.array(z.enum(LOOK_VIEWS)).min(1).max(LOOK_VIEWS.length),
  inputsHash: text(80),
  begun: z.strictObject(signed),
  accepted: z.strictObject(signed).nullable(),
}) satisfies z.ZodType<Inspection>;

export const lookTick = z.strictObject({
  inspectionId: idSchema,
  view: z.enum(LOOK_VIEWS),
  strip: z.int().min(1).max(10_000),
  said: z.strictObject(signed),
}) satisfies z.ZodType<LookTick>;

export const markDecision = z.strictObject({
  markId: idSchema,
  inspectionId: idSchema.nullable(),
  verdict: z.enum(MARK_VERDICTS),
  by: z.enum(['the rules', 'an eye']),
  reason: text(400),
  under: text(400),
  inputsHash: text(80),
  watchUntil: instantSchema.nullable(),
  said: z.strictObject(signed),
}) satisfies z.ZodType<MarkDecisionRow>;

const MOST_REASONS = 2000;

export const visit = z.strictObject({
  reasons: z
    .array(
      z.strictObject({
        key: word(200),
        kind: z.enum(VISIT_KINDS),
        surfaceId: idSchema.nullable(),
        applicationId: idSchema.nullable(),
        markId: idSchema.nullable(),
      }),
    )
    .max(MOST_REASONS),
  notBefore: instantSchema.nullable(),
  due: instantSchema.nullable(),
  plannedAt: instantSchema.nullable(),
  people: z.array(word(80)).max(30),
  state: z.enum(['open', 'done', 'not needed']),
  note: text(4000),
}) satisfies z.ZodType<Visit>;

export const causeCase = z.strictObject({
  markIds: z.array(idSchema).min(1).max(2000),
  look: z.enum(DIAGNOSED_LOOKS),
  answers: z.array(z.strictObject({ evidence: word(80), state: word(80) })).max(40),
  tableVersion: z.int().min(1).max(100_000),
  posterior: z.array(z.number().min(0).max(1)).max(40).nullable(),
  confirmed: word(80).nullable(),
  how: z.enum(CONFIRMED_HOW).nullable(),
  remedy: word(80).nullable(),
  said: z.strictObject(signed).nullable(),
}) satisfies z.ZodType<CauseCase>;
