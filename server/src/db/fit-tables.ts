import {
  type GateTick,
  type Mark,
  NOT_TRIED,
  type OwnPlan,
  type Photo,
  type Reading,
  type TestPiece,
  type WaitEnd,
  type WorkRecord,
} from '@yellow-pane/core/job';
import {
  doublePrecision,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  text,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';
import { bytes, instant, nm, sameJob } from './columns';
import { film } from './film-tables';
import { application, job, ofJob, ofSurface, part, surface } from './survey-tables';

const ofApplication = () => ({ ...ofJob(), applicationId: uuid().notNull() });

export const workRecord = pgTable(
  'work_record',
  {
    ...ofApplication(),
    template: text().notNull(),
    step: text().notNull(),
    templateVersion: integer().notNull(),
    startedAt: instant(),
    doneAt: instant(),
    roundsAt: jsonb().$type<WorkRecord['roundsAt']>().notNull().default([]),
    foldsSaid: jsonb().$type<WorkRecord['foldsSaid']>().notNull().default([]),
    people: jsonb().$type<WorkRecord['people']>().notNull().default([]),
    mix: text().notNull().default(''),
    deviation: text().notNull().default(''),
    handedTo: jsonb().$type<WorkRecord['handedTo']>(),
    note: text().notNull(),
  },
  (t) => [
    index('work_record_job').on(t.jobId, t.id),
    sameJob('work_record_application', t.jobId, t.applicationId, () => [application.jobId, application.id]),
  ],
);

export const waitEnd = pgTable(
  'wait_end',
  {
    ...ofApplication(),
    step: text().notNull(),
    endedAt: instant().notNull(),
    how: text().$type<WaitEnd['how']>().notNull(),
    reason: text().notNull(),
  },
  (t) => [
    index('wait_end_job').on(t.jobId, t.id),
    sameJob('wait_end_application', t.jobId, t.applicationId, () => [application.jobId, application.id]),
  ],
);

export const gateTick = pgTable(
  'gate_tick',
  {
    ...ofApplication(),
    check: text().notNull(),
    answer: text().$type<GateTick['answer']>().notNull(),
    word: text().notNull(),
    lookedAt: instant().notNull(),
  },
  (t) => [
    index('gate_tick_job').on(t.jobId, t.id),
    sameJob('gate_tick_application', t.jobId, t.applicationId, () => [application.jobId, application.id]),
  ],
);

export const ownPlan = pgTable(
  'own_plan',
  {
    ...ofApplication(),
    kind: text().$type<OwnPlan['kind']>().notNull(),
    changes: jsonb().$type<OwnPlan['changes']>().notNull(),
    inputsHash: text().notNull(),
  },
  (t) => [
    index('own_plan_job').on(t.jobId, t.id),
    sameJob('own_plan_application', t.jobId, t.applicationId, () => [application.jobId, application.id]),
  ],
);

export const testPiece = pgTable(
  'test_piece',
  {
    ...ofJob(),
    kind: text().$type<TestPiece['kind']>().notNull(),
    filmId: uuid()
      .notNull()
      .references(() => film.id),
    lot: text().notNull(),
    surfaceId: uuid(),
    weather: text().notNull(),
    fields: jsonb().$type<TestPiece['fields']>().notNull(),
    outcome: text().$type<TestPiece['outcome']>().notNull(),
  },
  (t) => [
    index('test_piece_job').on(t.jobId, t.id),
    sameJob('test_piece_surface', t.jobId, t.surfaceId, () => [surface.jobId, surface.id]),
  ],
);

export const mark = pgTable(
  'mark',
  {
    ...ofSurface(),
    applicationId: uuid(),
    step: text(),
    look: text().$type<Mark['look']>().notNull(),
    x_nm: nm(),
    y_nm: nm(),
    size_nm: nm(),
    length_nm: nm(),
    firstSeenAt: instant().notNull(),
    from: text().$type<Mark['from']>().notNull(),
    note: text().notNull(),
    tests: jsonb().$type<Mark['tests']>().notNull().default(NOT_TRIED),
    goneAt: instant(),
  },
  (t) => [
    unique('mark_job_id').on(t.jobId, t.id),
    sameJob('mark_surface', t.jobId, t.surfaceId, () => [surface.jobId, surface.id]),
    sameJob('mark_application', t.jobId, t.applicationId, () => [application.jobId, application.id]),
  ],
);

export const photo = pgTable(
  'photo',
  {
    ...ofSurface(),
    partId: uuid(),
    markId: uuid(),
    applicationId: uuid(),
    step: text(),
    takenAt: instant(),
    caption: text().notNull(),
    width_px: integer().notNull(),
    height_px: integer().notNull(),
    bytes: integer().notNull(),
    position: doublePrecision().notNull(),
    square: jsonb().$type<Photo['square']>(),
    outline: jsonb().$type<Photo['outline']>(),
    pairOfId: uuid(),
    paired: text().$type<NonNullable<Photo['paired']>>(),
  },
  (t) => [
    index('photo_job').on(t.jobId, t.id),
    unique('photo_job_id').on(t.jobId, t.id),
    sameJob('photo_surface', t.jobId, t.surfaceId, () => [surface.jobId, surface.id]),
    sameJob('photo_part', t.jobId, t.partId, () => [part.jobId, part.id]),
    sameJob('photo_mark', t.jobId, t.markId, () => [mark.jobId, mark.id]),
    sameJob('photo_application', t.jobId, t.applicationId, () => [application.jobId, application.id]),
    foreignKey({ name: 'photo_pair', columns: [t.jobId, t.pairOfId], foreignColumns: [t.jobId, t.id] }),
  ],
);

/**
 * A picture's bytes, encoded anew on arrival. Kept when the photo row is deleted, so that undo brings it
 * back.
 */
export const photoFile = pgTable('photo_file', {
  id: uuid().primaryKey(),
  jobId: uuid()
    .notNull()
    .references(() => job.id),
  data: bytes().notNull(),
});

export const reading = pgTable(
  'reading',
  {
    ...ofSurface(),
    applicationId: uuid(),
    step: text(),
    markId: uuid(),
    quantity: text().$type<Reading['quantity']>().notNull(),
    instrument: text().$type<Reading['instrument']>().notNull(),
    shown: text().notNull(),
    value: doublePrecision().notNull(),
    settings: jsonb().$type<Reading['settings']>().notNull(),
    corrected: doublePrecision(),
    plusMinus: doublePrecision(),
    x_nm: nm(),
    y_nm: nm(),
  },
  (t) => [
    index('reading_job').on(t.jobId, t.id),
    sameJob('reading_surface', t.jobId, t.surfaceId, () => [surface.jobId, surface.id]),
    sameJob('reading_application', t.jobId, t.applicationId, () => [application.jobId, application.id]),
    sameJob('reading_mark', t.jobId, t.markId, () => [mark.jobId, mark.id]),
  ],
);
