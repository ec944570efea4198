import type { shrinkPlanRequestSchema } from '@yellow-pane/contracts';
import {
  type Hold,
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

/** Both ways of holding a pane as it was read, what would help, the order of the folds, and how sure it is. */
export function reckonShrink({
  readings,
  limits = USUAL_SHRINK_LIMITS,
  mostFold_mm,
  free,
  folds: count = null,
  lineAt_mm = null,
}: z.infer<typeof shrinkPlanRequestSchema>) {
  const check = checkSurface({ shape: 'curved glass', readings });
  const { patch, patchDoubts = [] } = 'figure' in check ? check.figure : {};
  if (patch === undefined)
    return { state: check.state, needs: 'needs' in check ? check.needs : [], plan: null };
  const folds = {
    most_mm: mostFold_mm ?? learnedOf('fold-height', []).value,
    free: free ?? learnedOf('fold-free', []).value,
    liesDownBy: RULES.liesDownBy.value,
    count,
  };
  const plan = shrinkPlan({ patch, limits, folds, lineAt_mm });
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
