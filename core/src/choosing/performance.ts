import { DEW_POINT, dewOn } from '../climate';
import {
  type FilmOptics,
  type MakeUp,
  type Ratings,
  heatBalance,
  heatGapsOf,
  heatPanesOf,
  keptOfBare,
} from '../glazing';
import { DRAWN_CURTAIN_LIGHT, SOLID_FROST_SHARE, daylightFactor, fadingShare, sunPatch } from '../privacy';
import type { Reasoned } from '../quantity';
import type { FilmedGlass } from './filmed-glass';
import { type SightLines, sightThrough } from './privacy-through';
import { type FilmQuestion, INDOOR_C, INDOOR_HUMIDITY } from './question';
import { type YearHeat, heatThroughYear } from './through-the-year';

/** What a pane does with a film on it (or without), for light, heat, sight and dew. */
export interface Performance {
  readonly ratings: Ratings;
  readonly lightKept: Reasoned<number>;
  readonly heatKept: Reasoned<number>;
  readonly fading: Reasoned<number>;
  readonly sunPatch: Reasoned<number>;
  readonly daylight: Reasoned<number>;
  /** The same room without film, behind a drawn curtain, behind solid frost. */
  readonly daylightBeside: {
    readonly bare: Reasoned<number>;
    readonly curtain: Reasoned<number>;
    readonly frost: Reasoned<number>;
  };
  readonly sight: SightLines;
  readonly year: YearHeat | undefined;
  /** Room-side face on the coldest night. */
  readonly winterFace_C: number;
  readonly dew: ReturnType<typeof dewOn>;
  readonly dewPoint_C: number;
}

/**
 * What a pane does with its films.
 * @param glass with the film,
 * @param bare the same without any
 * @param film the one asked about; null: the pane as it is. `makeUp` of `sightGlass` is what lies under it
 */
export function performanceOf(
  question: FilmQuestion,
  glass: FilmedGlass,
  bare: FilmedGlass,
  sightGlass: MakeUp,
  film: { readonly face: number; readonly optics: FilmOptics; readonly opening_mm: number | null } | null,
): Performance {
  const { makeUp, optics, ratings } = glass;
  const absorbed = optics.solar.absorbed.reduce((sum, part) => sum + part, 0);
  const inward = absorbed > 1e-9 ? (ratings.solarHeatGain.value - optics.solar.transmitted) / absorbed : 0;
  const winter = heatBalance(
    heatPanesOf(makeUp, [], optics.emissivities),
    heatGapsOf(makeUp),
    { outdoor_C: question.coldOutdoor_C, indoor_C: INDOOR_C, outdoor_Wm2K: 20, sun_Wm2: 0 },
    { done_K: 0.01 },
  );
  const winterFace_C = winter.faces_C.at(-1) ?? INDOOR_C;
  const dewPoint_C = DEW_POINT.of({ air_C: INDOOR_C, humidity: INDOOR_HUMIDITY });
  return {
    ratings,
    lightKept: keptOfBare(ratings.light, bare.ratings.light, 'of the same pane without film'),
    heatKept: keptOfBare(
      ratings.solarHeatGain.value,
      bare.ratings.solarHeatGain.value,
      'summer, sun straight on, of the same pane without film',
    ),
    fading: fadingShare(ratings.uv, ratings.light, optics.solar.transmitted),
    sunPatch: sunPatch(ratings.light),
    daylight: daylightFactor(ratings.light, question.room),
    daylightBeside: {
      bare: daylightFactor(bare.ratings.light, question.room),
      curtain: daylightFactor(bare.ratings.light * DRAWN_CURTAIN_LIGHT, question.room),
      frost: daylightFactor(bare.ratings.light * SOLID_FROST_SHARE, question.room),
    },
    sight: sightThrough(
      sightGlass,
      film?.face ?? makeUp.panes.length * 2,
      film?.optics ?? null,
      film?.opening_mm ?? null,
      question.isPartition,
    ),
    year:
      question.area_m2 === null
        ? undefined
        : heatThroughYear(question.year, glass.absorption, inward, question.area_m2),
    winterFace_C,
    dew: question.isPartition ? 'dry' : dewOn(winterFace_C, dewPoint_C),
    dewPoint_C,
  };
}
