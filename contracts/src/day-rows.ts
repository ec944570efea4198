import type { CrewMember, DaySettings, PlannedStepRow } from '@yellow-pane/core/job';
import * as z from 'zod';
import { chosenSchools } from './chosen-schools';
import { idSchema, instantSchema, positionSchema, share, word } from './primitives';

const minuteOfDay = z.int().min(0).max(1440);

const isZone = (zone: string): boolean => {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
};
export const zoneSchema = word(60).refine(isZone, { error: 'a time zone such as Europe/Zurich' });

export const daySettings = z.strictObject({
  firstDay: z.iso.date(),
  days: z.int().min(1).max(14),
  restDays: z.array(z.int().min(1).max(7)).max(7),
  zone: zoneSchema,
  indoor_C: z.number().min(-40).max(60).nullable(),
  indoorHumidity: share.nullable(),
  bearingDoubt_deg: z.number().min(0).max(45),
  comeFrom_C: z.number().min(-40).max(60).nullable(),
  rollWrap: z.enum(['boxed', 'bare']),
  coreRadius_mm: z.number().min(1).max(200),
  slip: word(40),
  primer: z.enum(['water-based', 'solvent-based']),
  schools: chosenSchools,
  tools: z.array(z.strictObject({ tool: word(80), count: z.int().min(0).max(100) })).max(40),
  packed: z.array(word(120)).max(300),
}) satisfies z.ZodType<DaySettings>;

export const crewMember = z.strictObject({
  personId: idSchema.nullable(),
  name: word(80),
  begins: minuteOfDay,
  ends: minuteOfDay,
  breakBegins: minuteOfDay,
  breakEnds: minuteOfDay,
  position: positionSchema,
}) satisfies z.ZodType<CrewMember>;

export const plannedStep = z.strictObject({
  applicationId: idSchema,
  template: word(80),
  step: word(80),
  templateVersion: z.int().min(1).max(10_000),
  startsAt: instantSchema,
  endsAt: instantSchema,
  steps: z.array(word(80)).max(60),
  people: z.array(idSchema).max(30),
  pinned: z.boolean(),
}) satisfies z.ZodType<PlannedStepRow>;
