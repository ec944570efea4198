import { type CaseApart, CONFIRMED_HOW, DIAGNOSED_LOOKS, FAMILY_NAMES } from '@yellow-pane/core/job';
import type { CaseOfShop, PocketSeen } from '@yellow-pane/core/reading';
import * as z from 'zod';
import { causeCase } from './check-rows';
import { type ChangedInShop, changedInShop, idSchema, madeBySchema, text, versionSchema } from './primitives';

const caseApartFields = causeCase.omit({ markIds: true, said: true }).extend({
  where: text(400),
}) satisfies z.ZodType<CaseApart>;

export type CaseApartRow = CaseApart &
  ChangedInShop & { readonly id: string; readonly version: number; readonly removed: boolean };

export const caseApartRowSchema = caseApartFields.extend({
  id: idSchema,
  version: versionSchema,
  removed: z.boolean(),
  ...changedInShop,
}) satisfies z.ZodType<CaseApartRow>;

export const caseApartBodySchema = z.strictObject({
  ...madeBySchema,
  case: caseApartFields,
  removed: z.boolean().default(false),
});

const caseOfShop = z.strictObject({
  id: idSchema,
  look: z.enum(DIAGNOSED_LOOKS),
  confirmed: z.string().nullable(),
  how: z.enum(CONFIRMED_HOW).nullable(),
  remedy: z.string().nullable(),
  posterior: z.array(z.number()).nullable(),
  tableVersion: z.int(),
}) satisfies z.ZodType<CaseOfShop>;
const pocketSeen = z.strictObject({
  family: z.enum(FAMILY_NAMES),
  left_gm2: z.number(),
  isGone: z.boolean(),
}) satisfies z.ZodType<PocketSeen>;

/** What all jobs of a shop have shown: causes that were confirmed, the oldest first, and pockets. */
export const experienceSchema = z.strictObject({
  cases: z.array(caseOfShop),
  pockets: z.array(pocketSeen),
});
export type ExperienceOfShop = z.infer<typeof experienceSchema>;
