import type { Learned } from '../learned';
import { type Film, JOB_TABLES, type JobTable, type Person, type RowOf } from '../job';

/** The rows of one job by table, removed ones left out, in any order. */
export type JobRows = { readonly [Table in JobTable]: readonly RowOf<Table>[] };

export type FilmOfShop = Film & { readonly id: string };

export type PersonOfShop = Person & { readonly id: string };

/** What the shop knows beside the job. */
export interface Shop {
  readonly films: readonly FilmOfShop[];
  /** As people have set them; what is not here goes by the default. */
  readonly learned: readonly Learned[];
  readonly people: readonly PersonOfShop[];
}

export const EMPTY_SHOP: Shop = { films: [], learned: [], people: [] };

/** @returns rows of every table: those given, and none of the others */
export function jobRows(given: Partial<JobRows> = {}): JobRows {
  const none = Object.fromEntries(JOB_TABLES.map((table) => [table, []])) as unknown as JobRows;
  return { ...none, ...given };
}
