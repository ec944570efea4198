import { type Formula, type Reasoned, applyFormula } from '../quantity';

interface FilmSize {
  readonly area_m2: number;
  readonly film_um: number;
  readonly liner_um: number;
}

/** Polyester weighs 1.39 g for each cubic centimetre; vinyl about as much. */
const TONNES_M3 = 1.39;

export const FILM_WEIGHT: Formula<FilmSize> = {
  id: 'cutting.filmWeight',
  word: 'weight of the film with its liner',
  says: 'm = A · (t + t liner) · 1.39 / 1000',
  unit: 'kg',
  source: {
    kind: 'from memory',
    text: 'density of polyester 1.39 (from memory); liner as thick as calculated for warming: our guess',
  },
  inputs: {
    area_m2: { word: 'area', unit: 'm²' },
    film_um: { word: 'film', unit: 'µm' },
    liner_um: { word: 'liner and adhesive', unit: 'µm' },
  },
  of: ({ area_m2, film_um, liner_um }) => (area_m2 * (film_um + liner_um) * TONNES_M3) / 1000,
};

/** What so much film weighs with its liner, without the core of its roll. @returns kg */
export function filmWeight(size: FilmSize): Reasoned<number> {
  const step = applyFormula(FILM_WEIGHT, size);
  return { value: step.value, why: [step] };
}
