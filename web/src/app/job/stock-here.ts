import { Injectable, computed, effect, inject, signal, untracked } from '@angular/core';
import type { StockItem } from '@yellow-pane/contracts';
import type { RowOf } from '@yellow-pane/core/job';
import { Stock } from '../catalogue/stock';
import { JobDesk } from './job-desk';

/**
 * Stock as it is now: what the server says, less what was taken off here and has not got there yet, with the
 * offcuts made here. Asked for again when anybody of this job books, takes back or makes an offcut.
 */
@Injectable({ providedIn: 'root' })
export class StockHere {
  readonly #stock = inject(Stock);
  readonly #desk = inject(JobDesk);
  /** What the job had taken when the stock was asked for: the server counts these itself. */
  readonly #counted = signal<ReadonlySet<string>>(new Set());

  readonly items = computed((): readonly StockItem[] => {
    const { stockTake, offcut } = this.#desk.view();
    const counted = this.#counted();
    const takes = rowsIn(stockTake);
    const here = new Set(takes.map(({ id }) => id));
    const more = new Map<string, number>();
    for (const { id, stockId, length_nm } of takes)
      if (!counted.has(id)) more.set(stockId, (more.get(stockId) ?? 0) + length_nm);
    for (const { id, stockId, length_nm } of rowsIn(this.#desk.state().server.stockTake))
      if (counted.has(id) && !here.has(id)) more.set(stockId, (more.get(stockId) ?? 0) - length_nm);
    const known = this.#stock.items();
    const own = rowsIn(offcut)
      .filter(({ id }) => !known.some((item) => item.id === id))
      .map((row): StockItem => ({
        ...row,
        what: 'offcut',
        left_nm: row.length_nm,
        spokenFor: [],
        jobId: row.jobId,
      }));
    const said = new Map(rowsIn(offcut).map(({ id, where, gone }) => [id, { where, gone }]));
    return [...known.map((item) => ({ ...item, ...said.get(item.id) })), ...own].map((item) => {
      const by = more.get(item.id) ?? 0;
      return by === 0 ? item : { ...item, left_nm: Math.max(0, item.left_nm - by) };
    });
  });
  readonly usable = computed(() => this.items().filter(({ gone, left_nm }) => !gone && left_nm > 0));

  constructor() {
    let last: unknown;
    effect(() => {
      const { stockTake, offcut } = this.#desk.state().server;
      const now = [stockTake, offcut];
      const isFirst = last === undefined;
      last = now;
      if (!isFirst && untracked(this.#stock.status) !== 'not asked')
        untracked(() => {
          void this.load();
        });
    });
  }

  /** Asks the server now. */
  async load(): Promise<void> {
    const before = new Set(rowsIn(this.#desk.state().server.stockTake).map(({ id }) => id));
    await this.#stock.load();
    this.#counted.set(before);
  }

  left(stockId: string | null): number | undefined {
    return stockId === null ? undefined : this.items().find(({ id }) => id === stockId)?.left_nm;
  }
}

function rowsIn<Table extends 'stockTake' | 'offcut'>(table: {
  readonly entities: Readonly<Record<string, RowOf<Table> | undefined>>;
}): readonly RowOf<Table>[] {
  return Object.values(table.entities).flatMap((row) => (row === undefined || row.removed ? [] : [row]));
}
