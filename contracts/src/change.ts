import type { FieldsOf, JobTable } from '@yellow-pane/core/job';
import * as z from 'zod';
import { idSchema, versionSchema, whoSchema } from './primitives';
import { ROW_FIELDS } from './rows';

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
export interface RemoveOp<Table extends JobTable = JobTable> {
  readonly op: 'remove';
  readonly table: Table;
  readonly id: string;
  readonly baseVersion: number;
}
export type Op = { readonly [Table in JobTable]: PutOp<Table> | SetOp<Table> | RemoveOp<Table> }[JobTable];

/** One thing a person did: all of its operations are accepted together, or none. Sending it twice does it once. */
export interface Change {
  readonly id: string;
  /** One browser tab from opening to closing; a session never conflicts with itself. */
  readonly session: string;
  readonly who: string;
  readonly ops: readonly Op[];
}

export const MOST_OPS = 2000;

const tables = Object.keys(ROW_FIELDS) as [JobTable, ...JobTable[]];
const hasFields = (fields: object): boolean => Object.keys(fields).length > 0;

const putSchema = z.discriminatedUnion('table', tables.map((table) => z.strictObject({ op: z.literal('put'), table: z.literal(table), id: idSchema, fields: ROW_FIELDS[table] })) as never);
const setSchema = z.discriminatedUnion('table', tables.map((table) =>
  z.strictObject({ op: z.literal('set'), table: z.literal(table), id: idSchema, baseVersion: versionSchema, fields: (ROW_FIELDS[table] as z.ZodObject).partial().refine(hasFields, { error: 'at least one field' }) })) as never);
const removeSchema = z.strictObject({ op: z.literal('remove'), table: z.enum(tables), id: idSchema, baseVersion: versionSchema });

export const opSchema = z.discriminatedUnion('op', [putSchema, setSchema, removeSchema] as never) as unknown as z.ZodType<Op>;

export const changeSchema = z.strictObject({ id: idSchema, session: idSchema, who: whoSchema, ops: z.array(opSchema).min(1).max(MOST_OPS) }) as unknown as z.ZodType<Change>;
