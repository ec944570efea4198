/** What a film is made of, which decides how vapour leaves through it and how it takes heat and strain. */
export type FilmConstruction = (typeof FILM_CONSTRUCTIONS)[number];
export const FILM_CONSTRUCTIONS = [
  'polyester',
  'metallised',
  'multi-ply security',
  'cast',
  'laminated cast',
  'polymeric',
  'monomeric',
  'polyurethane',
  'polypropylene',
] as const;

/** How strongly its adhesive grabs at first touch. */
export type InitialTack = (typeof INITIAL_TACKS)[number];
export const INITIAL_TACKS = ['low', 'high'] as const;

/** What the sheet says about the material itself; null = the sheet does not say. */
export interface FilmMaterial {
  readonly construction: FilmConstruction | null;
  readonly tack: InitialTack | null;
  /** Water vapour let through by the whole film at 38 °C and 90 %, g/(m² day). */
  readonly vapourRate_gm2day: number | null;
  /** Of its plastic, g·mm/(m²·day·kPa). */
  readonly permeability_gmm: number | null;
  /** Share of the area that its metal leaves open to vapour. */
  readonly metalOpen: number | null;
  /** Free shrink along and across the roll, shares, at `shrinkAt_C`. */
  readonly shrinkAlong: number | null;
  readonly shrinkAcross: number | null;
  readonly shrinkAt_C: number | null;
  /** Shrink that goes easily, that goes with care, and that it does not bear beyond, shares. */
  readonly shrinkEasy: number | null;
  readonly shrinkHard: number | null;
  readonly shrinkLimit: number | null;
  /** Stretch to take care from, and not to go beyond, shares. */
  readonly strainCareful: number | null;
  readonly strainLimit: number | null;
  /** Surface temperatures between which it is stretched. */
  readonly tensionMin_C: number | null;
  readonly tensionMax_C: number | null;
  /** Temperature it is brought to after stretching, and for how long. */
  readonly postHeat_C: number | null;
  readonly postHeat_s: number | null;
}

/** A sheet that says nothing of the material. */
export const MATERIAL_NOT_STATED: FilmMaterial = {
  construction: null,
  tack: null,
  vapourRate_gm2day: null,
  permeability_gmm: null,
  metalOpen: null,
  shrinkAlong: null,
  shrinkAcross: null,
  shrinkAt_C: null,
  shrinkEasy: null,
  shrinkHard: null,
  shrinkLimit: null,
  strainCareful: null,
  strainLimit: null,
  tensionMin_C: null,
  tensionMax_C: null,
  postHeat_C: null,
  postHeat_s: null,
};
