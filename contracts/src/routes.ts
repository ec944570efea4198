import * as z from 'zod';
import {
  acceptedChangeSchema,
  duplicateSchema,
  jobAnswersSchema,
  jobStateSchema,
  jobSummarySchema,
} from './answers';
import { changeSchema, importSchema } from './change';
import {
  laserCommandSchema,
  laserStateSchema,
  thermometerCommandSchema,
  thermometerStateSchema,
} from './device';
import { cutPlanFileSchema } from './files/cut-plan-file';
import { plotterCommandSchema, plotterStateSchema } from './plotter';
import { filmBodySchema, filmListSchema, filmRowSchema } from './film';
import { rateBodySchema, rateRowSchema } from './rate';
import { supplyBodySchema, supplyRowSchema } from './supply';
import {
  blankRequestSchema,
  curvedPatchRequestSchema,
  cutRequestSchema,
  glazingRequestSchema,
  layoutRequestSchema,
  measureRequestSchema,
  privacyRequestSchema,
  stressRequestSchema,
} from './reckon';
import { whoSchema } from './primitives';
import { scheduleRequestSchema, sunRequestSchema, waitsRequestSchema } from './reckon-day';
import { forecastSchema, weatherCommandSchema, weatherStateSchema } from './weather';
import { rollBodySchema, rollRowSchema, stockItemSchema } from './stock';

/** One address of the API, as documented in /api/openapi.json. `answer` absent: not JSON of ours. */
export interface Route {
  readonly method: 'get' | 'post' | 'put' | 'patch' | 'delete';
  readonly path: string;
  readonly says: string;
  readonly body?: z.ZodType;
  readonly answer?: z.ZodType;
  readonly needsIfMatch?: boolean;
  readonly kind?:
    | 'text/csv'
    | 'image/svg+xml'
    | 'image/vnd.dxf'
    | 'application/vnd.hp-hpgl'
    | 'application/pdf'
    | 'image/jpeg'
    | 'text/event-stream'
    | 'text/calendar';
}

const reasoned = z.looseObject({});
const anyFields = z.record(z.string(), z.unknown());

const backupSchema = z.strictObject({ name: z.string(), madeAt: z.string(), bytes: z.int() });

