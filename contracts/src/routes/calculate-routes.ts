import * as z from 'zod';
import {
  blankRequestSchema,
  curvedPatchRequestSchema,
  shrinkPlanRequestSchema,
  cutRequestSchema,
  glazingRequestSchema,
  layoutRequestSchema,
  measureRequestSchema,
  privacyRequestSchema,
  stressRequestSchema,
} from '../calculate';
import { strokesRequestSchema } from '../calculate-strokes';
import { scheduleRequestSchema, sunRequestSchema, waitsRequestSchema } from '../calculate-day';
import type { Route } from './route';

const reasoned = z.looseObject({});

/** Questions without a job. */
export const CALCULATION_ROUTES: readonly Route[] = [
  {
    method: 'post',
    path: '/api/calculate/measure',
    says: 'Adjust a network of lengths, right angles and levels: corners, sizes, covariance, residuals, and which reading is wrong',
    body: measureRequestSchema,
    answer: reasoned,
  },
  {
    method: 'post',
    path: '/api/calculate/curved-patch',
    says: 'The patch of a curved pane from chords and sags, its surplus of film, and how hard it will be',
    body: curvedPatchRequestSchema,
    answer: reasoned,
  },
  {
    method: 'post',
    path: '/api/calculate/shrink-plan',
    says: 'Film to be shrunk on a curved pane: the line it lies straight on, what is left over above and below, folds and where, and in four words whether the film bears it, for both ways of holding',
    body: shrinkPlanRequestSchema,
    answer: reasoned,
  },
  {
    method: 'post',
    path: '/api/calculate/strokes',
    says: 'Strokes that press film out over any outline: order, exact share they go over, gaps, what is shut in and by which stroke, time; or the same of strokes of one’s own; edges to trim; how the liner comes off',
    body: strokesRequestSchema,
    answer: reasoned,
  },
  {
    method: 'post',
    path: '/api/calculate/glazing',
    says: 'Any stack of panes with films: optics by band and pane, U, solar heat gain, temperatures; a film by its sheet or its spectrum',
    body: glazingRequestSchema,
    answer: reasoned,
  },
  {
    method: 'post',
    path: '/api/calculate/thermal-stress',
    says: 'Whether a pane may crack behind its films: tension by pane and hour, the rule of thumb, the more careful verdict',
    body: stressRequestSchema,
    answer: reasoned,
  },
  {
    method: 'post',
    path: '/api/calculate/privacy',
    says: 'Contrast kept through a glass by day and by night, from both sides, or in a scene of your own',
    body: privacyRequestSchema,
    answer: reasoned,
  },
  {
    method: 'post',
    path: '/api/calculate/sun',
    says: 'When the sun is on a surface and when not, to the second, with the band from doubt about the bearing',
    body: sunRequestSchema,
    answer: reasoned,
  },
  {
    method: 'post',
    path: '/api/calculate/waits',
    says: 'Primer, putty, promoter, roll, panel, sealant, first bond, drying clear: how long, how sure, how to confirm',
    body: waitsRequestSchema,
    answer: reasoned,
  },
  {
    method: 'post',
    path: '/api/calculate/schedule',
    says: 'Steps, lags, windows and resources put in order: the plan with its bound, and why no step starts earlier; or what would have to give',
    body: scheduleRequestSchema,
    answer: reasoned,
  },
  {
    method: 'post',
    path: '/api/calculate/blank',
    says: 'The blank of a surface',
    body: blankRequestSchema,
    answer: reasoned,
  },
  {
    method: 'post',
    path: '/api/calculate/cut',
    says: 'Pieces laid on one roll, or on the rolls and offcuts given, by hand or by plotter: the best plan found in so many rounds or milliseconds, with its bound',
    body: cutRequestSchema,
    answer: reasoned,
  },
  {
    method: 'post',
    path: '/api/calculate/layout',
    says: 'Blanks laid on a roll',
    body: layoutRequestSchema,
    answer: reasoned,
  },
];
