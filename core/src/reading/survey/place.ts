import type { RowOf } from '../../job';
import type { JobView } from '../view/job-view';

/** A place and those it lies in, nearest first; a circle of places ends where it closes. */
export function placesOutwards(view: JobView, placeId: string): readonly RowOf<'place'>[] {
  const chain: RowOf<'place'>[] = [];
  for (
    let place = view.placeById.get(placeId);
    place !== undefined && !chain.includes(place);
    place = view.placeById.get(place.parentId ?? '')
  )
    chain.push(place);
  return chain;
}

/**
 * What the customer asks for where a surface is: of its place, or of the nearest round it that has a brief.
 */
export function briefFor(
  view: JobView,
  { placeId }: Pick<RowOf<'surface'>, 'placeId'>,
): RowOf<'filmBrief'> | undefined {
  return placesOutwards(view, placeId)
    .map(({ id }) => view.briefOf(id))
    .find((brief) => brief !== undefined);
}

/**
 * The nearest room, vehicle or building round a surface: surfaces in it share its air. Null: none is told.
 */
export function airOf(view: JobView, { placeId }: Pick<RowOf<'surface'>, 'placeId'>): string | null {
  return (
    placesOutwards(view, placeId).find(
      ({ kind }) => kind === 'room' || kind === 'vehicle' || kind === 'building',
    )?.id ?? null
  );
}

export function isOfVehicle(view: JobView, { placeId }: Pick<RowOf<'surface'>, 'placeId'>): boolean {
  return placesOutwards(view, placeId).some(({ kind }) => kind === 'vehicle');
}

/** Where on earth the job is: its first place that tells. */
export function standingPlace(view: JobView): RowOf<'place'> | undefined {
  return view.places.find(
    ({ latitude_deg, longitude_deg }) => latitude_deg !== null && longitude_deg !== null,
  );
}
