import type { FilmFamily } from './film';

/** What every film of a family has in common. */
interface FamilyFacts {
  /** What it is made to lie on. */
  readonly isForGlass: boolean;
  readonly isForWalls: boolean;
  /** Laid a little too large and trimmed to the glass. */
  readonly isTrimmedToGlass: boolean;
  readonly followsCurvedGlass: boolean;
  /** On texture it would touch the peaks alone. */
  readonly wantsSmooth: boolean;
}

const FOR_GLASS: FamilyFacts = {
  isForGlass: true,
  isForWalls: false,
  isTrimmedToGlass: true,
  followsCurvedGlass: true,
  wantsSmooth: false,
};

/**
 * The families of film there are.
 * @source common practice, no published source
 */
export const FILM_FAMILIES: Readonly<Record<FilmFamily, FamilyFacts>> = {
  solar: FOR_GLASS,
  /** Its metal does not shrink with it. Our judgement. */
  'low emissivity': { ...FOR_GLASS, followsCurvedGlass: false },
  'vehicle tint': FOR_GLASS,
  frosted: FOR_GLASS,
  /** Its own way of fitting, with an edge that is bonded to the frame. */
  security: { ...FOR_GLASS, isTrimmedToGlass: false },
  decor: {
    isForGlass: false,
    isForWalls: true,
    isTrimmedToGlass: false,
    followsCurvedGlass: false,
    wantsSmooth: true,
  },
  'textured wall': {
    isForGlass: false,
    isForWalls: true,
    isTrimmedToGlass: false,
    followsCurvedGlass: false,
    wantsSmooth: false,
  },
  wrap: {
    isForGlass: false,
    isForWalls: true,
    isTrimmedToGlass: false,
    followsCurvedGlass: true,
    wantsSmooth: true,
  },
  'exterior protection': FOR_GLASS,
};

export const FAMILY_NAMES = Object.keys(FILM_FAMILIES) as [FilmFamily, ...FilmFamily[]];
