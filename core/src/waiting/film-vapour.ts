import type { FilmConstruction, FilmFamily, FilmMaterial } from '../job';
import { type Formula, type Source, type Step, applyFormula } from '../quantity';

const RATES: Source = {
  kind: 'from memory',
  text: 'published vapour rates of plastics, from memory; the sheet of the film wins',
};

/** How vapour leaves through a plastic. */
interface Permeability {
  /** g·mm/(m²·day·kPa). */
  readonly through: number;
  readonly range: readonly [number, number];
  /** Share that metal or glue in between leaves open. */
  readonly open: number;
  readonly openRange: readonly [number, number];
}

const POLYESTER: Permeability = { through: 0.09, range: [0.06, 0.12], open: 1, openRange: [1, 1] };
const CAST: Permeability = { through: 0.5, range: [0.25, 0.9], open: 1, openRange: [1, 1] };
const CALENDERED: Permeability = { through: 0.35, range: [0.15, 0.7], open: 1, openRange: [1, 1] };

/**
 * Vapour through films by what they are made of.
 * @source from memory of published rates
 */
export const PERMEABILITY: Readonly<Record<FilmConstruction, Permeability>> = {
  polyester: POLYESTER,
  metallised: { ...POLYESTER, open: 0.1, openRange: [0.05, 0.2] },
  'multi-ply security': { through: 0.085, range: [0.06, 0.12], open: 1, openRange: [0.7, 1] },
  cast: CAST,
  'laminated cast': CAST,
  polymeric: CALENDERED,
  monomeric: CALENDERED,
  polyurethane: { through: 5, range: [2, 12], open: 1, openRange: [1, 1] },
  polypropylene: { through: 0.03, range: [0.02, 0.05], open: 1, openRange: [1, 1] },
};

/** Taken where the sheet does not say what the film is made of: the denser of what is usual. Our guess. */
const USUAL: Readonly<Record<FilmFamily, FilmConstruction>> = {
  solar: 'polyester',
  'low emissivity': 'metallised',
  'vehicle tint': 'polyester',
  frosted: 'polyester',
  security: 'multi-ply security',
  decor: 'polymeric',
  'textured wall': 'polymeric',
  wrap: 'cast',
  'exterior protection': 'polyester',
};

/** Hottest and dampest air vapour rates are measured in: 38 °C at 90 %. */
const RATED = { share: 0.9, saturation_kPa: 6.63 } as const;
/** Doubt of a permeability, as a log-normal deviation. @source own judgement */
const LEAST_DOUBT = 0.3;
/** So many deviations to each side hold 80 %. */
export const TO_80_PERCENT = 1.28;

export const VAPOUR_FORMULAS = {
  fromRate: {
    id: 'waiting.permeabilityOfRate',
    word: 'permeability from the rate on the sheet',
    says: 'P = WVTR · d ÷ (0.9 · 6.63 kPa)',
    unit: 'g·mm/(m²·day·kPa)',
    source: { kind: 'from memory', text: 'rates are stated at 38 °C and 90 % (from memory)' },
    inputs: {
      rate_gm2day: { word: 'vapour rate', unit: 'g/(m²·day)' },
      film_mm: { word: 'film', unit: 'mm' },
    },
    of: ({ rate_gm2day, film_mm }) => (rate_gm2day * film_mm) / (RATED.share * RATED.saturation_kPa),
  } satisfies Formula<{ rate_gm2day: number; film_mm: number }>,
  through: {
    id: 'waiting.vapourThrough',
    word: 'vapour let through',
    says: 'P · f',
    unit: 'g·mm/(m²·day·kPa)',
    source: RATES,
    inputs: {
      permeability: { word: 'permeability of its plastic', unit: 'g·mm/(m²·day·kPa)' },
      open: { word: 'share left open', unit: 'share' },
    },
    of: ({ permeability, open }) => permeability * open,
  } satisfies Formula<{ permeability: number; open: number }>,
} as const;

/** What decides how vapour leaves through a film. */
export interface DryingFilm extends Pick<
  FilmMaterial,
  'construction' | 'vapourRate_gm2day' | 'permeability_gmm' | 'metalOpen'
> {
  readonly thickness_um: number;
  readonly family: FilmFamily;
}

interface VapourThrough {
  /** g·mm/(m²·day·kPa), metal counted. */
  readonly value: number;
  /** Log-normal deviation. */
  readonly doubt: number;
  /** What it is taken to be made of. */
  readonly construction: FilmConstruction;
  readonly from: 'rate on the sheet' | 'permeability on the sheet' | 'construction' | 'family';
  readonly why: readonly Step[];
}

const spread = ([low, high]: readonly [number, number]): number => Math.log(high / low) / (2 * TO_80_PERCENT);

/**
 * How readily water leaves through a film: by the rate on its sheet, else by what it is made of, else by what
 * its family is usually made of.
 */
export function vapourThrough(film: DryingFilm): VapourThrough {
  const construction = film.construction ?? USUAL[film.family];
  if (film.vapourRate_gm2day !== null) {
    const step = applyFormula(VAPOUR_FORMULAS.fromRate, {
      rate_gm2day: film.vapourRate_gm2day,
      film_mm: film.thickness_um / 1000,
    });
    return { value: step.value, doubt: LEAST_DOUBT, construction, from: 'rate on the sheet', why: [step] };
  }
  const usual = PERMEABILITY[construction];
  const step = applyFormula(VAPOUR_FORMULAS.through, {
    permeability: film.permeability_gmm ?? usual.through,
    open: film.metalOpen ?? usual.open,
  });
  const doubts = [
    film.permeability_gmm === null ? spread(usual.range) : 0,
    film.metalOpen === null ? spread(usual.openRange) : 0,
  ];
  return {
    value: step.value,
    doubt: Math.max(LEAST_DOUBT, Math.hypot(...doubts)),
    construction,
    from:
      film.permeability_gmm !== null
        ? 'permeability on the sheet'
        : film.construction === null
          ? 'family'
          : 'construction',
    why: [step],
  };
}
