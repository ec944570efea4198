import { computed, inject } from '@angular/core';
import { patchState, signalStore, withComputed, withMethods, withState } from '@ngrx/signals';
import type { SupplyRow } from '@yellow-pane/contracts';
import { NOBODY_SAID, WhoseHand } from '../device/whose-hand';
import { ServerRefusal, api } from '../server/api';
import { catalogueWords } from '../words/catalogue';

/** What the workshop has of what every job uses up, as this server keeps it. */
export const Supplies = signalStore(
  { providedIn: 'root' },
  withState<{ readonly rows: readonly SupplyRow[] }>({ rows: [] }),
  withComputed(({ rows }) => ({ byKey: computed(() => new Map(rows().map((row) => [row.key, row]))) })),
  withMethods((store, hand = inject(WhoseHand)) => {
    const load = async (): Promise<void> => {
      await api.supplies().then(
        (rows) => {
          patchState(store, { rows });
        },
        () => undefined,
      );
    };
    return {
      load,
      /** @returns what the server objects to, or undefined when it is kept */
      async count(row: SupplyRow, have: number): Promise<string | undefined> {
        const by = await hand.known();
        if (by === undefined) return NOBODY_SAID;
        try {
          const kept = await api.saveSupply(row, have, by);
          patchState(store, ({ rows }) => ({
            rows: rows.map((other) => (other.key === kept.key ? kept : other)),
          }));
          return undefined;
        } catch (error) {
          if (!(error instanceof ServerRefusal)) return catalogueWords.noAnswer;
          await load();
          return error.problem.detail;
        }
      },
    };
  }),
);
