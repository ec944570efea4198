import type { RateRow } from '@yellow-pane/contracts';
import { DEFAULT_RATES } from '@yellow-pane/core/fitting';
import type { Database, Transaction } from '../../db/database';
import { rate } from '../../db/schema';

/** Every rate, as people have set it, else by default. */
export async function readRates(db: Database | Transaction): Promise<readonly RateRow[]> {
  const changed = await db.select().from(rate);
  return DEFAULT_RATES.map((base) => {
    const own = changed.find(({ key }) => key === base.key);
    return own === undefined
      ? { ...base, version: 0, changedBy: null, changedAt: null }
      : {
          ...base,
          value: own.value,
          mark: own.mark,
          version: own.version,
          changedBy: own.changedBy,
          changedById: own.changedById,
          changedAt: own.changedAt.toISOString(),
        };
  });
}
