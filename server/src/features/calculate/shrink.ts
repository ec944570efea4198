import type { shrinkPlanRequestSchema } from '@yellow-pane/contracts';
import {
  type Hold,
  type ShrinkLimits,
  USUAL_SHRINK_LIMITS,
  heatOrder,
  shrinkPlan,
  surplusBand,
  whatHelps,
} from '@yellow-pane/core/curved';
import { learnedOf } from '@yellow-pane/core/learned';
import { checkSurface } from '@yellow-pane/core/measure';
import { RULES } from '@yellow-pane/core/rules';
import type { z } from 'zod';

/** Both ways of holding a pane as it was read, what would help, the order of folds, and how sure it is. */
export function calculateShrink(asked: z.infer<typeof shrinkPlanRequestSchema>) {
  const { readings, mostFold_mm, free } = asked;
  const limits: ShrinkLimits = asked.limits ?? USUAL_SHRINK_LIMITS;
  const check = checkSurface({ shape: 'curved glass', readings });
  const { patch, patchDoubts = [] } = 'figure' in check ? check.figure : {};
  if (patch === undefined)
    return { state: check.state, needs: 'needs' in check ? check.needs : [], plan: null };
  const folds = {
    most_mm: mostFold_mm ?? learnedOf('fold-height', []).value,
    free: free ?? learnedOf('fold-free', []).value,
    liesDownBy: RULES.liesDownBy.value,
    count: asked.folds ?? null,
  };
  const plan = shrinkPlan({ patch, limits, folds, lineAt_mm: asked.lineAt_mm ?? null });
  const ofEach = <Answer>(own: (hold: Hold) => Answer): Readonly<Record<Hold, Answer>> => ({
    'along the top': own('along the top'),
    'a line across': own('a line across'),
  });
  return {
    state: check.state,
    needs: [],
    plan,
    helps: ofEach((hold) => whatHelps(plan, hold, { limits, folds })),
    order: ofEach((hold) => heatOrder(plan[hold])),
    band: ofEach((hold) => surplusBand(patch, patchDoubts, plan[hold].at_mm)),
  };
}
