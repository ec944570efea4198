import type { CutMethod, CutPiece, CutPlan, CutRoll, SeamChoice, StockTake } from '@yellow-pane/core/job';
import {
  boolean,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  text,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';
import { instant, nm, sameJob } from './columns';
import { film } from './film-tables';
import { application, ofJob } from './survey-tables';

export const seamChoice = pgTable(
  'seam_choice',
  {
    ...ofJob(),
    applicationId: uuid().notNull(),
    kind: text().$type<SeamChoice['kind']>(),
    placing: text().$type<SeamChoice['placing']>(),
    match: text().$type<SeamChoice['match']>(),
    firstDrop: text().$type<SeamChoice['firstDrop']>(),
    rollWidth_nm: nm(),
  },
  (t) => [
    index('seam_choice_job').on(t.jobId, t.id),
    sameJob('seam_choice_application', t.jobId, t.applicationId, () => [application.jobId, application.id]),
  ],
);

export const jobAllowance = pgTable(
  'job_allowance',
  {
    ...ofJob(),
    method: text().$type<CutMethod>().notNull(),
    top_nm: nm().notNull(),
    right_nm: nm().notNull(),
    bottom_nm: nm().notNull(),
    left_nm: nm().notNull(),
  },
  (t) => [index('job_allowance_job').on(t.jobId, t.id)],
);

export const cutPlan = pgTable(
  'cut_plan',
  {
    ...ofJob(),
    filmId: uuid()
      .notNull()
      .references(() => film.id),
    mode: text().$type<CutPlan['mode']>().notNull().default('by hand'),
    stages: integer().notNull().default(3),
    gap_nm: nm().notNull().default(0),
    endWaste_nm: nm().notNull().default(0),
    mostSheet_nm: nm(),
    objective: text().$type<CutPlan['objective']>().notNull().default('length'),
    liner: text().$type<CutPlan['liner']>().notNull().default('up'),
    edgeMust: boolean().notNull().default(false),
    lengthUsed_nm: nm().notNull(),
    bound_nm: nm().notNull(),
    filmCost: doublePrecision().notNull().default(0),
    cost: doublePrecision().notNull().default(0),
    filmBound: doublePrecision().notNull().default(0),
    stopped: text().$type<CutPlan['stopped']>().notNull().default('limit'),
  },
  (t) => [unique('cut_plan_job_id').on(t.jobId, t.id)],
);

export const cutRoll = pgTable(
  'cut_roll',
  {
    ...ofJob(),
    planId: uuid().notNull(),
    stockId: uuid(),
    what: text().$type<CutRoll['what']>().notNull(),
    label: text().notNull(),
    lot: text().notNull(),
    width_nm: nm().notNull(),
    length_nm: nm().notNull(),
    used_nm: nm().notNull(),
    leftEdge: boolean().notNull().default(true),
    rightEdge: boolean().notNull().default(true),
    position: integer().notNull(),
    ticks: jsonb().$type<readonly number[]>().notNull().default([]),
    bookedAt: instant(),
  },
  (t) => [
    unique('cut_roll_job_id').on(t.jobId, t.id),
    sameJob('cut_roll_plan', t.jobId, t.planId, () => [cutPlan.jobId, cutPlan.id]),
  ],
);

export const cutPiece = pgTable(
  'cut_piece',
  {
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
    flipped: boolean().notNull().default(false),
    phase_nm: nm().notNull().default(0),
    outline: jsonb().$type<CutPiece['outline']>(),
    notch_nm: nm().notNull().default(0),
    sector: jsonb().$type<CutPiece['sector']>(),
    topAlong: boolean().notNull().default(false),
    pinned: boolean().notNull().default(false),
    inputsHash: text().notNull(),
    cutAt: instant(),
    spoiledAt: instant(),
  },
  (t) => [
    index('cut_piece_job').on(t.jobId, t.id),
    sameJob('cut_piece_plan', t.jobId, t.planId, () => [cutPlan.jobId, cutPlan.id]),
    sameJob('cut_piece_roll', t.jobId, t.rollId, () => [cutRoll.jobId, cutRoll.id]),
    sameJob('cut_piece_application', t.jobId, t.applicationId, () => [application.jobId, application.id]),
  ],
);

export const offcut = pgTable(
  'offcut',
  {
    ...ofJob(),
    cutRollId: uuid().notNull(),
    parentId: uuid(),
    filmId: uuid()
      .notNull()
      .references(() => film.id),
    label: text().notNull(),
    lot: text().notNull(),
    width_nm: nm().notNull(),
    length_nm: nm().notNull(),
    perMetre: doublePrecision(),
    leftEdge: boolean().notNull(),
    rightEdge: boolean().notNull(),
    where: text().notNull(),
    gone: boolean().notNull().default(false),
  },
  (t) => [
    index('offcut_job').on(t.jobId, t.id),
    index('offcut_film').on(t.filmId),
    sameJob('offcut_roll', t.jobId, t.cutRollId, () => [cutRoll.jobId, cutRoll.id]),
  ],
);

/** The ledger: what was taken off which roll or offcut. */
export const stockTake = pgTable(
  'stock_take',
  {
    ...ofJob(),
    cutRollId: uuid().notNull(),
    stockId: uuid().notNull(),
    length_nm: nm().notNull(),
    reason: text().$type<StockTake['reason']>().notNull(),
  },
  (t) => [
    index('stock_take_job').on(t.jobId, t.id),
    index('stock_take_stock').on(t.stockId),
    sameJob('stock_take_roll', t.jobId, t.cutRollId, () => [cutRoll.jobId, cutRoll.id]),
  ],
);
