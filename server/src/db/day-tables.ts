import type { DaySettings } from '@yellow-pane/core/job';
import { boolean, doublePrecision, index, integer, jsonb, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { instant, sameJob } from './columns';
import { person } from './people-tables';
import { application, ofJob } from './survey-tables';

export const daySettings = pgTable(
  'day_settings',
  {
    ...ofJob(),
    firstDay: text().notNull(),
    days: integer().notNull(),
    restDays: jsonb().$type<readonly number[]>().notNull().default([]),
    zone: text().notNull(),
    indoor_C: doublePrecision(),
    indoorHumidity: doublePrecision(),
    bearingDoubt_deg: doublePrecision().notNull(),
    comeFrom_C: doublePrecision(),
    rollWrap: text().$type<DaySettings['rollWrap']>().notNull().default('boxed'),
    coreRadius_mm: doublePrecision().notNull().default(38),
    slip: text().notNull(),
    primer: text().$type<DaySettings['primer']>().notNull(),
    schools: jsonb().$type<DaySettings['schools']>().notNull().default({}),
    tools: jsonb().$type<DaySettings['tools']>().notNull(),
    packed: jsonb().$type<readonly string[]>().notNull(),
  },
  (t) => [index('day_settings_job').on(t.jobId, t.id)],
);

export const crewMember = pgTable(
  'crew_member',
  {
    ...ofJob(),
    personId: uuid().references(() => person.id),
    name: text().notNull(),
    begins: integer().notNull(),
    ends: integer().notNull(),
    breakBegins: integer().notNull(),
    breakEnds: integer().notNull(),
    position: doublePrecision().notNull(),
  },
  (t) => [index('crew_member_job').on(t.jobId, t.id)],
);

export const plannedStep = pgTable(
  'planned_step',
  {
    ...ofJob(),
    applicationId: uuid().notNull(),
    template: text().notNull(),
    step: text().notNull(),
    templateVersion: integer().notNull(),
    startsAt: instant().notNull(),
    endsAt: instant().notNull(),
    steps: jsonb().$type<readonly string[]>().notNull(),
    people: jsonb().$type<readonly string[]>().notNull(),
    pinned: boolean().notNull(),
  },
  (t) => [
    index('planned_step_job').on(t.jobId, t.id),
    sameJob('planned_step_application', t.jobId, t.applicationId, () => [application.jobId, application.id]),
  ],
);
