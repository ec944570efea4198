import * as z from 'zod';
import { instantSchema, pointName, signedNanometres } from './primitives';

/**
 * What any measuring instrument says over its line: the same for a stand-in on the Bench and for a real one.
 */
export type DeviceMessage =
  | { readonly type: 'connected'; readonly device: string; readonly name: string; readonly battery: number }
  | {
      readonly type: 'reading';
      readonly device: string;
      readonly seq: number;
      readonly at: string;
      readonly value_nm: number;
      readonly battery: number;
    }
  | {
      readonly type: 'climate';
      readonly device: string;
      readonly seq: number;
      readonly at: string;
      readonly air_C: number;
      readonly humidity: number;
      readonly battery: number;
    }
  | {
      readonly type: 'job';
      readonly device: string;
      readonly key: string;
      readonly done: number;
      readonly of: number;
      readonly state: 'running' | 'done' | 'stopped';
    }
  | { readonly type: 'fault'; readonly device: string; readonly says: string; readonly battery: number }
  | { readonly type: 'disconnected'; readonly device: string; readonly says: string };

const battery = z.number().min(0).max(1);
export const deviceMessageSchema = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('connected'), device: z.string(), name: z.string(), battery }),
  z.strictObject({
    type: z.literal('reading'),
    device: z.string(),
    seq: z.int().min(1),
    at: instantSchema,
    value_nm: signedNanometres,
    battery,
  }),
  z.strictObject({
    type: z.literal('climate'),
    device: z.string(),
    seq: z.int().min(1),
    at: instantSchema,
    air_C: z.number(),
    humidity: z.number().min(0).max(1),
    battery,
  }),
  z.strictObject({
    type: z.literal('job'),
    device: z.string(),
    key: z.string(),
    done: z.int().min(0),
    of: z.int().min(0),
    state: z.enum(['running', 'done', 'stopped']),
  }),
  z.strictObject({ type: z.literal('fault'), device: z.string(), says: z.string(), battery }),
  z.strictObject({ type: z.literal('disconnected'), device: z.string(), says: z.string() }),
]) satisfies z.ZodType<DeviceMessage>;

/**
 * What a page may ask of the laser stand-in. `measure` is its button; what it is aimed at is a length, or two
 * points of the Bench's own pane.
 */
export const laserCommandSchema = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('connect') }),
  z.strictObject({ do: z.literal('disconnect') }),
  z.strictObject({
    do: z.literal('measure'),
    aimedAt_mm: z.number().min(1).max(200_000).optional(),
    from: pointName.optional(),
    to: pointName.optional(),
  }),
  z.strictObject({
    do: z.literal('misbehave'),
    how: z.enum(['drop out', 'low battery', 'next reading wrong']),
  }),
  z.strictObject({
    do: z.literal('pane'),
    width_mm: z.number().min(50).max(20_000),
    height_mm: z.number().min(50).max(20_000),
    lean_mm: z.number().min(-200).max(200),
  }),
]);
export type LaserCommand = z.infer<typeof laserCommandSchema>;

export const laserStateSchema = z.strictObject({
  isConnected: z.boolean(),
  battery,
  readings: z.int().min(0),
  pane: z.strictObject({ width_mm: z.number(), height_mm: z.number(), lean_mm: z.number() }),
});
export type LaserState = z.infer<typeof laserStateSchema>;

/**
 * What a page may ask of the thermometer and hygrometer stand-in: it sends a reading when it connects and
 * whenever it is set.
 */
export const thermometerCommandSchema = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('connect') }),
  z.strictObject({ do: z.literal('disconnect') }),
  z.strictObject({
    do: z.literal('set'),
    air_C: z.number().min(-40).max(60),
    humidity: z.number().min(0.01).max(1),
  }),
]);
export type ThermometerCommand = z.infer<typeof thermometerCommandSchema>;

export const thermometerStateSchema = z.strictObject({
  isConnected: z.boolean(),
  air_C: z.number(),
  humidity: z.number(),
  at: instantSchema.nullable(),
});
export type ThermometerState = z.infer<typeof thermometerStateSchema>;
