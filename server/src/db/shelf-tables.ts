import type { ShelfPane } from '@yellow-pane/core/job';
import { boolean, integer, jsonb, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { changedInShop } from './people-tables';

export const shelfPane = pgTable('shelf_pane', {
  id: uuid().primaryKey(),
  version: integer().notNull(),
  removed: boolean().notNull(),
  ...changedInShop(),
  make: text().notNull(),
  model: text().notNull(),
  year: text().notNull(),
  pane: text().notNull(),
  measures: jsonb().$type<ShelfPane['measures']>().notNull(),
  hold: text().$type<NonNullable<ShelfPane['hold']>>(),
  plan: jsonb().$type<ShelfPane['plan']>().notNull(),
  wentWrong: text().notNull(),
  note: text().notNull(),
});
