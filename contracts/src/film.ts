import { type Film, FAMILY_NAMES } from '@yellow-pane/core/job';
import * as z from 'zod';
import {
  idSchema,
  positiveNanometres,
  share,
  text,
  versionSchema,
  type ChangedInShop,
  changedInShop,
  madeBySchema,
  word,
} from './primitives';

const filmShape = z.strictObject({
  name: word(200),
  family: z.enum(FAMILY_NAMES),
  use: text(400),
  thickness_um: z.number().positive().max(10_000),
  direction: z.enum(['none', 'along the roll', 'one way']),
  referenceGlass: text(200),
  uvTransmitted: share.nullable(),
  visibleTransmitted: share.nullable(),
  visibleReflectedRoom: share.nullable(),
  visibleReflectedOutside: share.nullable(),
  solarTransmitted: share.nullable(),
  solarReflected: share.nullable(),
  solarReflectedRoom: share.nullable(),
  haze: share.nullable(),
  coverage: share.nullable(),
  opening_nm: positiveNanometres.nullable(),
  repeat_nm: positiveNanometres.nullable(),
  emissivity: share.nullable(),
  workMin_C: z.number().min(-40).max(80).nullable(),
  workMax_C: z.number().min(-40).max(80).nullable(),
  face: z.enum(['room side', 'outside', 'either']),
  laying: z.enum(['wet', 'dry', 'dry with heat']),
  claims: text(400),
  handling: text(2000),
  invented: z.boolean(),
  widths_nm: z.array(positiveNanometres).min(1).max(20),
}) satisfies z.ZodType<Film>;

const sumFits = (a: number | null, b: number | null): boolean => a === null || b === null || a + b <= 1;

/** A film as its sheet gives it. What is let through and what is thrown back cannot exceed what arrives. */
export const filmFieldsSchema = filmShape
  .refine((film) => sumFits(film.visibleTransmitted, film.visibleReflectedRoom), {
    path: ['visibleReflectedRoom'],
    error: 'visible transmitted + reflected must not exceed 1',
  })
  .refine((film) => sumFits(film.visibleTransmitted, film.visibleReflectedOutside), {
    path: ['visibleReflectedOutside'],
    error: 'visible transmitted + reflected must not exceed 1',
  })
  .refine((film) => sumFits(film.solarTransmitted, film.solarReflectedRoom), {
    path: ['solarReflectedRoom'],
    error: 'solar transmitted + reflected must not exceed 1',
  })
  .refine((film) => sumFits(film.solarTransmitted, film.solarReflected), {
    path: ['solarReflected'],
    error: 'solar transmitted + reflected must not exceed 1',
  });

export type FilmRow = Film &
  ChangedInShop & {
    readonly id: string;
    readonly version: number;
  };

export const filmRowSchema = filmShape.extend({
  id: idSchema,
  version: versionSchema,
  ...changedInShop,
}) satisfies z.ZodType<FilmRow>;
export const filmBodySchema = z.strictObject({ ...madeBySchema, film: filmFieldsSchema });
export const filmListSchema = z.array(filmRowSchema);
