import type { Request } from 'express';
import { IANAZone } from 'luxon';
import * as z from 'zod';
import { Refusal } from '../../http/refusal';

const MOST_FRONTS = 16;
const bearings = z
  .string()
  .max(200)
  .transform((text) => (text === '' ? [] : text.split(',').map(Number)))
  .pipe(z.array(z.number().min(0).lt(360)).max(MOST_FRONTS));

/** @throws Refusal BODY_INVALID naming what was wrong */
export function readAsked(request: Request): {
  readonly jobId: string;
  readonly bearings: readonly number[];
  readonly zone: string;
} {
  const { jobId, bearings: given = '', zone = 'UTC' } = request.query;
  const refuse = (path: string, expected: string, got: unknown): Refusal =>
    new Refusal('BODY_INVALID', { path, expected, got: JSON.stringify(got).slice(0, 60) });
  const job = z.uuid().safeParse(jobId);
  if (!job.success) throw refuse('jobId', 'the id of a job', jobId ?? null);
  const read = bearings.safeParse(given);
  if (!read.success) throw refuse('bearings', 'degrees from north, 0 to 360, with commas', given);
  if (typeof zone !== 'string' || !IANAZone.isValidZone(zone))
    throw refuse('zone', 'the name of a time zone, such as Europe/Vienna', zone);
  return { jobId: job.data, bearings: read.data, zone };
}
