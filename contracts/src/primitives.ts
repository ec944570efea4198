import * as z from 'zod';

/**
 * PostgreSQL holds neither NUL nor half a surrogate pair; everything else a person types is kept as it is.
 */
const isStorable = (text: string): boolean => !text.includes('\u0000') && !/\p{Surrogate}/u.test(text);
const NOT_STORABLE = { error: 'must not contain the NUL character or half a surrogate pair' };

export const text = (max: number): z.ZodString => z.string().max(max).refine(isStorable, NOT_STORABLE);
export const word = (max: number): z.ZodString =>
  z.string().trim().min(1).max(max).refine(isStorable, NOT_STORABLE);

export const idSchema = z.uuidv7();
export const whoSchema = word(80);
/** By whose hand something is kept: the person of the shop, and the name as it was. */
export const madeBySchema = { who: whoSchema, personId: idSchema.nullish() };
export type MadeBy = { readonly who: string; readonly personId?: string | null | undefined };
/**
 * ISO 8601 with `Z` or an offset: the same instant may be written in either way. Of these centuries: others
 * no database or calendar agrees on.
 */
export const instantSchema = z.iso
  .datetime({ offset: true })
  .refine((text) => text >= '1900' && text < '2200', { error: 'an instant from 1900 to 2199' });
/** By whom and when a row of the shop was changed last. */
export const changedInShop = {
  changedBy: whoSchema,
  changedById: idSchema.nullish(),
  changedAt: instantSchema,
};
export interface ChangedInShop {
  readonly changedBy: string;
  readonly changedById?: string | null | undefined;
  readonly changedAt: string;
}
export const versionSchema = z.int().min(1).max(2_000_000_000);
/** The version a person saw when beginning; 0: the row was not there yet. */
export const seenVersionSchema = z.int().min(0).max(2_000_000_000);
export const positionSchema = z.number().min(-1e9).max(1e9);

/** Over on a side of a blank; below zero: the gap of film that ends before its frame, 50 mm at most. */
export const allowanceNanometres = z.int().min(-50_000_000).max(1_000_000_000_000);
/** Whole nanometres up to 1 km. */
export const nanometres = z.int().min(0).max(1_000_000_000_000);
export const positiveNanometres = z.int().min(1).max(1_000_000_000_000);
export const signedNanometres = z.int().min(-1_000_000_000_000).max(1_000_000_000_000);
export const measureKind = z.enum([
  'distance',
  'height over',
  'right angle',
  'level',
  'sag',
  'quarter sag',
  'rocking gap',
  'radius',
  'circumference',
  'thickness',
  'wrap',
  'label',
]);
/** Such as `tl`, `mt`, `p3`, `floor`. */
export const pointName = z
  .string()
  .regex(/^[a-z]{1,6}[0-9]{0,2}$/, { error: 'a point such as tl, mt, p3 or floor' });
export const share = z.number().min(0).max(1);
