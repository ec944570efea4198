import type { Customer, Person } from '@yellow-pane/core/job';
import {
  type AnyPgColumn,
  boolean,
  doublePrecision,
  integer,
  jsonb,
  pgTable,
  text,
  uuid,
} from 'drizzle-orm/pg-core';
import { instant } from './columns';

/** By whom and when a row of the shop was changed: the name as it was, and the person. */
export const changedInShop = () => ({
  changedBy: text().notNull(),
  changedById: uuid().references((): AnyPgColumn => person.id),
  changedAt: instant().notNull(),
});

export const person = pgTable('person', {
  id: uuid().primaryKey(),
  version: integer().notNull(),
  ...changedInShop(),
  name: text().notNull(),
  initials: text().notNull(),
  hand: text().$type<NonNullable<Person['hand']>>(),
  skills: jsonb().$type<Person['skills']>().notNull(),
  wander_mm: doublePrecision(),
  active: boolean().notNull(),
});

export const customer = pgTable('customer', {
  id: uuid().primaryKey(),
  version: integer().notNull(),
  removed: boolean().notNull(),
  ...changedInShop(),
  name: text().notNull(),
  address: text().notNull(),
  contacts: jsonb().$type<Customer['contacts']>().notNull(),
});
