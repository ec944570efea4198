import type { CauseCase } from '@yellow-pane/core/job';
import { boolean, integer, jsonb, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { changedInShop } from './people-tables';

/** Why something is there that is in no job. */
export const caseApart = pgTable('case_apart', {
  id: uuid().primaryKey(),
  version: integer().notNull(),
  removed: boolean().notNull(),
  ...changedInShop(),
  where: text().notNull(),
  look: text().$type<CauseCase['look']>().notNull(),
  answers: jsonb().$type<CauseCase['answers']>().notNull(),
  tableVersion: integer().notNull(),
  posterior: jsonb().$type<CauseCase['posterior']>(),
  confirmed: text(),
  how: text().$type<NonNullable<CauseCase['how']>>(),
  remedy: text(),
});
