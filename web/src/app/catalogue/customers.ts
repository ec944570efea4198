import { inject } from '@angular/core';
import { patchState, signalStore, withMethods, withState } from '@ngrx/signals';
import type { CustomerRow } from '@yellow-pane/contracts';
import type { Customer } from '@yellow-pane/core/job';
import { newId } from '../device/session';
import { NOBODY_SAID, WhoseHand } from '../device/whose-hand';
import { ServerRefusal, api } from '../server/api';
import { catalogueWords } from '../words/catalogue';

interface CustomersState {
  readonly customers: readonly CustomerRow[];
  readonly fault: string;
}

/** Whom the shop works for. */
export const Customers = signalStore(
  { providedIn: 'root' },
  withState<CustomersState>({ customers: [], fault: '' }),
  withMethods((store, hand = inject(WhoseHand)) => ({
    async load(): Promise<void> {
      await api.customers().then(
        (customers) => {
          patchState(store, { customers, fault: '' });
        },
        () => {
          patchState(store, { fault: catalogueWords.noAnswer });
        },
      );
    },
    /** @returns the id, or undefined when it was not kept: `fault` says why */
    async save(own: Customer, of?: Pick<CustomerRow, 'id' | 'version'>): Promise<string | undefined> {
      const by = await hand.known();
      if (by === undefined) {
        patchState(store, { fault: NOBODY_SAID });
        return undefined;
      }
      try {
        const row = await api.saveCustomer(of?.id ?? newId(), by, own, of?.version);
        patchState(store, ({ customers }) => ({
          customers: [...customers.filter(({ id }) => id !== row.id), row].toSorted((a, b) =>
            a.name.localeCompare(b.name),
          ),
          fault: '',
        }));
        return row.id;
      } catch (error) {
        const fault = error instanceof ServerRefusal ? error.problem.detail : catalogueWords.noAnswer;
        patchState(store, { fault });
        return undefined;
      }
    },
  })),
);
