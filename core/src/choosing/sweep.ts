import type { Film } from '../job';
import { newGlassBook } from './filmed-glass';
import { type FilmAnswer, groundOf, judgeFilm } from './judge-film';
import { type SunBook, type SurfaceRows, newSunBook, questionOf } from './question-of-rows';

export interface SweepSurface {
  readonly id: string;
  readonly rows: SurfaceRows;
}

/** Every film on every surface. Surfaces that ask the same are judged once.
 *  @param onProgress share of surfaces done, 0..1; called between surfaces
 *  @returns answers by surface id, in the order of `films` */
export function sweep(
  surfaces: readonly SweepSurface[],
  films: readonly { readonly id: string; readonly film: Film }[],
  onProgress: (share: number) => void = () => undefined,
  book: SunBook = newSunBook(),
): ReadonlyMap<string, readonly FilmAnswer[]> {
  const glassBook = newGlassBook();
  const byQuestion = new Map<string, readonly FilmAnswer[]>();
  const answers = new Map<string, readonly FilmAnswer[]>();
  surfaces.forEach(({ id, rows }, index) => {
    const key = keyOf(rows);
    let found = byQuestion.get(key);
    if (found === undefined) {
      const ground = groundOf(questionOf(rows, book), glassBook);
      found = films.map(({ id: filmId, film }) => judgeFilm(ground, filmId, film));
      byQuestion.set(key, found);
    }
    answers.set(id, found);
    onProgress((index + 1) / surfaces.length);
  });
  return answers;
}

const SIZE_STEP_MM = 20;

/** What decides the answers: panes whose sizes differ by less than 20 mm ask the same. */
function keyOf({
  surface,
  place,
  parents,
  unit,
  panes,
  site,
  wall,
  brief,
  films,
  width_mm,
  height_mm,
}: SurfaceRows): string {
  const rounded = (size: number | null): number | null =>
    size === null ? null : Math.round(size / SIZE_STEP_MM);
  const stands = [place, ...parents].map((at) =>
    at === undefined ? null : [at.bearing_deg, at.latitude_deg, at.longitude_deg, at.altitude_m, at.horizon],
  );
  const shaded =
    site === undefined
      ? null
      : [
          site.filmFace,
          site.tilt_deg,
          site.overhangDepth_nm,
          site.overhangAbove_nm,
          site.revealDepth_nm,
          site.leftFinDepth_nm,
          site.leftFinBeside_nm,
          site.rightFinDepth_nm,
          site.rightFinBeside_nm,
          site.blind,
          site.heatOutlet,
        ];
  const glass =
    unit === undefined ? null : [unit.glazing, unit.frame, unit.edge, unit.edgeFinish, unit.edgeDepth_nm];
  const layers = panes.map(
    ({ treatment, thickness_nm, tint, coating, coatedSide, gapAfter_nm, gasAfter }) => [
      treatment,
      thickness_nm,
      tint,
      coating,
      coatedSide,
      gapAfter_nm,
      gasAfter,
    ],
  );
  const ground =
    wall === undefined
      ? null
      : [
          wall.texture,
          wall.paint,
          wall.state,
          wall.paintAge,
          wall.paintKind,
          wall.tapeTest,
          wall.leftCorner,
          wall.rightCorner,
        ];
  const wishes =
    brief === undefined
      ? null
      : [
          brief.keepView,
          brief.hiddenByDay,
          brief.hiddenByNight,
          brief.lessHeat,
          brief.lessGlare,
          brief.protectFurnishings,
          brief.slowBreakIn,
          brief.keepWarmth,
          brief.look,
          brief.lightKeptLeast,
          brief.heatOffLeast,
          brief.roomWidth_nm,
          brief.roomDepth_nm,
          brief.roomHeight_nm,
          brief.coldest_C,
          brief.hottest_C,
        ];
  return JSON.stringify([
    surface.kind,
    surface.shape,
    surface.seenFrom,
    surface.condition,
    stands,
    glass,
    layers,
    shaded,
    ground,
    wishes,
    films.map(({ side, film }) => [side, film.name, film.visibleTransmitted, film.solarTransmitted]),
    rounded(width_mm),
    rounded(height_mm),
  ]);
}
