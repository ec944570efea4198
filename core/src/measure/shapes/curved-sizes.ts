import { type Formula, type Reasoned, applyFormula } from '../../quantity';
import { type CurvedPatch, patchAt, type surplusAtEdges } from '../../curved';
import { RULES } from '../../rules';
import type { FittedModel } from '../network/fit-model';
import { type Outline, outlineBounds } from '../outline';
import type { Sizes } from '../sizes';

interface SurplusInputs {
  readonly across_mm: number;
  readonly down_mm: number;
  readonly width_mm: number;
  readonly share: number;
}

export const CURVED_FORMULAS = {
  surplus: {
    id: 'measure.surplus',
    word: 'film too long at the edge',
    says: 'S = ∫∫ K dA gathered from the level line across the middle to the edge; for small sags 8·(sag across)·(sag down)/W',
    unit: 'mm',
    source: { kind: 'geometry', text: 'Gauss–Bonnet on the fitted patch; an estimate for the survey' },
    inputs: {
      across_mm: { word: 'sag across the middle', unit: 'mm' },
      down_mm: { word: 'sag down the middle', unit: 'mm' },
      width_mm: { word: 'chord across', unit: 'mm' },
      share: { word: 'ratio of the patch to the small-sag rule', unit: '–' },
    },
    of: ({ across_mm, down_mm, width_mm, share }) => ((8 * across_mm * down_mm) / width_mm) * share,
  } satisfies Formula<SurplusInputs>,
  greatest: {
    id: 'measure.greatestSag',
    word: 'stands out at most',
    says: 'largest height of the fitted patch over the plane of its corners',
    unit: 'mm',
    source: { kind: 'geometry', text: 'least squares patch through the sags' },
    inputs: { most_mm: { word: 'largest height', unit: 'mm' } },
    of: ({ most_mm }) => most_mm,
  } satisfies Formula<{ readonly most_mm: number }>,
  residual: {
    id: 'measure.patchResidual',
    word: 'patch fits the sags within',
    says: 'root mean square of patch minus reading',
    unit: 'mm',
    source: { kind: 'geometry', text: 'least squares patch through the sags' },
    inputs: { sum: { word: 'sum of squares', unit: 'mm²' }, count: { word: 'readings', unit: '–' } },
    of: ({ sum, count }) => Math.sqrt(sum / count),
  } satisfies Formula<{ readonly sum: number; readonly count: number }>,
} as const;

/** How well the surplus is known: standard deviations from the sags, and whether the ends were measured. */
export interface SurplusDoubt {
  readonly top_mm: number;
  readonly bottom_mm: number;
  readonly areEndsKnown: boolean;
}

/** How far it stands out, how much film is too long at its edges, and how well the patch fits. */
export function curvedSizes(
  patch: CurvedPatch,
  fitted: FittedModel,
  surplus: ReturnType<typeof surplusAtEdges>,
  outline: Outline,
  doubt: SurplusDoubt,
): Partial<Sizes> {
  const { halfWidth_mm: a, halfHeight_mm: h } = patch;
  const width_mm = outlineBounds(outline).width;
  const sagOf = (x: number, y: number): number =>
    patchAt(patch, 0, 0).z - (patchAt(patch, x, y).z + patchAt(patch, -x, -y).z) / 2;
  const [across_mm, down_mm] = [sagOf(a, 0), sagOf(0, h)];
  const plain = (8 * across_mm * down_mm) / width_mm;
  const corners =
    (patchAt(patch, a, h).z + patchAt(patch, -a, h).z + patchAt(patch, a, -h).z + patchAt(patch, -a, -h).z) /
    4;
  let most_mm = -Infinity;
  for (let i = -8; i <= 8; i += 1)
    for (let j = -8; j <= 8; j += 1)
      most_mm = Math.max(most_mm, patchAt(patch, (a * i) / 8, (h * j) / 8).z - corners);
  const one = (value: number, step: ReturnType<typeof applyFormula>): Reasoned<number> => ({
    value,
    why: [step],
  });
  const surplusOf = (value: number, sd_mm: number): Reasoned<number> => {
    const unseen = doubt.areEndsKnown ? 0 : RULES.unseenEnds.value * Math.abs(value);
    const step = applyFormula(
      CURVED_FORMULAS.surplus,
      { across_mm, down_mm, width_mm, share: Math.abs(plain) < 1e-9 ? 0 : value / plain },
      {
        remark: 'laid along the level line across the middle',
        uncertainty: {
          plusMinus: Math.hypot(2 * sd_mm, unseen),
          says: doubt.areEndsKnown
            ? 'two standard deviations, from the stated accuracy of the sags'
            : 'from the stated accuracy of the sags, and a quarter while no sag a quarter in is taken',
        },
      },
    );
    return one(step.value, step);
  };
  const greatest = applyFormula(CURVED_FORMULAS.greatest, { most_mm });
  const residual = applyFormula(CURVED_FORMULAS.residual, {
    sum: fitted.residuals.reduce((sum, value) => sum + value * value, 0),
    count: fitted.residuals.length,
  });
  return {
    greatestSag_mm: one(greatest.value, greatest),
    surplusTop_mm: surplusOf(surplus.top_mm, doubt.top_mm),
    surplusBottom_mm: surplusOf(surplus.bottom_mm, doubt.bottom_mm),
    fitResidual_mm: one(residual.value, residual),
  };
}
