import { type Verdict, worstVerdict } from '../../quantity';
import type { Sky } from './film-dates';
import type { JobView } from '../view/job-view';
import { marksJudged } from './marks';
import { ruleSetFor } from './rule-sets';

/** How the work of a job, or of some of its surfaces, stands. */
interface Checked {
  readonly surfaces: number;
  /** Looked at as a whole, with nothing against them. */
  readonly good: number;
  /** With something to be done again, or to be stopped for. */
  readonly again: number;
  /** Neither: begun, watched, to be put right or measured, or not looked at. */
  readonly open: number;
  /** As the worst surface; unknown without one. */
  readonly verdict: Verdict;
}

/** Of a surface; unknown while it is not measured. */
export function verdictOfSurface(view: JobView, surfaceId: string, now_ms: number, sky: Sky): Verdict {
  const set = ruleSetFor(view, surfaceId);
  return (set && marksJudged(view, surfaceId, { set, now_ms, sky })?.verdict) ?? 'unknown';
}

/** Of every surface that film was chosen for. */
export function checkedOf(view: JobView, now_ms: number, sky: Sky): Checked {
  const verdicts = view.surfaces
    .filter(({ id }) => view.applicationsOf(id).length > 0)
    .map(({ id }) =>
      view.inspectionsOf(id).length + view.marksOf(id).length === 0
        ? 'unknown'
        : verdictOfSurface(view, id, now_ms, sky),
    );
  const good = verdicts.filter((verdict) => verdict === 'go').length;
  const again = verdicts.filter((verdict) => verdict === 'stop').length;
  return {
    ...{ surfaces: verdicts.length, good, again, open: verdicts.length - good - again },
    verdict: worstVerdict(verdicts),
  };
}
