import { type Person, SKILLS } from '@yellow-pane/core/job';
import * as z from 'zod';
import {
  type ChangedInShop,
  changedInShop,
  idSchema,
  madeBySchema,
  text,
  versionSchema,
  word,
} from './primitives';

export type PersonRow = Person &
  ChangedInShop & {
    readonly id: string;
    readonly version: number;
  };

export interface PeopleAnswer {
  readonly people: readonly PersonRow[];
  /** Whoever a device works for that was told nobody, as in the demo; else null: it asks. */
  readonly ready: string | null;
}

const fields = {
  name: word(80),
  initials: text(8),
  hand: z.enum(['left', 'right']).nullable(),
  skills: z.array(z.enum(SKILLS)).max(SKILLS.length),
  wander_mm: z.number().min(0).max(100).nullable(),
  active: z.boolean(),
};
export const personFieldsSchema = z.strictObject(fields) satisfies z.ZodType<Person>;
export const personRowSchema = z.strictObject({
  ...fields,
  id: idSchema,
  version: versionSchema,
  ...changedInShop,
}) satisfies z.ZodType<PersonRow>;
export const personBodySchema = z.strictObject({ ...madeBySchema, person: personFieldsSchema });
export const peopleSchema = z.strictObject({
  people: z.array(personRowSchema),
  ready: idSchema.nullable(),
}) satisfies z.ZodType<PeopleAnswer>;
