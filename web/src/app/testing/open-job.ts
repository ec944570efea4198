import { DOCUMENT } from '@angular/common';
import {
  type EnvironmentInjector,
  ErrorHandler,
  type Provider,
  type ProviderToken,
  createEnvironmentInjector,
  provideZonelessChangeDetection,
  ɵINJECTOR_SCOPE,
} from '@angular/core';
import { patchState } from '@ngrx/signals';
import { unprotected } from '@ngrx/signals/testing';
import { Store, provideStore } from '@ngrx/store';
import type { FilmRow, Op, PersonRow } from '@yellow-pane/contracts';
import { type Film, JOB_TABLES, type JobTable, type RowOf, newPerson } from '@yellow-pane/core/job';
import { Catalogue } from '../catalogue/catalogue';
import { People } from '../catalogue/people';
import { Device } from '../device/device';
import { JobDesk } from '../job/job-desk';
import { JobActions, jobFeature } from '../job/job.feature';
import { NO_TABLES, withOps } from '../job/tables';

const MADE = { jobId: 'J', who: 'Wren', at: '2026-11-24T09:20:00Z' };

/**
 * A job that is open in the program, without a page and without a server: what a person does is waiting to be
 * sent.
 */
export interface OpenedJob {
  readonly get: <Thing>(thing: ProviderToken<Thing>) => Thing;
  /** The server takes all that waits, as it is. */
  readonly serverTakesAll: () => void;
  /** Somebody else does something, and the server tells. */
  readonly othersDo: (ops: readonly Op[]) => void;
  readonly end: () => void;
}

/** Opens a job made of such operations, with such films in the catalogue. */
export function openJob(
  ops: readonly Op[],
  films: readonly { readonly id: string; readonly film: Film }[] = [],
  providers: readonly Provider[] = [],
): OpenedJob {
  const nothing = { documentElement: { dataset: {} }, defaultView: null, addEventListener: () => undefined };
  const injector = createEnvironmentInjector(
    [
      { provide: ɵINJECTOR_SCOPE, useValue: 'root' },
      {
        provide: ErrorHandler,
        useValue: {
          handleError: (error: unknown) => {
            throw error;
          },
        },
      },
      { provide: DOCUMENT, useValue: nothing },
      provideZonelessChangeDetection(),
      provideStore({ [jobFeature.name]: jobFeature.reducer }),
      ...providers,
    ],
    null as unknown as EnvironmentInjector,
  );
  const get = <Thing>(thing: ProviderToken<Thing>): Thing => injector.get(thing);
  putJob(get, ops, films);
  const store = get(Store);
  return {
    get,
    end: () => {
      injector.destroy();
    },
    othersDo: (ops) => {
      const { server, seq } = injector.get(JobDesk).state();
      const after = withOps(server, ops, { ...MADE, who: 'Finch' });
      const rows = ops.map(({ table, id }) => ({
        table,
        row: { ...after[table].entities[id], version: (server[table].entities[id]?.version ?? 0) + 1 },
      }));
      store.dispatch(
        JobActions.accepted({
          answer: {
            seq: seq + 1,
            changeId: `theirs ${seq + 1}`,
            session: 'theirs',
            who: 'Finch',
            at: MADE.at,
            rows: rows as never,
          },
        }),
      );
    },
    serverTakesAll: () => {
      const desk = injector.get(JobDesk);
      for (const { change } of desk.state().pending) {
        const touched = change.ops.map(({ table, id }) => ({
          table,
          row: {
            ...desk.view()[table].entities[id],
            version: (desk.state().server[table].entities[id]?.version ?? 0) + 1,
          },
        }));
        store.dispatch(
          JobActions.accepted({
            answer: {
              seq: desk.state().seq + 1,
              changeId: change.id,
              session: change.session,
              who: change.who,
              at: MADE.at,
              rows: touched as never,
            },
          }),
        );
      }
    },
  };
}

/** What the store and the shop are when a job made of such operations is open. */
export function putJob(
  get: <Thing>(thing: ProviderToken<Thing>) => Thing,
  ops: readonly Op[],
  films: readonly { readonly id: string; readonly film: Film }[] = [],
): void {
  const store = get(Store);
  const tables = withOps(NO_TABLES, ops, MADE);
  const rows = Object.fromEntries(
    JOB_TABLES.map((table) => [table, tables[table].ids.map((id) => tables[table].entities[id])]),
  ) as unknown as { readonly [Table in JobTable]: readonly RowOf<Table>[] };
  const meta = { version: 1, madeBy: MADE.who, madeAt: MADE.at, changedBy: MADE.who, changedAt: MADE.at };
  patchState(unprotected(get(Catalogue)), {
    films: films.map(({ id, film }): FilmRow => ({ ...film, ...meta, id })),
    status: 'here',
  });
  patchState(unprotected(get(People)), {
    people: rows.crewMember.map(({ personId, name }): PersonRow => ({
      ...newPerson(name),
      ...meta,
      id: personId ?? '',
    })),
  });
  get(Device).workFor({ who: MADE.who, personId: '' });
  store.dispatch(JobActions.open({ jobId: MADE.jobId }));
  store.dispatch(JobActions.opened({ job: { seq: 1, rows }, pending: [], conflicts: [] }));
}
