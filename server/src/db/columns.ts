import {
  type AnyPgColumn,
  bigint,
  boolean,
  customType,
  foreignKey,
  integer,
  text,
  timestamp,
} from 'drizzle-orm/pg-core';

export const nm = () => bigint({ mode: 'number' });
export const instant = () => timestamp({ withTimezone: true, mode: 'date', precision: 3 });

export const bytes = customType<{ data: Uint8Array }>({ dataType: () => 'bytea' });

export const meta = () => ({
  version: integer().notNull(),
  madeBy: text().notNull(),
  madeAt: instant().notNull(),
  changedBy: text().notNull(),
  changedAt: instant().notNull(),
  removed: boolean().notNull(),
});

/** A reference that cannot leave its job: the database itself refuses another job's id. */
export function sameJob(
  name: string,
  jobId: AnyPgColumn,
  reference: AnyPgColumn,
  target: () => [AnyPgColumn, AnyPgColumn],
) {
  return foreignKey({
    name,
    columns: [jobId, reference] as [AnyPgColumn, AnyPgColumn],
    foreignColumns: target(),
  });
}
