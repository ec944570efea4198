import type { LearnedRow } from '@yellow-pane/contracts';
import { AT_FIRST } from '@yellow-pane/core/learned';
import type { Database, Transaction } from '../../db/database';
import { learned } from '../../db/schema';

const UNTOUCHED = { version: 0, changedBy: null, changedAt: null };
const FIRST_BY_KEY = new Map(AT_FIRST.map((figure) => [figure.key, figure]));

/**
 * Every figure as people have set it, else as it is at first; behind them those that hold for one thing
 * alone.
 */
export async function readLearned(db: Database | Transaction): Promise<readonly LearnedRow[]> {
  const kept = (await db.select().from(learned)).flatMap((row): LearnedRow[] => {
    const first = FIRST_BY_KEY.get(row.key);
    if (first === undefined) return [];
    const { scopeKind, scopeOf, changedAt, ...own } = row;
    const scope = scopeKind === '' ? null : { kind: scopeKind, of: scopeOf };
    return [{ ...first, ...own, scope, changedAt: changedAt.toISOString() }];
  });
  const ofAll = new Map(kept.filter(({ scope }) => scope === null).map((row) => [row.key, row]));
  return [
    ...AT_FIRST.map((first) => ofAll.get(first.key) ?? { ...first, ...UNTOUCHED }),
    ...kept.filter(({ scope }) => scope !== null),
  ];
}
