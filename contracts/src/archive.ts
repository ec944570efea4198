import { JOB_TABLES } from '@yellow-pane/core/job';
import * as z from 'zod';
import { rowSchema } from './answers';
import { customerFields } from './customer';
import { rollFieldsSchema } from './cutting-rows';
import { filmFieldsSchema } from './film';
import { personFieldsSchema } from './person';
import { idSchema, instantSchema, word } from './primitives';

export const ARCHIVE_FORMAT = 'yellow-pane job archive';
/** Goes up when what is in an archive is no longer read by an earlier program. */
export const ARCHIVE_VERSION = 1;
const MOST_PHOTOS = 20_000;
const MOST_OF_SHOP = 20_000;

/** `archive.json`, the last file of the zip: what must be in it, so that one cut short is seen. */
export const archiveManifestSchema = z.strictObject({
  format: z.literal(ARCHIVE_FORMAT),
  version: z.literal(ARCHIVE_VERSION),
  madeAt: instantSchema,
  jobId: idSchema,
  name: word(200),
  /** Rows of each table. */
  counts: z.record(z.enum(JOB_TABLES as [string, ...string[]]), z.int().min(0)),
  rows_sha256: z.string().regex(/^[0-9a-f]{64}$/),
  shop_sha256: z.string().regex(/^[0-9a-f]{64}$/),
  photos: z
    .array(
      z.strictObject({
        id: idSchema,
        bytes: z.int().min(1).max(50_000_000),
        sha256: z.string().regex(/^[0-9a-f]{64}$/),
      }),
    )
    .max(MOST_PHOTOS),
});
export type ArchiveManifest = z.infer<typeof archiveManifestSchema>;

/** `rows.json`: every row of every table of the job. */
export const archiveRowsSchema = z.strictObject(
  Object.fromEntries(JOB_TABLES.map((table) => [table, z.array(rowSchema(table))])),
);

/** `shop.json`: what of the shop the rows speak of. */
export const archiveShopSchema = z.strictObject({
  films: z.array(z.strictObject({ id: idSchema, film: filmFieldsSchema })).max(MOST_OF_SHOP),
  rolls: z.array(z.strictObject({ id: idSchema, roll: rollFieldsSchema })).max(MOST_OF_SHOP),
  people: z.array(z.strictObject({ id: idSchema, person: personFieldsSchema })).max(MOST_OF_SHOP),
  customers: z.array(z.strictObject({ id: idSchema, customer: customerFields })).max(MOST_OF_SHOP),
});
export type ArchiveShop = z.infer<typeof archiveShopSchema>;

/** `schema.json`: how all of it is built, as JSON Schema. */
export const archiveJsonSchema = (): Readonly<Record<string, unknown>> => ({
  title: `${ARCHIVE_FORMAT}, version ${ARCHIVE_VERSION}`,
  'archive.json': z.toJSONSchema(archiveManifestSchema),
  'rows.json': z.toJSONSchema(archiveRowsSchema),
  'shop.json': z.toJSONSchema(archiveShopSchema),
});

/** What came of reading an archive. */
export const archiveReadSchema = z.strictObject({
  jobId: idSchema,
  name: z.string(),
  rows: z.int().min(0),
  photos: z.int().min(0),
  /** Identifiers that were taken here and became others. */
  mapped: z.int().min(0),
});
export type ArchiveRead = z.infer<typeof archiveReadSchema>;
