import * as z from 'zod';
import { idSchema, instantSchema, madeBySchema, text, type MadeBy } from './primitives';

/** Somebody asks the others to come and look at a surface and a step. Said once; nobody keeps it. */
export interface ComeAndLook extends MadeBy {
  readonly session: string;
  readonly surfaceId: string;
  readonly tag: string;
  /** What is being done there. */
  readonly says: string;
}

export const comeAndLookSchema = z.strictObject({
  ...madeBySchema,
  session: idSchema,
  surfaceId: idSchema,
  tag: text(40),
  says: text(400),
}) satisfies z.ZodType<ComeAndLook>;

/** How many pages it reached. */
export const calledSchema = z.strictObject({ pages: z.int() });

/** What is waited for on a surface of any job, as instants. */
export interface WaitOfJob {
  readonly jobId: string;
  readonly job: string;
  readonly surfaceId: string;
  readonly tag: string;
  readonly why: string;
  readonly fromAt: string;
  readonly overAt: string | null;
  readonly latestAt: string | null;
}

export const waitsSchema = z.array(
  z.strictObject({
    jobId: idSchema,
    job: z.string(),
    surfaceId: idSchema,
    tag: z.string(),
    why: z.string(),
    fromAt: instantSchema,
    overAt: instantSchema.nullable(),
    latestAt: instantSchema.nullable(),
  }),
) satisfies z.ZodType<readonly WaitOfJob[]>;

/** Why somebody comes back to a job, and when; no id: nobody has planned it yet. */
export interface VisitOfJob {
  readonly jobId: string;
  readonly job: string;
  readonly visitId: string | null;
  readonly notBefore: string | null;
  readonly due: string | null;
  readonly plannedAt: string | null;
  readonly isLate: boolean;
  /** A line a reason, with the surfaces it is for. */
  readonly says: readonly string[];
}

export const visitsSchema = z.array(
  z.strictObject({
    jobId: idSchema,
    job: z.string(),
    visitId: idSchema.nullable(),
    notBefore: instantSchema.nullable(),
    due: instantSchema.nullable(),
    plannedAt: instantSchema.nullable(),
    isLate: z.boolean(),
    says: z.array(z.string()),
  }),
) satisfies z.ZodType<readonly VisitOfJob[]>;
