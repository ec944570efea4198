import * as z from 'zod';
import {
  acceptedChangeSchema,
  duplicateSchema,
  jobAnswersSchema,
  jobStateSchema,
  jobSummarySchema,
} from '../answers';
import { calledSchema, comeAndLookSchema, visitsSchema, waitsSchema } from '../calls';
import { changeSchema, importSchema } from '../change';
import { cutPlanFileSchema } from '../files/cut-plan-file';
import { madeBySchema } from '../primitives';
import type { Route } from './route';

const anyFields = z.record(z.string(), z.unknown());

/** What is asked of one job, and of the list of all. */
export const JOB_ROUTES: readonly Route[] = [
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
    path: '/api/jobs/{jobId}/day/calendar',
    says: 'The planned steps as an iCalendar file; the same step keeps its UID',
    kind: 'text/calendar',
  },
  {
    method: 'get',
    path: '/api/jobs/{jobId}/applications/{applicationId}/shrink-strip',
    says: 'A strip with the heights of the line that curved film is held on, and lengths to hold up to the glass, true to scale; ?paper=A4 or letter, ?units=metric or imperial',
    kind: 'application/pdf',
  },
  {
    method: 'get',
    path: '/api/jobs/{jobId}/day/waits',
    says: 'What is waited for now as an iCalendar file, with an alarm when each is over',
    kind: 'text/calendar',
  },
  {
    method: 'get',
    path: '/api/waits',
    says: 'What is waited for now on all surfaces of all jobs, next first',
    answer: waitsSchema,
  },
  {
    method: 'get',
    path: '/api/visits',
    says: 'Why somebody comes back, in all jobs that are not put away, next first: planned visits, and trips nobody has planned yet',
    answer: visitsSchema,
  },
  {
    method: 'get',
    path: '/api/jobs/{jobId}/visits/calendar',
    says: 'Visits of a job as an iCalendar file; the same visit keeps its UID',
    kind: 'text/calendar',
  },
  {
    method: 'get',
    path: '/api/jobs/{jobId}/check/map',
    says: 'Where the marks of a surface are, what decided and pictures of them, to print; ?surface= one, else all with marks; ?paper=A4 or letter, ?units=metric or imperial',
    kind: 'application/pdf',
  },
  {
    method: 'post',
    path: '/api/jobs/{jobId}/calls',
    says: 'Ask whoever has a page open to come and look; told once, as the event `call`, and not kept',
    body: comeAndLookSchema,
    answer: calledSchema,
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
    says: 'The day sheet to print, one page a person and day; ?paper=A4 or letter, ?units=metric, imperial; ?drawings=1 with strokes, trimming and liner of its steps',
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
    body: z.strictObject({ ...madeBySchema, fields: anyFields }),
    answer: acceptedChangeSchema,
  },
  {
    method: 'patch',
    path: '/api/jobs/{jobId}/rows/{table}/{rowId}',
    says: 'Change fields of one row; different fields merge, the same field is refused with both values',
    body: z.strictObject({ ...madeBySchema, fields: anyFields }),
    answer: acceptedChangeSchema,
    needsIfMatch: true,
  },
  {
    method: 'delete',
    path: '/api/jobs/{jobId}/rows/{table}/{rowId}',
    says: 'Delete one row; making it again brings it back',
    body: z.strictObject({ ...madeBySchema }),
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
];
