import {
  type FilmOptics,
  type FilmReading,
  USUAL_FILM_EMISSIVITY,
  filmOpticsOf,
  referenceOf,
} from './film-optics';
import { type SpectralPoint, bandsOfSpectrum } from './spectrum';

type Sheet = Parameters<typeof filmOpticsOf>[0] & {
  readonly spectrum?: readonly SpectralPoint[] | undefined;
};

/** A film by its sheet's figures, or, where there is one, by its spectrum on the same reference glass.
 *  @throws CoreError GLAZING_SPECTRUM, GLAZING_SHARES */
export function filmOfSheet({ spectrum, ...sheet }: Sheet): FilmReading {
  if (spectrum === undefined) return filmOpticsOf(sheet);
  const reference = referenceOf(sheet.referenceGlass);
  if (reference === undefined)
    return { optics: null, missing: ['the reference glass: 3 or 6 mm clear'], assumed: [], question: null };
  const optics: FilmOptics = {
    ...reference,
    measured: bandsOfSpectrum(spectrum),
    emissivity: sheet.emissivity ?? USUAL_FILM_EMISSIVITY,
    haze: sheet.haze ?? 0,
    coverage: sheet.coverage ?? 1,
  };
  return {
    optics,
    missing: [],
    assumed: sheet.emissivity === null ? [`emissivity ${USUAL_FILM_EMISSIVITY}`] : [],
    question: null,
  };
}
