import { methodAfter } from '../../blanks';
import { type CutMethod, type RowOf, type SeenFrom, type SurfaceShape, isOutdoorGlass } from '../../job';
import type { FilmOfShop } from '../view/job-rows';
import type { JobView } from '../view/job-view';

/** What putting a film on a surface comes to: one film a surface and side. */
interface ChosenFilm {
  readonly side: SeenFrom;
  readonly method: CutMethod;
  /** The application on that side now, which this film replaces. */
  readonly there: RowOf<'application'> | undefined;
}

/** Where and how a film goes on a surface; the way of fitting stays where it suits the film. */
export function chosenFilm(view: JobView, surface: RowOf<'surface'>, film: FilmOfShop): ChosenFilm {
  const side = sideFor(view, surface, film);
  const there = view.applicationsOf(surface.id).find((application) => application.side === side);
  const method = methodAfter(
    { kind: surface.kind, shape: surface.shape, family: film.family },
    there?.method,
  );
  return { side, method, there };
}

/** Applications whose way of fitting does not suit another shape of their surface, and what it becomes. */
export function methodsAfterShape(
  view: JobView,
  { id, kind }: RowOf<'surface'>,
  shape: SurfaceShape,
): readonly { readonly id: string; readonly method: CutMethod }[] {
  return view.applicationsOf(id).flatMap((application) => {
    const family = view.filmById.get(application.filmId)?.family;
    const method =
      family === undefined ? application.method : methodAfter({ kind, shape, family }, application.method);
    return method === application.method ? [] : [{ id: application.id, method }];
  });
}

/** The face by the film's sheet; where it may be either, the one that can be reached. */
function sideFor(view: JobView, surface: RowOf<'surface'>, { face }: FilmOfShop): SeenFrom {
  if (!isOutdoorGlass(surface)) return surface.seenFrom;
  if (face === 'outside') return 'outside';
  return face === 'either' && view.siteFactsOf(surface.id)?.filmFace === 'outside' ? 'outside' : 'room';
}
