import { surveyFileSchema } from '@yellow-pane/contracts/survey-files';
import { Router } from 'express';
import * as z from 'zod';

/** Schemas of the files people exchange, made from the contracts. */
export function formatRoutes(): Router {
  const routes = Router();
  const survey = {
    ...z.toJSONSchema(surveyFileSchema, { io: 'input' }),
    title: 'Yellow Pane survey, version 1',
  };
  routes.get('/api/formats/survey.schema.json', (_request, response) => {
    response.json(survey);
  });
  return routes;
}
