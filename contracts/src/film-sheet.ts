import * as z from 'zod';
import { changedInShop, idSchema, word } from './primitives';

/** What a data sheet may be kept as. */
export const FILM_SHEET_TYPES = ['application/pdf', 'image/jpeg', 'image/png'] as const;
export type FilmSheetType = (typeof FILM_SHEET_TYPES)[number];
export const LARGEST_SHEET_BYTES = 15_000_000;

/** A data sheet that is kept: of which film, what it is called and how large it is. */
export const filmSheetSchema = z.strictObject({
  filmId: idSchema,
  name: word(200),
  type: z.enum(FILM_SHEET_TYPES),
  bytes: z.int().min(1),
  ...changedInShop,
});
export type FilmSheet = z.infer<typeof filmSheetSchema>;
