import type { CutMethod, EdgeKind, FilmDirection, FilmFamily, FittingSchools, FrameKind, Glazing, Instrument, JobTable, PanePoint, PaneTreatment, PlaceKind, SeenFrom, SurfaceCondition, SurfaceKind } from '@yellow-pane/core/job';
import type { Rate } from '@yellow-pane/core/fitting';
import type { LengthUnit } from '@yellow-pane/core/quantity';
import { type AnyPgColumn, bigint, bigserial, boolean, doublePrecision, foreignKey, index, integer, jsonb, pgTable, primaryKey, text, timestamp, unique, uuid } from 'drizzle-orm/pg-core';

const nm = () => bigint({ mode: 'number' });
const instant = () => timestamp({ withTimezone: true, mode: 'date', precision: 3 });

const meta = () => ({
  version: integer().notNull(),
  madeBy: text().notNull(),
  madeAt: instant().notNull(),
  changedBy: text().notNull(),
  changedAt: instant().notNull(),
  removed: boolean().notNull(),
});

export const job = pgTable('job', {
  id: uuid().primaryKey(),
  ...meta(),
  name: text().notNull(),
  entryUnit: text().$type<LengthUnit>().notNull(),
  archived: boolean().notNull(),
});

const ofJob = () => ({ id: uuid().primaryKey(), jobId: uuid().notNull().references(() => job.id), ...meta() });

export const place = pgTable('place', {
  ...ofJob(),
  parentId: uuid(),
  kind: text().$type<PlaceKind>().notNull(),
  name: text().notNull(),
  bearing_deg: doublePrecision(),
  movable: boolean().notNull(),
  position: doublePrecision().notNull(),
}, (t) => [unique('place_job_id').on(t.jobId, t.id), sameJob('place_parent', t.jobId, t.parentId, () => [t.jobId, t.id])]);

export const glassUnit = pgTable('glass_unit', {
  ...ofJob(),
  name: text().notNull(),
  glazing: text().$type<Glazing>().notNull(),
  frame: text().$type<FrameKind>().notNull(),
  edge: text().$type<EdgeKind>().notNull(),
}, (t) => [unique('glass_unit_job_id').on(t.jobId, t.id)]);

export const glassPane = pgTable('glass_pane', {
  ...ofJob(),
  unitId: uuid().notNull(),
  position: integer().notNull(),
  treatment: text().$type<PaneTreatment>().notNull(),
  thickness_nm: nm(),
  coated: text().$type<'yes' | 'no' | 'unknown'>().notNull(),
  gapAfter_nm: nm(),
}, (t) => [index('glass_pane_job').on(t.jobId, t.id), sameJob('glass_pane_unit', t.jobId, t.unitId, () => [glassUnit.jobId, glassUnit.id])]);

export const surface = pgTable('surface', {
  ...ofJob(),
  placeId: uuid().notNull(),
  unitId: uuid(),
  tag: text().notNull(),
  name: text().notNull(),
  kind: text().$type<SurfaceKind>().notNull(),
  seenFrom: text().$type<SeenFrom>().notNull(),
  condition: text().$type<SurfaceCondition>().notNull(),
  remark: text().notNull(),
  position: doublePrecision().notNull(),
}, (t) => [
  unique('surface_job_id').on(t.jobId, t.id),
  sameJob('surface_place', t.jobId, t.placeId, () => [place.jobId, place.id]),
  sameJob('surface_unit', t.jobId, t.unitId, () => [glassUnit.jobId, glassUnit.id]),
]);

export const measure = pgTable('measure', {
  ...ofJob(),
  surfaceId: uuid().notNull(),
  fromPoint: text().$type<PanePoint>().notNull(),
  toPoint: text().$type<PanePoint>().notNull(),
  text: text().notNull(),
  unit: text().$type<LengthUnit>().notNull(),
  value_nm: nm().notNull(),
  instrument: text().$type<Instrument>().notNull(),
  sd_nm: nm(),
}, (t) => [index('measure_job').on(t.jobId, t.id), index('measure_surface').on(t.surfaceId), sameJob('measure_surface_fk', t.jobId, t.surfaceId, () => [surface.jobId, surface.id])]);

export const film = pgTable('film', {
  id: uuid().primaryKey(),
  version: integer().notNull(),
  changedBy: text().notNull(),
  changedAt: instant().notNull(),
  name: text().notNull(),
  family: text().$type<FilmFamily>().notNull(),
  use: text().notNull(),
  thickness_um: doublePrecision().notNull(),
  direction: text().$type<FilmDirection>().notNull(),
  referenceGlass: text().notNull(),
  uvTransmitted: doublePrecision(),
  visibleTransmitted: doublePrecision(),
  visibleReflectedRoom: doublePrecision(),
  visibleReflectedOutside: doublePrecision(),
  solarTransmitted: doublePrecision(),
  solarReflected: doublePrecision(),
  emissivity: doublePrecision(),
  workMin_C: doublePrecision(),
  workMax_C: doublePrecision(),
  handling: text().notNull(),
  invented: boolean().notNull(),
});

