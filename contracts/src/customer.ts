import type { Customer } from '@yellow-pane/core/job';
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

export const customerFields = z.strictObject({
  name: word(200),
  address: text(1000),
  contacts: z.array(z.strictObject({ name: text(200), phone: text(80), email: text(200) })).max(20),
}) satisfies z.ZodType<Customer>;

export type CustomerRow = Customer &
  ChangedInShop & { readonly id: string; readonly version: number; readonly removed: boolean };

export const customerRowSchema = customerFields.extend({
  id: idSchema,
  version: versionSchema,
  removed: z.boolean(),
  ...changedInShop,
}) satisfies z.ZodType<CustomerRow>;

export const customerBodySchema = z.strictObject({
  ...madeBySchema,
  customer: customerFields,
  removed: z.boolean().default(false),
});
