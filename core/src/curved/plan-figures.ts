import { type Formula, type Reasoned, type Source, applyFormula } from '../quantity';
import { RULES } from '../rules';
import type { SurplusBand } from './band';
import { foldHeight } from './fold';
import type { FoldLimits } from './fold-places';
import type { EdgePlan } from './shrink-plan';

const FIBRES: Source = {
  kind: 'geometry',
  text: 'fibres of film along geodesics of the glass, G″ = −K·G (Jacobi); Gauss–Bonnet as certificate',
};
const FOLD: Source = { kind: 'geometry', text: 'length of a wave of raised cosine, exact' };

export const PLAN_FORMULAS = {
  surplus: {
    id: 'curved.surplus',
    word: 'film left over along the edge',
    says: 'S = mean needed shrink × length along the line; needed shrink = 1 − G',
    unit: 'mm',
    source: FIBRES,
    inputs: {
      strain: { word: 'mean needed shrink', unit: 'share' },
      length_mm: { word: 'length along the line between the corners', unit: 'mm' },
    },
    of: ({ strain, length_mm }) => strain * length_mm,
  } satisfies Formula<{ readonly strain: number; readonly length_mm: number }>,
  base: {
    id: 'curved.foldBase',
    word: 'base of a fold',
    says: 'b = β · W ÷ N',
    unit: 'mm',
    source: {
      kind: 'our guess',
      text: 'share of the edge that stays free for folds: our guess, see Settings',
    },
    inputs: {
      free: { word: 'share free for folds', unit: 'share' },
      length_mm: { word: 'length along the line between the corners', unit: 'mm' },
      count: { word: 'folds', unit: '–' },
    },
    of: ({ free, length_mm, count }) => (free * length_mm) / count,
  } satisfies Formula<{ readonly free: number; readonly length_mm: number; readonly count: number }>,
  height: {
    id: 'curved.foldHeight',
    word: 'height of a fold',
    says: '1 + e = (2/π) √(1+p²) E(p²/(1+p²)), h = p·b ÷ π, e = S ÷ (N·b); about (2/π) √(b·S/N)',
    unit: 'mm',
    source: FOLD,
    inputs: {
      base_mm: { word: 'base of a fold', unit: 'mm' },
      surplus_mm: { word: 'film left over along the edge', unit: 'mm' },
      count: { word: 'folds', unit: '–' },
    },
    of: ({ base_mm, surplus_mm, count }) => foldHeight(base_mm, surplus_mm / count),
  } satisfies Formula<{ readonly base_mm: number; readonly surplus_mm: number; readonly count: number }>,
  strain: {
    id: 'curved.foldStrain',
    word: 'shrink asked of the film in a fold',
    says: 'S ÷ (β · W + S); it does not hang on the number of folds',
    unit: 'share',
    source: FOLD,
    inputs: {
      surplus_mm: { word: 'film left over along the edge', unit: 'mm' },
      free: { word: 'share free for folds', unit: 'share' },
      length_mm: { word: 'length along the line between the corners', unit: 'mm' },
    },
    of: ({ surplus_mm, free, length_mm }) => surplus_mm / (free * length_mm + surplus_mm),
  } satisfies Formula<{ readonly surplus_mm: number; readonly free: number; readonly length_mm: number }>,
} as const;

/** Figures of one edge with their reasons. */
export interface EdgeFigures {
  readonly surplus_mm: Reasoned<number>;
  /** Null: no folds stand there. */
  readonly height_mm: Reasoned<number> | null;
  readonly strain: Reasoned<number>;
}

const CERTIFICATE = (residual: number): string =>
  `certificate: both ways of adding up the curvature differ by ${residual.toExponential(1)} of it`;

/**
 * What stands at an edge, each figure with its formula, its inputs and how sure it is.
 * @param band of that edge; undefined: not drawn yet
 */
export function edgeFigures(
  { surplus_mm, from_mm, to_mm, residual, folds }: EdgePlan,
  { free }: FoldLimits,
  band: SurplusBand['top_mm'] | undefined,
): EdgeFigures {
  const length_mm = to_mm - from_mm;
  const surplus = applyFormula(
    PLAN_FORMULAS.surplus,
    { strain: surplus_mm / length_mm, length_mm },
    {
      remark: CERTIFICATE(residual),
      ...(band === undefined
        ? {}
        : {
            uncertainty: {
              plusMinus: (band.high - band.low) / 2,
              says: '95 of 100, from the stated accuracy of the sags',
            },
          }),
    },
  );
  const strain = applyFormula(PLAN_FORMULAS.strain, { surplus_mm: surplus.value, free, length_mm });
  const figures = {
    surplus_mm: { value: surplus.value, why: [surplus] },
    strain: { value: strain.value, why: [surplus, strain] },
  };
  if (folds.count === 0) return { ...figures, height_mm: null };
  const base = applyFormula(PLAN_FORMULAS.base, { free, length_mm, count: folds.count });
  const height = applyFormula(
    PLAN_FORMULAS.height,
    { base_mm: base.value, surplus_mm: surplus.value, count: folds.count },
    { remark: folds.arePinched ? RULES.pinchFolds.reason : 'every fold takes up the same share' },
  );
  return { ...figures, height_mm: { value: height.value, why: [surplus, base, height] } };
}