export const ROUTES: readonly Route[] = [
  {
    method: 'get',
    path: '/api/health',
    says: 'Whether the server and its database answer, whether what is on the disk is sound, and whether there is room on it',
    answer: z.strictObject({
      status: z.enum(['ok', 'damaged']),
      hasRoom: z.boolean(),
      says: z.string().optional(),
    }),
  },
  {
    method: 'get',
    path: '/api/jobs',
    says: 'All jobs that are not deleted',
    answer: z.array(jobSummarySchema),
  },
  { method: 'get', path: '/api/jobs/{jobId}', says: 'A whole job with every row', answer: jobStateSchema },
  {
    method: 'get',
    path: '/api/jobs/{jobId}/answers',
    says: 'What a job answers for itself: how far each surface is, its blanks and steps, the order of each film, when film may be laid and what is to be put in order. `zone`: the time zone where the job has none',
    answer: jobAnswersSchema,
  },
  {
    method: 'post',
    path: '/api/jobs/{jobId}/changes',
    says: 'Do one thing: every operation or none. Idempotent by change id',
    body: changeSchema,
    answer: acceptedChangeSchema,
  },
  {
    method: 'post',
    path: '/api/jobs/{jobId}/imports',
    says: 'A change of up to 100,000 operations and 25 MB, for lists brought in: every operation or none',
    body: importSchema,
    answer: acceptedChangeSchema,
  },
  {
    method: 'put',
    path: '/api/jobs/{jobId}/photos/{photoId}',
    says: 'Keep a JPEG, PNG or WebP picture (the body, up to 15 MB); it is encoded anew without its location',
    answer: z.strictObject({ width_px: z.int(), height_px: z.int(), bytes: z.int() }),
  },
  {
    method: 'get',
    path: '/api/jobs/{jobId}/photos/{photoId}',
    says: 'A picture of a surface, as it was encoded anew',
    kind: 'image/jpeg',
  },
  {
    method: 'get',
    path: '/api/bench/laser',
    says: 'The laser stand-in: connected or not, its battery, the pane it stands before',
    answer: laserStateSchema,
  },
  {
    method: 'post',
    path: '/api/bench/laser',
    says: 'Connect it, press its button, make it misbehave',
    body: laserCommandSchema,
    answer: laserStateSchema,
  },
  {
    method: 'get',
    path: '/api/bench/plotter',
    says: 'The plotter stand-in: connected or not, the film in it, what it cut',
    answer: plotterStateSchema,
  },
  {
    method: 'post',
    path: '/api/bench/plotter',
    says: 'Connect it, load film, send it a job, make it misbehave',
    body: plotterCommandSchema,
    answer: plotterStateSchema,
  },
  {
    method: 'get',
    path: '/api/bench/thermometer',
    says: 'The thermometer and hygrometer stand-in on site: connected or not, what it reads',
    answer: thermometerStateSchema,
  },
  {
    method: 'post',
    path: '/api/bench/thermometer',
    says: 'Connect it, set what it reads',
    body: thermometerCommandSchema,
    answer: thermometerStateSchema,
  },
  {
    method: 'get',
    path: '/api/bench/weather',
    says: 'What the weather stand-in plays',
    answer: weatherStateSchema,
  },
  {
    method: 'post',
    path: '/api/bench/weather',
    says: 'Let it play another scenario',
    body: weatherCommandSchema,
    answer: weatherStateSchema,
  },
  {
    method: 'get',
    path: '/api/weather',
    says: 'Seven days hour by hour: ?latitude= and ?longitude=; refused when the service is down or what it says cannot be',
    answer: forecastSchema,
  },
  {
    method: 'get',
    path: '/api/jobs/{jobId}/day/calendar',
    says: 'The planned steps as an iCalendar file; the same step keeps its UID',
    kind: 'text/calendar',
  },
  {
    method: 'get',
    path: '/api/jobs/{jobId}/day/list',
    says: 'The planned steps as CSV, in order of time',
    kind: 'text/csv',
  },
  {
    method: 'get',
    path: '/api/jobs/{jobId}/day/sheet',
    says: 'The day sheet to print, a page a day; ?paper=A4 or letter',
    kind: 'application/pdf',
  },
  {
    method: 'post',
    path: '/api/jobs/{jobId}/duplicate',
    says: 'Copy a job with its places, surfaces, measures and films; cut plans and work are not copied',
    body: duplicateSchema,
    answer: acceptedChangeSchema,
  },
  {
    method: 'put',
    path: '/api/jobs/{jobId}/rows/{table}/{rowId}',
    says: 'Make one row',
    body: z.strictObject({ who: whoSchema, fields: anyFields }),
    answer: acceptedChangeSchema,
  },
  {
    method: 'patch',
    path: '/api/jobs/{jobId}/rows/{table}/{rowId}',
    says: 'Change fields of one row; different fields merge, the same field is refused with both values',
    body: z.strictObject({ who: whoSchema, fields: anyFields }),
    answer: acceptedChangeSchema,
    needsIfMatch: true,
  },
  {
    method: 'delete',
    path: '/api/jobs/{jobId}/rows/{table}/{rowId}',
    says: 'Delete one row; making it again brings it back',
    body: z.strictObject({ who: whoSchema }),
    answer: acceptedChangeSchema,
    needsIfMatch: true,
  },
  {
    method: 'get',
    path: '/api/jobs/{jobId}/history',
    says: 'Who changed what, newest first; ?row= for one row',
    answer: z.array(z.looseObject({})),
  },
  {
    method: 'get',
    path: '/api/jobs/{jobId}/cut-plans/{planId}/list',
    says: 'The cut list in cutting order',
    kind: 'text/csv',
  },
  {
    method: 'get',
    path: '/api/jobs/{jobId}/cut-plans/{planId}/drawing',
    says: 'The roll to scale, one unit a millimetre',
    kind: 'image/svg+xml',
  },
  {
    method: 'get',
    path: '/api/jobs/{jobId}/cut-plans/{planId}/dxf',
    says: 'The plan as DXF: layers CUT, NOTCH, LABEL, ROLL',
    kind: 'image/vnd.dxf',
  },
  {
    method: 'get',
    path: '/api/jobs/{jobId}/cut-plans/{planId}/hpgl/{rollId}',
    says: 'One roll as HP-GL for a cutting plotter',
    kind: 'application/vnd.hp-hpgl',
  },
  {
    method: 'get',
    path: '/api/jobs/{jobId}/cut-plans/{planId}/file',
    says: 'The plan as JSON, readable back in',
    answer: cutPlanFileSchema,
  },
  {
    method: 'get',
    path: '/api/jobs/{jobId}/cut-plans/{planId}/sheet',
    says: 'The cut sheet to print; ?paper=A4 or letter, ?units=metric or imperial',
    kind: 'application/pdf',
  },
  {
    method: 'get',
    path: '/api/jobs/{jobId}/cut-plans/{planId}/labels',
    says: 'Labels with codes; ?sheet= one of the label sheets, ?base= where the codes lead',
    kind: 'application/pdf',
  },
  { method: 'get', path: '/api/stock/list', says: 'The same as CSV, for a stocktaking', kind: 'text/csv' },
  {
    method: 'get',
    path: '/api/stock',
    says: 'Rolls and offcuts with what is left of each',
    answer: z.array(stockItemSchema),
  },
  {
    method: 'put',
    path: '/api/rolls/{rollId}',
    says: 'Add a roll or an offcut to the stock, or change it with If-Match',
    body: rollBodySchema,
    answer: rollRowSchema,
  },
  {
    method: 'get',
    path: '/api/events',
    says: 'Every accepted change as it happens; ?job= for one job, Last-Event-ID to catch up',
    kind: 'text/event-stream',
  },
  { method: 'get', path: '/api/films', says: 'The film catalogue', answer: filmListSchema },
  {
    method: 'put',
    path: '/api/films/{filmId}',
    says: 'Add a film, or replace it with If-Match',
    body: filmBodySchema,
    answer: filmRowSchema,
  },
  {
    method: 'post',
    path: '/api/films/example',
    says: 'Load the example catalogue: invented films, marked so',
    body: z.strictObject({ who: whoSchema }),
    answer: filmListSchema,
  },
  {
    method: 'get',
    path: '/api/rates',
    says: 'Figures nobody has a source for, with their mark',
    answer: z.array(rateRowSchema),
  },
  {
    method: 'get',
    path: '/api/backups',
    says: 'Where backups of everything lie, how many are kept, and which there are, the newest first',
    answer: z.strictObject({ folder: z.string(), most: z.int(), backups: z.array(backupSchema) }),
  },
  {
    method: 'post',
    path: '/api/backups',
    says: 'Back everything up into one file, while work goes on',
    answer: backupSchema,
  },
  {
    method: 'get',
    path: '/api/supplies',
    says: 'What the workshop has of what every job uses up',
    answer: z.array(supplyRowSchema),
  },
  {
    method: 'put',
    path: '/api/supplies/{key}',
    says: 'Say how much of it there is',
    body: supplyBodySchema,
    answer: supplyRowSchema,
    needsIfMatch: true,
  },
  {
    method: 'put',
    path: '/api/rates/{key}',
    says: 'Replace a rate by what was measured',
    body: rateBodySchema,
    answer: rateRowSchema,
    needsIfMatch: true,
  },
  {
    method: 'get',
    path: '/api/formats/survey.schema.json',
    says: 'JSON Schema of the survey file that pages save and bring in',
    answer: z.looseObject({}),
  },
  {
    method: 'post',
    path: '/api/reckon/measure',
    says: 'Adjust a network of lengths, right angles and levels: corners, sizes, covariance, residuals, and which reading is wrong',
    body: measureRequestSchema,
    answer: reasoned,
  },
  {
    method: 'post',
    path: '/api/reckon/curved-patch',
    says: 'The patch of a curved pane from chords and sags, its surplus of film, and how hard it will be',
    body: curvedPatchRequestSchema,
    answer: reasoned,
  },
  {
    method: 'post',
    path: '/api/reckon/glazing',
    says: 'Any stack of panes with films: optics by band and pane, U, solar heat gain, temperatures; a film by its sheet or its spectrum',
    body: glazingRequestSchema,
    answer: reasoned,
  },
  {
    method: 'post',
    path: '/api/reckon/thermal-stress',
    says: 'Whether a pane may crack behind its films: tension by pane and hour, the rule of thumb, the more careful verdict',
    body: stressRequestSchema,
    answer: reasoned,
  },
  {
    method: 'post',
    path: '/api/reckon/privacy',
    says: 'Contrast kept through a glass by day and by night, from both sides, or in a scene of your own',
    body: privacyRequestSchema,
    answer: reasoned,
  },
  {
    method: 'post',
    path: '/api/reckon/sun',
    says: 'When the sun is on a surface and when not, to the second, with the band from doubt about the bearing',
    body: sunRequestSchema,
    answer: reasoned,
  },
  {
    method: 'post',
    path: '/api/reckon/waits',
    says: 'Primer, putty, promoter, roll, panel, sealant, first bond, drying clear: how long, how sure, how to confirm',
    body: waitsRequestSchema,
    answer: reasoned,
  },
  {
    method: 'post',
    path: '/api/reckon/schedule',
    says: 'Steps, lags, windows and resources put in order: the plan with its bound, and why no step starts earlier; or what would have to give',
    body: scheduleRequestSchema,
    answer: reasoned,
  },
  {
    method: 'post',
    path: '/api/reckon/blank',
    says: 'The blank of a surface',
    body: blankRequestSchema,
    answer: reasoned,
  },
  {
    method: 'post',
    path: '/api/reckon/cut',
    says: 'Pieces laid on one roll, or on the rolls and offcuts given, by hand or by plotter: the best plan found in so many rounds or milliseconds, with its bound',
    body: cutRequestSchema,
    answer: reasoned,
  },
  {
    method: 'post',
    path: '/api/reckon/layout',
    says: 'Blanks laid on a roll',
    body: layoutRequestSchema,
    answer: reasoned,
  },
];
