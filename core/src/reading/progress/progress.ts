import type { JobView } from '../view/job-view';
import { isMeasured } from '../survey/surface';

/** How much of something is done, and of how much. */
export interface Progress {
  readonly surfaces: number;
  readonly measured: number;
  /** With at least one film chosen. */
  readonly withFilm: number;
  /** With a piece on a plan for all of its films, none of them spoiled. */
  readonly laid: number;
  readonly fitted: number;
}

/** The same of one surface. */
export interface SurfaceProgress {
  readonly isMeasured: boolean;
  readonly hasFilm: boolean;
  readonly isLaid: boolean;
  readonly isFitted: boolean;
}

/** Whether every piece of an application lies on a plan that stands, none of them spoiled. */
export function isLaid(view: JobView, applicationId: string): boolean {
  const drops = new Set(view.piecesFor(applicationId).map(({ drop }) => drop));
  return drops.size > 0 && drops.size >= (view.piecesFor(applicationId)[0]?.dropOf ?? 1);
}

export function surfaceProgress(view: JobView, surfaceId: string): SurfaceProgress {
  const applications = view.applicationsOf(surfaceId);
  const hasFilm = applications.length > 0;
  return {
    isMeasured: isMeasured(view, surfaceId),
    hasFilm,
    isLaid: hasFilm && applications.every(({ id }) => isLaid(view, id)),
    isFitted: hasFilm && applications.every(({ id }) => view.isHandedOver(id)),
  };
}

export function jobProgress(view: JobView): Progress {
  return countProgress(view.surfaces.map(({ id }) => surfaceProgress(view, id)));
}

export function countProgress(surfaces: readonly SurfaceProgress[]): Progress {
  const count = (is: (own: SurfaceProgress) => boolean): number => surfaces.filter(is).length;
  return {
    surfaces: surfaces.length,
    measured: count((own) => own.isMeasured),
    withFilm: count(({ hasFilm }) => hasFilm),
    laid: count((own) => own.isLaid),
    fitted: count(({ isFitted }) => isFitted),
  };
}

/** The one next thing to do in a job, and for how many surfaces. */
export type NextThing =
  | { readonly do: 'begin' | 'nothing' }
  | { readonly do: 'measure' | 'choose film' | 'lay out' | 'fit'; readonly surfaces: number };

export function whatNext({ surfaces, measured, withFilm, laid, fitted }: Progress): NextThing {
  if (surfaces === 0) return { do: 'begin' };
  if (measured < surfaces) return { do: 'measure', surfaces: surfaces - measured };
  if (withFilm < surfaces) return { do: 'choose film', surfaces: surfaces - withFilm };
  if (laid < withFilm) return { do: 'lay out', surfaces: withFilm - laid };
  if (fitted < withFilm) return { do: 'fit', surfaces: withFilm - fitted };
  return { do: 'nothing' };
}
