import type {
  CauseCase,
  Inspection,
  LookTick,
  LookView,
  MarkDecisionRow,
  MarkVerdict,
  OwnRuleSet,
  Visit,
} from '@yellow-pane/core/job';
import { doublePrecision, index, integer, jsonb, pgTable, text, unique, uuid } from 'drizzle-orm/pg-core';
import { instant, sameJob } from './columns';
import { mark } from './fit-tables';
import { ofJob, ofSurface, surface } from './survey-tables';

export const ruleSet = pgTable(
  'rule_set',
  {
    ...ofJob(),
    name: text().notNull(),
    // Of the rules themselves: the row has a version of its own.
    setVersion: integer().notNull(),
    copyOf: text().notNull(),
    source: jsonb().$type<OwnRuleSet['source']>().notNull(),
    rules: jsonb().$type<OwnRuleSet['rules']>().notNull(),
  },
  (t) => [unique('rule_set_job_id').on(t.jobId, t.id)],
);

export const inspection = pgTable(
  'inspection',
  {
    ...ofSurface(),
    ruleSetId: uuid(),
    setName: text().notNull(),
    setVersion: integer().notNull(),
    distance_mm: doublePrecision().notNull(),
    light: text().notNull(),
    views: jsonb().$type<readonly LookView[]>().notNull(),
    inputsHash: text().notNull(),
    begun: jsonb().$type<Inspection['begun']>().notNull(),
    accepted: jsonb().$type<Inspection['accepted']>(),
  },
  (t) => [
    unique('inspection_job_id').on(t.jobId, t.id),
    sameJob('inspection_surface', t.jobId, t.surfaceId, () => [surface.jobId, surface.id]),
    sameJob('inspection_rules', t.jobId, t.ruleSetId, () => [ruleSet.jobId, ruleSet.id]),
  ],
);

export const lookTick = pgTable(
  'look_tick',
  {
    ...ofJob(),
    inspectionId: uuid().notNull(),
    view: text().$type<LookView>().notNull(),
    strip: integer().notNull(),
    said: jsonb().$type<LookTick['said']>().notNull(),
  },
  (t) => [
    index('look_tick_job').on(t.jobId, t.id),
    sameJob('look_tick_inspection', t.jobId, t.inspectionId, () => [inspection.jobId, inspection.id]),
  ],
);

export const markDecision = pgTable(
  'mark_decision',
  {
    ...ofJob(),
    markId: uuid().notNull(),
    inspectionId: uuid(),
    verdict: text().$type<MarkVerdict>().notNull(),
    by: text().$type<MarkDecisionRow['by']>().notNull(),
    reason: text().notNull(),
    under: text().notNull(),
    inputsHash: text().notNull(),
    watchUntil: instant(),
    said: jsonb().$type<MarkDecisionRow['said']>().notNull(),
  },
  (t) => [
    index('mark_decision_job').on(t.jobId, t.id),
    sameJob('mark_decision_mark', t.jobId, t.markId, () => [mark.jobId, mark.id]),
    sameJob('mark_decision_inspection', t.jobId, t.inspectionId, () => [inspection.jobId, inspection.id]),
  ],
);

export const visit = pgTable(
  'visit',
  {
    ...ofJob(),
    reasons: jsonb().$type<Visit['reasons']>().notNull(),
    notBefore: instant(),
    due: instant(),
    plannedAt: instant(),
    people: jsonb().$type<Visit['people']>().notNull(),
    state: text().$type<Visit['state']>().notNull(),
    note: text().notNull(),
  },
  (t) => [index('visit_job').on(t.jobId, t.id)],
);

export const causeCase = pgTable(
  'cause_case',
  {
    ...ofJob(),
    markIds: jsonb().$type<CauseCase['markIds']>().notNull(),
    look: text().$type<CauseCase['look']>().notNull(),
    answers: jsonb().$type<CauseCase['answers']>().notNull(),
    tableVersion: integer().notNull(),
    posterior: jsonb().$type<CauseCase['posterior']>(),
    confirmed: text(),
    how: text().$type<NonNullable<CauseCase['how']>>(),
    remedy: text(),
    said: jsonb().$type<CauseCase['said']>(),
  },
  (t) => [index('cause_case_job').on(t.jobId, t.id)],
);
