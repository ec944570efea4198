import { FILM_CONSTRUCTIONS } from '@yellow-pane/core/job';
import * as z from 'zod';
import { pointOfEarthSchema, skylineSchema } from './where';
import { zoneSchema } from './day-rows';
import { share, word } from './primitives';
import { searchLimits } from './calculate';

const degrees = z.number();
const finSchema = z.strictObject({
  depth_mm: z.number().min(0).max(100_000),
  beside_mm: z.number().min(0).max(100_000),
});

/** When the sun is on a surface, and when it is not, day by day of the place. */
export const sunRequestSchema = z.strictObject({
  place: pointOfEarthSchema,
  bearing_deg: degrees,
  tilt_deg: degrees.default(90),
  skyline: skylineSchema,
  shading: z
    .strictObject({
      width_mm: z.number().positive().max(100_000),
      height_mm: z.number().positive().max(100_000),
      overhangDepth_mm: z.number().min(0).max(100_000).default(0),
      overhangAbove_mm: z.number().min(0).max(100_000).default(0),
      revealDepth_mm: z.number().min(0).max(10_000).default(0),
      leftFin: finSchema.optional(),
      rightFin: finSchema.optional(),
    })
    .nullable()
    .default(null),
  from: z.iso.date(),
  days: z.int().min(1).max(370).default(1),
  zone: zoneSchema.default('UTC'),
  disc: z.enum(['centre', 'seen']).default('seen'),
  bearingDoubt_deg: z.number().min(0).max(45).default(1),
});

const air = { air_C: z.number(), humidity: share };
/** Every wait that can be calculated from what is given. */
export const waitsRequestSchema = z.strictObject({
  ...air,
  putty_min: z.number().min(1).max(10_000).default(90),
  wash_min: z.number().min(1).max(10_000).default(90),
  film_um: z.number().min(1).max(2000).optional(),
  glass_C: z.number().min(-40).max(80).optional(),
  construction: z.enum(FILM_CONSTRUCTIONS).optional(),
  vapourRate_gm2day: z.number().positive().max(5000).optional(),
  outdoorLow_C: z.number().min(-60).max(60).optional(),
  roll: z
    .strictObject({
      length_m: z.number(),
      pitch_um: z.number(),
      coreRadius_mm: z.number().default(40),
      wrap: z.enum(['boxed', 'bare']).default('boxed'),
      start_C: z.number().min(-60).max(60),
      within_K: z.number().default(2),
    })
    .optional(),
  panel: z
    .strictObject({
      start_C: z.number().min(-60).max(80),
      within_K: z.number().default(2),
      store_Jm2K: z.number().default(3000),
    })
    .optional(),
});

const minute = z.number();
const spans = z.array(z.strictObject({ from: minute, to: minute })).max(5000);
const name = word(200);
export const scheduleRequestSchema = z.strictObject({
  people: z
    .array(
      z.strictObject({
        id: name,
        name: name.optional().default(''),
        skills: z.array(word(80)).max(50).default([]),
        hours: spans,
      }),
    )
    .max(100),
  tools: z
    .array(z.strictObject({ id: name, word: word(200).optional().default('tool'), count: z.number() }))
    .max(200)
    .default([]),
  fitness: z
    .array(
      z.strictObject({
        id: name,
        spans,
        closed: z
          .array(z.strictObject({ from: minute, to: minute, why: z.string().max(400) }))
          .max(5000)
          .default([]),
      }),
    )
    .max(2000)
    .default([]),
  steps: z
    .array(
      z.strictObject({
        id: name,
        word: z.string().max(200).default(''),
        place: z.string().max(200).default(''),
        minutes: minute,
        crew: z.number().default(1),
        skill: word(80).nullable().default(null),
        tools: z
          .array(z.strictObject({ tool: name, count: z.number().default(1) }))
          .max(20)
          .default([]),
        fitness: name.nullable().default(null),
        room: name.nullable().default(null),
        air: z.enum(['makes dust', 'wants clean air']).nullable().default(null),
        pinned: minute.nullable().default(null),
        notBefore: z.strictObject({ minute, why: z.string().max(400).default('') }).optional(),
      }),
    )
    .max(5000),
  lags: z
    .array(
      z.strictObject({
        from: name,
        to: name,
        least: minute.default(0),
        most: minute.nullable().default(null),
        why: z.string().max(400).default(''),
      }),
    )
    .max(20_000)
    .default([]),
  horizon: minute,
  ...searchLimits,
});
