import type { JobSummary } from '@yellow-pane/contracts';
import type { Stop } from '../shell/selection';

/** The one next thing to do in a job, and the stop where it is done. */
export function whatNext(job: Pick<JobSummary, 'surfaces' | 'measured' | 'withFilm' | 'laid' | 'fitted'>): {
  readonly stop: Stop;
  readonly says: string;
} {
  const count = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;
  if (job.surfaces === 0) return { stop: 'survey', says: 'Measure the first surface' };
  if (job.measured < job.surfaces)
    return {
      stop: 'survey',
      says: `${count(job.surfaces - job.measured, 'surface', 'surfaces')} to measure`,
    };
  if (job.withFilm < job.surfaces)
    return {
      stop: 'film',
      says: `Film to choose for ${count(job.surfaces - job.withFilm, 'surface', 'surfaces')}`,
    };
  if (job.laid < job.withFilm)
    return { stop: 'cut', says: `${count(job.withFilm - job.laid, 'blank', 'blanks')} to lay out` };
  if (job.fitted < job.withFilm)
    return { stop: 'fit', says: `${count(job.withFilm - job.fitted, 'surface', 'surfaces')} to fit` };
  return { stop: 'fit', says: 'Everything is fitted' };
}
