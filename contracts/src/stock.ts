import type { Offcut, Roll, StockLeft } from '@yellow-pane/core/job';
import * as z from 'zod';
import {
  type ChangedInShop,
  changedInShop,
  idSchema,
  madeBySchema,
  nanometres,
  versionSchema,
  word,
} from './primitives';
import { rollFieldsSchema } from './cutting-rows';

export type RollRow = Roll &
  ChangedInShop & {
    readonly id: string;
    readonly version: number;
  };
export const rollRowSchema = rollFieldsSchema.extend({
  id: idSchema,
  version: versionSchema,
  ...changedInShop,
}) satisfies z.ZodType<RollRow>;
export const rollBodySchema = z.strictObject({ ...madeBySchema, roll: rollFieldsSchema });

/** What is left of everything film can be cut from, and where it came from. */
export interface StockItem extends StockLeft {
  /** The roll it came off; null for what was bought. */
  readonly parentId: Offcut['parentId'];
  /** The job that left it; null for what was bought. */
  readonly jobId: string | null;
  /** To change it: of the roll itself, or of the row in the job that left it. */
  readonly version: number;
}

export const stockItemSchema = rollFieldsSchema.extend({
  id: idSchema,
  left_nm: nanometres,
  spokenFor: z.array(z.strictObject({ jobId: idSchema, job: word(200), length_nm: nanometres })),
  parentId: idSchema.nullable(),
  jobId: idSchema.nullable(),
  version: versionSchema,
}) satisfies z.ZodType<StockItem>;
