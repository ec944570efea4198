import * as z from 'zod';
import { instantSchema, versionSchema, whoSchema, word } from './primitives';

const have = z.number().min(0).max(1e6);
/** What the workshop has of something that is used up; nobody counted: null. */
export const supplyRowSchema = z.strictObject({
  key: word(80),
  have: have.nullable(),
  version: versionSchema.or(z.literal(0)),
  changedBy: whoSchema.nullable(),
  changedAt: instantSchema.nullable(),
});
export const supplyBodySchema = z.strictObject({ who: whoSchema, have });
export type SupplyRow = z.infer<typeof supplyRowSchema>;
