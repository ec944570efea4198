import * as z from 'zod';
import { instantSchema } from './primitives';

/** The next half day somebody could come; null: none within a fortnight. */
export const halfDaySchema = z
  .strictObject({
    from: instantSchema,
    to: instantSchema,
    isDry: z.boolean().nullable(),
    isShady: z.boolean().nullable(),
  })
  .nullable();
export type NextHalfDay = z.infer<typeof halfDaySchema>;
