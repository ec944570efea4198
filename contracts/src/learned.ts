import { BASES, type Learned, SCOPE_KINDS } from '@yellow-pane/core/learned';
import * as z from 'zod';
import { idSchema, instantSchema, madeBySchema, text, versionSchema, whoSchema, word } from './primitives';

export type LearnedRow = Learned & {
  readonly version: number;
  readonly changedBy: string | null;
  readonly changedById?: string | null | undefined;
  readonly changedAt: string | null;
};

const fields = {
  value: z.number().min(0).max(1e6),
  basis: z.enum(BASES),
  scope: z.strictObject({ kind: z.enum(SCOPE_KINDS), of: word(80) }).nullable(),
  sd: z.number().min(0).max(1e6).nullable(),
  n: z.int().min(1).max(1_000_000).nullable(),
  from: text(400),
};
export const learnedRowSchema = z.strictObject({
  key: word(80),
  word: text(200),
  unit: text(40),
  ...fields,
  version: versionSchema.or(z.literal(0)),
  changedBy: whoSchema.nullable(),
  changedById: idSchema.nullish(),
  changedAt: instantSchema.nullable(),
}) satisfies z.ZodType<LearnedRow>;
/** Of everything, measured or not said how often, where nothing else is said. */
export const learnedBodySchema = z.strictObject({
  ...madeBySchema,
  ...fields,
  scope: fields.scope.default(null),
  sd: fields.sd.default(null),
  n: fields.n.default(null),
  from: fields.from.default(''),
});
