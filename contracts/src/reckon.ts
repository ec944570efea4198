import type { BlankInput, LayoutRequest } from '@yellow-pane/core/cutting';
import * as z from 'zod';
import { word } from './primitives';

const point = z.enum(['tl', 'tr', 'br', 'bl', 'mt', 'mr', 'mb', 'ml']);
const millimetres = z.number().min(1).max(100_000);
const key = word(80);

export const measureRequestSchema = z.strictObject({
  measures: z.array(z.strictObject({ id: key, from: point, to: point, value_mm: millimetres, instrument: z.enum(['tape', 'laser', 'guess']), sd_mm: z.number().min(0.01).max(1000).optional() })).min(1).max(100),
});

export const blankRequestSchema = z.strictObject({
  aroundWidth_mm: millimetres,
  aroundHeight_mm: millimetres,
  method: z.enum(['trim in place', 'pre-squared', 'dry-fitted', 'security', 'decor']),
  direction: z.enum(['none', 'along the roll', 'one way']),
}) satisfies z.ZodType<BlankInput>;

export const layoutRequestSchema = z.strictObject({
  rollWidth_mm: z.number().min(1).max(5000),
  pieces: z.array(z.strictObject({ id: key, across_mm: millimetres, along_mm: millimetres, mayTurn90: z.boolean() })).max(10_000),
}) satisfies z.ZodType<LayoutRequest>;
