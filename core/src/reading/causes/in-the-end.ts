import type { CaseInTheEnd, LookTable } from '../../diagnosing';
import type { DiagnosedLook } from '../../job';
import type { CaseOfShop } from '../view/job-rows';

/**
 * Cases whose cause was seen in the end, the oldest first, each with how many of its look were confirmed
 * before it: forecast first, learned from afterwards.
 */
export function inEnd(
  cases: readonly CaseOfShop[],
  tables: Readonly<Record<DiagnosedLook, LookTable>>,
): readonly CaseInTheEnd[] {
  const before = new Map<DiagnosedLook, number>();
  return cases.flatMap(({ look, posterior, confirmed, how }) => {
    const known = before.get(look) ?? 0;
    if (confirmed !== null) before.set(look, known + 1);
    return confirmed === null || posterior === null || how !== 'seen'
      ? []
      : [{ table: tables[look], posterior, confirmed, before: known }];
  });
}
