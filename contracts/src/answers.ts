import type { JobTable, RowOf } from '@yellow-pane/core/job';
import * as z from 'zod';
import { idSchema, instantSchema, madeBySchema, versionSchema, whoSchema, word } from './primitives';
import { ROW_FIELDS } from './rows';

export type TableRow = {
  readonly [Table in JobTable]: { readonly table: Table; readonly row: RowOf<Table> };
}[JobTable];

/** What the server says of a change it took, to its maker and to everyone else looking at the job. */
export interface AcceptedChange {
  readonly seq: number;
  readonly changeId: string;
  readonly session: string;
  readonly who: string;
  readonly personId?: string | null | undefined;
  readonly at: string;
  readonly rows: readonly TableRow[];
}

/** The same field of the same row, changed by someone else since. */
export interface Conflict {
  readonly table: JobTable;
  readonly id: string;
  readonly field: string;
  readonly yours: unknown;
  readonly theirs: unknown;
  readonly who: string;
  readonly at: string;
  readonly version: number;
}

export interface JobState {
  readonly seq: number;
  readonly rows: { readonly [Table in JobTable]: readonly RowOf<Table>[] };
}

/** A job as a line in the list, with the first surfaces as small outlines, and what is done of what. */
export interface JobSummary {
  readonly id: string;
  readonly name: string;
  readonly archived: boolean;
  readonly changedAt: string;
  readonly changedBy: string;
  readonly version: number;
  readonly surfaces: number;
  readonly measured: number;
  readonly withFilm: number;
  readonly laid: number;
  readonly fitted: number;
  readonly strip: readonly {
    readonly tag: string;
    readonly width_mm: number | null;
    readonly height_mm: number | null;
  }[];
}

const meta = {
  id: idSchema,
  jobId: idSchema,
  version: versionSchema,
  madeBy: whoSchema,
  madeAt: instantSchema,
  changedBy: whoSchema,
  changedAt: instantSchema,
  removed: z.boolean(),
};
const tables = Object.keys(ROW_FIELDS) as [JobTable, ...JobTable[]];
/** A row as it is sent: its own fields, and what the program keeps about it. */
export const rowSchema = (table: JobTable): z.ZodObject => (ROW_FIELDS[table] as z.ZodObject).extend(meta);

export const acceptedChangeSchema = z.strictObject({
  seq: z.int().min(1),
  changeId: idSchema,
  session: idSchema,
  ...madeBySchema,
  at: instantSchema,
  rows: z.array(
    z.discriminatedUnion(
      'table',
      tables.map((table) => z.strictObject({ table: z.literal(table), row: rowSchema(table) })) as never,
    ),
  ),
});

export const conflictSchema = z.strictObject({
  table: z.enum(tables),
  id: idSchema,
  field: z.string(),
  yours: z.unknown(),
  theirs: z.unknown(),
  who: whoSchema,
  at: instantSchema,
  version: versionSchema,
});

export const jobStateSchema = z.strictObject({
  seq: z.int().min(0),
  rows: z.strictObject(Object.fromEntries(tables.map((table) => [table, z.array(rowSchema(table))]))),
});

const side = z.number().positive().nullable();
export const jobSummarySchema = z.strictObject({
  id: idSchema,
  name: z.string(),
  archived: z.boolean(),
  changedAt: instantSchema,
  changedBy: whoSchema,
  version: versionSchema,
  surfaces: z.int(),
  measured: z.int(),
  withFilm: z.int(),
  laid: z.int(),
  fitted: z.int(),
  strip: z.array(z.strictObject({ tag: z.string(), width_mm: side, height_mm: side })),
}) satisfies z.ZodType<JobSummary>;

const state = z.enum(['open', 'half', 'full', 'barred']);
const anything = z.looseObject({});
export const jobAnswersSchema = z.strictObject({
  progress: z.strictObject({
    surfaces: z.int(),
    measured: z.int(),
    withFilm: z.int(),
    laid: z.int(),
    fitted: z.int(),
  }),
  next: anything,
  surfaces: z.array(
    z.strictObject({
      id: idSchema,
      tag: z.string(),
      measured: z.enum(['none', 'unfinished', 'contradicts', 'assumed', 'measured']),
      at: z.strictObject({ survey: state, film: state, cut: state, fit: state }),
      width_mm: side,
      height_mm: side,
      films: z.array(
        z.strictObject({
          applicationId: idSchema,
          filmId: idSchema,
          method: z.string(),
          isLaid: z.boolean(),
          isStale: z.boolean(),
          blank: anything,
          steps: z.array(
            z.strictObject({
              key: z.string(),
              minutes: z.number(),
              state: z.enum(['open', 'begun', 'done']),
            }),
          ),
        }),
      ),
    }),
  ),
  orders: z.array(
    z.strictObject({
      filmId: idSchema,
      order: anything,
      missing: z.array(z.strictObject({ tag: z.string(), reason: z.string() })),
      notLaid: z.array(z.string()),
      lotsApart: z.array(anything),
    }),
  ),
  changedAfterCut: z.array(anything),
  ready: z.array(anything),
  day: z.strictObject({ problem: anything, blocked: z.array(anything) }),
});

export const duplicateSchema = z.strictObject({
  id: idSchema,
  changeId: idSchema,
  session: idSchema,
  ...madeBySchema,
  name: word(200),
});
