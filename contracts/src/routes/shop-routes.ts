import * as z from 'zod';
import { filmSheetSchema } from '../film-sheet';
import { filmBodySchema, filmListSchema, filmRowSchema } from '../film';
import { learnedBodySchema, learnedRowSchema } from '../learned';
import { supplyBodySchema, supplyRowSchema } from '../supply';
import { madeBySchema } from '../primitives';
import { peopleSchema, personBodySchema, personRowSchema } from '../person';
import { customerBodySchema, customerRowSchema } from '../customer';
import { caseApartBodySchema, caseApartRowSchema, experienceSchema } from '../experience';
import { shelfBodySchema, shelfRowSchema } from '../shelf';
import { forecastSchema } from '../weather';
import { rollBodySchema, rollRowSchema, stockItemSchema } from '../stock';
import type { Route } from './route';

const backupSchema = z.strictObject({ name: z.string(), madeAt: z.string(), bytes: z.int() });

/** What all jobs share: films, stock, rates, supplies, the forecast, backups, and how the server is. */
export const SHOP_ROUTES: readonly Route[] = [
  {
    method: 'get',
    path: '/api/film-sheets',
    says: 'Which films have their data sheet kept here, and how large it is',
    answer: z.array(filmSheetSchema),
  },
  {
    method: 'put',
    path: '/api/films/{filmId}/sheet',
    says: 'Keep the data sheet of a film: a PDF, JPEG or PNG of up to 15 MB (the body); ?name= of the file, ?who= and ?personId= of the person',
    answer: filmSheetSchema,
  },
  {
    method: 'get',
    path: '/api/films/{filmId}/sheet',
    says: 'The data sheet of a film as it was given',
    kind: 'application/pdf',
  },
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
    path: '/api/weather',
    says: 'Seven days hour by hour: ?latitude= and ?longitude=; refused when the service is down or what it says cannot be',
    answer: forecastSchema,
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
  {
    method: 'get',
    path: '/api/people',
    says: 'The people of the shop, and whom a device works for that was told nobody',
    answer: peopleSchema,
  },
  {
    method: 'put',
    path: '/api/people/{personId}',
    says: 'Add a person, or change one with If-Match',
    body: personBodySchema,
    answer: personRowSchema,
  },
  {
    method: 'get',
    path: '/api/pattern-frame',
    says: 'A black frame of known size to print, laid beside a paper pattern and photographed with it; ?paper=A4 or letter',
    kind: 'application/pdf',
  },
  {
    method: 'get',
    path: '/api/shelf',
    says: 'Curved panes the shop has filmed before: their outline, sags, plan, and what went wrong',
    answer: z.array(shelfRowSchema),
  },
  {
    method: 'put',
    path: '/api/shelf/{paneId}',
    says: 'Put a pane on the shelf, or change one with If-Match',
    body: shelfBodySchema,
    answer: shelfRowSchema,
  },
  {
    method: 'get',
    path: '/api/experience',
    says: 'What all jobs have shown: causes that were confirmed, pockets of water seen gone or still there',
    answer: experienceSchema,
  },
  {
    method: 'get',
    path: '/api/customers',
    says: 'Whom the shop works for, by name',
    answer: z.array(customerRowSchema),
  },
  {
    method: 'put',
    path: '/api/customers/{customerId}',
    says: 'Keep a customer, or change the version seen (If-Match)',
    body: customerBodySchema,
    answer: customerRowSchema,
  },
  {
    method: 'get',
    path: '/api/cases',
    says: 'Why something is there that is in no job: work of others, calls',
    answer: z.array(caseApartRowSchema),
  },
  {
    method: 'put',
    path: '/api/cases/{caseId}',
    says: 'Keep a case that is in no job, or change one with If-Match',
    body: caseApartBodySchema,
    answer: caseApartRowSchema,
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
    body: z.strictObject({ ...madeBySchema }),
    answer: filmListSchema,
  },
  {
    method: 'get',
    path: '/api/learned',
    says: 'What the shop has learned, and what it goes by until then, each with its basis',
    answer: z.array(learnedRowSchema),
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
    path: '/api/learned/{key}',
    says: 'Replace a figure by what was measured, for everything or for one film, wall, gun, person or way',
    body: learnedBodySchema,
    answer: learnedRowSchema,
    needsIfMatch: true,
  },
  {
    method: 'get',
    path: '/api/formats/survey.schema.json',
    says: 'JSON Schema of the survey file that pages save and bring in',
    answer: z.looseObject({}),
  },
];
