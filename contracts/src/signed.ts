import * as z from 'zod';
import { idSchema, text } from './primitives';

/** Fields of what somebody said: who and when. */
export const signed = { personId: idSchema.nullable(), who: text(200), at: z.iso.datetime() };
