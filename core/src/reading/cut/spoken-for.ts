import type { SpokenFor, StockLeft } from '../../job';
import type { JobView } from '../view/job-view';

/** What other jobs' plans take of a roll or offcut and have not cut yet. */
export function spokenForElsewhere(
  item: Pick<StockLeft, 'spokenFor'>,
  jobId: string | undefined,
): readonly SpokenFor[] {
  return item.spokenFor.filter((own) => own.jobId !== jobId);
}

/** A roll of a plan of which other jobs' plans want more than it leaves. */
interface PromisedTwice {
  readonly label: string;
  readonly left_nm: number;
  readonly used_nm: number;
  readonly elsewhere_nm: number;
  readonly jobs: readonly string[];
}

/** Rolls of a plan, not cut yet, whose film lies in plans of other jobs too: there is not enough for all. */
export function promisedTwice(
  view: JobView,
  planId: string,
  stock: readonly StockLeft[],
): readonly PromisedTwice[] {
  return view.rollsOf(planId).flatMap(({ stockId, bookedAt, used_nm, label }) => {
    const item = stock.find(({ id }) => id === stockId);
    if (item === undefined || bookedAt !== null) return [];
    const elsewhere = spokenForElsewhere(item, view.job?.id);
    const elsewhere_nm = elsewhere.reduce((sum, { length_nm }) => sum + length_nm, 0);
    return elsewhere_nm > 0 && used_nm + elsewhere_nm > item.left_nm
      ? [{ label, left_nm: item.left_nm, used_nm, elsewhere_nm, jobs: elsewhere.map(({ job }) => job) }]
      : [];
  });
}
