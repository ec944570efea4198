import type { Film } from '../job';
import { newGlassBook } from './filmed-glass';
import { type FilmAnswer, groundOf, judgeFilm } from './judge-film';
import { type SunCache, type SurfaceRows, newSunBook, questionOf } from './question-of-rows';

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
  book: SunCache = newSunBook(),
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

const STANDS = ['bearing_deg', 'latitude_deg', 'longitude_deg', 'altitude_m', 'horizon'] as const;
const SHADED = [
  'filmFace',
  'tilt_deg',
  'overhangDepth_nm',
  'overhangAbove_nm',
  'revealDepth_nm',
  'leftFinDepth_nm',
  'leftFinBeside_nm',
  'rightFinDepth_nm',
  'rightFinBeside_nm',
  'sun',
  'blind',
  'heatOutlet',
] as const;
const GLASS = ['glazing', 'frame', 'edge', 'edgeFinish', 'edgeDepth_nm'] as const;
const LAYER = [
  'treatment',
  'thickness_nm',
  'tint',
  'coating',
  'coatedSide',
  'gapAfter_nm',
  'gasAfter',
] as const;
const GROUND = [
  'texture',
  'paint',
  'state',
  'paintAge',
  'paintKind',
  'tapeTest',
  'ground',
  'leftCorner',
  'rightCorner',
] as const;
const WISHES = [
  'keepView',
  'hiddenByDay',
  'hiddenByNight',
  'lessHeat',
  'lessGlare',
  'protectFurnishings',
  'slowBreakIn',
  'keepWarmth',
  'look',
  'lightKeptLeast',
  'heatOffLeast',
  'roomWidth_nm',
  'roomDepth_nm',
  'roomHeight_nm',
  'coldest_C',
  'hottest_C',
] as const;

/** What decides the answers: panes whose sizes differ by less than 20 mm ask the same. */
function keyOf(rows: SurfaceRows): string {
  const { surface, place, parents, unit, panes, site, wall, brief, films, width_mm, height_mm } = rows;
  const rounded = (size: number | null): number | null =>
    size === null ? null : Math.round(size / SIZE_STEP_MM);
  return JSON.stringify([
    surface.kind,
    surface.shape,
    surface.seenFrom,
    surface.condition,
    surface.edgesSeen?.state ?? null,
    [place, ...parents].map((at) => valuesOf(at, STANDS)),
    valuesOf(unit, GLASS),
    panes.map((pane) => valuesOf(pane, LAYER)),
    valuesOf(site, SHADED),
    valuesOf(wall, GROUND),
    valuesOf(brief, WISHES),
    films.map(({ side, film }) => [side, film.name, film.visibleTransmitted, film.solarTransmitted]),
    rounded(width_mm),
    rounded(height_mm),
  ]);
}

function valuesOf<Row extends object>(
  row: Row | undefined,
  keys: readonly (keyof Row)[],
): readonly unknown[] | null {
  return row === undefined ? null : keys.map((key) => row[key]);
}
