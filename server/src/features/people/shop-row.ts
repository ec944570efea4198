import type { MadeBy, ErrorCode } from '@yellow-pane/contracts';
import { eq } from 'drizzle-orm';
import type { AnyPgColumn, PgTable } from 'drizzle-orm/pg-core';
import type { Database } from '../../db/database';
import { Refusal } from '../../http/refusal';
import { changedBy } from './queries';

interface Saved {
  readonly id: string;
  readonly version: number;
  readonly changedAt: Date;
}

/** As it is sent: the instant as text. */
type AsWire<Row> = Omit<Row, 'changedAt'> & { readonly changedAt: string };

export const shopRowOnWire = <Row extends { readonly changedAt: Date }>(row: Row): AsWire<Row> => ({
  ...row,
  changedAt: row.changedAt.toISOString(),
});

interface Saving {
  readonly id: string;
  /** The version seen; undefined: it is new. */
  readonly seen: number | undefined;
  readonly fields: Readonly<Record<string, unknown>>;
  readonly by: MadeBy;
  readonly at: Date;
  /** Said when another version was seen, and when there is none. */
  readonly refusals: { readonly conflict: ErrorCode; readonly unknown: ErrorCode };
  /** What it is called in an address. */
  readonly path: string;
}

/** Adds a row of the shop or replaces the version seen; nobody's change is overwritten unseen.
 *  @throws Refusal by its own codes */
export async function saveShopRow<Row extends Saved>(
  db: Database,
  table: PgTable & { readonly id: AnyPgColumn },
  { id, seen, fields, by, at, refusals, path }: Saving,
): Promise<AsWire<Row>> {
  return db.transaction(async (tx) => {
    const [current] = (await tx.select().from(table).where(eq(table.id, id))) as unknown as readonly Row[];
    if (current !== undefined && current.version !== seen)
      throw new Refusal(
        refusals.conflict,
        { path: 'If-Match', expected: String(current.version), got: String(seen ?? 'nothing') },
        { current: shopRowOnWire(current) },
      );
    if (current === undefined && seen !== undefined)
      throw new Refusal(refusals.unknown, { path, expected: 'one that is kept', got: id });
    const version = (current?.version ?? 0) + 1;
    const row = { id, version, ...(await changedBy(tx, by, at)), ...fields };
    if (current === undefined) await tx.insert(table).values(row as never);
    else await tx.update(table).set(row).where(eq(table.id, id));
    return shopRowOnWire(row as unknown as Row);
  });
}
