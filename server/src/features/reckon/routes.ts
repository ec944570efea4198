import { blankRequestSchema, layoutRequestSchema, measureRequestSchema } from '@yellow-pane/contracts';
import { blankFor, layOutInLevels } from '@yellow-pane/core/cutting';
import { checkFlatPane } from '@yellow-pane/core/measure';
import { Router } from 'express';
import { parseBody } from '../../http/refusal';

/** Core's questions over the wire, without a job: the same functions the pages use. */
export function reckonRoutes(): Router {
  const routes = Router();
  routes.post('/api/reckon/measure', (request, response) => {
    const { measures } = parseBody(measureRequestSchema, request.body);
    response.json(checkFlatPane(measures.map(({ sd_mm, ...measure }) => (sd_mm === undefined ? measure : { ...measure, sd_mm }))));
  });
  routes.post('/api/reckon/blank', (request, response) => { response.json(blankFor(parseBody(blankRequestSchema, request.body))); });
  routes.post('/api/reckon/layout', (request, response) => { response.json(layOutInLevels(parseBody(layoutRequestSchema, request.body))); });
  return routes;
}
