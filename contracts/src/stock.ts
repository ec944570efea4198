import type { Offcut, Roll } from '@yellow-pane/core/job';
import * as z from 'zod';
import { idSchema, instantSchema, nanometres, versionSchema, whoSchema } from './primitives';
import { rollFieldsSchema } from './cutting-rows';

export type RollRow = Roll & {
  readonly id: string;
  readonly version: number;
  readonly changedBy: string;
  readonly changedAt: string;
};
export const rollRowSchema = rollFieldsSchema.extend({
  id: idSchema,
  version: versionSchema,
  changedBy: whoSchema,
  changedAt: instantSchema,
}) satisfies z.ZodType<RollRow>;
export const rollBodySchema = z.strictObject({ who: whoSchema, roll: rollFieldsSchema });

/**
 * Something film can be cut from, with what is left of it: a roll, an offcut brought in by hand, or one that
 * a job left.
 */
export interface StockItem extends Pick<
  Roll,
  | 'filmId'
  | 'what'
  | 'label'
  | 'lot'
  | 'width_nm'
  | 'length_nm'
  | 'perMetre'
  | 'leftEdge'
  | 'rightEdge'
  | 'where'
> {
  readonly id: string;
  readonly left_nm: number;
  /** The roll it came off; null for what was bought. */
  readonly parentId: Offcut['parentId'];
  /** The job that left it; null for what was bought. */
  readonly jobId: string | null;
  /** Of a bought roll, to change it. */
  readonly version: number | null;
  readonly gone: boolean;
}

export const stockItemSchema = rollFieldsSchema.extend({
  id: idSchema,
  left_nm: nanometres,
  parentId: idSchema.nullable(),
  jobId: idSchema.nullable(),
  version: versionSchema.nullable(),
}) satisfies z.ZodType<StockItem>;
