import type { FilmMaterial } from '@yellow-pane/core/job';
import { catalogueWords } from '../words/catalogue';

type FigureKey = Exclude<keyof FilmMaterial, 'construction' | 'tack'>;

/** A figure of the material as the form asks for it. */
export interface MaterialField {
  readonly key: FigureKey;
  readonly word: string;
  readonly unit: '%' | '°C' | 's' | 'g/(m²·day)' | 'g·mm/(m²·day·kPa)';
  readonly least: number;
  readonly most: number;
}

const share = (key: FigureKey, word: string, most = 100): MaterialField => ({
  key,
  word,
  unit: '%',
  least: 0,
  most,
});
const degrees = (key: FigureKey, word: string, most: number): MaterialField => ({
  key,
  word,
  unit: '°C',
  least: -40,
  most,
});

/** What the sheet may say of the material, in the order of the form. */
export const MATERIAL_FIELDS: readonly MaterialField[] = [
  {
    key: 'vapourRate_gm2day',
    word: catalogueWords.vapourRate,
    unit: 'g/(m²·day)',
    least: 0.01,
    most: 5000,
  },
  {
    key: 'permeability_gmm',
    word: catalogueWords.permeability,
    unit: 'g·mm/(m²·day·kPa)',
    least: 0.001,
    most: 100,
  },
  share('metalOpen', catalogueWords.metalOpen),
  share('shrinkAlong', catalogueWords.shrinkAlong),
  share('shrinkAcross', catalogueWords.shrinkAcross),
  degrees('shrinkAt_C', catalogueWords.shrinkAt, 300),
  share('shrinkEasy', catalogueWords.shrinkEasy),
  share('shrinkHard', catalogueWords.shrinkHard),
  share('shrinkLimit', catalogueWords.shrinkLimit),
  { ...share('strainCareful', catalogueWords.strainCareful, 500), least: 0.1 },
  { ...share('strainLimit', catalogueWords.strainLimit, 500), least: 0.1 },
  degrees('tensionMin_C', catalogueWords.tensionFrom, 150),
  degrees('tensionMax_C', catalogueWords.tensionUpTo, 150),
  degrees('postHeat_C', catalogueWords.postHeat, 150),
  { key: 'postHeat_s', word: catalogueWords.postHeatFor, unit: 's', least: 1, most: 600 },
];

export const PER_CENT = 100;
