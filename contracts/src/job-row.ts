import type { Job } from '@yellow-pane/core/job';
import * as z from 'zod';
import { currency, money } from './close-rows';
import { idSchema, text, word } from './primitives';

export const lengthUnit = z.enum(['mm', 'cm', 'm', 'in', 'ft']);

export const job = z.strictObject({
  name: word(200),
  entryUnit: lengthUnit,
  archived: z.boolean(),
  currency: currency.nullable(),
  tax_percent: z.number().min(0).max(100).nullable(),
  hourCost: money.nullable(),
  tripCost: money.nullable(),
  margin_percent: z.number().min(0).lt(100).nullable(),
  customerId: idSchema.nullable(),
  street: text(400),
  accessHours: text(400),
  siteContact: text(400),
  keys: text(400),
  lift: text(400),
  waterAndPower: text(400),
}) satisfies z.ZodType<Job>;
