import { type WorkStep, type WorkStepsInput, workStepsFor } from '../fitting';
import { NEW_DAY, type RowOf } from '../job';
import type { JobView } from './job-view';
import { checkOf } from './surface';

const MM2_PER_M2 = 1e6;
const MM_PER_M = 1000;

/** What decides the work of one film on one surface, whatever asks: steps, day, mixes, kit. */
export function workCaseOf(
  view: JobView,
  application: RowOf<'application'>,
): Omit<WorkStepsInput, 'learned' | 'primer' | 'shrink'> {
  const surface = view.surfaceById.get(application.surfaceId);
  const film = view.filmById.get(application.filmId);
  const check = checkOf(view, application.surfaceId);
  const wall = view.wallFactsOf(application.surfaceId);
  return {
    schools: application,
    method: application.method,
    condition: surface?.condition ?? 'unknown',
    isSecurityFilm: film?.family === 'security',
    isHardToReach: view.siteFactsOf(application.surfaceId)?.reach === 'not everywhere',
    hasInsideCorner: wall?.leftCorner === 'inside corner' || wall?.rightCorner === 'inside corner',
    ...(film === undefined ? {} : { family: film.family }),
    ...('sizes' in check
      ? {
          area_m2: check.sizes.area_mm2.value / MM2_PER_M2,
          edge_m: check.sizes.perimeter_mm.value / MM_PER_M,
        }
      : {}),
  };
}

/** The steps of fitting it, in order, as this job chose its schools, primer and way of shrinking. */
export function workStepsOf(view: JobView, application: RowOf<'application'>): readonly WorkStep[] {
  const { primer, shrink } = view.rows.daySettings[0] ?? NEW_DAY;
  return workStepsFor({ ...workCaseOf(view, application), primer, shrink, learned: view.shop.learned });
}

/** What was done of it, by the key of the step. */
export function doneSteps(view: JobView, applicationId: string): ReadonlyMap<string, RowOf<'workRecord'>> {
  return new Map(view.workOf(applicationId).map((record) => [record.step, record]));
}
