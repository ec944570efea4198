import {
  blankRequestSchema,
  curvedPatchRequestSchema,
  cutRequestSchema,
  layoutRequestSchema,
  measureRequestSchema,
  shrinkPlanRequestSchema,
  strokesRequestSchema,
} from '@yellow-pane/contracts';
import { blankFor } from '@yellow-pane/core/blanks';
import { layOutInLevels } from '@yellow-pane/core/packing';
import { checkSurface, calculateNetwork } from '@yellow-pane/core/measure';
import { Router } from 'express';
import { parseBody } from '../../http/refusal';
import { calculateShrink } from './shrink';
import { strokesAnswer } from './strokes';
import type { Searching } from './search/searching';

/** Core's questions over the wire, without a job: the same functions the pages use. */
export function calculationRoutes({ search }: { readonly search: Searching }): Router {
  const routes = Router();
  routes.post('/api/calculate/measure', (request, response) => {
    response.json(calculateNetwork(parseBody(measureRequestSchema, request.body)));
  });
  routes.post('/api/calculate/curved-patch', (request, response) => {
    const { readings } = parseBody(curvedPatchRequestSchema, request.body);
    response.json(checkSurface({ shape: 'curved glass', readings }));
  });
  routes.post('/api/calculate/shrink-plan', (request, response) => {
    response.json(calculateShrink(parseBody(shrinkPlanRequestSchema, request.body)));
  });
  routes.post('/api/calculate/strokes', (request, response) => {
    response.json(strokesAnswer(parseBody(strokesRequestSchema, request.body)));
  });
  routes.post('/api/calculate/blank', (request, response) => {
    response.json(blankFor(parseBody(blankRequestSchema, request.body)));
  });
  routes.post('/api/calculate/layout', (request, response) => {
    response.json(layOutInLevels(parseBody(layoutRequestSchema, request.body)));
  });
  routes.post('/api/calculate/cut', async (request, response) => {
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
