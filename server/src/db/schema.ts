import type { CutMethod, CutPiece, CutPlan, CutRoll, EdgeKind, FilmBrief, GlassPane, GlassUnit, FittingSchools, FrameKind, Glazing, HorizonPoint, Instrument, JobTable, MeasureKind, PaneTreatment, Part, PlaceKind, SeamChoice, SeenFrom, SiteFacts, StockTake, SurfaceCondition, SurfaceKind, SurfaceShape, WallFacts } from '@yellow-pane/core/job';
import type { Rate } from '@yellow-pane/core/fitting';
import type { LengthUnit } from '@yellow-pane/core/quantity';
import { bigint, bigserial, boolean, doublePrecision, index, integer, jsonb, pgTable, text, unique, uuid } from 'drizzle-orm/pg-core';
import { film } from './film-tables';
import { bytes, instant, meta, nm, sameJob } from './columns';

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
  latitude_deg: doublePrecision(),
  longitude_deg: doublePrecision(),
  altitude_m: doublePrecision(),
  horizon: jsonb().$type<readonly HorizonPoint[]>().notNull().default([]),
  movable: boolean().notNull(),
  position: doublePrecision().notNull(),
}, (t) => [unique('place_job_id').on(t.jobId, t.id), sameJob('place_parent', t.jobId, t.parentId, () => [t.jobId, t.id])]);

export const filmBrief = pgTable('film_brief', {
  ...ofJob(),
  placeId: uuid().notNull(),
  keepView: integer().$type<FilmBrief['keepView']>().notNull(),
  hiddenByDay: integer().$type<FilmBrief['hiddenByDay']>().notNull(),
  hiddenByNight: integer().$type<FilmBrief['hiddenByNight']>().notNull(),
  lessHeat: integer().$type<FilmBrief['lessHeat']>().notNull(),
  lessGlare: integer().$type<FilmBrief['lessGlare']>().notNull(),
  protectFurnishings: integer().$type<FilmBrief['protectFurnishings']>().notNull(),
  slowBreakIn: integer().$type<FilmBrief['slowBreakIn']>().notNull(),
  keepWarmth: integer().$type<FilmBrief['keepWarmth']>().notNull(),
  look: text().$type<FilmBrief['look']>().notNull(),
  lightKeptLeast: doublePrecision(),
  heatOffLeast: doublePrecision(),
  roomWidth_nm: nm(),
  roomDepth_nm: nm(),
  roomHeight_nm: nm(),
  coldest_C: doublePrecision(),
  hottest_C: doublePrecision(),
}, (t) => [index('film_brief_job').on(t.jobId, t.id), sameJob('film_brief_place', t.jobId, t.placeId, () => [place.jobId, place.id])]);

export const glassUnit = pgTable('glass_unit', {
  ...ofJob(),
  name: text().notNull(),
  glazing: text().$type<Glazing>().notNull(),
  frame: text().$type<FrameKind>().notNull(),
  edge: text().$type<EdgeKind>().notNull(),
  edgeFinish: text().$type<GlassUnit['edgeFinish']>().notNull().default('unseen'),
  edgeDepth_nm: nm(),
}, (t) => [unique('glass_unit_job_id').on(t.jobId, t.id)]);

export const glassPane = pgTable('glass_pane', {
  ...ofJob(),
  unitId: uuid().notNull(),
  position: integer().notNull(),
  treatment: text().$type<PaneTreatment>().notNull(),
  thickness_nm: nm(),
  tint: text().$type<GlassPane['tint']>().notNull().default('unknown'),
  coating: text().$type<GlassPane['coating']>().notNull().default('unknown'),
  coatedSide: text().$type<GlassPane['coatedSide']>().notNull().default('unknown'),
  gapAfter_nm: nm(),
  gasAfter: text().$type<GlassPane['gasAfter']>().notNull().default('unknown'),
}, (t) => [index('glass_pane_job').on(t.jobId, t.id), sameJob('glass_pane_unit', t.jobId, t.unitId, () => [glassUnit.jobId, glassUnit.id])]);

export const surface = pgTable('surface', {
  ...ofJob(),
  placeId: uuid().notNull(),
  unitId: uuid(),
  tag: text().notNull(),
  name: text().notNull(),
  kind: text().$type<SurfaceKind>().notNull(),
  shape: text().$type<SurfaceShape>().notNull().default('four sides'),
  corners: integer(),
  seenFrom: text().$type<SeenFrom>().notNull(),
  condition: text().$type<SurfaceCondition>().notNull(),
  remark: text().notNull(),
  position: doublePrecision().notNull(),
  sameAsId: uuid(),
  atX_nm: nm(),
  atY_nm: nm(),
}, (t) => [
  unique('surface_job_id').on(t.jobId, t.id),
  sameJob('surface_place', t.jobId, t.placeId, () => [place.jobId, place.id]),
  sameJob('surface_unit', t.jobId, t.unitId, () => [glassUnit.jobId, glassUnit.id]),
  sameJob('surface_same_as', t.jobId, t.sameAsId, () => [t.jobId, t.id]),
]);

