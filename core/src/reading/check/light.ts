import type { RowOf } from '../../job';
import type { JobView } from '../view/job-view';

/** How much light a film lets through here, by a meter behind bare glass and behind film. */
export interface LightHere {
  readonly bare_lx: number | undefined;
  readonly filmed_lx: number | undefined;
  /** Of the film alone; undefined: one of both is missing, or there is no light. */
  readonly share: number | undefined;
  /** By the film's sheet; null: it does not say. */
  readonly sheet: number | null;
  /** More than so much apart something is wrong: the film, the meter, the light meanwhile. */
  readonly isFar: boolean;
}

/** A meter held by hand under a sky that changes; our guess. */
const APART = 0.05;

/** The last reading of each counts. A reading without a film is of the bare glass. */
export function lightHere(view: JobView, application: RowOf<'application'>): LightHere {
  const readings = view
    .readingsOf(application.surfaceId)
    .filter(({ quantity }) => quantity === 'light')
    .toSorted((a, b) => (a.madeAt < b.madeAt ? -1 : 1));
  const last = (applicationId: string | null): number | undefined =>
    readings.findLast((own) => own.applicationId === applicationId)?.value;
  const [bare_lx, filmed_lx] = [last(null), last(application.id)];
  const share =
    bare_lx === undefined || filmed_lx === undefined || bare_lx <= 0 ? undefined : filmed_lx / bare_lx;
  const sheet = view.filmById.get(application.filmId)?.visibleTransmitted ?? null;
  return {
    ...{ bare_lx, filmed_lx, share, sheet },
    isFar: share !== undefined && sheet !== null && Math.abs(share - sheet) > APART,
  };
}
