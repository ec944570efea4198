import type { Op } from '@yellow-pane/contracts';
import { EMPTY_SHOP, type JobRows, JobView, jobRows } from '@yellow-pane/core/reading';
import { EXAMPLE_FILMS } from './example-films';

/** A job as the operations so far leave it, for asking what it says of itself. */
export function viewOfOps(made: readonly Op[]): JobView {
  const tables: Partial<Record<keyof JobRows, unknown[]>> = {};
  for (const op of made)
    if (op.op === 'put') (tables[op.table] ??= []).push({ id: op.id, ...op.fields, removed: false });
  const films = EXAMPLE_FILMS.map(({ id, film }) => ({ id, ...film }));
  return new JobView(jobRows(tables as Partial<JobRows>), { ...EMPTY_SHOP, films });
}
