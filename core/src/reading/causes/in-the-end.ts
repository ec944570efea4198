import { type CaseInTheEnd, type LookTable, isOfTable } from '../../diagnosing';
import type { DiagnosedLook } from '../../job';
import type { CaseOfShop } from '../view/job-rows';

/**
 * Cases whose cause was seen in the end, the oldest first, each with how many of its look were confirmed
 * before it: forecast first, learned from afterwards. Shares of another table are no forecast of this one's
 * causes.
 */
export function inEnd(
  cases: readonly CaseOfShop[],
  tables: Readonly<Record<DiagnosedLook, LookTable>>,
): readonly CaseInTheEnd[] {
  const before = new Map<DiagnosedLook, number>();
  return cases.flatMap(({ look, posterior, confirmed, how }) => {
    const known = before.get(look) ?? 0;
    if (confirmed !== null) before.set(look, known + 1);
    const table = tables[look];
    return confirmed === null || posterior === null || how !== 'seen' || !isOfTable(table, posterior)
      ? []
      : [{ table, posterior, confirmed, before: known }];
  });
}
