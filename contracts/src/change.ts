import { type FieldsOf, type JobTable, MEASURE_KINDS, type Measure } from '@yellow-pane/core/job';
import { NM_PER_MM } from '@yellow-pane/core/quantity';
import * as z from 'zod';
import { type MadeBy, idSchema, madeBySchema, seenVersionSchema, versionSchema } from './primitives';
import { ROW_FIELDS } from './rows';
import { MOST_OPS } from './limits';

export interface PutOp<Table extends JobTable = JobTable> {
  readonly op: 'put';
  readonly table: Table;
  readonly id: string;
  readonly fields: FieldsOf<Table>;
}
export interface SetOp<Table extends JobTable = JobTable> {
  readonly op: 'set';
  readonly table: Table;
  readonly id: string;
  /** The version the person was looking at. */
  readonly baseVersion: number;
  readonly fields: Partial<FieldsOf<Table>>;
}
export interface RemoveOp {
  readonly op: 'remove';
  readonly table: JobTable;
  readonly id: string;
  readonly baseVersion: number;
}
export type Op = { readonly [Table in JobTable]: PutOp<Table> | SetOp<Table> }[JobTable] | RemoveOp;

/**
 * One thing a person did: all of its operations are accepted together, or none. Sending it twice does it
 * once.
 */
export interface Change extends MadeBy {
  readonly id: string;
  /** One browser tab from opening to closing; a session never conflicts with itself. */
  readonly session: string;
  readonly ops: readonly Op[];
}

export const MOST_IMPORTED_OPS = 100_000;

const tables = Object.keys(ROW_FIELDS) as [JobTable, ...JobTable[]];
const hasFields = (fields: object): boolean => Object.keys(fields).length > 0;

/** A measure must be one its kind can have: a sag may be below nothing, a width may not. */
const isPossible = ({ kind, value_nm }: Measure): boolean =>
  value_nm >= MEASURE_KINDS[kind].least_mm * NM_PER_MM && value_nm <= MEASURE_KINDS[kind].most_mm * NM_PER_MM;
const putMeasure = ROW_FIELDS.measure.refine(isPossible, {
  path: ['value_nm'],
  error: ({ input }) => {
    const { word, least_mm, most_mm } = MEASURE_KINDS[(input as Measure).kind];
    return `a ${word} is ${least_mm} to ${most_mm} mm`;
  },
});

const putSchema = z.discriminatedUnion(
  'table',
  tables.map((table) =>
    z.strictObject({
      op: z.literal('put'),
      table: z.literal(table),
      id: idSchema,
      fields: table === 'measure' ? putMeasure : ROW_FIELDS[table],
    }),
  ) as never,
);
const setSchema = z.discriminatedUnion(
  'table',
  tables.map((table) =>
    z.strictObject({
      op: z.literal('set'),
      table: z.literal(table),
      id: idSchema,
      baseVersion: seenVersionSchema,
      fields: (ROW_FIELDS[table] as z.ZodObject).partial().refine(hasFields, { error: 'at least one field' }),
    }),
  ) as never,
);
const removeSchema = z.strictObject({
  op: z.literal('remove'),
  table: z.enum(tables),
  id: idSchema,
  baseVersion: versionSchema,
});

export const opSchema = z.discriminatedUnion('op', [
  putSchema,
  setSchema,
  removeSchema,
] as never) as unknown as z.ZodType<Op>;

const changeOf = (mostOps: number): z.ZodType<Change> =>
  z.strictObject({
    id: idSchema,
    session: idSchema,
    ...madeBySchema,
    ops: z.array(opSchema).min(1).max(mostOps),
  });
export const changeSchema = changeOf(MOST_OPS);
/** A pasted sheet or a file, brought in as one change: all of it or nothing. */
export const importSchema = changeOf(MOST_IMPORTED_OPS);
