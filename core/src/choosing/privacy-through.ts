import { type FilmOptics, type MakeUp, opticsOfMakeUp } from '../glazing';
import {
  INNER_SCENES,
  type PrivacyClass,
  SCENES,
  type Scene,
  contrastKept,
  dimmedBy,
  patternClass,
  privacyClass,
} from '../privacy';
import type { Step } from '../quantity';

export interface SightLine {
  readonly scene: string;
  readonly kept: number;
  readonly class: PrivacyClass;
  readonly why: readonly Step[];
  /**
   * Luminances for a picture of it: of what is looked at, round the looker; and of the covered glass, shares
   * of what lies behind it let through straight and scattered, and what it throws back, cd/m².
   */
  readonly shown: {
    readonly far_cdm2: number;
    readonly near_cdm2: number;
    readonly straight: number;
    readonly scattered: number;
    readonly thrownBack_cdm2: number;
  };
}

/** Who sees whom: into and out of a room by day and night, or between rooms A and B. */
export interface SightLines {
  readonly inByDay: SightLine;
  readonly inByNight: SightLine;
  readonly outByDay: SightLine;
  readonly outByNight: SightLine;
}

/**
 * Sight through a make-up with a film on it. A pattern is judged by what its openings show.
 * @param bare the same without the film
 * @param opening_mm widest clear opening of its pattern; null = not known or none
 */
export function sightThrough(
  bare: MakeUp,
  face: number,
  film: FilmOptics | null,
  opening_mm: number | null,
  isPartition: boolean,
): SightLines {
  const optics = (using: FilmOptics | null) =>
    opticsOfMakeUp(
      using === null ? bare : { ...bare, films: [...bare.films, { face, film: { ...using, coverage: 1 } }] },
    ).byBand.visible;
  const [covered, open] = [optics(film), optics(null)];
  const bareHaze = bare.films.reduce(
    (clear, entry) => clear * (1 - entry.film.haze * entry.film.coverage),
    1,
  );
  const coveredHaze = 1 - bareHaze * (1 - (film?.haze ?? 0));
  const mean =
    film === null
      ? open.transmitted
      : film.coverage * covered.transmitted + (1 - film.coverage) * open.transmitted;
  const pane = { covered, open, coveredHaze, openHaze: 1 - bareHaze, film, opening_mm };
  const look = (scene: Scene, fromFront: boolean, isDimmed: boolean): SightLine =>
    sightLine(pane, scene, isDimmed ? dimmedBy(scene, mean) : scene, fromFront);
  if (isPartition)
    return {
      inByDay: look(INNER_SCENES.dayFromA, true, false),
      inByNight: look(INNER_SCENES.nightFromA, true, false),
      outByDay: look(INNER_SCENES.dayFromB, false, false),
      outByNight: look(INNER_SCENES.nightFromB, false, false),
    };
  return {
    inByDay: look(SCENES.brightIn, true, true),
    inByNight: look(SCENES.nightIn, true, false),
    outByDay: look(SCENES.brightOut, false, false),
    outByNight: look(SCENES.nightOut, false, false),
  };
}

type BandOptics = ReturnType<typeof opticsOfMakeUp>['byBand']['visible'];

/** What is seen through: where film covers it, and where its pattern is open. */
interface SeenThrough {
  readonly covered: BandOptics;
  readonly open: BandOptics;
  readonly coveredHaze: number;
  readonly openHaze: number;
  readonly film: FilmOptics | null;
  readonly opening_mm: number | null;
}

/** @param at the scene as it is behind the pane: dimmed where the film itself darkens the room */
function sightLine(
  { covered, open, coveredHaze, openHaze, film, opening_mm }: SeenThrough,
  scene: Scene,
  at: Scene,
  fromFront: boolean,
): SightLine {
  const reflectedOf = (pane: BandOptics): number => (fromFront ? pane.reflectedFront : pane.reflectedBack);
  const seen = (pane: BandOptics, haze: number) =>
    contrastKept({ transmitted: pane.transmitted, reflectedNear: reflectedOf(pane), haze }, at);
  const [throughFilm, throughOpenings] = [seen(covered, coveredHaze), seen(open, openHaze)];
  const reflected = reflectedOf(covered);
  const shown = {
    far_cdm2: at.far_cdm2,
    near_cdm2: at.near_cdm2,
    straight: covered.transmitted * (1 - coveredHaze),
    scattered: covered.transmitted * coveredHaze,
    thrownBack_cdm2:
      reflected * (1 - coveredHaze) * at.near_cdm2 + (reflected * coveredHaze * at.near_lux) / Math.PI,
  };
  const through = privacyClass(throughFilm.value);
  if (film === null || film.coverage >= 1)
    return { scene: scene.name, kept: throughFilm.value, class: through, why: throughFilm.why, shown };
  const kept = film.coverage * throughFilm.value + (1 - film.coverage) * throughOpenings.value;
  const pattern = patternClass(film.coverage, opening_mm, through, privacyClass(throughOpenings.value), kept);
  return { shown, scene: scene.name, kept, class: pattern, why: throughOpenings.why };
}
