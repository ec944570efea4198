import * as z from 'zod';
import { idSchema, instantSchema, versionSchema, madeBySchema, whoSchema, word } from './primitives';

const have = z.number().min(0).max(1e6);
/** What the workshop has of something that is used up; nobody counted: null. */
export const supplyRowSchema = z.strictObject({
  key: word(80),
  have: have.nullable(),
  version: versionSchema.or(z.literal(0)),
  changedBy: whoSchema.nullable(),
  changedById: idSchema.nullish(),
  changedAt: instantSchema.nullable(),
});
export const supplyBodySchema = z.strictObject({ ...madeBySchema, have });
export type SupplyRow = z.infer<typeof supplyRowSchema>;
