import type {
  CutMethod,
  EdgeKind,
  FilmBrief,
  Application,
  FrameKind,
  GlassPane,
  GlassUnit,
  Glazing,
  ClimateYear,
  HorizonPoint,
  Instrument,
  MeasureKind,
  PaneTreatment,
  Part,
  PlaceKind,
  SeenFrom,
  SiteFacts,
  EdgesSeen,
  SurfaceCondition,
  SurfaceKind,
  SurfaceShape,
  WallFacts,
} from '@yellow-pane/core/job';
import type { LengthUnit } from '@yellow-pane/core/quantity';
import { sql } from 'drizzle-orm';
import {
  boolean,
  check,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  text,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';
import { instant, meta, nm, sameJob } from './columns';
import { film } from './film-tables';
import { customer } from './people-tables';

export const job = pgTable('job', {
  id: uuid().primaryKey(),
  ...meta(),
  name: text().notNull(),
  entryUnit: text().$type<LengthUnit>().notNull(),
  archived: boolean().notNull(),
  currency: text(),
  tax_percent: doublePrecision(),
  hourCost: doublePrecision(),
  tripCost: doublePrecision(),
  margin_percent: doublePrecision(),
  customerId: uuid().references(() => customer.id),
  street: text().notNull().default(''),
  accessHours: text().notNull().default(''),
  siteContact: text().notNull().default(''),
  keys: text().notNull().default(''),
  lift: text().notNull().default(''),
  waterAndPower: text().notNull().default(''),
});

/** Columns of every row of a job. */
export const ofJob = () => ({
  id: uuid().primaryKey(),
  jobId: uuid()
    .notNull()
    .references(() => job.id),
  ...meta(),
});

export const place = pgTable(
  'place',
  {
    ...ofJob(),
    parentId: uuid(),
    kind: text().$type<PlaceKind>().notNull(),
    name: text().notNull(),
    bearing_deg: doublePrecision(),
    latitude_deg: doublePrecision(),
    longitude_deg: doublePrecision(),
    altitude_m: doublePrecision(),
    horizon: jsonb().$type<readonly HorizonPoint[]>().notNull().default([]),
    climate: jsonb().$type<ClimateYear>(),
    movable: boolean().notNull(),
    position: doublePrecision().notNull(),
  },
  (t) => [
    unique('place_job_id').on(t.jobId, t.id),
    check('place_not_under_itself', sql`${t.parentId} <> ${t.id}`),
    sameJob('place_parent', t.jobId, t.parentId, () => [t.jobId, t.id]),
  ],
);

export const filmBrief = pgTable(
  'film_brief',
  {
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
  },
  (t) => [
    index('film_brief_job').on(t.jobId, t.id),
    sameJob('film_brief_place', t.jobId, t.placeId, () => [place.jobId, place.id]),
  ],
);

export const glassUnit = pgTable(
  'glass_unit',
  {
    ...ofJob(),
    name: text().notNull(),
    glazing: text().$type<Glazing>().notNull(),
    frame: text().$type<FrameKind>().notNull(),
    edge: text().$type<EdgeKind>().notNull(),
    edgeFinish: text().$type<GlassUnit['edgeFinish']>().notNull().default('unseen'),
    edgeDepth_nm: nm(),
  },
  (t) => [unique('glass_unit_job_id').on(t.jobId, t.id)],
);

export const glassPane = pgTable(
  'glass_pane',
  {
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
  },
  (t) => [
    index('glass_pane_job').on(t.jobId, t.id),
    sameJob('glass_pane_unit', t.jobId, t.unitId, () => [glassUnit.jobId, glassUnit.id]),
  ],
);

export const surface = pgTable(
  'surface',
  {
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
    edgesSeen: jsonb().$type<EdgesSeen>(),
    remark: text().notNull(),
    position: doublePrecision().notNull(),
    sameAsId: uuid(),
    atX_nm: nm(),
    atY_nm: nm(),
  },
  (t) => [
    unique('surface_job_id').on(t.jobId, t.id),
    sameJob('surface_place', t.jobId, t.placeId, () => [place.jobId, place.id]),
    sameJob('surface_unit', t.jobId, t.unitId, () => [glassUnit.jobId, glassUnit.id]),
    check('surface_not_same_as_itself', sql`${t.sameAsId} <> ${t.id}`),
    sameJob('surface_same_as', t.jobId, t.sameAsId, () => [t.jobId, t.id]),
  ],
);

export const ofSurface = () => ({ ...ofJob(), surfaceId: uuid().notNull() });

export const siteFacts = pgTable(
  'site_facts',
  {
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
    rescueGlass: text().$type<SiteFacts['rescueGlass']>().notNull().default('unknown'),
    consent: jsonb().$type<SiteFacts['consent']>(),
    oldFilm: text().$type<SiteFacts['oldFilm']>().notNull().default('unknown'),
    oldFilmArea_m2: doublePrecision(),
    oldFilmYears: doublePrecision(),
    residue: text().$type<SiteFacts['residue']>().notNull().default('unknown'),
    tilt_deg: doublePrecision(),
    overhangDepth_nm: nm(),
    overhangAbove_nm: nm(),
    revealDepth_nm: nm(),
    leftFinDepth_nm: nm(),
    leftFinBeside_nm: nm(),
    rightFinDepth_nm: nm(),
    rightFinBeside_nm: nm(),
    sun: text().$type<SiteFacts['sun']>().notNull().default('unknown'),
    blind: text().$type<SiteFacts['blind']>().notNull().default('unknown'),
    heatOutlet: text().$type<SiteFacts['heatOutlet']>().notNull().default('unknown'),
  },
  (t) => [
    index('site_facts_job').on(t.jobId, t.id),
    sameJob('site_facts_surface', t.jobId, t.surfaceId, () => [surface.jobId, surface.id]),
  ],
);

export const wallFacts = pgTable(
  'wall_facts',
  {
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
    flatness_nm: nm(),
    moisture: doublePrecision(),
    ground_C: doublePrecision('ground_c'),
    ground: jsonb().$type<WallFacts['ground']>(),
    leftCorner: text().$type<WallFacts['leftCorner']>().notNull(),
    rightCorner: text().$type<WallFacts['rightCorner']>().notNull(),
  },
  (t) => [
    index('wall_facts_job').on(t.jobId, t.id),
    sameJob('wall_facts_surface', t.jobId, t.surfaceId, () => [surface.jobId, surface.id]),
  ],
);

export const part = pgTable(
  'part',
  {
    ...ofSurface(),
    kind: text().$type<Part['kind']>().notNull(),
    name: text().notNull(),
    x_nm: nm(),
    y_nm: nm(),
    width_nm: nm(),
    height_nm: nm(),
    depth_nm: nm(),
    planRadius_nm: nm(),
    edgeRadius_nm: nm(),
    form: text().$type<Part['form']>().notNull(),
    count: integer().notNull(),
    takenOffAt: instant(),
    putBackAt: instant(),
    remark: text().notNull(),
    position: doublePrecision().notNull(),
  },
  (t) => [
    unique('part_job_id').on(t.jobId, t.id),
    sameJob('part_surface', t.jobId, t.surfaceId, () => [surface.jobId, surface.id]),
  ],
);

export const measure = pgTable(
  'measure',
  {
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
  },
  (t) => [
    index('measure_job').on(t.jobId, t.id),
    index('measure_surface').on(t.surfaceId),
    sameJob('measure_surface_fk', t.jobId, t.surfaceId, () => [surface.jobId, surface.id]),
  ],
);

export const application = pgTable(
  'application',
  {
    ...ofJob(),
    surfaceId: uuid().notNull(),
    side: text().$type<SeenFrom>().notNull(),
    filmId: uuid()
      .notNull()
      .references(() => film.id),
    method: text().$type<CutMethod>().notNull(),
    schools: jsonb().$type<Application['schools']>().notNull().default({}),
    over: jsonb().$type<Application['over']>(),
    position: doublePrecision().notNull(),
  },
  (t) => [
    unique('application_job_id').on(t.jobId, t.id),
    sameJob('application_surface', t.jobId, t.surfaceId, () => [surface.jobId, surface.id]),
  ],
);
