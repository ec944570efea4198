import { isCracked, stepStateOf } from '../../job';
import { verdictOfSurface } from '../check/checked';
import { changedAfterCut, isStale } from '../cut/cut-already';
import type { Sky } from '../check/film-dates';
import type { JobView } from '../view/job-view';
import { isLaid, surfaceProgress } from './progress';
import { measureState } from '../survey/surface';

/** How far a surface is at a stop: not begun, begun, done, or in need of attention. */
export type StateAtStop = 'open' | 'half' | 'full' | 'barred';

export function stateAtSurvey(view: JobView, surfaceId: string): StateAtStop {
  if (changedAfterCut(view, surfaceId).length > 0) return 'barred';
  const state = measureState(view, surfaceId);
  if (state === 'none') return 'open';
  if (state === 'contradicts') return 'barred';
  return state === 'measured' ? 'full' : 'half';
}

export function stateAtFilm(view: JobView, surfaceId: string): StateAtStop {
  const surface = view.surfaceById.get(surfaceId);
  if (surface !== undefined && isCracked(surface)) return 'barred';
  return view.applicationsOf(surfaceId).length > 0 ? 'full' : 'open';
}

export function stateAtCut(view: JobView, surfaceId: string): StateAtStop {
  const applications = view.applicationsOf(surfaceId);
  const begun = applications.filter(({ id }) => view.piecesFor(id).length > 0);
  if (changedAfterCut(view, surfaceId).length > 0 || begun.some(({ id }) => isStale(view, id)))
    return 'barred';
  if (begun.length === 0) return 'open';
  return applications.every(({ id }) => isLaid(view, id)) ? 'full' : 'half';
}

export function stateAtFit(view: JobView, surfaceId: string): StateAtStop {
  if (changedAfterCut(view, surfaceId).length > 0) return 'barred';
  if (surfaceProgress(view, surfaceId).isFitted) return 'full';
  const isBegun = view
    .applicationsOf(surfaceId)
    .flatMap(({ id }) => view.workOf(id))
    .some((record) => stepStateOf(record) !== 'open');
  return isBegun ? 'half' : 'open';
}

/** Looked at, whole and good; or something of it is to be done again. */
export function stateAtCheck(view: JobView, surfaceId: string, now_ms: number, sky: Sky): StateAtStop {
  if (view.inspectionsOf(surfaceId).length === 0 && view.marksOf(surfaceId).length === 0) return 'open';
  const verdict = verdictOfSurface(view, surfaceId, now_ms, sky);
  if (verdict === 'stop') return 'barred';
  return verdict === 'go' ? 'full' : 'half';
}
