import { archiveReadSchema } from '../archive';
import { halfDaySchema } from '../half-day';
import type { Route } from './route';

const PRINTED = '; ?paper=A4 or letter, ?units=metric or imperial';

/** The papers from the call to the payment. */
export const CLOSE_ROUTES: readonly Route[] = [
  {
    method: 'get',
    path: '/api/jobs/{jobId}/close/certificate',
    says: `What is handed over, pane by pane, what is open first; ?handOver= one that was signed, else as it stands now${PRINTED}, ?base= the address its codes lead to`,
    kind: 'application/pdf',
  },
  {
    method: 'get',
    path: '/api/jobs/{jobId}/close/care-sheet',
    says: `How to care for each film, with its own dates; ?handOver= as above${PRINTED}`,
    kind: 'application/pdf',
  },
  {
    method: 'get',
    path: '/api/jobs/{jobId}/close/quotes/{quoteId}',
    says: `A quote as it was frozen, for the customer; ?inside=1 with what it rests on, for the shop${PRINTED}`,
    kind: 'application/pdf',
  },
  {
    method: 'get',
    path: '/api/jobs/{jobId}/close/arrivals/{arrivalId}',
    says: `How glass and ground were found before the work, signed${PRINTED}`,
    kind: 'application/pdf',
  },
  {
    method: 'get',
    path: '/api/jobs/{jobId}/close/payments/list',
    says: 'What was asked for and what came, a line each',
    kind: 'text/csv',
  },
  {
    method: 'get',
    path: '/api/jobs/{jobId}/close/payments/{paymentId}',
    says: `What is asked for, with tax; where it goes by work done, what is finished, drawn${PRINTED}`,
    kind: 'application/pdf',
  },
  {
    method: 'get',
    path: '/api/jobs/{jobId}/archive',
    says: 'Everything of a job in one zip: rows, what of the shop they speak of, photos, papers, and the schema of it all',
    kind: 'application/zip',
  },
  {
    method: 'post',
    path: '/api/archives',
    says: 'Read an archive (the body, up to 2 GB): wholly or not at all. ?film=here when its rolls and offcuts lie here too; else they are known and not in stock',
    answer: archiveReadSchema,
  },
  {
    method: 'get',
    path: '/api/half-day',
    says: 'The next half day that is free in all jobs, dry by the forecast and shady on the fronts named; ?jobId= whose place it goes by, ?bearings= degrees with commas, ?zone=',
    answer: halfDaySchema,
  },
];
