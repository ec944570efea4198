import { courseAt, vapourThrough } from '../../waiting';
import { type Sky, filmDates } from './film-dates';
import type { PocketSeen } from '../view/job-rows';
import type { JobView } from '../view/job-view';
import { laidAt } from './marks';

const DAY_MS = 86_400_000;
/** A pocket looked at sooner says nothing of its end. */
const LEAST_DAYS = 1;

/**
 * What the pockets of a job say of the water left under film: how much had gone through it when one was seen
 * gone, or when somebody last decided to watch it. Where nothing is known of the glass they say nothing.
 */
export function pocketsSeen(view: JobView, sky: Sky): readonly PocketSeen[] {
  return view.rows.mark.flatMap((mark): readonly PocketSeen[] => {
    const application =
      view.applicationById.get(mark.applicationId ?? '') ?? view.applicationsOf(mark.surfaceId)[0];
    const film = view.filmById.get(application?.filmId ?? '');
    const laid_ms = application === undefined ? null : laidAt(view, application.id);
    if (mark.look !== 'water pocket' || application === undefined || film === undefined || laid_ms === null)
      return [];
    const decided = view.decisionsOf(mark.id).at(-1)?.said.at ?? null;
    const seenAt = mark.goneAt ?? decided;
    if (seenAt === null) return [];
    const days = (Date.parse(seenAt) - laid_ms) / DAY_MS;
    const dates = filmDates(view, application, laid_ms, sky);
    if (days < LEAST_DAYS || dates === undefined || dates.course.length === 0) return [];
    const { driven } = courseAt(days, dates.course);
    const left_gm2 = (driven * vapourThrough(film).value) / (film.thickness_um / 1000);
    return [{ family: film.family, left_gm2, isGone: mark.goneAt !== null }];
  });
}