const ofSurface = () => ({ ...ofJob(), surfaceId: uuid().notNull() });

export const siteFacts = pgTable('site_facts', {
  ...ofSurface(),
  storey: integer(),
  accessHeight_nm: nm(),
  reach: text().$type<SiteFacts['reach']>().notNull(),
  trimOverlap_nm: nm(),
  obstacles: text().notNull(),
  floor: text().notNull(),
  power: text().$type<SiteFacts['power']>().notNull(),
  crew: text().$type<SiteFacts['crew']>().notNull(),
  filmFace: text().$type<SiteFacts['filmFace']>().notNull(),
  sealantToCut: text().$type<SiteFacts['sealantToCut']>().notNull(),
  tilt_deg: doublePrecision(),
  overhangDepth_nm: nm(),
  overhangAbove_nm: nm(),
  revealDepth_nm: nm(),
  blind: text().$type<SiteFacts['blind']>().notNull().default('unknown'),
  heatOutlet: text().$type<SiteFacts['heatOutlet']>().notNull().default('unknown'),
}, (t) => [index('site_facts_job').on(t.jobId, t.id), sameJob('site_facts_surface', t.jobId, t.surfaceId, () => [surface.jobId, surface.id])]);

export const wallFacts = pgTable('wall_facts', {
  ...ofSurface(),
  texture: text().$type<WallFacts['texture']>().notNull(),
  bond: text().$type<WallFacts['bond']>().notNull(),
  unitWidth_nm: nm(),
  unitHeight_nm: nm(),
  jointWidth_nm: nm(),
  jointDepth_nm: nm(),
  paint: text().$type<WallFacts['paint']>().notNull(),
  state: text().$type<WallFacts['state']>().notNull(),
  paintAge: text().$type<WallFacts['paintAge']>().notNull().default('unknown'),
  paintKind: text().$type<WallFacts['paintKind']>().notNull().default('unknown'),
  tapeTest: text().$type<WallFacts['tapeTest']>().notNull().default('not done'),
  leftCorner: text().$type<WallFacts['leftCorner']>().notNull(),
  rightCorner: text().$type<WallFacts['rightCorner']>().notNull(),
}, (t) => [index('wall_facts_job').on(t.jobId, t.id), sameJob('wall_facts_surface', t.jobId, t.surfaceId, () => [surface.jobId, surface.id])]);

export const part = pgTable('part', {
  ...ofSurface(),
  kind: text().$type<Part['kind']>().notNull(),
  name: text().notNull(),
  x_nm: nm(),
  y_nm: nm(),
  width_nm: nm(),
  height_nm: nm(),
  depth_nm: nm(),
  form: text().$type<Part['form']>().notNull(),
  count: integer().notNull(),
  takenOffAt: instant(),
  putBackAt: instant(),
  remark: text().notNull(),
  position: doublePrecision().notNull(),
}, (t) => [unique('part_job_id').on(t.jobId, t.id), sameJob('part_surface', t.jobId, t.surfaceId, () => [surface.jobId, surface.id])]);

export const photo = pgTable('photo', {
  ...ofSurface(),
  partId: uuid(),
  caption: text().notNull(),
  width_px: integer().notNull(),
  height_px: integer().notNull(),
  bytes: integer().notNull(),
  position: doublePrecision().notNull(),
}, (t) => [
  index('photo_job').on(t.jobId, t.id),
  sameJob('photo_surface', t.jobId, t.surfaceId, () => [surface.jobId, surface.id]),
  sameJob('photo_part', t.jobId, t.partId, () => [part.jobId, part.id]),
]);

/** A picture's bytes, encoded anew on arrival. Kept when the photo row is deleted, so that undo brings it back. */
export const photoFile = pgTable('photo_file', {
  id: uuid().primaryKey(),
  jobId: uuid().notNull().references(() => job.id),
  data: bytes().notNull(),
});

export const measure = pgTable('measure', {
  ...ofJob(),
  surfaceId: uuid().notNull(),
  kind: text().$type<MeasureKind>().notNull().default('distance'),
  fromPoint: text().notNull(),
  toPoint: text().notNull(),
  text: text().notNull(),
  unit: text().$type<LengthUnit>().notNull(),
  value_nm: nm().notNull(),
  instrument: text().$type<Instrument>().notNull(),
  sd_nm: nm(),
}, (t) => [index('measure_job').on(t.jobId, t.id), index('measure_surface').on(t.surfaceId), sameJob('measure_surface_fk', t.jobId, t.surfaceId, () => [surface.jobId, surface.id])]);

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

export const seamChoice = pgTable('seam_choice', {
  ...ofJob(),
  applicationId: uuid().notNull(),
  kind: text().$type<SeamChoice['kind']>(),
  placing: text().$type<SeamChoice['placing']>(),
  match: text().$type<SeamChoice['match']>(),
  firstDrop: text().$type<SeamChoice['firstDrop']>(),
}, (t) => [index('seam_choice_job').on(t.jobId, t.id), sameJob('seam_choice_application', t.jobId, t.applicationId, () => [application.jobId, application.id])]);

