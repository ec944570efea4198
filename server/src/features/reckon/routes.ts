import {
  blankRequestSchema,
  curvedPatchRequestSchema,
  cutRequestSchema,
  layoutRequestSchema,
  measureRequestSchema,
  shrinkPlanRequestSchema,
} from '@yellow-pane/contracts';
import {
  type Hold,
  USUAL_SHRINK_LIMITS,
  heatOrder,
  shrinkPlan,
  surplusBand,
  whatHelps,
} from '@yellow-pane/core/curved';
import { blankFor, layOutInLevels } from '@yellow-pane/core/cutting';
import { learnedOf } from '@yellow-pane/core/learned';
import { checkSurface, reckonNetwork } from '@yellow-pane/core/measure';
import { RULES } from '@yellow-pane/core/rules';
import { Router } from 'express';
import { parseBody } from '../../http/refusal';
import type { Searching } from './search/searching';

/** Core's questions over the wire, without a job: the same functions the pages use. */
export function reckonRoutes({ search }: { readonly search: Searching }): Router {
  const routes = Router();
  routes.post('/api/reckon/measure', (request, response) => {
    response.json(reckonNetwork(parseBody(measureRequestSchema, request.body)));
  });
  routes.post('/api/reckon/curved-patch', (request, response) => {
    const { readings } = parseBody(curvedPatchRequestSchema, request.body);
    response.json(checkSurface({ shape: 'curved glass', readings }));
  });
  routes.post('/api/reckon/shrink-plan', (request, response) => {
    const {
      readings,
      limits,
      mostFold_mm,
      free,
      lineAt_mm,
      folds: count,
    } = parseBody(shrinkPlanRequestSchema, request.body);
    const check = checkSurface({ shape: 'curved glass', readings });
    const patch = 'figure' in check ? check.figure.patch : undefined;
    if (patch === undefined) {
      response.json({ state: check.state, needs: 'needs' in check ? check.needs : [], plan: null });
      return;
    }
    const folds = {
      most_mm: mostFold_mm ?? learnedOf('fold-height', []).value,
      free: free ?? learnedOf('fold-free', []).value,
      liesDownBy: RULES.liesDownBy.value,
      count: count ?? null,
    };
    const asked = { patch, limits: limits ?? USUAL_SHRINK_LIMITS, folds, lineAt_mm: lineAt_mm ?? null };
    const plan = shrinkPlan(asked);
    const doubts = ('figure' in check ? check.figure.patchDoubts : undefined) ?? [];
    const ofEach = <Answer>(own: (hold: Hold) => Answer): Readonly<Record<Hold, Answer>> => ({
      'along the top': own('along the top'),
      'a line across': own('a line across'),
    });
    response.json({
      state: check.state,
      needs: [],
      plan,
      helps: ofEach((hold) => whatHelps(plan, hold, asked)),
      order: ofEach((hold) => heatOrder(plan[hold])),
      band: ofEach((hold) => surplusBand(patch, doubts, plan[hold].at_mm)),
    });
  });
  routes.post('/api/reckon/blank', (request, response) => {
    response.json(blankFor(parseBody(blankRequestSchema, request.body)));
  });
  routes.post('/api/reckon/layout', (request, response) => {
    response.json(layOutInLevels(parseBody(layoutRequestSchema, request.body)));
  });
  routes.post('/api/reckon/cut', async (request, response) => {
    const asked = parseBody(cutRequestSchema, request.body);
    if ('stocks' in asked) {
      const { seed, mostRounds, milliseconds, searches, mostSheet_mm, ...order } = asked;
      response.json(
        await search(
          'order',
          { ...order, mostSheet_mm: mostSheet_mm ?? Number.POSITIVE_INFINITY },
          { seed, mostRounds, milliseconds, searches },
        ),
      );
      return;
    }
    const { mode, stages, seed, mostRounds, milliseconds, searches, ...layout } = asked;
    response.json(
      await search('strip', { mode, stages, request: layout }, { seed, mostRounds, milliseconds, searches }),
    );
  });
  return routes;
}
