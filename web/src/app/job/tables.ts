import { type EntityAdapter, type EntityState, createEntityAdapter } from '@ngrx/entity';
import type { Op, TableRow } from '@yellow-pane/contracts';
import { JOB_TABLES, type JobTable, type RowOf } from '@yellow-pane/core/job';
import type { JobRows } from '@yellow-pane/core/reading';

/** Every row of the open job, by table. */
export type Tables = { readonly [Table in JobTable]: EntityState<RowOf<Table>> };

interface AnyRow {
  readonly id: string;
  readonly version: number;
  readonly removed: boolean;
}
type AnyTables = Readonly<Record<JobTable, EntityState<AnyRow>>>;

const adapter: EntityAdapter<AnyRow> = createEntityAdapter<AnyRow>();
const byTable = <Value>(make: (table: JobTable) => Value): Record<JobTable, Value> =>
  Object.fromEntries(JOB_TABLES.map((table) => [table, make(table)])) as Record<JobTable, Value>;

export const NO_TABLES: Tables = byTable(() => adapter.getInitialState()) as unknown as Tables;

/** Tables of rows as the server lists them. */
export function tablesOf(rows: { readonly [Table in JobTable]: readonly RowOf<Table>[] }): Tables {
  return byTable((table) =>
    adapter.setAll(rows[table] as unknown as AnyRow[], adapter.getInitialState()),
  ) as unknown as Tables;
}

/** Rows as the server has them now; a row older than what is here is passed over, a removed one leaves. */
export function withServerRows(tables: Tables, rows: readonly TableRow[]): Tables {
  const next: Record<JobTable, EntityState<AnyRow>> = { ...(tables as unknown as AnyTables) };
  for (const { table, row } of rows) {
    const here = next[table].entities[row.id];
    if (here !== undefined && here.version > row.version) continue;
    next[table] = row.removed ? adapter.removeOne(row.id, next[table]) : adapter.setOne(row, next[table]);
  }
  return next as unknown as Tables;
}

/** What a person sees at once, before the server has answered. */
export function withOps(
  tables: Tables,
  ops: readonly Op[],
  made: { readonly jobId: string; readonly who: string; readonly at: string },
): Tables {
  const next: Record<JobTable, EntityState<AnyRow>> = { ...(tables as unknown as AnyTables) };
  for (const op of ops) {
    const here = next[op.table].entities[op.id];
    if (op.op === 'remove') next[op.table] = adapter.removeOne(op.id, next[op.table]);
    else if (op.op === 'set' && here !== undefined) {
      const row = { ...here, ...op.fields, changedBy: made.who, changedAt: made.at };
      next[op.table] = adapter.setOne(row, next[op.table]);
    } else if (op.op === 'put') {
      const row = {
        ...op.fields,
        id: op.id,
        jobId: made.jobId,
        version: 1,
        madeBy: made.who,
        madeAt: made.at,
        changedBy: made.who,
        changedAt: made.at,
        removed: false,
      };
      next[op.table] = adapter.setOne(row, next[op.table]);
    }
  }
  return next as unknown as Tables;
}

/** The rows that `ops` touch as they are in `source`, put into `target`. */
export function withRowsFrom(target: Tables, source: Tables, ops: readonly Op[]): Tables {
  const next: Record<JobTable, EntityState<AnyRow>> = { ...(target as unknown as AnyTables) };
  for (const { table, id } of ops) {
    const row = (source as unknown as AnyTables)[table].entities[id];
    next[table] = row === undefined ? adapter.removeOne(id, next[table]) : adapter.setOne(row, next[table]);
  }
  return next as unknown as Tables;
}

/** One row of a table, whatever the table. */
export function rowIn<Table extends JobTable>(
  tables: Tables,
  table: Table,
  id: string,
): RowOf<Table> | undefined {
  return tables[table].entities[id];
}

/** All rows of a table. */
export function rowsIn<Table extends JobTable>(tables: Tables, table: Table): readonly RowOf<Table>[] {
  return Object.values(
    tables[table].entities as unknown as Readonly<Record<string, RowOf<Table> | undefined>>,
  ).filter((row) => row !== undefined);
}

const LISTS = new WeakMap<object, readonly unknown[]>();

/** Rows by table. A table that has not changed gives the same list again, so that its indexes stay good. */
export function jobRowsOf(tables: Tables): JobRows {
  return Object.fromEntries(JOB_TABLES.map((table) => [table, listOf(tables, table)])) as unknown as JobRows;
}

function listOf(tables: Tables, table: JobTable): readonly unknown[] {
  const state = tables[table] as {
    readonly ids: readonly (string | number)[];
    readonly entities: Readonly<Record<string, object | undefined>>;
  };
  const known = LISTS.get(state);
  if (known !== undefined) return known;
  const list = state.ids.map((id) => state.entities[id]).filter((row) => row !== undefined);
  LISTS.set(state, list);
  return list;
}