export const jobAllowance = pgTable('job_allowance', {
  ...ofJob(),
  method: text().$type<CutMethod>().notNull(),
  top_nm: nm().notNull(),
  right_nm: nm().notNull(),
  bottom_nm: nm().notNull(),
  left_nm: nm().notNull(),
}, (t) => [index('job_allowance_job').on(t.jobId, t.id)]);

export const cutPlan = pgTable('cut_plan', {
  ...ofJob(),
  filmId: uuid().notNull().references(() => film.id),
  mode: text().$type<CutPlan['mode']>().notNull().default('by hand'),
  stages: integer().notNull().default(3),
  gap_nm: nm().notNull().default(0),
  endWaste_nm: nm().notNull().default(0),
  mostSheet_nm: nm(),
  objective: text().$type<CutPlan['objective']>().notNull().default('length'),
  edgeMust: boolean().notNull().default(false),
  lengthUsed_nm: nm().notNull(),
  bound_nm: nm().notNull(),
  filmCost: doublePrecision().notNull().default(0),
  cost: doublePrecision().notNull().default(0),
  filmBound: doublePrecision().notNull().default(0),
  stopped: text().$type<CutPlan['stopped']>().notNull().default('limit'),
}, (t) => [unique('cut_plan_job_id').on(t.jobId, t.id)]);

export const cutRoll = pgTable('cut_roll', {
  ...ofJob(),
  planId: uuid().notNull(),
  stockId: uuid(),
  what: text().$type<CutRoll['what']>().notNull(),
  label: text().notNull(),
  lot: text().notNull(),
  width_nm: nm().notNull(),
  length_nm: nm().notNull(),
  used_nm: nm().notNull(),
  position: integer().notNull(),
  ticks: jsonb().$type<readonly number[]>().notNull().default([]),
  bookedAt: instant(),
}, (t) => [unique('cut_roll_job_id').on(t.jobId, t.id), sameJob('cut_roll_plan', t.jobId, t.planId, () => [cutPlan.jobId, cutPlan.id])]);

export const cutPiece = pgTable('cut_piece', {
  ...ofJob(),
  planId: uuid().notNull(),
  rollId: uuid().notNull(),
  applicationId: uuid().notNull(),
  drop: integer().notNull().default(1),
  dropOf: integer().notNull().default(1),
  tag: text().notNull(),
  position: integer().notNull(),
  level: integer().notNull(),
  x_nm: nm().notNull(),
  y_nm: nm().notNull(),
  across_nm: nm().notNull(),
  along_nm: nm().notNull(),
  turned: boolean().notNull(),
  phase_nm: nm().notNull().default(0),
  outline: jsonb().$type<CutPiece['outline']>(),
  notch_nm: nm().notNull().default(0),
  topAlong: boolean().notNull().default(false),
  pinned: boolean().notNull().default(false),
  inputsHash: text().notNull(),
  cutAt: instant(),
  spoiledAt: instant(),
}, (t) => [
  index('cut_piece_job').on(t.jobId, t.id),
  sameJob('cut_piece_plan', t.jobId, t.planId, () => [cutPlan.jobId, cutPlan.id]),
  sameJob('cut_piece_roll', t.jobId, t.rollId, () => [cutRoll.jobId, cutRoll.id]),
  sameJob('cut_piece_application', t.jobId, t.applicationId, () => [application.jobId, application.id]),
]);

export const offcut = pgTable('offcut', {
  ...ofJob(),
  cutRollId: uuid().notNull(),
  parentId: uuid(),
  filmId: uuid().notNull().references(() => film.id),
  label: text().notNull(),
  lot: text().notNull(),
  width_nm: nm().notNull(),
  length_nm: nm().notNull(),
  perMetre: doublePrecision(),
  leftEdge: boolean().notNull(),
  rightEdge: boolean().notNull(),
  where: text().notNull(),
}, (t) => [index('offcut_job').on(t.jobId, t.id), index('offcut_film').on(t.filmId), sameJob('offcut_roll', t.jobId, t.cutRollId, () => [cutRoll.jobId, cutRoll.id])]);

/** The ledger: what was taken off which roll or offcut. */
export const stockTake = pgTable('stock_take', {
  ...ofJob(),
  cutRollId: uuid().notNull(),
  stockId: uuid().notNull(),
  length_nm: nm().notNull(),
  reason: text().$type<StockTake['reason']>().notNull(),
}, (t) => [index('stock_take_job').on(t.jobId, t.id), index('stock_take_stock').on(t.stockId), sameJob('stock_take_roll', t.jobId, t.cutRollId, () => [cutRoll.jobId, cutRoll.id])]);

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

export const ROW_TABLES = { job, place, filmBrief, glassUnit, glassPane, surface, siteFacts, wallFacts, part, photo, measure, application, seamChoice, jobAllowance, cutPlan, cutRoll, cutPiece, offcut, stockTake, workRecord } as const satisfies Record<JobTable, unknown>;

export { film, filmWidth, roll } from './film-tables';
