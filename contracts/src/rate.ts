import type { Rate } from '@yellow-pane/core/fitting';
import * as z from 'zod';
import { idSchema, instantSchema, text, versionSchema, madeBySchema, whoSchema, word } from './primitives';

export type RateRow = Rate & {
  readonly version: number;
  readonly changedBy: string | null;
  readonly changedById?: string | null | undefined;
  readonly changedAt: string | null;
};

const fields = { value: z.number().min(0).max(1e6), mark: z.enum(['our guess', 'ask', 'measured']) };
export const rateRowSchema = z.strictObject({
  key: word(80),
  word: text(200),
  unit: text(40),
  ...fields,
  version: versionSchema.or(z.literal(0)),
  changedBy: whoSchema.nullable(),
  changedById: idSchema.nullish(),
  changedAt: instantSchema.nullable(),
}) satisfies z.ZodType<RateRow>;
export const rateBodySchema = z.strictObject({ ...madeBySchema, ...fields });
