import {
  COMMON_PRACTICE,
  CoreError,
  type Formula,
  ML_PER_US_FL_OZ,
  ML_PER_US_GALLON,
  type Reasoned,
  applyFormula,
} from '../quantity';
import { type Learned, sourceOf } from '../learned';

const ML_PER_TABLESPOON = 14.7868;
const ML_PER_DROP = 0.05;

/** A recipe for slip solution: so much soap in so much water. */
interface SlipMix {
  readonly key: string;
  readonly word: string;
  readonly recipe: string;
  readonly soap_ml: number;
  readonly water_ml: number;
  readonly remark: string;
}

export const SLIP_MIXES: readonly SlipMix[] = [
  {
    key: 'household',
    word: 'household',
    recipe: '2 tbsp mild baby shampoo per US gallon',
    soap_ml: 2 * ML_PER_TABLESPOON,
    water_ml: ML_PER_US_GALLON,
    remark: 'Too much will not stick and lifts later; too little cannot be moved. Distilled water preferred.',
  },
  {
    key: 'small-bottle',
    word: 'small bottle',
    recipe: '6 to 8 drops dish soap per 16 fl oz',
    soap_ml: 7 * ML_PER_DROP,
    water_ml: 16 * ML_PER_US_FL_OZ,
    remark: 'Calculated with 7 drops of about 0.05 ml.',
  },
  {
    key: 'strong',
    word: 'strong',
    recipe: '1 fl oz shampoo per 32 fl oz bottle',
    soap_ml: ML_PER_US_FL_OZ,
    water_ml: 32 * ML_PER_US_FL_OZ,
    remark: 'For shrinking on the outside only.',
  },
];

const SHARE: Formula<{ soap_ml: number; water_ml: number }> = {
  id: 'fitting.slipShare',
  word: 'soap in the slip',
  says: 's = soap ÷ water',
  unit: 'share',
  source: COMMON_PRACTICE,
  inputs: { soap_ml: { word: 'soap', unit: 'ml' }, water_ml: { word: 'water', unit: 'ml' } },
  of: ({ soap_ml, water_ml }) => soap_ml / water_ml,
};

const NEEDED: Formula<{ area_m2: number; perPass_l: number }> = {
  id: 'fitting.slipNeeded',
  word: 'slip for this step',
  says: 'V = area · litres per square metre',
  unit: 'l',
  source: COMMON_PRACTICE,
  inputs: {
    area_m2: { word: 'glass area', unit: 'm²' },
    perPass_l: { word: 'litres per square metre', unit: 'l/m²' },
  },
  of: ({ area_m2, perPass_l }) => area_m2 * perPass_l,
};

export const SLIP_FORMULAS = { share: SHARE, needed: NEEDED } as const;

/** Soap per water of a recipe, as a share of 1.
 *  @example household → 0.0078 */
export function slipShare({ soap_ml, water_ml }: SlipMix): Reasoned<number> {
  const step = applyFormula(SHARE, { soap_ml, water_ml });
  return { value: step.value, why: [step] };
}

/** Litres of slip for wetting `area_m2` once, by a rate that carries how well it is known.
 *  @throws CoreError FITTING_AREA_RANGE when the area is not within 0 to 1000 m² */
export function slipNeeded(area_m2: number, rate: Pick<Learned, 'value' | 'basis'>): Reasoned<number> {
  if (!(area_m2 > 0 && area_m2 <= 1000))
    throw new CoreError('FITTING_AREA_RANGE', {
      path: 'area_m2',
      expected: 'over 0 to 1000 m²',
      got: String(area_m2),
    });
  const step = applyFormula(NEEDED, { area_m2, perPass_l: rate.value }, { source: sourceOf(rate.basis) });
  return { value: step.value, why: [step] };
}
