import type { Learned } from '../learned';
import { type Formula, type Reasoned, type Verdict, COMMON_PRACTICE } from '../quantity';
import type { DaySurface } from './day-problem';
import type { IntoBottle, MixFinding, MixRecipe, MixRemark } from './mix-said';

export type Liquid =
  'slip' | 'slip for shrinking' | 'cleaner' | 'alcohol wipe' | 'primer' | 'wall wash' | 'adhesion promoter';

interface MixPart {
  readonly word: string;
  readonly litres: number;
}

/** One liquid for the job: how much, of what, in how many bottles. */
export interface MixLine {
  readonly liquid: Liquid;
  readonly litres: Reasoned<number>;
  readonly parts: readonly MixPart[];
  readonly recipe: MixRecipe;
  /** Bottles of the size at hand, and what goes into each beside water. */
  readonly bottles: {
    readonly count: number;
    readonly size_l: number;
    readonly each: readonly IntoBottle[];
  } | null;
  readonly remarks: readonly MixRemark[];
  readonly verdict: Verdict;
  readonly findings: readonly MixFinding[];
}

export interface MixInput {
  readonly surfaces: readonly Pick<
    DaySurface,
    | 'schools'
    | 'ofJob'
    | 'method'
    | 'family'
    | 'area_m2'
    | 'edge_m'
    | 'height_m'
    | 'hasInsideCorner'
    | 'drops'
    | 'seam'
  >[];
  /** The key of a recipe, `concentrate` for one by its caps, `own` for the share that was right before. */
  readonly slip: string;
  readonly primer: 'water-based' | 'solvent-based';
  /** Warmest air while the work goes on. */
  readonly air_C: number;
  /** Coldest air while the work goes on; left out: as warm as the warmest. */
  readonly coldest_C?: number;
  readonly learned?: readonly Learned[];
}

export const MIX_FORMULAS = {
  area: {
    id: 'day.mixByArea',
    word: 'litres by area',
    says: 'V = A · q · n',
    unit: 'l',
    source: COMMON_PRACTICE,
    inputs: {
      area_m2: { word: 'area', unit: 'm²' },
      rate_lm2: { word: 'rate', unit: 'l/m²' },
      times: { word: 'times', unit: 'count' },
    },
    of: ({ area_m2, rate_lm2, times }) => area_m2 * rate_lm2 * times,
  } satisfies Formula<{ area_m2: number; rate_lm2: number; times: number }>,
  edge: {
    id: 'day.mixByEdge',
    word: 'litres by length',
    says: 'V = L · q',
    unit: 'l',
    source: COMMON_PRACTICE,
    inputs: { length_m: { word: 'length', unit: 'm' }, rate_lm: { word: 'rate', unit: 'l/m' } },
    of: ({ length_m, rate_lm }) => length_m * rate_lm,
  } satisfies Formula<{ length_m: number; rate_lm: number }>,
  share: {
    id: 'day.slipShare',
    word: 'soap in water',
    says: 's = soap ÷ water',
    unit: 'share',
    source: COMMON_PRACTICE,
    inputs: { soap_ml: { word: 'soap', unit: 'ml' }, water_ml: { word: 'water', unit: 'ml' } },
    of: ({ soap_ml, water_ml }) => soap_ml / water_ml,
  } satisfies Formula<{ soap_ml: number; water_ml: number }>,
} as const;

/** Bottles of a size for so many litres. */
export function bottlesOf(
  litres: number,
  size_l: number,
  each: readonly IntoBottle[],
): NonNullable<MixLine['bottles']> {
  return { count: Math.max(1, Math.ceil(litres / size_l - 1e-9)), size_l, each };
}
