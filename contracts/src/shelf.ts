import type { ShelfPane } from '@yellow-pane/core/job';
import * as z from 'zod';
import { shrinkChanges } from './fit-rows';
import { measure } from './rows';
import {
  type ChangedInShop,
  changedInShop,
  idSchema,
  madeBySchema,
  text,
  versionSchema,
  word,
} from './primitives';

export type ShelfRow = ShelfPane &
  ChangedInShop & {
    readonly id: string;
    readonly version: number;
    /** Taken off the shelf again; kept, as everything is. */
    readonly removed: boolean;
  };

const MOST_MEASURES = 200;
const fields = {
  make: word(80),
  model: text(80),
  year: text(20),
  pane: word(80),
  measures: z
    .array(measure.omit({ surfaceId: true }))
    .min(1)
    .max(MOST_MEASURES),
  hold: z.enum(['along the top', 'a line across']).nullable(),
  plan: shrinkChanges,
  wentWrong: text(2000),
  note: text(2000),
};
export const shelfRowSchema = z.strictObject({
  ...fields,
  id: idSchema,
  version: versionSchema,
  removed: z.boolean(),
  ...changedInShop,
}) satisfies z.ZodType<ShelfRow>;
export const shelfBodySchema = z.strictObject({
  ...madeBySchema,
  pane: z.strictObject(fields) satisfies z.ZodType<ShelfPane>,
  removed: z.boolean().default(false),
});
