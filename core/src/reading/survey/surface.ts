import type { SurfaceRows } from '../../choosing';
import { type Learned, learnedOf } from '../../learned';
import type { RowOf } from '../../job';
import {
  IS_CUSTOMARY,
  type SurfaceCheck,
  checkSurface,
  outlineOfCheck,
  rectangleSizes,
  surfaceInputOf,
} from '../../measure';
import { CoreError } from '../../quantity';
import type { JobView } from '../view/job-view';
import { briefFor, placesOutwards } from './place';

/** What is known no better (one standard deviation) is not measured yet: a rate of the shop. */
export const determinedWithin_mm = (learned: readonly Learned[]): number =>
  learnedOf('measure-determined', learned).value;

/** What the kept measures of a surface say; adjusted once for the same rows. */
export function checkOf(view: JobView, surfaceId: string): SurfaceCheck {
  const surface = view.surfaceById.get(surfaceId);
  if (surface === undefined) return { state: 'unfinished', needs: ['the surface'] };
  const measures = view.measuresOf(surfaceId);
  const parts = view.partsOf(surfaceId);
  const wall = view.wallFactsOf(surfaceId);
  const within_mm = determinedWithin_mm(view.shop.learned);
  return view.kept.of(
    `check ${surfaceId}`,
    [surface.shape, surface.corners, wall, within_mm, ...parts, ...measures],
    () => checked(() => checkSurface(surfaceInputOf(surface, measures, parts, wall, within_mm))),
  );
}

/** A measure core refuses is an answer too: it came from somewhere and must be seen, not hide the screen. */
export function checked(check: () => SurfaceCheck): SurfaceCheck {
  try {
    return check();
  } catch (error) {
    if (error instanceof CoreError)
      return {
        state: 'impossible',
        why: { case: 'measure refused', got: error.data.got, expected: error.data.expected },
        suspects: [],
      };
    throw error;
  }
}

/**
 * How far the measures of a surface are. The one meaning of 'measured' in the program: they give the sizes
 * film is cut by, alone or with what is customarily taken for granted, and do not contradict each other.
 */
export type MeasureState = 'none' | 'unfinished' | 'contradicts' | 'assumed' | 'measured';

export function measureState(view: JobView, surfaceId: string): MeasureState {
  if (view.measuresOf(surfaceId).length === 0) return 'none';
  const check = checkOf(view, surfaceId);
  if (check.state === 'impossible' || ('agreement' in check && check.agreement.kind === 'disagree'))
    return 'contradicts';
  if (check.state !== 'assumed') return check.state;
  return IS_CUSTOMARY[check.assumes] ? 'assumed' : 'unfinished';
}

export function isMeasured(view: JobView, surfaceId: string): boolean {
  const state = measureState(view, surfaceId);
  return state === 'measured' || state === 'assumed';
}

/** A surface with all the job knows of it, as films and days are asked about it. */
export function surfaceRowsOf(view: JobView, surface: RowOf<'surface'>): SurfaceRows {
  const [place, ...parents] = placesOutwards(view, surface.placeId);
  const check = checkOf(view, surface.id);
  const sizes =
    'sizes' in check ? { ...check.sizes, ...rectangleSizes(outlineOfCheck(check) ?? []) } : undefined;
  const unit = view.unitById.get(surface.unitId ?? '');
  return {
    surface,
    place,
    parents,
    unit,
    panes: view.glassPanes.filter(({ unitId }) => unitId === unit?.id),
    site: view.siteFactsOf(surface.id),
    wall: view.wallFactsOf(surface.id),
    brief: briefFor(view, surface),
    films: view.applicationsOf(surface.id).flatMap(({ side, filmId }) => {
      const film = view.filmById.get(filmId);
      return film === undefined ? [] : [{ side, film }];
    }),
    width_mm: sizes?.aroundWidth_mm.value ?? null,
    height_mm: sizes?.aroundHeight_mm.value ?? null,
    area_m2: sizes?.area_mm2 === undefined ? null : sizes.area_mm2.value / 1e6,
  };
}