export const filmWidth = pgTable('film_width', {
  filmId: uuid().notNull().references(() => film.id),
  width_nm: nm().notNull(),
}, (t) => [primaryKey({ columns: [t.filmId, t.width_nm] })]);

export const application = pgTable('application', {
  ...ofJob(),
  surfaceId: uuid().notNull(),
  side: text().$type<SeenFrom>().notNull(),
  filmId: uuid().notNull().references(() => film.id),
  method: text().$type<CutMethod>().notNull(),
  linerSchool: text().$type<FittingSchools['linerSchool']>().notNull(),
  lockSchool: text().$type<FittingSchools['lockSchool']>().notNull(),
  trimSchool: text().$type<FittingSchools['trimSchool']>().notNull(),
  position: doublePrecision().notNull(),
}, (t) => [unique('application_job_id').on(t.jobId, t.id), sameJob('application_surface', t.jobId, t.surfaceId, () => [surface.jobId, surface.id])]);

export const cutPlan = pgTable('cut_plan', {
  ...ofJob(),
  filmId: uuid().notNull().references(() => film.id),
  rollWidth_nm: nm().notNull(),
  lengthUsed_nm: nm().notNull(),
  bound_nm: nm().notNull(),
  solver: text().notNull(),
}, (t) => [unique('cut_plan_job_id').on(t.jobId, t.id)]);

export const cutPiece = pgTable('cut_piece', {
  ...ofJob(),
  planId: uuid().notNull(),
  applicationId: uuid().notNull(),
  tag: text().notNull(),
  position: integer().notNull(),
  level: integer().notNull(),
  x_nm: nm().notNull(),
  y_nm: nm().notNull(),
  across_nm: nm().notNull(),
  along_nm: nm().notNull(),
  turned: boolean().notNull(),
  inputsHash: text().notNull(),
  cutAt: instant(),
}, (t) => [
  index('cut_piece_job').on(t.jobId, t.id),
  sameJob('cut_piece_plan', t.jobId, t.planId, () => [cutPlan.jobId, cutPlan.id]),
  sameJob('cut_piece_application', t.jobId, t.applicationId, () => [application.jobId, application.id]),
]);

export const workRecord = pgTable('work_record', {
  ...ofJob(),
  applicationId: uuid().notNull(),
  template: text().notNull(),
  step: text().notNull(),
  templateVersion: integer().notNull(),
  startedAt: instant(),
  doneAt: instant(),
  note: text().notNull(),
}, (t) => [index('work_record_job').on(t.jobId, t.id), sameJob('work_record_application', t.jobId, t.applicationId, () => [application.jobId, application.id])]);

/** Figures nobody has a source for, once a person has replaced the guess. */
export const rate = pgTable('rate', {
  key: text().primaryKey(),
  version: integer().notNull(),
  changedBy: text().notNull(),
  changedAt: instant().notNull(),
  value: doublePrecision().notNull(),
  mark: text().$type<Rate['mark']>().notNull(),
});

/** One row a change taken, in the order taken. */
export const change = pgTable('change', {
  seq: bigserial({ mode: 'number' }).primaryKey(),
  id: uuid().notNull().unique(),
  jobId: uuid().notNull().references(() => job.id),
  session: uuid().notNull(),
  who: text().notNull(),
  at: instant().notNull(),
}, (t) => [index('change_job').on(t.jobId, t.seq)]);

/** What each operation did: the log that merging, conflicts and history read. */
export const history = pgTable('history', {
  id: bigserial({ mode: 'number' }).primaryKey(),
  seq: bigint({ mode: 'number' }).notNull().references(() => change.seq),
  tableName: text().$type<JobTable>().notNull(),
  rowId: uuid().notNull(),
  version: integer().notNull(),
  op: text().$type<'put' | 'set' | 'remove'>().notNull(),
  before: jsonb().$type<Readonly<Record<string, unknown>>>(),
  after: jsonb().$type<Readonly<Record<string, unknown>>>(),
}, (t) => [index('history_row').on(t.rowId, t.version), index('history_seq').on(t.seq)]);

export const ROW_TABLES = { job, place, glassUnit, glassPane, surface, measure, application, cutPlan, cutPiece, workRecord } as const satisfies Record<JobTable, unknown>;

/** A reference that cannot leave its job: the database itself refuses another job's id. */
function sameJob(name: string, jobId: AnyPgColumn, reference: AnyPgColumn, target: () => [AnyPgColumn, AnyPgColumn]) {
  return foreignKey({ name, columns: [jobId, reference] as [AnyPgColumn, AnyPgColumn], foreignColumns: target() });
}
