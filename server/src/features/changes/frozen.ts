import type { Op } from '@yellow-pane/contracts';
import { FROZEN_FIELDS } from '@yellow-pane/core/job';
import { Refusal } from '../../http/refusal';

/** @throws Refusal ROW_FROZEN where a change touches what was put on paper */
export function refuseFrozen(ops: readonly Op[]): void {
  for (const op of ops) {
    const touched =
      op.op === 'set' ? FROZEN_FIELDS[op.table]?.find((field) => field in op.fields) : undefined;
    if (touched !== undefined)
      throw new Refusal('ROW_FROZEN', {
        path: `${op.table}.${touched}`,
        expected: 'as it was put on paper',
        got: 'another value',
      });
  }
}
