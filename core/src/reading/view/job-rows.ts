import type { Learned } from '../../learned';
import {
  type CauseCase,
  type Film,
  type FilmFamily,
  JOB_TABLES,
  type JobTable,
  type Person,
  type RowOf,
} from '../../job';
import type { PocketOfShop } from '../../waiting';

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
  /** From all jobs; absent: nothing is known of them. */
  readonly experience?: Experience;
}

/** A cause that was confirmed, in any job or without one. */
export interface CaseOfShop extends Pick<
  CauseCase,
  'look' | 'confirmed' | 'how' | 'remedy' | 'posterior' | 'tableVersion'
> {
  readonly id: string;
}

/** A pocket of water that was seen gone, or still there, in any job. */
export interface PocketSeen extends PocketOfShop {
  readonly family: FilmFamily;
}

/** What all jobs of a shop have shown. */
export interface Experience {
  readonly cases: readonly CaseOfShop[];
  readonly pockets: readonly PocketSeen[];
}

export const EMPTY_SHOP: Shop = { films: [], learned: [], people: [] };

/** @returns rows of every table: those given, and none of the others */
export function jobRows(given: Partial<JobRows> = {}): JobRows {
  const none = Object.fromEntries(JOB_TABLES.map((table) => [table, []])) as unknown as JobRows;
  return { ...none, ...given };
}
