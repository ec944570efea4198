import { type Film, FAMILY_NAMES, FILM_CONSTRUCTIONS, INITIAL_TACKS } from '@yellow-pane/core/job';
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

const positive = (most: number) => z.number().positive().max(most).nullable();
const degrees = (most: number) => z.number().min(-40).max(most).nullable();

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
  workMin_C: degrees(80),
  workMax_C: degrees(80),
  face: z.enum(['room side', 'outside', 'either']),
  laying: z.enum(['wet', 'dry', 'dry with heat']),
  claims: text(400),
  handling: text(2000),
  invented: z.boolean(),
  widths_nm: z.array(positiveNanometres).min(1).max(20),
  construction: z.enum(FILM_CONSTRUCTIONS).nullable(),
  tack: z.enum(INITIAL_TACKS).nullable(),
  vapourRate_gm2day: positive(5000),
  permeability_gmm: positive(100),
  metalOpen: share.nullable(),
  shrinkAlong: share.nullable(),
  shrinkAcross: share.nullable(),
  shrinkAt_C: degrees(300),
  shrinkEasy: share.nullable(),
  shrinkHard: share.nullable(),
  shrinkLimit: share.nullable(),
  strainCareful: positive(5),
  strainLimit: positive(5),
  tensionMin_C: degrees(150),
  tensionMax_C: degrees(150),
  postHeat_C: degrees(150),
  postHeat_s: positive(600),
}) satisfies z.ZodType<Film>;

const sumFits = (a: number | null, b: number | null): boolean => a === null || b === null || a + b <= 1;

/** A film as its sheet gives it. What is let through and what is reflected cannot exceed what arrives. */
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
