import type { QuotePaper } from '../../job';
import type { JobView } from '../view/job-view';
import { laidAt } from '../check/marks';
import { surfaceRowsOf } from '../survey/surface';

/** What of a place is finished up to a moment. */
export interface DonePlace {
  readonly place: string;
  /** Films on surfaces: finished, and in all. */
  readonly done: number;
  readonly all: number;
  readonly done_m2: number;
  readonly all_m2: number;
  /** Net, by the parts of the accepted quote; null: no quote has it. */
  readonly net: number | null;
  readonly surfaceIds: readonly string[];
}

/** Work finished up to a moment, place by place: what a progress account is made of. */
export function doneUpTo(
  view: JobView,
  to_ms: number,
  paper: Pick<QuotePaper, 'lines'> | undefined,
): readonly DonePlace[] {
  const netOf = new Map(paper?.lines.map(({ applicationId, net }) => [applicationId, net]));
  const places = new Map<string, { -readonly [Key in keyof DonePlace]: DonePlace[Key] }>();
  for (const application of view.applications) {
    const surface = view.surfaceById.get(application.surfaceId);
    if (surface === undefined) continue;
    const word = view.placeById.get(surface.placeId)?.name ?? '';
    const own = places.get(word) ?? {
      ...{ place: word, done: 0, all: 0, done_m2: 0, all_m2: 0, surfaceIds: [] },
      net: paper === undefined ? null : 0,
    };
    places.set(word, own);
    const area_m2 = surfaceRowsOf(view, surface).area_m2 ?? 0;
    own.all += 1;
    own.all_m2 += area_m2;
    const laid_ms = laidAt(view, application.id);
    if (!view.isHandedOver(application.id) || laid_ms === null || laid_ms > to_ms) continue;
    own.done += 1;
    own.done_m2 += area_m2;
    own.surfaceIds = [...own.surfaceIds, surface.id];
    if (own.net !== null) own.net += netOf.get(application.id) ?? 0;
  }
  return [...places.values()];
}
