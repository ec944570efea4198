import type { RowOf } from '../../job';
import { LINER_WAYS, type LinerPlan, linerPlan } from '../../liner';
import { isLargeSheet } from '../../ways';
import { blankOf } from '../cut/blank';
import type { JobView } from '../view/job-view';
import { schoolsOf, workCaseOf } from './work';

/** How the liner of a film comes off, as whoever does it sees it; undefined: its blank is not known. */
export function linerOf(
  view: JobView,
  application: RowOf<'application'>,
  personId?: string,
): LinerPlan | undefined {
  const today = blankOf(view, application);
  if (today.kind === 'none') return undefined;
  const { width_mm, height_mm } = today.blanks.whole;
  const chosen = schoolsOf(view, application).find(({ key }) => key === 'liner')?.value;
  const own = workCaseOf(view, application);
  const isTwo = own.people === 2 || (own.people !== 1 && isLargeSheet(own));
  return linerPlan({
    width_mm: width_mm.value,
    height_mm: height_mm.value,
    way: LINER_WAYS.find((own) => own === chosen) ?? 'tape tabs',
    people: isTwo ? 2 : 1,
    hand: view.personById.get(personId ?? '')?.hand ?? null,
    isHungDry: application.method === 'dry-fitted',
  });
}
