import type { JobTable } from '@yellow-pane/core/job';
import type { Basis, Scope } from '@yellow-pane/core/learned';
import {
  bigint,
  bigserial,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  uuid,
} from 'drizzle-orm/pg-core';
import { instant } from './columns';
import { seamChoice, jobAllowance, cutPlan, cutRoll, cutPiece, offcut, stockTake } from './cutting-tables';
import { arrival, enquiry, extra, handOver, payment, quote } from './close-tables';
import { changedInShop, person } from './people-tables';
import { crewMember, daySettings, plannedStep } from './day-tables';
import { causeCase, inspection, lookTick, markDecision, ruleSet, visit } from './check-tables';
import { gateTick, mark, ownPlan, photo, reading, testPiece, waitEnd, workRecord } from './fit-tables';
import {
  application,
  filmBrief,
  glassPane,
  glassUnit,
  job,
  measure,
  part,
  place,
  siteFacts,
  surface,
  wallFacts,
} from './survey-tables';

/** What the shop has learned, once a person has replaced what is taken at first. */
export const learned = pgTable(
  'learned',
  {
    key: text().notNull(),
    /** Empty: for everything. */
    scopeKind: text().$type<Scope['kind'] | ''>().notNull(),
    scopeOf: text().notNull(),
    version: integer().notNull(),
    ...changedInShop(),
    value: doublePrecision().notNull(),
    sd: doublePrecision(),
    n: integer(),
    basis: text().$type<Basis>().notNull(),
    from: text('told_by').notNull(),
  },
  (t) => [primaryKey({ columns: [t.key, t.scopeKind, t.scopeOf] })],
);

/** How much the workshop has of what every job uses up, once somebody counted it. */
export const supply = pgTable('supply', {
  key: text().primaryKey(),
  version: integer().notNull(),
  ...changedInShop(),
  have: doublePrecision().notNull(),
});

/** One row a change taken, in the order taken. */
export const change = pgTable(
  'change',
  {
    seq: bigserial({ mode: 'number' }).primaryKey(),
    id: uuid().notNull().unique(),
    jobId: uuid()
      .notNull()
      .references(() => job.id),
    session: uuid().notNull(),
    /** The name as it was. */
    who: text().notNull(),
    personId: uuid().references(() => person.id),
    at: instant().notNull(),
  },
  (t) => [index('change_job').on(t.jobId, t.seq)],
);

/** What each operation did: the log that merging, conflicts and history read. */
export const history = pgTable(
  'history',
  {
    id: bigserial({ mode: 'number' }).primaryKey(),
    seq: bigint({ mode: 'number' })
      .notNull()
      .references(() => change.seq),
    tableName: text().$type<JobTable>().notNull(),
    rowId: uuid().notNull(),
    version: integer().notNull(),
    op: text().$type<'put' | 'set' | 'remove'>().notNull(),
    before: jsonb().$type<Readonly<Record<string, unknown>>>(),
    after: jsonb().$type<Readonly<Record<string, unknown>>>(),
  },
  (t) => [index('history_row').on(t.rowId, t.version), index('history_seq').on(t.seq)],
);

export const ROW_TABLES = {
  job,
  place,
  filmBrief,
  glassUnit,
  glassPane,
  surface,
  siteFacts,
  wallFacts,
  part,
  measure,
  application,
  mark,
  photo,
  reading,
  seamChoice,
  jobAllowance,
  cutPlan,
  cutRoll,
  cutPiece,
  offcut,
  stockTake,
  daySettings,
  crewMember,
  plannedStep,
  workRecord,
  waitEnd,
  gateTick,
  ownPlan,
  testPiece,
  ruleSet,
  inspection,
  lookTick,
  markDecision,
  visit,
  causeCase,
  enquiry,
  quote,
  arrival,
  extra,
  payment,
  handOver,
} as const satisfies Record<JobTable, unknown>;

export { causeCase, inspection, lookTick, markDecision, ruleSet, visit } from './check-tables';
export { crewMember, daySettings, plannedStep } from './day-tables';
export {
  gateTick,
  mark,
  ownPlan,
  photo,
  photoFile,
  reading,
  testPiece,
  waitEnd,
  workRecord,
} from './fit-tables';
export { arrival, enquiry, extra, handOver, payment, quote } from './close-tables';
export { customer, person } from './people-tables';
export { caseApart } from './case-tables';
export { shelfPane } from './shelf-tables';
export { film, filmSheet, filmWidth, roll } from './film-tables';
export { seamChoice, jobAllowance, cutPlan, cutRoll, cutPiece, offcut, stockTake } from './cutting-tables';
export {
  job,
  place,
  filmBrief,
  glassUnit,
  glassPane,
  surface,
  siteFacts,
  wallFacts,
  part,
  measure,
  application,
} from './survey-tables';
